/** Where a lesson's jobs stand on the drawing: time runs down to the bell, and after it to the right. */
import type { Lesson } from './lesson';

const MINUTE = 60_000;
const STEPS = [5, 10, 15, 30, 60, 120, 240];
/** Labels of the rule need so many pixels each. */
const LABEL = 34;
/** Lines of words beside a bar, each so high, with its note. */
const LINE = 17;
const NOTE = 16;
/** Letters of a line for each pixel of its width. */
const LETTERS = 0.155;

export interface Mark {
  at: number;
  words: string;
}

export interface Bar {
  key: string;
  x: number;
  top: number;
  bottom: number;
  /** Where its words begin, moved down where another's stand there. */
  label: number;
  width: number;
  lines: number;
  byItself: boolean;
}

export interface Stretch {
  item: number;
  left: number;
  width: number;
  recall: boolean;
}

export interface LaidOut {
  /** Minutes before the bell that the rule reaches back. */
  span: number;
  rule: Mark[];
  tape: Mark[];
  stretches: Stretch[];
  bars: Bar[];
  bell: number;
  now: number | null;
}

const minutes = (from: string, to: string): number => (Date.parse(to) - Date.parse(from)) / MINUTE;

function stepFor(span: number, pixels: number): number {
  return STEPS.find((step) => (step / span) * pixels >= LABEL) ?? 480;
}

/** The lesson on so many pixels; `clock` writes a moment in the time of the day. */
export function laidOut(
  lesson: Lesson,
  width: number,
  height: number,
  clock: (moment: Date) => string,
  today: number,
): LaidOut {
  const bell = Date.parse(lesson.starts_at);
  const slots = lesson.slots ?? [];
  const first = Math.max(0, ...slots.map((slot) => minutes(slot.begins, lesson.starts_at)));
  const step = stepFor(Math.max(first, 20), height);
  const span = Math.max(Math.ceil((first + 1) / step), 1) * step;
  const y = (before: number): number => height * (1 - before / span);
  const ends = [...lesson.rows, ...lesson.recalls].map((row) => minutes(lesson.starts_at, row.ends));
  const period = lesson.minutes ?? 0;
  const long = Math.max(period, 1, ...ends);
  const x = (after: number): number => (width * after) / long;
  const across = stepFor(long, width);
  const stretch = (item: number, begins: string, end: string, recall: boolean): Stretch => {
    const left = x(minutes(lesson.starts_at, begins));
    return { item, left, width: x(minutes(lesson.starts_at, end)) - left, recall };
  };
  const stretches = [
    ...lesson.rows.map((row, item) => stretch(item, row.begins, row.ends, false)),
    ...lesson.recalls.map((row) => stretch(row.item, row.begins, row.ends, true)),
  ];
  const rule: Mark[] = [];
  const offset = new Date(bell).getMinutes() % step;
  for (let before = offset; before <= span; before += step)
    if (before > 0 || offset > 0) rule.push({ at: y(before), words: clock(new Date(bell - before * MINUTE)) });
  const tape: Mark[] = [];
  for (let after = 0; after <= long; after += across) tape.push({ at: x(after), words: `${after}` });
  const passed = (today - (bell - span * MINUTE)) / MINUTE;
  return {
    span,
    rule,
    tape,
    stretches,
    bars: bars(lesson, stretches, y, height),
    bell: x(period),
    now: passed >= 0 && passed <= span ? (height * passed) / span : null,
  };
}

/** Each job over its item, its words beside it and clear of the words above them. */
function bars(lesson: Lesson, stretches: readonly Stretch[], y: (before: number) => number, height: number): Bar[] {
  const filled = new Map<number, number>();
  const made: Bar[] = [];
  for (const slot of lesson.slots ?? []) {
    const place = stretches.find((one) => one.item === slot.item && !one.recall);
    if (!place) continue;
    const top = y(minutes(slot.begins, lesson.starts_at));
    const width = Math.max(place.width - 26, 60);
    const lines = Math.min(2, Math.ceil(slot.words.length / (width * LETTERS)));
    const label = Math.max(top - 2, filled.get(slot.item) ?? 0);
    filled.set(slot.item, label + lines * LINE + NOTE + 3);
    const bottom = y(minutes(slot.ends, lesson.starts_at));
    made.push({ key: slot.key, x: place.left + 10, top, bottom, label, width, lines, byItself: slot.who.length === 0 });
  }
  return fromBelow(made, lesson, height);
}

/** Words that would hang over the tape move up, and those above them as far as they must. */
function fromBelow(placed: Bar[], lesson: Lesson, height: number): Bar[] {
  const item = new Map((lesson.slots ?? []).map((slot) => [slot.key, slot.item]));
  const floor = new Map<number, number>();
  return [...placed]
    .reverse()
    .map((bar) => {
      const of = item.get(bar.key) ?? 0;
      const high = bar.lines * LINE + NOTE + 3;
      const label = Math.max(0, Math.min(bar.label, (floor.get(of) ?? height) - high));
      floor.set(of, label);
      return { ...bar, label };
    })
    .reverse();
}
