/** The shape of the section that something beside it points at: a line of a ledger, as one walks along it. */
import { getContext, setContext } from 'svelte';

export interface Pointed {
  /** Id of the shape, empty where nothing is pointed at. */
  readonly at: string;
  point(id: string): void;
}

export const POINTED = Symbol('pointed');

export function providePointed(pointed: Pointed): void {
  setContext(POINTED, pointed);
}

/** Null where no section stands beside. */
export function usePointed(): Pointed | null {
  return getContext<Pointed | undefined>(POINTED) ?? null;
}
