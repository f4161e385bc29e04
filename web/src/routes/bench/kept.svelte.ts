/** What is kept of the bench's document: the set-up on the server with the version that was seen, and the draft in the browser. */
import type { ApiError, Setup } from '$lib/api/client';
import { naming } from '$lib/api/naming';
import { dropDraft, keepDraft, readDraft, type Draft } from '$lib/document/drafts';
import type { Doc } from '$lib/document/paths';
import type { Pick } from '$lib/shelf/shelf';
import { conflictOf, createSetup, saveSetup, varySetup, type Conflict, type GoesOn } from './keeping';

export class Kept {
  readonly department: string;
  setup = $state.raw<Setup | null>(null);
  name = $state('');
  saving = $state(false);
  /** What somebody else saved meanwhile, until it is settled. */
  conflict = $state.raw<Conflict | null>(null);
  /** Whether a save found no server, and is tried again once one answers. */
  waiting = $state(false);
  /** Whether what stands here is a draft that came back. */
  restored = $state(false);
  /** Whether what stayed of the one where this began was carried over again, and is not saved yet. */
  anew = $state(false);
  /** What of it is from the shelf, by path. */
  picks = $state.raw<Record<string, Pick>>({});
  #version = 0;
  #nameOf = naming();
  #base = $state('');

  constructor(department: string) {
    this.department = department;
  }

  /** The document as it is saved; empty for a new set-up. */
  get base(): Doc {
    return (this.#base ? JSON.parse(this.#base) : {}) as Doc;
  }

  differs(document: Doc): boolean {
    return JSON.stringify(document) !== this.#base;
  }

  /** Takes a set-up as the server has it now; its draft is done with. */
  take(setup: Setup): Doc {
    this.setup = setup;
    this.name = setup.name;
    this.#version = setup.version;
    this.picks = Object.fromEntries((setup.picks ?? []).map((one) => [one.path, one]));
    const document = JSON.parse(setup.document) as Doc;
    this.#base = JSON.stringify(document);
    this.restored = false;
    this.waiting = false;
    this.anew = false;
    dropDraft(this.department, this.#key);
    return document;
  }

  /** Opens a set-up; gives its draft where one was left, else the document as it is saved. */
  open(setup: Setup): Doc {
    const draft = readDraft(this.department, String(setup.id));
    const saved = this.take(setup);
    return draft && this.differs(draft.document) ? this.#bringBack(draft) : saved;
  }

  /** Begins a new set-up from a document, or from the draft that was left. */
  begin(name: string, document: Doc | null): Doc {
    const draft = document ? null : readDraft(this.department, 'new');
    this.name = draft?.name ?? name;
    this.#base = '';
    return draft ? this.#bringBack(draft) : (document ?? {});
  }

  /** Keeps what is typed in the browser, or drops it where it says what is saved. */
  remember(document: Doc): void {
    if (this.differs(document))
      keepDraft(this.department, this.#key, {
        name: this.name,
        document,
        version: this.#version,
        picks: this.picks,
      });
    else dropDraft(this.department, this.#key);
  }

  /** Saves over the version that was seen, or as a new set-up.  Throws ApiError, but for a conflict, which then stands here. */
  async save(document: Doc): Promise<Doc | null> {
    this.saving = true;
    try {
      const saved = this.setup
        ? await saveSetup(this.department, this.setup.id, document, this.#version, this.anew, this.#picked)
        : await createSetup(
            this.department,
            this.name,
            document,
            this.#nameOf({ name: this.name, document }),
            this.#picked,
          );
      if (!this.setup) dropDraft(this.department, 'new');
      this.conflict = null;
      return this.take(saved);
    } catch (error) {
      this.conflict = conflictOf(error as ApiError);
      if (!this.conflict) throw error;
      return null;
    } finally {
      this.saving = false;
    }
  }

  /** Saves a document as a variation, one that goes on from this one where it is said.  Throws ApiError. */
  async vary(name: string, document: Doc, goesOn: GoesOn | null): Promise<Setup | null> {
    if (!this.setup) return null;
    const sent = this.#nameOf({ name, document });
    const made = await varySetup(this.department, this.setup.id, name, document, sent, goesOn, this.#picked);
    dropDraft(this.department, this.#key);
    return made;
  }

  /** Settles a conflict with what somebody else saved, which it gives. */
  takeTheirs(): Doc | null {
    const theirs = this.conflict;
    if (!theirs) return null;
    this.#version = theirs.version;
    this.#base = JSON.stringify(theirs.document);
    this.conflict = null;
    dropDraft(this.department, this.#key);
    return theirs.document;
  }

  /** Settles a conflict by saving what stands here under another name.  Throws ApiError. */
  async mineAsCopy(document: Doc): Promise<Setup> {
    const name = `${this.name}, mine`;
    const sent = this.#nameOf({ name, document });
    const setup = await createSetup(this.department, name, document, sent, this.#picked);
    dropDraft(this.department, this.#key);
    this.conflict = null;
    return setup;
  }

  #bringBack(draft: Draft): Doc {
    this.#version = draft.version;
    this.restored = true;
    this.picks = draft.picks ?? this.picks;
    return draft.document;
  }

  get #picked(): Record<string, number> {
    return Object.fromEntries(Object.entries(this.picks).map(([path, one]) => [path, one.size]));
  }

  get #key(): string {
    return this.setup ? String(this.setup.id) : 'new';
  }
}
