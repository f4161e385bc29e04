// @vitest-environment node
import { describe, expect, it } from 'vitest';
import cases from './cases.json';
import { typedText } from '$lib/document/quantities';
import { said, withUnit, type UnitRow } from './format';

/** Factors of the units that the cases use, from NIST SP 811; the printed form is the core's. */
const FACTORS: Record<string, [number, number]> = {
  cm: [0.01, 0],
  mm: [0.001, 0],
  inch: [0.0254, 0],
  'm/s': [1, 0],
  hPa: [100, 0],
  Pa: [1, 0],
  L: [0.001, 0],
  s: [1, 0],
  N: [1, 0],
  degC: [1, 273.15],
  'mL/s': [1e-6, 0],
  m: [1, 0],
  '': [1, 0],
};

const rowOf = (unit: string, printed = unit): UnitRow => {
  const [factor, offset] = FACTORS[unit] ?? [NaN, NaN];
  return { unit, printed, factor, offset };
};

describe('numbers are said as the core says them', () => {
  for (const one of cases.said) {
    it(`${one.si} ± ${one.sd} in ${one.unit || 'no unit'}`, () => {
      const got = said(one.si, one.sd, rowOf(one.unit, one.said[2] ?? ''));
      expect([got.number, got.spread]).toEqual(one.said.slice(0, 2));
    });
  }
});

describe('numbers are typed as the core types them', () => {
  for (const one of cases.typed) {
    it(one.typed, () => expect(typedText(one.si, one.half, rowOf(one.unit), one.step)).toBe(one.typed));
  }

  it('gives a bare number the unit beside its field', () => {
    expect(withUnit(' 41.5 ', 'cm')).toBe('41.5 cm');
    expect(withUnit('0.4 m', 'cm')).toBe('0.4 m');
    expect(withUnit('41,5', 'cm')).toBe('41,5 cm');
    expect(withUnit('forty', 'cm')).toBe('forty');
  });
});
