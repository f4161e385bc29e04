/** Playback: moments between which the drawing is interpolated; it knows points and times, no physics. */
import { answerTo, ApiError, type Playback } from '$lib/api/client';
import type { Doc } from '$lib/document/paths';

const WHILE = 6;

export class Player {
  playback = $state.raw<Playback | null>(null);
  time = $state(0);
  pace = $state(1);
  running = $state(false);
  /** After a movement came to its end, or to where it was to stop; not when it was paused. */
  onend: (() => void) | null = null;
  #until: number | null = null;
  #frame = 0;
  #last = 0;

  /** Seconds from start to end: as they are, or a fixed while where a quantity is moved and no law gives its time. */
  get length(): number {
    return this.playback?.over ? WHILE : (this.playback?.times.at(-1) ?? 0);
  }

  /** Number of the moment that stands nearest; null where nothing plays or the end stands. */
  get moment(): number | null {
    if (!this.playback || this.time >= this.length || (this.time === 0 && !this.running)) return null;
    const [k, part] = this.#between();
    return part < 0.5 ? k : k + 1;
  }

  /** Where it is to stop: the number of a moment, null for its end. */
  stopAt(moment: number | null): void {
    this.#until = moment === null ? null : (this.#clock()[moment] ?? null);
  }

  /** The quantity that is moved, now; null where it is time. */
  get movedOver(): { label: string; kind: string; unit: string; si: number } | null {
    const over = this.playback?.over;
    if (!over) return null;
    const [k, part] = this.#between();
    const a = this.playback?.times[k] ?? 0;
    return { ...over, si: a + ((this.playback?.times[k + 1] ?? a) - a) * part };
  }

  /** Where on the line from start to end a mark stands. */
  part(mark: number): number {
    const first = this.playback?.times[0] ?? 0;
    const last = this.playback?.times.at(-1) ?? 0;
    return last === first ? 0 : (mark - first) / (last - first);
  }

  /** Points of the moving primitives now, by id. */
  get moved(): ReadonlyMap<string, number[]> | null {
    const playback = this.playback;
    if (!playback || (this.time === 0 && !this.running)) return null;
    const [k, part] = this.#between();
    const a = playback.frames[k] ?? [];
    const b = playback.frames[k + 1] ?? a;
    // made anew for each moment and never changed: nothing to react to inside it
    // eslint-disable-next-line svelte/prefer-svelte-reactivity
    return new Map(playback.moving.map((id, i) => [id, mixed(a[i] ?? [], b[i] ?? [], part)]));
  }

  /** Values of the named series now, in SI. */
  get values(): { label: string; kind: string; si: number }[] {
    const [k, part] = this.#between();
    return (this.playback?.series ?? []).map(({ label, kind, values }) => {
      const a = values[k] ?? 0;
      return { label, kind, si: a + ((values[k + 1] ?? a) - a) * part };
    });
  }

  /** Asks how a document moves and starts it; gives what stands in the way. */
  async load(document: Doc, query: Record<string, string>): Promise<ApiError | null> {
    try {
      const playback = await answerTo<Playback | null>('playback', JSON.stringify(document), query);
      if (playback) this.start(playback);
      else this.still = true;
      return null;
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      return error;
    }
  }

  start(playback: Playback): void {
    this.playback = playback;
    if (this.time >= this.length) this.time = 0;
    this.running = true;
    this.#last = performance.now();
    this.#tick();
  }

  pause(): void {
    this.running = false;
    cancelAnimationFrame(this.#frame);
  }

  scrub(time: number): void {
    this.pause();
    this.time = Math.min(Math.max(time, 0), this.length);
  }

  /** Nothing moves in this set-up. */
  still = $state(false);

  reset(): void {
    this.still = false;
    this.pause();
    this.playback = null;
    this.time = 0;
    this.#until = null;
  }

  #tick(): void {
    this.#frame = requestAnimationFrame((now) => {
      if (!this.running) return;
      const end = this.#until ?? this.length;
      this.time = Math.min(this.time + ((now - this.#last) / 1000) * this.pace, end);
      this.#last = now;
      if (this.time < end) return this.#tick();
      this.pause();
      this.onend?.();
    });
  }

  /** Seconds of each moment. */
  #clock(): number[] {
    const times = this.playback?.times ?? [0];
    return this.playback?.over ? times.map((_, i) => (i / Math.max(times.length - 1, 1)) * WHILE) : times;
  }

  #between(): [number, number] {
    const times = this.#clock();
    let k = 0;
    while (k < times.length - 2 && (times[k + 1] ?? 0) <= this.time) k += 1;
    const a = times[k] ?? 0;
    const b = times[k + 1] ?? a;
    return [k, b > a ? Math.min(1, (this.time - a) / (b - a)) : 0];
  }
}

function mixed(a: number[], b: number[], part: number): number[] {
  return a.map((value, i) => value + ((b[i] ?? value) - value) * part);
}
