/** What is typed and not sent yet: kept in the browser for who is signed in, so that it survives steps, a reload, a closed tab, a lost connection. */
import { session } from './session.svelte';

export interface Typing<T> {
  read: (id: string) => T | null;
  keep: (id: string, value: T) => void;
  drop: (id: string) => void;
}

/** A full or forbidden store changes nothing: the page itself still holds what is typed. */
function tried<T>(work: () => T): T | null {
  try {
    return work();
  } catch {
    return null;
  }
}

/** One kind of what is typed; id tells one from another, for instance a department and its set-up. */
export function typing<T>(kind: string): Typing<T> {
  const key = (id: string): string => `${kind}:${session.me?.username ?? ''}:${id}`;
  return {
    read: (id) =>
      tried(() => {
        const text = localStorage.getItem(key(id));
        return text ? (JSON.parse(text) as T) : null;
      }),
    keep: (id, value) => void tried(() => localStorage.setItem(key(id), JSON.stringify(value))),
    drop: (id) => void tried(() => localStorage.removeItem(key(id))),
  };
}
