import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Me } from '$lib/api/client';
import { session } from './session.svelte';

const room = (id: number, name: string): object => ({
  id,
  name,
  version: id + 1,
  station_pressure: 94_000,
  pressure_at: null,
  old: false,
});

const me = {
  username: 'teacher',
  departments: [
    { slug: 'lake', name: 'Lake', role: 'teacher', room: 2, rooms: [room(1, 'Hut'), room(2, 'Barn')] },
    { slug: 'hill', name: 'Hill', role: 'head', room: null, rooms: [] },
  ],
  preferences: { theme: 'light', figures: 'usual', single_keys: true, units: {} },
} as unknown as Me;

describe('the room in use', () => {
  let asked: string[] = [];

  beforeEach(() => {
    asked = [];
    session.me = me;
    vi.stubGlobal('fetch', (request: Request) => {
      asked.push(`${request.method} ${new URL(request.url).pathname}`);
      return Promise.resolve(new Response(null, { status: 204 }));
    });
  });

  afterEach(() => vi.unstubAllGlobals());

  it('is the one that this person has in use in the department', () => {
    expect(session.room('lake')?.name).toBe('Barn');
    expect(session.room('hill')).toBeNull();
    expect(session.room('nowhere')).toBeNull();
  });

  it('is what predictions are asked with, and told apart by its version', () => {
    expect(session.roomQuery('lake')).toEqual({ department: 'lake', room: '2' });
    expect(session.roomKey('lake')).toBe('2.3');
    expect(session.roomQuery('hill')).toEqual({});
  });

  it('changes here at once, in that department alone, and on the server', async () => {
    const waiting = session.useRoom('lake', 1);
    expect(session.room('lake')?.name).toBe('Hut');
    expect(session.room('hill')).toBeNull();
    await waiting;
    expect(asked).toEqual(['POST /api/departments/lake/rooms/1/use']);
  });
});
