/** The measuring aids that there are, fetched once; and what a field takes over from one. */
import { asked } from '$lib/api/asked.svelte';
import { ask, client, type Prediction, type Schemas } from '$lib/api/client';
import type { JsonSchema } from '$lib/fields/schema';

export type Aid = Schemas['AidOut'];
export type Measured = Schemas['MeasuredOut'];
export type TakenOver = Schemas['TakenOverOut'];

export function aids(when: () => boolean) {
  return asked(() => ({
    key: ['aids'],
    ask: (signal) => ask(client.GET('/api/aids', { signal })),
    when: when(),
  }));
}

export function aidSchema(key: () => string) {
  return asked(() => ({
    key: ['aid-schema', key()],
    ask: async (signal) => {
      const params = { path: { key: key() } };
      return (await ask(client.GET('/api/aids/{key}/schema', { params, signal }))) as JsonSchema;
    },
    when: key() !== '',
  }));
}

/** The changes that put a result into a field: with what goes beside it, where a field of that name stands there, or is to be left out. */
export function takingOver(
  taken: TakenOver,
  path: string,
  inputs: Prediction['inputs'],
): { path: string; quantity?: unknown }[] {
  const parent = path.slice(0, path.lastIndexOf('.'));
  const beside = Object.entries(taken.beside)
    .map(([name, quantity]) => ({ path: `${parent}.${name}`, quantity: quantity ?? undefined }))
    .filter((one) => one.quantity === undefined || one.path in inputs);
  return [...beside, { path, quantity: taken.quantity }];
}
