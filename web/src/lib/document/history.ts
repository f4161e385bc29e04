/** Undo and redo over whole documents; changes of one gesture or one field count as one. */

export interface History<T> {
  past: T[];
  future: T[];
  /** What the newest change was made with; the next with the same mark is part of it. */
  mark: string;
}

const LONGEST = 200;

export function newHistory<T>(): History<T> {
  return { past: [], future: [], mark: '' };
}

/** The history after a change away from `before`. */
export function changed<T>(history: History<T>, before: T, mark: string): History<T> {
  if (mark !== '' && mark === history.mark) return { ...history, future: [] };
  return { past: [...history.past.slice(1 - LONGEST), before], future: [], mark };
}

/** One step back from `now`; null where there is none. */
export function undone<T>(history: History<T>, now: T): { history: History<T>; value: T } | null {
  const value = history.past.at(-1);
  if (value === undefined) return null;
  return { value, history: { past: history.past.slice(0, -1), future: [now, ...history.future], mark: '' } };
}

/** One step forward again; null where there is none. */
export function redone<T>(history: History<T>, now: T): { history: History<T>; value: T } | null {
  const value = history.future[0];
  if (value === undefined) return null;
  return { value, history: { past: [...history.past, now], future: history.future.slice(1), mark: '' } };
}
