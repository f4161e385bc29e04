/** The one client of the API: typed requests, and one form of failure. */
import { kept } from '$lib/offline/kept.svelte';
import createClient from 'openapi-fetch';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];
export type Problem = Schemas['Problem'];
export type Prediction = Schemas['PredictionOut'];
export type Drawing = Schemas['DrawingOut'];
export type Primitive = Schemas['PrimitiveOut'];
export type HandleInfo = Schemas['HandleOut'];
export type AdderInfo = Schemas['AdderOut'];
export type Result = Schemas['ResultOut'];
export type Playback = Schemas['PlaybackOut'];
export type SetupRow = Schemas['SetupRowOut'];
export type Setup = Schemas['SetupOut'];
export type Run = Schemas['RunOut'];
export type RunRow = Schemas['RunRowOut'];
export type Me = Schemas['MeOut'];

/** A failure that a person can act on: a problem that the server told, or no server at all (status 0). */
export class ApiError extends Error {
  readonly problem: Problem;

  constructor(problem: Problem) {
    super(problem.detail);
    this.problem = problem;
  }

  get lost(): boolean {
    return this.problem.status === 0 || this.problem.status >= 502;
  }

  get signedOut(): boolean {
    return this.problem.status === 401;
  }
}

function token(): string {
  return /(?:^|; )csrftoken=([^;]+)/.exec(document.cookie)?.[1] ?? '';
}

export const client = createClient<paths>({
  baseUrl: globalThis.location.origin,
  fetch: async (request: Request) => {
    if (request.method !== 'GET') request.headers.set('X-CSRFToken', token());
    const response = await globalThis.fetch(request);
    if (response.ok) kept.heard(response);
    return response;
  },
});

function unreachable(): ApiError {
  const detail = 'The server does not answer. What you typed stays here; try again once it is back.';
  return new ApiError({ code: 'lost', status: 0, detail, path: '', extra: {} });
}

function problemOf(error: unknown, status: number): ApiError {
  const told = error as Partial<Problem> | undefined;
  if (told && typeof told === 'object' && typeof told.detail === 'string') {
    return new ApiError({
      code: told.code ?? 'failed',
      status,
      detail: told.detail,
      path: told.path ?? '',
      extra: told.extra ?? {},
    });
  }
  if (status === 403)
    return new ApiError({
      code: 'signed-out',
      status: 401,
      detail: 'You are signed out. Sign in again; what you typed stays here.',
      path: '',
      extra: {},
    });
  return new ApiError({
    code: 'failed',
    status,
    detail: `The server could not answer (${status}).`,
    path: '',
    extra: {},
  });
}

/** Data of an answer; throws ApiError. */
export async function ask<T>(pending: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  let got: { data?: T; error?: unknown; response: Response };
  try {
    got = await pending;
  } catch {
    throw unreachable();
  }
  if (!got.response.ok) throw problemOf(got.error, got.response.status);
  return got.data as T;
}

/** Sends a set-up as it is typed, as bytes, to an address that takes one; throws ApiError. */
export async function send(
  address: string,
  body: string | ArrayBuffer,
  query: Record<string, string>,
  signal?: AbortSignal,
): Promise<Response> {
  let response: Response;
  try {
    const headers = { 'Content-Type': 'application/json', 'X-CSRFToken': token() };
    response = await fetch(`/api/${address}?${new URLSearchParams(query)}`, { method: 'POST', headers, body, signal });
  } catch (trouble) {
    if (signal?.aborted) throw trouble;
    throw unreachable();
  }
  if (response.ok) return response;
  throw problemOf(await response.json().catch(() => undefined), response.status);
}

/** What came of an answer, read to its end; a wire that was cut meanwhile is no answer. */
async function whole<T>(reading: Promise<T>, signal?: AbortSignal): Promise<T> {
  try {
    return await reading;
  } catch (trouble) {
    if (signal?.aborted) throw trouble;
    throw unreachable();
  }
}

/** An answer to a set-up as it is typed; throws ApiError. */
export async function answerTo<T>(
  address: string,
  body: string | ArrayBuffer,
  query: Record<string, string>,
  signal?: AbortSignal,
): Promise<T> {
  const response = await send(address, body, query, signal);
  return whole(response.json() as Promise<T>, signal);
}

/** A file that the server makes of a set-up as it is typed; throws ApiError. */
export async function fileOf(address: string, body: string, query: Record<string, string>): Promise<Blob> {
  return whole((await send(address, body, query)).blob());
}

/** The cursor in the address of a list's next page; null where there is none. */
export function cursorOf(next: string | null): string | null {
  return next ? new URL(next).searchParams.get('cursor') : null;
}
