import { describe, expect, it } from 'vitest';
import type { Prediction } from '$lib/api/client';
import { differences } from './differences';

function answer(bore: number, top: number, load: number, sd = 0): Prediction {
  const number = (value: number, name: string): object => ({ value, name, standard_uncertainty: sd, kind: 'length' });
  const input = (value: number, origin = 'typed'): object => ({
    value,
    half_width: 0,
    kind: 'length',
    unit: 'cm',
    name: 'bore',
    origin,
  });
  return {
    inputs: { 'setup.bore': input(bore), 'setup.tall': input(1), 'setup.liquid.x': input(bore, 'handbook') },
    results: { top: number(top, 'top'), load: number(load, 'load'), gone: null },
    verdict: { about: 'results.top', headline: ['results.load', 'results.gone'] },
  } as unknown as Prediction;
}

describe('differences', () => {
  it('names the measure that was changed, what it changed, and what it did not', () => {
    const got = differences(answer(1, 5, 10), answer(2, 5, 40));
    expect(got.inputs.map((row) => row.path)).toEqual(['setup.bore']);
    expect(got.results).toEqual(['results.load']);
    expect(got.same).toEqual(['top']);
  });

  it('calls the same what lies within a standard uncertainty', () => {
    expect(differences(answer(1, 5, 10, 0.5), answer(2, 5.4, 10.6, 0.5))).toMatchObject({
      same: ['top'],
      results: ['results.load'],
    });
  });
});
