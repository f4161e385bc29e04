/** A document that is typed and dragged in, with undo and redo; where it is kept and what it comes to is for others. */
import { changed, newHistory, redone, undone, type History } from './history';
import { at, put, type Doc, type Json } from './paths';

export class Edited {
  document = $state.raw<Doc>({});
  history = $state.raw<History<Doc>>(newHistory());
  readonly #onchange: () => void;

  /** onchange: after every change, also by undo and redo. */
  constructor(onchange: () => void) {
    this.#onchange = onchange;
  }

  get canUndo(): boolean {
    return this.history.past.length > 0;
  }

  get canRedo(): boolean {
    return this.history.future.length > 0;
  }

  /** Puts a document here that nobody changed: opened, saved, brought back. */
  take(document: Doc): void {
    if (JSON.stringify(this.document) !== JSON.stringify(document)) this.document = document;
  }

  /** What is done from now on is all that can be undone. */
  forget(): void {
    this.history = newHistory();
  }

  stated(path: string): Json | undefined {
    return at(this.document, path);
  }

  /** Changes one place; changes with the same mark undo as one. */
  change(path: string, value: Json | undefined, mark = ''): void {
    this.replace(put(this.document, path, value), mark);
  }

  /** Changes several places as one step of undo, as advice does. */
  carryOut(changes: { path: string; quantity?: unknown }[]): void {
    this.replace(withChanges(this.document, changes), '');
  }

  replace(document: Doc, mark: string): void {
    this.history = changed(this.history, this.document, mark);
    this.document = document;
    this.#onchange();
  }

  undo(): void {
    this.#step(undone(this.history, this.document));
  }

  redo(): void {
    this.#step(redone(this.history, this.document));
  }

  /** Ends a gesture: the next change is a step of its own. */
  endGesture(): void {
    this.history = { ...this.history, mark: '' };
  }

  #step(step: { history: History<Doc>; value: Doc } | null): void {
    if (!step) return;
    this.history = step.history;
    this.document = step.value;
    this.#onchange();
  }
}

/** A document after the changes of an advice. */
export function withChanges(document: Doc, changes: { path: string; quantity?: unknown }[]): Doc {
  return changes.reduce((made, one) => put(made, one.path, one.quantity as Json), document);
}
