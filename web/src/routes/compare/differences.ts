/** What differs between answers of one kind: measures, what else is stated, and the results that matter; and which results are the same. */
import type { Prediction, Result } from '$lib/api/client';
import { asText } from '$lib/document/quantities';
import type { Doc, Json } from '$lib/document/paths';
import { at } from '$lib/results/results';
import { asPrinted } from '$lib/units/format';
import { pathInWords } from '$lib/words/words';

export type Input = Prediction['inputs'][string];

export interface Compared {
  answer: Prediction;
  document: Doc;
}

interface Row<T> {
  path: string;
  label: string;
  /** One for each side; undefined where it has none. */
  values: (T | undefined)[];
}

export interface Differences {
  inputs: Row<Input>[];
  /** What is no measure: covers, kinds, vents, liquids, the room's constants. */
  stated: Row<string>[];
  /** Results of which two differ beyond a thousandth and beyond a standard uncertainty. */
  results: Row<Result>[];
  /** Labels of the results that do not: what a change did not change. */
  same: string[];
}

export function differences(sides: Compared[]): Differences {
  const answers = sides.map((side) => side.answer);
  const paths = [...new Set(answers.flatMap((answer) => Object.keys(answer.inputs)))];
  const inputs = paths
    .map((path) => ({ path, values: answers.map((answer) => answer.inputs[path]) }))
    .filter(({ values }) => values.find(Boolean)?.origin !== 'handbook')
    .filter(({ values }) => differ(values.map((one) => one && `${one.value} ${one.half_width}`)))
    .map((row) => ({ ...row, label: row.values.find(Boolean)?.name ?? row.path }));
  const told = answers.flatMap(({ verdict }) => [verdict.about, ...verdict.headline]);
  const results: Row<Result>[] = [];
  const same: string[] = [];
  for (const path of new Set(told)) {
    const values = answers.map((answer) => at(answer, path) ?? undefined);
    const label = values.find(Boolean)?.name;
    if (label === undefined) continue;
    if (apart(values)) results.push({ path, label, values });
    else same.push(label);
  }
  return { inputs, stated: alsoStated(sides, new Set(paths)), results, same };
}

function differ(values: unknown[]): boolean {
  return values.some((one) => one !== values[0]);
}

/** Whether results are not the same within a thousandth and a standard uncertainty, or one does not exist. */
export function apart(values: (Result | undefined)[]): boolean {
  const there = values.filter((one) => one !== undefined);
  if (there.length < values.length) return true;
  const most = Math.max(...there.map((one) => Math.abs(one.value)));
  const least = Math.max(1e-3 * most, ...there.map((one) => one.standard_uncertainty));
  const numbers = there.map((one) => one.value);
  return Math.max(...numbers) - Math.min(...numbers) > least;
}

/** What the documents state that is none of the measures. */
function alsoStated(sides: Compared[], measures: Set<string>): Row<string>[] {
  const leaves = sides.map(
    ({ document }) => new Map(leavesOf({ setup: document.setup ?? {}, room: document.room ?? {} })),
  );
  const paths = [...new Set(leaves.flatMap((one) => [...one.keys()]))].filter((path) => !measures.has(path));
  return paths
    .map((path) => ({ path, label: pathInWords(path), values: leaves.map((one) => one.get(path)) }))
    .filter(({ values }) => differ(values));
}

function leavesOf(node: Json, path = ''): [string, string][] {
  if (typeof node === 'object' && node !== null && !('value' in node))
    return Object.entries(node).flatMap(([key, one]) => leavesOf(one, path ? `${path}.${key}` : key));
  if (typeof node === 'boolean') return [[path, node ? 'yes' : 'no']];
  return [[path, asPrinted(asText(node))]];
}
