import { afterEach, describe, expect, it, vi } from 'vitest';
import { madeSmall, NoPicture, shrunk } from './small-picture';

describe('a photo before it is sent', () => {
  afterEach(() => vi.unstubAllGlobals());

  it('is made small in its own proportion, and never larger', () => {
    expect(shrunk(4000, 3000)).toEqual({ width: 1600, height: 1200 });
    expect(shrunk(900, 6000)).toEqual({ width: 240, height: 1600 });
    expect(shrunk(300, 200)).toEqual({ width: 300, height: 200 });
  });

  it('is refused by its name where it only claims to be one', async () => {
    vi.stubGlobal('createImageBitmap', () => Promise.reject(new Error('not decoded')));
    const file = new File(['%PDF'], 'tube.jpg', { type: 'image/jpeg' });
    await expect(madeSmall(file)).rejects.toThrow(NoPicture);
    await expect(madeSmall(file)).rejects.toThrow(/“tube.jpg” is no picture/);
  });
});
