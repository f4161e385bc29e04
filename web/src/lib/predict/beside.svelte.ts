/** What stands beside today's drawing, in its window: what the first advice would do, and the variation that stood there before. */
import { answerTo, type Drawing, type Prediction } from '$lib/api/client';
import { withChanges } from '$lib/document/edited.svelte';
import type { Doc } from '$lib/document/paths';

export interface Preview {
  reason: string;
  marks: Drawing['marks'];
}

const SETTLED = 250;

export class Beside {
  preview = $state.raw<Preview | null>(null);
  outline = $state.raw<Drawing | null>(null);
  /** The document of the earlier variation; null where nothing stood here before. */
  earlier = $state.raw<Doc | null>(null);
  #timer = 0;
  #turn = 0;

  /** Nothing that was asked for before is shown any more. */
  stop(): void {
    clearTimeout(this.#timer);
    this.#turn += 1;
  }

  /** Asks for both, once nothing moves; query holds sheet and window of today's drawing. */
  show(answer: Prediction, document: Doc, query: Record<string, string>): void {
    this.stop();
    const turn = this.#turn;
    const changes = answer.verdict.changes.find((one) => one !== null);
    this.preview = null;
    if (!this.earlier) this.outline = null;
    if (!changes && !this.earlier) return;
    this.#timer = window.setTimeout(() => {
      if (changes)
        void this.#ask(withChanges(document, changes), query, turn, (would) => {
          this.preview = { reason: would.verdict.reason, marks: would.scene?.marks ?? [] };
        });
      if (this.earlier) void this.#ask(this.earlier, query, turn, (before) => (this.outline = before.scene ?? null));
    }, SETTLED);
  }

  async #ask(
    document: Doc,
    query: Record<string, string>,
    turn: number,
    use: (got: Prediction) => void,
  ): Promise<void> {
    const got = await answerTo<Prediction>('predict', JSON.stringify(document), query).catch(() => null);
    if (got && turn === this.#turn) use(got);
  }
}
