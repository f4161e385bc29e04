/** Something is put away, and brought back: at once by "undo", later from what is archived. */
import { doing } from './asked.svelte';

interface Gone {
  id: number;
  name: string;
}

type Work = (id: number) => Promise<unknown>;
type Keys = Parameters<typeof doing>[1];

/** How long the line with "undo" stands. */
const A_WHILE = 30_000;

/** after: what follows each of both, for instance that the page is read anew. */
export function puttingAway(away: Work, back: Work, changed: Keys, after: () => unknown = () => undefined) {
  let gone = $state.raw<Gone | null>(null);
  let timer = 0;
  const going = doing(async (one: Gone) => {
    await away(one.id);
    return after();
  }, changed);
  const coming = doing(async (id: number) => {
    await back(id);
    return after();
  }, changed);

  function tell(one: Gone | null): void {
    clearTimeout(timer);
    gone = one;
    if (one) timer = window.setTimeout(() => (gone = null), A_WHILE);
  }

  async function bringBack(id: number): Promise<void> {
    going.clear();
    if ((await coming.run(id)) !== null && gone?.id === id) tell(null);
  }

  return {
    /** What was put away last, for a while. */
    get gone(): Gone | null {
      return gone;
    },
    get failure() {
      return going.failure ?? coming.failure;
    },
    put: async (one: Gone): Promise<boolean> => {
      coming.clear();
      const done = (await going.run(one)) !== null;
      if (done) tell(one);
      return done;
    },
    bringBack,
    undo: async (): Promise<void> => {
      if (gone) await bringBack(gone.id);
    },
  };
}

export type PuttingAway = ReturnType<typeof puttingAway>;
