/** The bench: a document that is edited, the answer to it, and what of it is kept, put together. */
import { ApiError, type Prediction, type Setup } from '$lib/api/client';
import { Edited } from '$lib/document/edited.svelte';
import type { Doc } from '$lib/document/paths';
import { Beside } from '$lib/predict/beside.svelte';
import { Predictor } from '$lib/predict/predictor.svelte';
import type { Staged } from '$lib/predict/staged';
import { session } from '$lib/session/session.svelte';
import { Kept } from './kept.svelte';
import { loadSetup, staysOf, type GoesOn, type Stays } from './keeping';

export class Bench implements Staged {
  readonly department: string;
  readonly edited: Edited;
  readonly predictor: Predictor;
  readonly kept: Kept;
  /** What stands beside today's drawing: what the advice would do, and the variation that stood here before. */
  readonly beside = new Beside();

  constructor(department: string) {
    this.department = department;
    this.kept = new Kept(department);
    this.edited = new Edited(() => {
      this.kept.remember(this.edited.document);
      this.predictor.predict();
    });
    this.predictor = new Predictor({
      document: () => this.edited.document,
      where: () => session.roomQuery(department),
      onanswer: () => {
        this.#showBeside();
        if (this.kept.waiting) void this.save();
      },
    });
  }

  get name(): string {
    return this.kept.name;
  }

  get dirty(): boolean {
    return this.kept.differs(this.edited.document);
  }

  /** Opens a saved set-up; the page may have brought it with its first answer. */
  async open(id: string, brought: { setup: Setup; answer: Prediction } | null): Promise<void> {
    const setup = brought?.setup ?? (await loadSetup(this.department, Number(id)));
    this.edited.take(this.kept.open(setup));
    if (this.kept.restored) this.kept.remember(this.edited.document);
    if (brought && !this.kept.restored) this.predictor.bring(brought.answer);
    else this.predictor.predict();
  }

  /** Begins a new set-up from a document that is not saved yet, or from the draft that was left. */
  begin(name: string, document: Doc | null): void {
    this.edited.take(this.kept.begin(name, document));
    this.kept.remember(this.edited.document);
    this.predictor.predict();
  }

  /** Opens another of the run of variations; what stood here stays as an outline. */
  async switchTo(id: number): Promise<void> {
    const before = this.edited.document;
    await this.#attempt(async () => {
      await this.open(String(id), null);
      this.edited.forget();
      this.beside.earlier = before;
    });
  }

  /** Saves what stands here as a variation: the same thing with one change. */
  async vary(name: string, goesOn: GoesOn | null): Promise<number | null> {
    const before = this.kept.base;
    return this.#attempt(async () => {
      const made = await this.kept.vary(name, this.edited.document, goesOn);
      if (!made) return null;
      this.edited.take(this.kept.take(made));
      this.edited.forget();
      this.beside.earlier = before;
      this.predictor.predict();
      return made.id;
    });
  }

  /** What of a document's end, or of a moment of it, a next one begins with; null where that could not be had. */
  async stays(document: Doc, moment: number | null): Promise<Stays[] | null> {
    return this.#attempt(() => staysOf(this.department, document, moment));
  }

  /** Carries over again what stays of the one where this one began, as it is saved now; it counts as done once this is saved. */
  async carryAnew(): Promise<void> {
    const here = this.kept.setup?.run.find((one) => one.id === this.kept.setup?.id);
    if (!here?.follows) return;
    const before = here.follows;
    await this.#attempt(async () => {
      const setup = await loadSetup(this.department, before);
      const stays = await staysOf(this.department, JSON.parse(setup.document) as Doc, here.moment ?? null);
      this.edited.carryOut(stays);
      this.kept.anew = true;
    });
  }

  async save(): Promise<void> {
    if (this.kept.saving) return;
    const done = await this.#attempt(async () => {
      const saved = await this.kept.save(this.edited.document);
      if (saved) this.edited.take(saved);
      return true;
    });
    this.kept.waiting = !done && this.predictor.problem?.lost === true;
  }

  /** Settles a conflict with what somebody else saved. */
  takeTheirs(): void {
    const theirs = this.kept.takeTheirs();
    if (theirs) this.edited.replace(theirs, '');
  }

  /** Settles a conflict by saving what stands here under another name. */
  async mineAsCopy(): Promise<number | null> {
    return this.#attempt(async () => (await this.kept.mineAsCopy(this.edited.document)).id);
  }

  /** Back to what is saved. */
  discardDraft(): void {
    this.edited.replace(this.kept.base, '');
    this.kept.restored = false;
  }

  /** Ends a gesture: the next change is a step of its own, and the scale fits anew. */
  release(): void {
    this.edited.endGesture();
    this.predictor.release();
  }

  close(): void {
    this.predictor.close();
    this.beside.stop();
  }

  /** Does it; null where it failed, which the banner then says. */
  async #attempt<T>(work: () => Promise<T>): Promise<T | null> {
    try {
      return await work();
    } catch (error) {
      this.predictor.failed(error as ApiError);
      return null;
    }
  }

  #showBeside(): void {
    this.beside.stop();
    const { answer, holding } = this.predictor;
    if (!holding && answer) this.beside.show(answer, this.edited.document, this.predictor.query(true));
  }
}
