import { describe, expect, it } from 'vitest';
import type { Prediction } from '$lib/api/client';
import type { Doc } from '$lib/document/paths';
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

const bare = { setup: {} } as Doc;

describe('differences', () => {
  it('names the measure that was changed, what it changed, and what it did not', () => {
    const got = differences([
      { answer: answer(1, 5, 10), document: bare },
      { answer: answer(2, 5, 40), document: bare },
    ]);
    expect(got.inputs.map((row) => row.path)).toEqual(['setup.bore']);
    expect(got.results.map((row) => row.path)).toEqual(['results.load']);
    expect(got.same).toEqual(['top']);
  });

  it('calls the same what lies within a standard uncertainty', () => {
    const got = differences([
      { answer: answer(1, 5, 10, 0.5), document: bare },
      { answer: answer(2, 5.4, 10.6, 0.5), document: bare },
    ]);
    expect(got.same).toEqual(['top']);
    expect(got.results.map((row) => row.path)).toEqual(['results.load']);
  });

  it('names what is no measure: cover, vent, liquid, room; of three as of two', () => {
    const documents: Doc[] = [
      {
        setup: { bore: '1 cm', liquid: 'water', cover: { kind: 'card' }, legs: [{ liquid: 'water' }] },
        room: { constants: 'textbook' },
      },
      { setup: { bore: '1 cm', liquid: 'water', cover: { kind: 'mesh' }, vent: true } },
      { setup: { bore: '2 cm', liquid: 'ethanol', cover: { kind: 'card' } } },
    ];
    const got = differences(documents.map((document) => ({ answer: answer(1, 5, 10), document })));
    expect(got.stated.map((row) => [row.label, ...row.values])).toEqual([
      ['liquid', 'water', 'water', 'ethanol'],
      ['cover kind', 'card', 'mesh', 'card'],
      ['liquid, no. 1 (legs)', 'water', undefined, undefined],
      ['constants', 'textbook', undefined, undefined],
      ['vent', undefined, 'yes', undefined],
    ]);
    expect(got.inputs).toEqual([]);
  });
});
