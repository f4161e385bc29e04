// @vitest-environment node
import { describe, expect, it } from 'vitest';
import cases from './cases.json';
import { said, type UnitRow } from './format';

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
  '': [1, 0],
};

describe('numbers are said as the core says them', () => {
  for (const one of cases) {
    it(`${one.si} ± ${one.sd} in ${one.unit || 'no unit'}`, () => {
      const [factor, offset] = FACTORS[one.unit] ?? [NaN, NaN];
      const unit: UnitRow = { unit: one.unit, printed: one.said[2] ?? '', factor, offset };
      const got = said(one.si, one.sd, unit);
      expect([got.number, got.spread]).toEqual(one.said.slice(0, 2));
    });
  }
});
