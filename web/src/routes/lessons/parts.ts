/** The parts of a lesson's page, in their lasting places. */
import type { Lesson } from './lesson';

export type Part = 'order' | 'before' | 'after' | 'sheets';

interface Place {
  part: Part;
  name: string;
  /** How it stands, in a few words. */
  told: (lesson: Lesson) => string;
}

const many = (count: number, one: string): string => (count === 1 ? `one ${one}` : `${count} ${one}s`);

export const PARTS: readonly Place[] = [
  { part: 'order', name: 'Running order', told: ({ rows }) => many(rows.length, 'set-up') },
  {
    part: 'before',
    name: 'Before the bell',
    told: ({ slots, ticks }) =>
      slots ? `${slots.filter((slot) => ticks[slot.key]?.done).length} of ${slots.length} done` : 'no timetable',
  },
  {
    part: 'after',
    name: 'After the bell',
    told: ({ cleared }) => (cleared > 0 ? `about ${Math.ceil(cleared)} min` : ''),
  },
  {
    part: 'sheets',
    name: 'Sheets and calendar',
    told: ({ stale }) => (stale.length === 0 ? '' : `${many(stale.length, 'sheet')} stale`),
  },
];

/** The part that an address names, null where it names none. */
export function partOf(hash: string): Part | null {
  return PARTS.find((one) => `#${one.part}` === hash)?.part ?? null;
}
