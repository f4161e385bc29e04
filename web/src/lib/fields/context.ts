/** What the fields of a form share: the document, how to change it, what is wrong where, and what is in use where nothing is stated. */
import type { Prediction, Schemas } from '$lib/api/client';
import type { Json } from '$lib/document/paths';
import type { Pick } from '$lib/shelf/shelf';
import { getContext, setContext } from 'svelte';
import type { Field } from './schema';

export interface Form {
  stated(path: string): Json | undefined;
  change(path: string, value: Json | undefined, mark?: string): void;
  /** The refusal at a path, empty where there is none. */
  wrong(path: string): string;
  /** The input in use at a path, as the last good answer told it. */
  inUse(path: string): Prediction['inputs'][string] | undefined;
  /** Share of an input in the deciding result's variance, 0 to 1. */
  share(path: string): number;
  /** The path that a handle on the drawing or the pointer names now. */
  readonly focused: string;
  focus(path: string): void;
  readonly help: boolean;
  /** Aids that work a field's value out: whether one serves a field of that name, and opening it for one. */
  workOut?: { serves(name: string): boolean; open(path: string, field: Field): void };
  /** The shelf: whether it has a size of that name, choosing one, what a field was taken from, taking what was measured again. */
  shelf?: {
    has(name: string): boolean;
    open(path: string, field: Field): void;
    taken(path: string): Pick | undefined;
    takeNewer(path: string): void;
    address(item: number): string;
  };
  /** A list's items from one line of text, and each in words; missing where nothing reads one. */
  readLine?(path: string, text: string): Promise<Schemas['OneLineOut']>;
}

const KEY = Symbol('form');

export function provideForm(form: Form): void {
  setContext(KEY, form);
}

export function useForm(): Form {
  const form = getContext<Form | undefined>(KEY);
  if (!form) throw new Error('useForm: no form above; a field stands inside one that calls provideForm');
  return form;
}
