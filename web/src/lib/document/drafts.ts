/** Drafts in the browser: what is typed survives a reload and a lost connection, and is never saved over a valid set-up. */
import type { Doc } from './paths';

export interface Draft {
  name: string;
  document: Doc;
  /** The version it was begun from, 0 for a new set-up. */
  version: number;
}

const key = (department: string, setup: string): string => `draft:${department}:${setup}`;

export function readDraft(department: string, setup: string): Draft | null {
  try {
    const text = localStorage.getItem(key(department, setup));
    return text ? (JSON.parse(text) as Draft) : null;
  } catch {
    return null;
  }
}

export function keepDraft(department: string, setup: string, draft: Draft): void {
  try {
    localStorage.setItem(key(department, setup), JSON.stringify(draft));
  } catch {
    // a full or forbidden store: the page itself still holds what is typed
  }
}

export function dropDraft(department: string, setup: string): void {
  try {
    localStorage.removeItem(key(department, setup));
  } catch {
    // as above
  }
}
