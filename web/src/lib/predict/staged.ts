/** What a view of a set-up needs, whether that is saved, a problem of practice or a lesson's: what is typed, and what it comes to. */
import type { Edited } from '$lib/document/edited.svelte';
import type { Predictor } from './predictor.svelte';

export interface Staged {
  readonly name: string;
  readonly edited: Edited;
  readonly predictor: Predictor;
}
