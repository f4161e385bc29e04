// @vitest-environment node
import { describe, expect, it } from 'vitest';
import { gapInWords, uncertaintyInWords } from './gap';

describe('a gap', () => {
  it('is said in standard uncertainties, its side, and whether chance explains it', () => {
    expect(gapInWords(0.01)).toBe('as predicted');
    expect(gapInWords(-1.24)).toBe('agrees, 1.2 u below');
    expect(gapInWords(3)).toBe('3.0 u above, too far for chance');
    expect(gapInWords(null)).toBe('no gap to tell');
  });

  it('tells how its uncertainty came about', () => {
    expect(uncertaintyInWords({ count: 1, repeated: false, instrument: '1 mm' })).toContain('no scatter known');
    expect(uncertaintyInWords({ count: 3, repeated: true, instrument: '1 mm' })).toContain('mean of 3');
  });
});
