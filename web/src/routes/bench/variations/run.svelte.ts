/** A run of variations played as one: each moves to where the next one began, then the next stands there and goes on. */
import type { Setup } from '$lib/api/client';
import type { Player } from '../playing/player.svelte';

type One = Setup['run'][number];

/** Longest while that one of them takes [s]: what takes longer is quickened. */
const LONGEST = 8;
/** How long one stands in which nothing moves [ms]. */
const STANDS = 2500;

export class WholeRun {
  playing = $state(false);
  readonly #player: Player;
  readonly #show: (one: One) => Promise<void>;
  readonly #move: () => Promise<void>;
  #turn = 0;

  /** show: puts one of the run on the bench. move: lets what stands there run from its start. */
  constructor(player: Player, show: (one: One) => Promise<void>, move: () => Promise<void>) {
    this.#player = player;
    this.#show = show;
    this.#move = move;
  }

  async play(run: readonly One[]): Promise<void> {
    const turn = ++this.#turn;
    const pace = this.#player.pace;
    this.playing = true;
    for (const [i, one] of run.entries()) {
      await this.#show(one);
      if (turn !== this.#turn) return;
      await this.#move();
      const next = run[i + 1];
      await this.#done(next?.follows === one.id ? (next.moment ?? null) : null);
      if (turn !== this.#turn) return;
    }
    this.stop();
    this.#player.pace = pace;
  }

  stop(): void {
    this.#turn += 1;
    this.playing = false;
    this.#player.onend = null;
    this.#player.pause();
  }

  /** Waits until what stands there has moved so far; for a while where nothing moves. */
  #done(until: number | null): Promise<void> {
    const player = this.#player;
    if (!player.running) return new Promise((done) => setTimeout(done, STANDS));
    player.pace = Math.max(1, player.length / LONGEST);
    player.stopAt(until);
    return new Promise((done) => (player.onend = done));
  }
}
