/** What is being measured with an aid: its document, kept in the browser until it is done with, and what it comes to. */
import { keepDraft, readDraft } from '$lib/document/drafts';
import { Edited } from '$lib/document/edited.svelte';
import type { Doc } from '$lib/document/paths';
import type { Field } from '$lib/fields/schema';
import { Predictor } from '$lib/predict/predictor.svelte';
import { session } from '$lib/session/session.svelte';
import type { Aid, Measured } from './aids';

export class Measuring {
  readonly aid: Aid;
  readonly edited: Edited;
  readonly predictor: Predictor<Measured>;
  #assumed = $state.raw<Doc>({});

  /** where: what the measures are kept by, so that those of one field are not taken for another's. */
  constructor(department: string, aid: Aid, where: string) {
    this.aid = aid;
    const kept = `${aid.key}:${where}`;
    this.edited = new Edited(() => {
      keepDraft(department, kept, { name: '', document: this.edited.document, version: 0 });
      this.predictor.predict();
    });
    this.predictor = new Predictor<Measured>({
      document: () => (this.begun ? this.edited.document : {}),
      at: 'measured',
      where: () => session.roomQuery(department),
    });
    this.edited.take(readDraft(department, kept)?.document ?? this.empty);
    this.predictor.predict();
  }

  /** What stands in the form before anything was measured: water, wherever a liquid is asked for. */
  assume(fields: Field[]): void {
    const begun = this.begun;
    this.#assumed = Object.fromEntries(fields.filter((one) => one.kind === 'liquid').map((one) => [one.key, 'water']));
    if (!begun) this.edited.take(this.empty);
  }

  /** Nothing measured yet. */
  get empty(): Doc {
    return { anchorage: 1, aid: this.aid.key, room: {}, measured: this.#assumed };
  }

  /** Whether something was typed: before that there is nothing to be worked out, and nothing missing. */
  get begun(): boolean {
    const measured = (this.edited.stated('measured') as Doc | undefined) ?? {};
    return Object.keys(measured).some((key) => measured[key] !== this.#assumed[key]);
  }

  /** The aid's own example, to see how it goes. */
  fillIn(): void {
    this.edited.replace(this.aid.start as Doc, '');
  }

  clear(): void {
    this.edited.replace(this.empty, '');
    this.predictor.answer = null;
    this.predictor.problem = null;
  }
}
