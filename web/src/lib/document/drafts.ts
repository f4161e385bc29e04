/** Drafts of set-ups: what is typed on the bench, never saved over a valid set-up. */
import { typing } from '$lib/session/typing';
import type { Pick } from '$lib/shelf/shelf';
import type { Doc } from './paths';

export interface Draft {
  name: string;
  document: Doc;
  /** The version it was begun from, 0 for a new set-up. */
  version: number;
  /** What of it is from the shelf, by path. */
  picks?: Record<string, Pick>;
}

const drafts = typing<Draft>('draft');
const id = (department: string, setup: string): string => `${department}:${setup}`;

export const readDraft = (department: string, setup: string): Draft | null => drafts.read(id(department, setup));
export const dropDraft = (department: string, setup: string): void => drafts.drop(id(department, setup));

export function keepDraft(department: string, setup: string, draft: Draft): void {
  drafts.keep(id(department, setup), draft);
}
