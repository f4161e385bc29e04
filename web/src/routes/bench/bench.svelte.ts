/** The bench's state: one set-up as typed, its last good answer, and the one request that is in flight. */
import { ApiError, send, type Prediction, type Setup } from '$lib/api/client';
import { dropDraft, keepDraft, readDraft } from '$lib/document/drafts';
import { changed, newHistory, redone, undone, type History } from '$lib/document/history';
import { at, put, type Doc, type Json } from '$lib/document/paths';
import { session } from '$lib/session/session.svelte';
import { Beside } from './beside.svelte';
import { conflictOf, createSetup, loadSetup, saveSetup, varySetup, type Conflict } from './keeping';
import { sheetQuery, USUAL, type Sheet } from './sheet';

const RETRY = 2000;

export class Bench {
  readonly department: string;
  setup = $state.raw<Setup | null>(null);
  name = $state('');
  document = $state.raw<Doc>({});
  history = $state.raw<History<Doc>>(newHistory());
  answer = $state.raw<Prediction | null>(null);
  /** What the last answer was to. */
  problem = $state.raw<ApiError | null>(null);
  saving = $state(false);
  conflict = $state.raw<Conflict | null>(null);
  /** What stands beside today's drawing: what the advice would do, and the variation that stood here before. */
  readonly beside = new Beside();
  restored = $state(false);
  holding = $state('');
  sheet = $state.raw(USUAL);

  #version = 0;
  #base = '';
  #asked = '';
  #busy = false;
  #again = false;
  #timer = 0;
  #gone = false;

  constructor(department: string) {
    this.department = department;
  }

  get key(): string {
    return this.setup ? String(this.setup.id) : 'new';
  }

  get dirty(): boolean {
    return JSON.stringify(this.document) !== this.#base;
  }

  get refusal(): ApiError | null {
    return this.problem && !this.problem.lost && !this.problem.signedOut ? this.problem : null;
  }

  /** Opens a saved set-up, with a draft of it where one was left; the page may have brought it with its first answer. */
  async open(id: string, handed: { setup: Setup; answer: Prediction } | null): Promise<void> {
    const setup = handed?.setup ?? (await loadSetup(this.department, Number(id)));
    const draft = readDraft(this.department, String(setup.id));
    this.#take(setup);
    if (draft && JSON.stringify(draft.document) !== this.#base) {
      this.document = draft.document;
      this.#version = draft.version;
      this.restored = true;
      this.#keep();
    } else if (handed) {
      this.answer = handed.answer;
      const { width, height } = handed.answer.scene ?? { width: 0, height: 0 };
      this.#asked = `${width} ${height}`;
      if (this.#asked === this.#size) return this.#showBeside();
    }
    this.predict();
  }

  get #size(): string {
    return `${this.sheet.width} ${this.sheet.height}`;
  }

