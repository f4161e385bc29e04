/** Results of an answer by their dotted path. */
import type { Result } from '$lib/api/client';

function isResult(value: unknown): value is Result {
  return typeof value === 'object' && value !== null && 'standard_uncertainty' in value;
}

/** The result at a path, null where it does not exist in this case. */
export function at(answer: { results: unknown }, path: string): Result | null {
  let here: unknown = answer;
  for (const key of path.split('.')) here = (here as Record<string, unknown> | null | undefined)?.[key];
  return isResult(here) ? here : null;
}

export interface Readable {
  path: string;
  result: Result;
  /** The list item it belongs to, counted from 1; 0 for one of the whole. */
  item: number;
}

/** The results that can be read at a run, in order. */
export function readable(answer: { results: unknown }): Readable[] {
  const found: Readable[] = [];
  const visit = (node: unknown, path: string, item: number): void => {
    if (isResult(node)) {
      if (node.read) found.push({ path, result: node, item });
      return;
    }
    if (Array.isArray(node)) (node as unknown[]).forEach((one, i) => visit(one, `${path}.${i}`, i + 1));
    else if (node && typeof node === 'object')
      Object.entries(node).forEach(([key, one]) => visit(one, `${path}.${key}`, item));
  };
  visit(answer.results, 'results', 0);
  return found;
}

/** A readable result's name: its label, and which of the list it is. */
export function named({ result, item }: Readable): string {
  return item > 0 ? `${result.label}, no. ${item}` : result.label;
}
