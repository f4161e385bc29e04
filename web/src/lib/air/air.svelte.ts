/** The air in a department's rooms, asked every second where something measures it; the server answers only where it has changed. */
import type { Schemas } from '$lib/api/client';
import { session } from '$lib/session/session.svelte';
import { untrack } from 'svelte';

type Air = Schemas['AirOut'];

const EVERY = 1000;
/** Where nothing measures the room, while the server does not answer, or nobody looks. */
const SELDOM = 10_000;

class LiveAir {
  sources = $state.raw<Air['sources']>([]);
  /** Whether the last question found no answer. */
  lost = $state(false);
  #department = '';
  #followers = 0;
  #tag = '';
  #asked = '';
  #timer = 0;
  #turn = 0;

  /** Follows a department's air until what it gives is called. */
  follow(department: string): () => void {
    this.#followers += 1;
    // who follows depends on the department alone: what is asked and answered must not make it follow anew
    untrack(() => {
      if (department !== this.#department) {
        this.#department = department;
        this.sources = [];
        this.#tag = '';
        this.now();
      } else if (this.#followers === 1) this.now();
    });
    return () => {
      this.#followers -= 1;
      if (this.#followers > 0) return;
      this.#turn += 1;
      clearTimeout(this.#timer);
    };
  }

  /** Asks at once, for instance after something was said of a source. */
  now(): void {
    clearTimeout(this.#timer);
    void this.#ask(++this.#turn);
  }

  async #ask(turn: number): Promise<void> {
    try {
      const room = session.room(this.#department)?.id ?? 0;
      const address = `/api/departments/${this.#department}/air?room=${room}`;
      const known = address === this.#asked && this.#tag ? { 'If-None-Match': this.#tag } : undefined;
      const response = await fetch(address, { headers: known, cache: 'no-store' });
      const air = response.ok ? ((await response.json()) as Air) : null;
      if (turn !== this.#turn) return;
      this.lost = !response.ok && response.status !== 304;
      if (air) {
        this.#tag = response.headers.get('ETag') ?? '';
        this.#asked = address;
        this.sources = air.sources;
        session.takeRooms(this.#department, air.rooms);
      }
    } catch (trouble) {
      if (!(trouble instanceof TypeError)) throw trouble;
      this.lost = true;
    }
    if (turn !== this.#turn) return;
    const seldom = this.lost || this.sources.length === 0 || document.hidden;
    this.#timer = window.setTimeout(() => void this.#ask(turn), seldom ? SELDOM : EVERY);
  }
}

/** One for the whole page, whoever looks at it. */
export const air = new LiveAir();
