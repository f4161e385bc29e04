/** Results and inputs of an answer by their dotted path: the one walk through the tree that an answer is. */
import type { Prediction, Result } from '$lib/api/client';
import { pathInWords } from '$lib/words/words';

export interface Named {
  path: string;
  /** What it is called, with the item of a list that it belongs to. */
  name: string;
}

export interface NamedResult extends Named {
  result: Result;
}

type Told = Pick<Prediction, 'results'>;

function isResult(value: unknown): value is Result {
  return typeof value === 'object' && value !== null && 'standard_uncertainty' in value;
}

/** Every result that exists in this case, in order. */
export function resultsOf({ results }: Told): NamedResult[] {
  const found: NamedResult[] = [];
  const visit = (node: unknown, path: string): void => {
    if (isResult(node)) found.push({ path, name: node.name, result: node });
    else if (node && typeof node === 'object')
      for (const [key, item] of Object.entries(node)) visit(item, `${path}.${key}`);
  };
  visit(results, 'results');
  return found;
}

/** The result at a path, null where it does not exist in this case. */
export function at(answer: Told, path: string): Result | null {
  return resultsOf(answer).find((one) => one.path === path)?.result ?? null;
}

/** The results that can be read at a run, in order. */
export function readable(answer: Told): NamedResult[] {
  return resultsOf(answer).filter((one) => one.result.read);
}

/** Inputs that a person measures or chooses, by their whole name, in the order of the document. */
export function inputsOf({ inputs }: Pick<Prediction, 'inputs'>): Named[] {
  return Object.entries(inputs)
    .filter(([, input]) => input.origin !== 'handbook')
    .map(([path, input]) => ({ path, name: lowerFirst(input.name) + partOf(path) }));
}

/** What an input belongs to, where that is not the set-up itself: mass (cover), diameter, no. 2 (holes), temperature (room). */
function partOf(path: string): string {
  const parts = path
    .split('.')
    .slice(0, -1)
    .filter((key) => !/^\d+$/.test(key));
  const part = parts.length > 1 || parts[0] !== 'setup' ? parts.at(-1) : undefined;
  return part ? ` (${part.replaceAll('_', ' ')})` : '';
}

/** The inputs of which one result depends, the one that matters most first; one that is exact may matter, and stands after those. */
export function inputsFor(answer: Prediction, path: string): Named[] {
  const shares = at(answer, path)?.shares ?? {};
  const told = inputsOf(answer).filter(
    (one) => (shares[one.path] ?? 0) > 0 || answer.inputs[one.path]?.half_width === 0,
  );
  return told.sort((one, other) => (shares[other.path] ?? 0) - (shares[one.path] ?? 0));
}

/** The first letter large, as at a sentence's beginning. */
export function upperFirst(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** The first letter small, as inside a sentence. */
export function lowerFirst(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}

/** An input by the name that the answer tells; in the words of its path where it tells none. */
export function inputName(answer: Pick<Prediction, 'inputs'> | null, path: string): string {
  return answer?.inputs[path]?.name ?? pathInWords(path);
}

/** Whether a set-up has a liquid in it, whose temperature then matters. */
export function holdsLiquid(answer: Pick<Prediction, 'room'> | null): boolean {
  return Object.keys(answer?.room.liquids ?? {}).length > 0;
}
