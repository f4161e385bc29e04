/** Set-ups as the server keeps them: loaded, made, saved over the version that was seen, varied.  Each throws ApiError. */
import { ask, client, type ApiError, type Schemas, type Setup } from '$lib/api/client';
import type { Doc } from '$lib/document/paths';
import { session } from '$lib/session/session.svelte';

/** What somebody else saved after this set-up was opened. */
export interface Conflict {
  by: string;
  at: string;
  version: number;
  document: Doc;
}

/** The conflict that a failure tells; null where it tells something else. */
export function conflictOf(error: ApiError): Conflict | null {
  if (error.problem.code !== 'conflict') return null;
  const theirs = error.problem.extra as unknown as Omit<Conflict, 'document'> & { document: string };
  return { ...theirs, document: JSON.parse(theirs.document) as Doc };
}

/** What of a set-up is from the shelf: by path the size that it was. */
export type Picks = Record<string, number>;

/** The document as typed, and the room that stood on the screen: what is kept is what was seen. */
export function asSeen(department: string, document: Doc): { document: string; room: number | null } {
  return { document: JSON.stringify(document, null, 2), room: session.room(department)?.id ?? null };
}

export function loadSetup(department: string, setup: number): Promise<Setup> {
  return ask(client.GET('/api/departments/{department}/setups/{setup}', { params: { path: { department, setup } } }));
}

/** sent: what the browser calls it, so that the same sent again is one set-up. */
export function createSetup(
  department: string,
  name: string,
  document: Doc,
  sent: string,
  picks: Picks,
): Promise<Setup> {
  const body = { sent, name, picks, ...asSeen(department, document) };
  return ask(client.POST('/api/departments/{department}/setups', { params: { path: { department } }, body }));
}

/** anew: what stayed of the one where it began was carried over again. */
export function saveSetup(
  department: string,
  setup: number,
  document: Doc,
  version: number,
  anew: boolean,
  picks: Picks,
): Promise<Setup> {
  const params = { path: { department, setup } };
  const body = { ...asSeen(department, document), version, anew, picks };
  return ask(client.PUT('/api/departments/{department}/setups/{setup}', { params, body }));
}

/** Where a variation begins: with what stayed of the one before, at a moment of its movement (null: at its end). */
export interface GoesOn {
  moment: number | null;
}

/** goesOn: null for a variation that begins from its own measures. */
export function varySetup(
  department: string,
  setup: number,
  name: string,
  document: Doc,
  sent: string,
  goesOn: GoesOn | null,
  picks: Picks,
): Promise<Setup> {
  const params = { path: { department, setup } };
  const where = { goes_on: goesOn !== null, moment: goesOn?.moment ?? null };
  const body = { sent, name, picks, ...where, ...asSeen(department, document) };
  return ask(client.POST('/api/departments/{department}/setups/{setup}/variations', { params, body }));
}

/** One thing that a next set-up begins with. */
export type Stays = Schemas['StaysOut'];

/** What of a document's end, or of a moment of its movement, a next one begins with. */
export function staysOf(department: string, document: Doc, moment: number | null): Promise<Stays[]> {
  const query = { ...session.roomQuery(department), ...(moment === null ? {} : { moment }) };
  return ask(client.POST('/api/carry-on', { params: { query }, body: document as never }));
}
