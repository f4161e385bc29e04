/** What can be varied and what can be asked for: the inputs and the numeric results of an answer, in words. */
import type { Prediction, Result } from '$lib/api/client';

export interface Named {
  path: string;
  label: string;
}

function numbered(path: string, label: string): string {
  const item = /\.(\d+)(?:\.|$)/.exec(path)?.[1];
  return item === undefined ? label : `${label}, no. ${Number(item) + 1}`;
}

/** Inputs that a person measures or chooses, in the order of the document. */
export function inputsOf(answer: Prediction): Named[] {
  return Object.entries(answer.inputs)
    .filter(([, input]) => input.origin !== 'handbook')
    .map(([path, input]) => ({ path, label: numbered(path, input.label.toLowerCase()) }));
}

/** Results that are numbers, in order, those that do not exist in this case left out. */
export function resultsOf(answer: Prediction): (Named & { result: Result })[] {
  const found: (Named & { result: Result })[] = [];
  const visit = (node: unknown, path: string): void => {
    if (node === null || typeof node !== 'object') return;
    if ('standard_uncertainty' in node) {
      const result = node as Result;
      found.push({ path, label: numbered(path, result.label), result });
    } else if (Array.isArray(node)) node.forEach((item, i) => visit(item, `${path}.${i}`));
    else for (const [key, item] of Object.entries(node)) visit(item, `${path}.${key}`);
  };
  visit(answer.results, 'results');
  return found;
}
