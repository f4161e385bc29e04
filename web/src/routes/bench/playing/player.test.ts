import { describe, expect, it } from 'vitest';
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
});
