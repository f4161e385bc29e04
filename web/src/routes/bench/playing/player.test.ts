import { describe, expect, it, vi } from 'vitest';
import { Player } from './player.svelte';

describe('the player', () => {
  it('stands between two moments', () => {
    const player = new Player();
    player.playback = {
      times: [0, 10, 20],
      marks: [],
      moving: ['x'],
      frames: [[[0, 0]], [[10, 0]], [[10, 8]]],
      series: [{ key: 'l', label: 'level', kind: 'length', values: [3, 2, 0] }],
    };
    player.scrub(15);
    expect(player.moved?.get('x')).toEqual([10, 4]);
    expect(player.values[0]?.si).toBe(1);
    player.scrub(99);
    expect(player.time).toBe(20);
    player.scrub(0);
    expect(player.moved).toBeNull();
  });

  it('runs at true speed, half and double, and stops at its end', () => {
    let frame: ((now: number) => void) | null = null;
    let now = 0;
    vi.stubGlobal('requestAnimationFrame', (next: (now: number) => void) => ((frame = next), 1));
    vi.stubGlobal('cancelAnimationFrame', () => undefined);
    vi.spyOn(performance, 'now').mockImplementation(() => now);
    const pass = (seconds: number): void => frame?.((now += 1000 * seconds));
    const player = new Player();
    player.start({ times: [0, 10], marks: [], moving: [], frames: [[], []], series: [] });
    pass(2);
    expect(player.time).toBeCloseTo(2);
    player.pace = 2;
    pass(1);
    expect(player.time).toBeCloseTo(4);
    player.pace = 0.5;
    pass(4);
    expect(player.time).toBeCloseTo(6);
    pass(100);
    expect([player.time, player.running]).toEqual([10, false]);
    vi.unstubAllGlobals();
    vi.restoreAllMocks();
  });
});
