/** Wording that several screens share; what one screen alone says stands there. */

export const words = {
  steps: { measure: 'Measure', predict: 'Predict', prepare: 'Prepare', run: 'Run' },
  states: { works: 'works', marginal: 'doubtful', fails: 'does not work' } as Record<string, string>,
  outcomes: { worked: 'worked', partly: 'partly', failed: 'did not work', 'not-done': 'not done' } as Record<
    string,
    string
  >,
  standing: {
    wrong: 'something wrong',
    allRead: 'all read',
    waiting: 'waiting',
    was: 'was:',
    guide: 'guide and gear',
    notYet: 'not yet',
  },
  countOfVariations: (count: number): string =>
    count === 0 ? '' : count === 1 ? ', one variation' : `, ${count} variations`,
  countOfRuns: (count: number, none: string): string =>
    count === 0 ? none : count === 1 ? 'one run' : `${count} runs`,
  plusMinus: '± on a measure is the half-width as typed; on a result it holds 95 %.',
  lost: 'No connection to the server. The last answer stays on the page, what you type is kept, and it is tried again.',
  saveWaits: 'The save waits for it too.',
  stale: 'Drawing and numbers are those of the last good answer.',
  signedOut: 'You are signed out. What you typed is kept.',
  emptySetups: 'No set-ups yet. Start from a typical bottle, or open a set-up file that somebody gave you.',
  nothingFound: 'Nothing is called that. Search looks at names, verdicts, notes and people.',
  emptyArchive: 'Nothing is archived.',
  noneTakenBack: 'No run was taken back.',
  emptyLog: 'No runs logged yet. On the bench, press 5, type what was read, mark how it went, and save.',
  notASetup: 'This file is not a set-up.',
  draftBack: 'What you typed here before is back.',
} as const;

const NAMES: Record<string, string> = { setup: 'set-up', room: 'room' };

/** A dotted path in words: its keys without the first; of an item of a list, counted from 1: liquid, no. 2 (legs). */
export function pathInWords(path: string): string {
  const keys = path.split('.').filter((key, i) => i > 0 || !(key in NAMES) || path === key);
  const said = (some: string[]): string => some.join(' ').replaceAll('_', ' ');
  const item = keys.findIndex((key) => /^\d+$/.test(key));
  if (item < 1) return said(keys);
  const own = said(keys.slice(item + 1));
  const number = `no. ${Number(keys[item]) + 1} (${said(keys.slice(0, item))})`;
  return own ? `${own}, ${number}` : number;
}
