import { expect, it } from 'vitest';
import type { Lesson } from './lesson';
import { laidOut } from './timetable';

const BELL = '2027-01-11T09:00:00Z';
const at = (minutes: number): string => new Date(Date.parse(BELL) + minutes * 60_000).toISOString();
const slot = (key: string, item: number, begins: number, minutes: number, words = 'Fill it') => ({
  key,
  item,
  words,
  begins: at(begins),
  ends: at(begins + minutes),
  minutes,
  who: key.endsWith('cool') ? [] : ['technician'],
  needs: [],
});

function lesson(changes: Partial<Lesson> = {}): Lesson {
  const row = (setup: number, begins: number, ends: number) => ({
    setup,
    minutes: ends - begins,
    asking: 0,
    reset: 0,
    name: `set-up ${setup}`,
    begins: at(begins),
    ends: at(ends),
    archived: false,
    proposed: '',
  });
  return {
    starts_at: BELL,
    minutes: 40,
    rows: [row(1, 0, 10), row(2, 10, 30)],
    recalls: [],
    slots: [
      slot('2.boil', 1, -60, 25),
      slot('2.cool', 1, -35, 30),
      slot('2.fill', 1, -5, 5),
      slot('1.fill', 0, -10, 5),
    ],
    ...changes,
  } as unknown as Lesson;
}

const clock = (moment: Date): string => moment.toISOString().slice(11, 16);
const drawn = (changes: Partial<Lesson> = {}, now = 0) => laidOut(lesson(changes), 800, 400, clock, now);

it('draws each job to scale over its item, and what goes on by itself as such', () => {
  const { bars, span, stretches } = drawn();
  const [boil, cool, fill] = bars;
  expect(stretches.map((one) => [one.left, one.width])).toEqual([
    [0, 200],
    [200, 400],
  ]);
  expect(boil?.x).toBe(210);
  expect((boil!.bottom - boil!.top) / (cool!.bottom - cool!.top)).toBeCloseTo(25 / 30);
  expect(fill!.bottom).toBeCloseTo(400);
  expect(boil!.top).toBeCloseTo(400 * (1 - 60 / span));
  expect(bars.map((one) => one.byItself)).toEqual([false, true, false, false]);
});

it('keeps the words of one item clear of each other and above the tape', () => {
  const slots = [0, 1, 2, 3, 4].map((k) => slot(`1.${k}`, 0, -5 + k, 1, 'Turn it over the tub twice, with the sheet'));
  const { bars } = drawn({ slots: [slot('2.boil', 1, -60, 25), ...slots] });
  const mine = bars.filter((one) => one.key.startsWith('1.'));
  mine.forEach((one, k) => {
    const next = mine[k + 1];
    if (next) expect(next.label - one.label).toBeGreaterThanOrEqual(one.lines * 17 + 16);
  });
  const last = mine.at(-1)!;
  expect(last.label + last.lines * 17 + 16).toBeLessThanOrEqual(400);
});

it('marks the rule at whole times and the tape at whole minutes, and where a running order goes beyond the bell', () => {
  const { rule, tape, bell } = drawn();
  expect(rule.map((one) => one.words)).toContain('08:30');
  expect(rule.every((one) => /:[0-5][05]$/.test(one.words))).toBe(true);
  expect(tape[0]).toEqual({ at: 0, words: '0' });
  expect(bell).toBe(800);
  expect(drawn({ minutes: 15 }).bell).toBe(400);
});

it('shows the time that it is while it lies on the rule', () => {
  expect(drawn({}, Date.parse(BELL)).now).toBe(400);
  expect(drawn({}, Date.parse(at(-500))).now).toBeNull();
  expect(drawn({}, Date.parse(at(5))).now).toBeNull();
});

it('stands empty where nothing is to be done', () => {
  const { bars, span } = drawn({ slots: [] });
  expect(bars).toEqual([]);
  expect(span).toBeGreaterThan(0);
});
