/** What somebody else kept after this was opened. */
import type { Doc } from '$lib/document/paths';
import type { ApiError } from './client';

export interface Conflict {
  by: string;
  at: string;
  version: number;
  theirs: Doc;
}

/** The conflict that a failure tells; null where it tells something else. */
export function conflictIn(failure: ApiError | null): Conflict | null {
  return failure?.problem.code === 'conflict' ? (failure.problem.extra as unknown as Conflict) : null;
}
