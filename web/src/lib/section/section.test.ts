// @vitest-environment node
import type { HandleInfo, Primitive } from '$lib/api/client';
import { describe, expect, it } from 'vitest';
import { keyed, moved, offset, placeOn, pointOn, typed } from './held';
import { fill, pathData } from './primitive';

const handle: HandleInfo = {
  id: 'x',
  path: 'x',
  x: 0,
  y: 0,
  axis: [0, -1],
  si_per_unit: 0.001,
  si: 0.29,
  half_width: 0.003,
  least: 0,
  most: 0.3,
  step: 0.001,
  unit: 'cm',
  factor: 0.01,
  offset: 0,
  words: 'a level',
  removes: '',
};

describe('a handle', () => {
  it('moves along its axis, in its steps, between its ends', () => {
    expect(moved(handle, 40, 5.4)).toBeCloseTo(0.285);
    expect(moved(handle, 0, -40)).toBe(0.3);
    expect(moved(handle, 0, 900)).toBe(0);
    expect(keyed(handle, 0.2, -10)).toBeCloseTo(0.19);
  });

  it('stands where its value is, and is typed with its unit and tolerance', () => {
    expect(offset(handle, 0.28)).toEqual([expect.closeTo(0), expect.closeTo(10)]);
    expect(typed(handle, 0.2834)).toBe('28.3 +/- 0.3 cm');
    expect(typed({ ...handle, half_width: 0 }, 0.2834)).toBe('28.3 cm');
  });

  it('that counts double moves half as far', () => {
    expect(moved({ ...handle, axis: [1, 0], si_per_unit: 0.002, most: 1 }, 5, 0)).toBeCloseTo(0.3);
  });
});

describe('an adder', () => {
  const adder = {
    path: 'l',
    from_: [10, 100],
    to: [10, 0],
    length: 0.5,
    key: 'k',
    item: {},
    like: '',
    suggest: 0.1,
    words: '',
  };

  it('finds the place on its line and back', () => {
    expect(placeOn(adder, 30, 60)).toBeCloseTo(0.2);
    expect(placeOn(adder, 0, 500)).toBe(0);
    expect(pointOn(adder, 0.2)).toEqual([10, 60]);
  });
});

describe('a primitive', () => {
  it('is translated, not laid out', () => {
    expect(pathData([0, 1, 2, 3, 4, 5], { k: 'p', id: 'a', z: 1 } as Primitive)).toBe('M0 1L2 3L4 5Z');
    expect(pathData([0, 1, 2, 3, 4, 5, 6, 7], { k: 'p', id: 'a', pairs: 1 } as Primitive)).toBe('M0 1L2 3M4 5L6 7');
    expect(fill({ k: 'p', id: 'a', f: 'hatch-up' } as Primitive)).toBe('url(#hatch-up)');
    expect(fill({ k: 'p', id: 'a', f: 'ink' } as Primitive)).toBe('var(--c-ink)');
    expect(fill({ k: 'p', id: 'a', f: { y0: 0, y1: 1, stops: [] } } as unknown as Primitive)).toBe('url(#tint-of-a)');
  });
});