  /** The sheet that the section is drawn on; asks anew where the last drawing was asked for on another. */
  resize(sheet: Sheet): void {
    this.sheet = sheet;
    if (this.#asked !== this.#size) this.predict();
  }

  /** Opens another of the run of variations; what stood here stays as an outline. */
  async switchTo(id: number): Promise<void> {
    const before = this.document;
    try {
      await this.open(String(id), null);
      this.history = newHistory();
      this.beside.earlier = before;
    } catch (error) {
      this.#failed(error);
    }
  }

  /** Saves what stands here as a variation: the same thing with one change. */
  async vary(name: string): Promise<number | null> {
    if (!this.setup) return null;
    const before = JSON.parse(this.#base) as Doc;
    try {
      const made = await varySetup(this.department, this.setup.id, name, this.document);
      dropDraft(this.department, this.key);
      this.#take(made);
      this.history = newHistory();
      this.beside.earlier = before;
      this.predict();
      return made.id;
    } catch (error) {
      this.#failed(error);
      return null;
    }
  }

  /** Begins a new set-up from a document that is not saved yet, or from the draft that was left. */
  begin(name: string, document: Doc | null): void {
    const draft = document ? null : readDraft(this.department, 'new');
    this.name = draft?.name ?? name;
    this.document = document ?? draft?.document ?? {};
    this.restored = draft !== null;
    this.#base = '';
    this.#keep();
    this.predict();
  }

  /** Changes one place of the document; changes with the same mark undo as one. */
  change(path: string, value: Json | undefined, mark = ''): void {
    this.replace(put(this.document, path, value), mark);
  }

  /** Carries out advice: several places at once, one step of undo. */
  carryOut(changes: { path: string; quantity?: unknown }[]): void {
    this.replace(
      changes.reduce((document, one) => put(document, one.path, one.quantity as Json), this.document),
      '',
    );
  }

  replace(document: Doc, mark: string): void {
    this.history = changed(this.history, this.document, mark);
    this.document = document;
    this.#keep();
    this.predict();
  }

  undo(): void {
    this.#step(undone(this.history, this.document));
  }

  redo(): void {
    this.#step(redone(this.history, this.document));
  }

  /** Ends a gesture: the next change is a step of its own, and the scale refits. */
  release(): void {
    this.holding = '';
    this.history = { ...this.history, mark: '' };
    this.predict();
  }

  discardDraft(): void {
    this.replace(JSON.parse(this.#base) as Doc, '');
    this.restored = false;
  }

  stated(path: string): Json | undefined {
    return at(this.document, path);
  }

  /** Asks for the answer to the document as it stands; one request at a time, the newest document last. */
  predict(): void {
    if (this.#gone || Object.keys(this.document).length === 0) return;
    if (this.#busy) {
      this.#again = true;
      return;
    }
    void this.#ask();
  }

  async save(): Promise<void> {
    if (this.saving) return;
    this.saving = true;
    try {
      this.#take(await this.#saved());
      this.conflict = null;
    } catch (error) {
      this.#failed(error);
    } finally {
      this.saving = false;
    }
  }

  /** Settles a conflict with what somebody else saved. */
  takeTheirs(): void {
    if (!this.conflict) return;
    this.#version = this.conflict.version;
    this.#base = JSON.stringify(this.conflict.document);
    this.replace(this.conflict.document, '');
    this.conflict = null;
    dropDraft(this.department, this.key);
  }

  /** Settles a conflict by saving what stands here under another name. */
  async mineAsCopy(): Promise<number | null> {
    try {
      const setup = await createSetup(this.department, `${this.name}, mine`, this.document);
      dropDraft(this.department, this.key);
      this.conflict = null;
      return setup.id;
    } catch (error) {
      this.#failed(error);
      return null;
    }
  }

  close(): void {
    this.#gone = true;
    clearTimeout(this.#timer);
    this.beside.stop();
  }

  /** The room in use, for whatever is asked about this set-up. */
  get where(): Record<string, string> {
    return session.roomQuery(this.department);
  }

  query(frozen: boolean): Record<string, string> {
    return { ...sheetQuery(this.sheet, frozen ? this.answer?.scene?.window : null), ...this.where };
  }

  async #ask(): Promise<void> {
    this.#busy = true;
    clearTimeout(this.#timer);
    const asked = this.document;
    this.#asked = this.#size;
    try {
      const response = await send('predict', JSON.stringify(asked), this.query(this.holding !== ''));
      this.answer = (await response.json()) as Prediction;
      this.problem = null;
      this.#showBeside();
    } catch (error) {
      this.#failed(error);
    }
    this.#busy = false;
    if (this.#again) {
      this.#again = false;
      void this.#ask();
    }
  }

  #failed(error: unknown): void {
    if (!(error instanceof ApiError)) throw error;
    const conflict = conflictOf(error);
    if (conflict) {
      this.conflict = conflict;
      return;
    }
    this.problem = error;
    if (error.lost || error.signedOut) {
      clearTimeout(this.#timer);
      this.#timer = window.setTimeout(() => this.predict(), RETRY);
    }
  }

  #showBeside(): void {
    this.beside.stop();
    if (this.holding || !this.answer) return;
    this.beside.show(this.answer, this.document, this.query(true));
  }

  async #saved(): Promise<Setup> {
    if (this.setup) return saveSetup(this.department, this.setup.id, this.document, this.#version);
    const made = await createSetup(this.department, this.name, this.document);
    dropDraft(this.department, 'new');
    return made;
  }

  #take(setup: Setup): void {
    this.setup = setup;
    this.name = setup.name;
    this.#version = setup.version;
    const document = JSON.parse(setup.document) as Doc;
    this.#base = JSON.stringify(document);
    if (JSON.stringify(this.document) !== this.#base) this.document = document;
    this.restored = false;
    dropDraft(this.department, this.key);
  }

  #step(step: { history: History<Doc>; value: Doc } | null): void {
    if (!step) return;
    this.history = step.history;
    this.document = step.value;
    this.#keep();
    this.predict();
  }

  #keep(): void {
    const { name, document } = this;
    if (this.dirty) keepDraft(this.department, this.key, { name, document, version: this.#version });
    else dropDraft(this.department, this.key);
  }
}
