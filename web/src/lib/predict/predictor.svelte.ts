/** The answer to a document as it stands: one request in flight, the newest document last, late answers dropped. */
import { answerTo, ApiError, type Prediction } from '$lib/api/client';
import type { Doc } from '$lib/document/paths';
import { sheetQuery, sizeOf, type Sheet } from './sheet';

const RETRY = 2000;

/** What an answer may bring with it. */
interface Drawn {
  anchorage: number;
  scene?: Prediction['scene'];
}

interface Asking {
  document: () => Doc;
  /** Where it is asked: of a set-up, or of what was measured with an aid. */
  at?: 'predict' | 'measured';
  /** The room in use, for whatever is asked. */
  where: () => Record<string, string>;
  /** After an answer, or where one is shown again. */
  onanswer?: () => void;
}

export class Predictor<A extends Drawn = Prediction> {
  answer = $state.raw<A | null>(null);
  /** What stands in the way of an answer to what is typed now. */
  problem = $state.raw<ApiError | null>(null);
  /** Path of the handle that is held, empty where none is: the window then stays. */
  holding = $state('');
  sheet = $state.raw<Sheet | null>(null);
  readonly #asking: Asking;
  #asked = '';
  #busy = false;
  #again = false;
  #timer = 0;
  #gone = false;

  constructor(asking: Asking) {
    this.#asking = asking;
  }

  /** The set-up's own fault, not the connection's. */
  get refusal(): ApiError | null {
    return this.problem && !this.problem.lost && !this.problem.signedOut ? this.problem : null;
  }

  /** Whether what is shown is the answer to something that was typed before. */
  get stale(): boolean {
    return this.problem !== null && this.answer !== null;
  }

  get where(): Record<string, string> {
    return this.#asking.where();
  }

  /** What a drawing is asked for with; frozen keeps today's window. */
  query(frozen: boolean): Record<string, string> {
    return { ...sheetQuery(this.sheet, frozen ? this.answer?.scene?.window : null), ...this.where };
  }

  /** Takes an answer that the page brought; asks for a drawing of its own only on another sheet. */
  bring(answer: A): void {
    this.answer = answer;
    this.#asked = answer.scene ? sizeOf(answer.scene) : '';
    if (this.sheet && this.#asked !== sizeOf(this.sheet)) this.predict();
    else this.#asking.onanswer?.();
  }

  /** The sheet that the section is drawn on; asks anew where the last drawing was asked for on another. */
  resize(sheet: Sheet): void {
    this.sheet = sheet;
    if (this.#asked !== sizeOf(sheet)) this.predict();
  }

  /** Asks for the answer to the document as it stands. */
  predict(): void {
    if (this.#gone || Object.keys(this.#asking.document()).length === 0) return;
    if (this.#busy) this.#again = true;
    else void this.#ask();
  }

  /** Ends a gesture: the scale fits anew. */
  release(): void {
    this.holding = '';
    this.predict();
  }

  failed(error: unknown): void {
    if (!(error instanceof ApiError)) throw error;
    this.problem = error;
    if (!error.lost && !error.signedOut) return;
    clearTimeout(this.#timer);
    this.#timer = window.setTimeout(() => this.predict(), RETRY);
  }

  close(): void {
    this.#gone = true;
    clearTimeout(this.#timer);
  }

  async #ask(): Promise<void> {
    this.#busy = true;
    clearTimeout(this.#timer);
    this.#asked = this.sheet ? sizeOf(this.sheet) : '';
    try {
      const answer = await answerTo<A>(this.#asking.at ?? 'predict', JSON.stringify(this.#asking.document()), {
        ...this.query(this.holding !== ''),
        ...(this.holding ? { held: 'true' } : {}),
      });
      if (this.#gone) return;
      this.answer = answer;
      this.problem = null;
      this.#asking.onanswer?.();
    } catch (error) {
      this.failed(error);
    } finally {
      this.#busy = false;
    }
    if (!this.#again) return;
    this.#again = false;
    void this.#ask();
  }
}
