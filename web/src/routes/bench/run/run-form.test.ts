import { beforeEach, describe, expect, it } from 'vitest';
import type { Result } from '$lib/api/client';
import { readable, type NamedResult } from '$lib/results/results';
import { forSending, instrumentFor, instrumentKinds, isEmpty, newRun, rememberInstrument } from './run-form';

function result(kind: string, read = true, name = 'reach'): Result {
  return {
    value: 1,
    unit: 'm',
    standard_uncertainty: 0.1,
    shown_uncertainty: 0.1,
    shares: {},
    label: 'reach',
    name,
    kind,
    shown: 'cm',
    read,
  };
}

describe('a run', () => {
  const answer = {
    results: {
      list: [{ a: result('length') }, { a: result('length', true, 'reach, no. 2'), b: result('time', false) }],
      whole: result('time'),
      none: null,
    },
  };
  let can: NamedResult[];

  beforeEach(() => {
    localStorage.clear();
    can = readable(answer);
  });

  it('finds what can be read, in order, by its name', () => {
    expect(can.map((one) => [one.path, one.name])).toEqual([
      ['results.list.0.a', 'reach'],
      ['results.list.1.a', 'reach, no. 2'],
      ['results.whole', 'reach'],
    ]);
  });

  it('sends only what is typed, and asks for one instrument a kind', () => {
    const form = {
      ...newRun(),
      outcome: 'worked' as const,
      readings: { 'results.list.1.a': ['3 cm', ' ', '4 cm', ''], 'results.whole': [''] },
    };
    expect(instrumentKinds(form, can)).toEqual(['length']);
    rememberInstrument('length', '1 mm');
    expect(instrumentFor(form, 'length')).toBe('1 mm');
    expect(forSending(form, can).series).toEqual([
      { path: 'results.list.1.a', instrument: '1 mm', readings: ['3 cm', '4 cm'] },
    ]);
  });

  it('is empty until something is typed or marked', () => {
    expect(isEmpty({ ...newRun(), readings: { a: ['', ' '] } })).toBe(true);
    const changes = [{ readings: { a: ['3 cm'] } }, { note: 'x' }, { outcome: 'worked' as const }, { rehearsal: true }];
    for (const change of [...changes, { instruments: { length: '1 mm' } }])
      expect(isEmpty({ ...newRun(), ...change })).toBe(false);
  });
});
