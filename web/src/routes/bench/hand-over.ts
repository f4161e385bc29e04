/** Hands a document from the list to the bench: a starting set-up, or a file that was opened. */
import type { Doc } from '$lib/document/paths';

export interface HandedOver {
  name: string;
  document: Doc;
}

let waiting: HandedOver | null = null;

export function handOver(document: HandedOver): void {
  waiting = document;
}

export function takeHandOver(): HandedOver | null {
  const taken = waiting;
  waiting = null;
  return taken;
}
