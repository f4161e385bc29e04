/** What differs between two answers of one kind: measures, and the results that matter; and which results are the same. */
import type { Prediction } from '$lib/api/client';
import { at } from '$lib/results/results';

export type Input = Prediction['inputs'][string];

export interface Differences {
  inputs: { path: string; label: string; a: Input | undefined; b: Input | undefined }[];
  /** Paths of the results that differ beyond a thousandth and beyond a standard uncertainty. */
  results: string[];
  /** Labels of the results that do not: what a change did not change. */
  same: string[];
}

export function differences(first: Prediction, second: Prediction): Differences {
  const paths = [...new Set([...Object.keys(first.inputs), ...Object.keys(second.inputs)])];
  const inputs = paths
    .map((path) => ({ path, a: first.inputs[path], b: second.inputs[path] }))
    .filter(({ a, b }) => (a ?? b)?.origin !== 'handbook')
    .filter(({ a, b }) => a?.value !== b?.value || a?.half_width !== b?.half_width)
    .map(({ path, a, b }) => ({ path, a, b, label: (a ?? b)?.name ?? path }));
  const told = [first, second].flatMap(({ verdict }) => [verdict.about, ...verdict.headline]);
  const results: string[] = [];
  const same: string[] = [];
  for (const path of new Set(told)) {
    const [a, b] = [at(first, path), at(second, path)];
    if (!a && !b) continue;
    const most = Math.max(Math.abs(a?.value ?? 0), Math.abs(b?.value ?? 0));
    const apart = Math.max(1e-3 * most, a?.standard_uncertainty ?? 0, b?.standard_uncertainty ?? 0);
    if (a && b && Math.abs(a.value - b.value) <= apart) same.push(a.name);
    else results.push(path);
  }
  return { inputs, results, same };
}
