/** Tables that are walked line by line, of several answers beside each other: where the walks part. */
import type { Prediction, Result } from '$lib/api/client';
import { at } from '$lib/results/results';
import { apart } from './differences';

export interface Cell {
  text: string;
  result?: Result;
  /** Not what the others have in this place, beyond its uncertainty. */
  differs: boolean;
}

export interface Walks {
  title: string;
  columns: string[];
  /** One for each line, in it one for each side: its cells, none where its walk has ended. */
  lines: Cell[][][];
  /** The first line in which two differ, counted from one; 0 where none do. */
  part: number;
}

type View = Prediction['views'][number];

export function walksOf(answers: Prediction[]): Walks[] {
  const walked = (answer: Prediction): View[] => answer.views.filter((view) => (view.walks ?? []).length > 0);
  return (answers[0] ? walked(answers[0]) : []).flatMap((first) => {
    const views = answers.map((answer) => walked(answer).find((view) => view.title === first.title));
    if (views.some((view) => view === undefined)) return [];
    const columns = first.columns ?? [];
    const count = Math.max(...views.map((view) => view?.rows?.length ?? 0));
    const lines = Array.from({ length: count }, (_, i) => line(answers, views, columns.length, i));
    const part = lines.findIndex((sides) =>
      sides.some((cells) => cells.length === 0 || cells.some((one) => one.differs)),
    );
    return [{ title: first.title, columns, lines, part: part + 1 }];
  });
}

function line(answers: Prediction[], views: (View | undefined)[], wide: number, i: number): Cell[][] {
  const raw = views.map((view) => view?.rows?.[i]);
  const differs = Array.from({ length: wide }, (_, k) => {
    const there = raw.flatMap((row, side) => (row ? [{ text: row[k] ?? '', side }] : []));
    const results = there.map(({ text, side }) => resultAt(answers[side], text));
    if (results.some((one) => one !== undefined)) return apart(results);
    return there.some(({ text }) => text !== there[0]?.text);
  });
  return raw.map((row, side) =>
    (row ?? []).map((text, k) => ({ text, result: resultAt(answers[side], text), differs: differs[k] ?? false })),
  );
}

function resultAt(answer: Prediction | undefined, text: string): Result | undefined {
  return answer && text.startsWith('results.') ? (at(answer, text) ?? undefined) : undefined;
}
