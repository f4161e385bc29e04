/** The steps of the work, in their lasting places of six; a step that is built is a row here and a folder beside. */
import { words } from '$lib/words/words';

export type Step = 'measure' | 'predict' | 'prepare' | 'run';

export interface Standing {
  /** The verdict's state, empty before there is one. */
  state: string;
  /** How much it is in doubt, empty where it is not. */
  doubt: string;
  wrong: boolean;
  /** Whether the verdict is that of the last good answer. */
  stale: boolean;
  runs: number;
}

interface Place {
  step: Step;
  /** Its place of six, and the key that goes there. */
  number: number;
  name: string;
  /** How it stands, in two words. */
  told: (standing: Standing) => string;
}

export const STEPS: readonly Place[] = [
  {
    step: 'measure',
    number: 1,
    name: words.steps.measure,
    told: ({ wrong }) => (wrong ? words.standing.wrong : words.standing.allRead),
  },
  {
    step: 'predict',
    number: 2,
    name: words.steps.predict,
    told: ({ wrong, stale, state, doubt }) => {
      const verdict = doubt || (words.states[state] ?? '');
      return wrong ? words.standing.waiting : stale ? `${words.standing.was} ${verdict}` : verdict;
    },
  },
  { step: 'prepare', number: 3, name: words.steps.prepare, told: () => words.standing.guide },
  { step: 'run', number: 5, name: words.steps.run, told: ({ runs }) => words.countOfRuns(runs, words.standing.notYet) },
];
