/** Ticks of a lesson: kept in the browser until the server has them, each sent under a name of its own, so that it arrives once. */
import { ApiError, ask, client, type Schemas } from '$lib/api/client';
import { ownName } from '$lib/api/naming';
import { typing } from '$lib/session/typing';
import { untrack } from 'svelte';
import { momentNow } from './lesson';

export type Tick = Schemas['TickIn'];
export type Standing = Schemas['TickOut'];

const AGAIN = 4000;
/** So many are sent at once, at the most. */
const MOST = 200;
const kept = typing<Tick[]>('ticks');

/** What stands now: what the server told, with what it has not heard yet on top. */
export function standing(told: Readonly<Record<string, Standing>>, waiting: readonly Tick[]): Record<string, Standing> {
  const made: Record<string, Standing> = { ...told };
  for (const one of waiting) made[one.key] = { done: one.done, words: one.words ?? '', by: '', at: one.at };
  return made;
}

interface Lesson {
  department: string;
  lesson: number;
}

/** The ticks of the lesson that is open; `hear` is called with what the server then has. */
export function ticking(of: () => Lesson, hear: (ticks: Record<string, Standing>) => void) {
  let waiting = $state<Tick[]>([]);
  let failure = $state<ApiError | null>(null);
  let sending = false;
  const place = (): string => `${of().department}:${of().lesson}`;

  function keep(ticks: Tick[]): void {
    waiting = ticks;
    if (ticks.length > 0) kept.keep(place(), ticks);
    else kept.drop(place());
  }

  async function flush(): Promise<void> {
    if (sending || waiting.length === 0) return;
    sending = true;
    const path = of();
    const sent = waiting.slice(0, MOST);
    try {
      const told = await ask(
        client.POST('/api/departments/{department}/lessons/{lesson}/ticks', {
          params: { path },
          body: { ticks: sent },
        }),
      );
      if (path.lesson !== of().lesson || path.department !== of().department) return;
      failure = null;
      hear(told);
      keep(waiting.filter((one) => !sent.some((other) => other.sent === one.sent)));
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      failure = error;
    } finally {
      sending = false;
    }
  }

  $effect(() => {
    const stored = kept.read(place()) ?? [];
    untrack(() => {
      waiting = stored;
      void flush();
    });
    const online = (): void => void flush();
    window.addEventListener('online', online);
    const timer = setInterval(online, AGAIN);
    return () => {
      window.removeEventListener('online', online);
      clearInterval(timer);
    };
  });

  return {
    get waiting(): readonly Tick[] {
      return waiting;
    },
    /** What the server refused; that it does not answer is said by what waits. */
    get failure(): ApiError | null {
      return failure && !failure.lost ? failure : null;
    },
    tick(key: string, done: boolean, words = ''): void {
      keep([...waiting, { sent: ownName(), key, done, words, at: momentNow() }]);
      void flush();
    },
  };
}

export type Ticking = ReturnType<typeof ticking>;
