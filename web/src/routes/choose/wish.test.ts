import { describe, expect, it } from 'vitest';
import { addressOf, OPEN, wishOf } from './wish';

describe('a wish in the address', () => {
  it('comes back as it was, and says only what was wished', () => {
    const wish = { ...OPEN, idea: 'depth', minutes: 10, sink: false, seen: 9, search: 'rain barrel & jug' };
    expect(wishOf(`?${addressOf(wish)}`)).toEqual(wish);
    expect(addressOf(OPEN)).toBe('');
    expect(addressOf({ ...OPEN, sink: false })).toBe('sink=false');
  });

  it('leaves open what an address says wrongly', () => {
    expect(wishOf('?minutes=soon&age=-3&sink=perhaps')).toEqual(OPEN);
  });
});
