import { describe, expect, it } from 'vitest';
import type { Prediction } from '$lib/api/client';
import { walksOf } from './lines';

/** An answer whose walk has a line for each pressure. */
function answer(pressures: number[], legs: string[], sd = 0): Prediction {
  return {
    results: {
      ledger: pressures.map((value) => ({
        pressure: { value, name: 'pressure', standard_uncertainty: sd, kind: 'pressure' },
      })),
    },
    views: [
      { view: 'table', title: 'Something else', columns: ['a'], rows: [['b']], walks: [] },
      {
        view: 'table',
        title: 'Ledger',
        columns: ['leg', 'after it'],
        rows: legs.map((leg, i) => [leg, `results.ledger.${i}.pressure`]),
        walks: legs.map((_, i) => `leg-${i}`),
      },
    ],
  } as unknown as Prediction;
}

describe('walks beside each other', () => {
  it('part where the first line differs, and stay apart', () => {
    const [walks] = walksOf([
      answer([100, 90, 80], ['1 water', '2 oil', '3 oil']),
      answer([100, 95, 85], ['1 water', '2 oil', '3 oil']),
    ]);
    expect(walks?.part).toBe(2);
    expect(walks?.lines.map((sides) => sides[1]?.map((cell) => cell.differs))).toEqual([
      [false, false],
      [false, true],
      [false, true],
    ]);
  });

  it('are the same within a standard uncertainty', () => {
    const [walks] = walksOf([answer([100, 90], ['1 water', '2 oil'], 2), answer([100, 91], ['1 water', '2 oil'], 2)]);
    expect(walks?.part).toBe(0);
  });

  it('part where one has ended', () => {
    const [walks] = walksOf([answer([100], ['1 water']), answer([100, 90], ['1 water', '2 oil'])]);
    expect(walks?.part).toBe(2);
    expect(walks?.lines[1]?.[0]).toEqual([]);
  });

  it('are none where a table is not walked in all', () => {
    const bare = { results: {}, views: [] } as unknown as Prediction;
    expect(walksOf([answer([1], ['1 water']), bare])).toEqual([]);
  });
});
