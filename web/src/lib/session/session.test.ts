import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Me } from '$lib/api/client';
import { shelf } from '$lib/liquids/shelf.svelte';
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

  it('is what predictions are asked with, its version too', () => {
    expect(session.roomQuery('lake')).toEqual({ department: 'lake', room: '2', room_version: '3' });
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

describe('the shelf of liquids', () => {
  const own = { id: 1, name: 'lake water', stated: { density: '999 kg/m^3' }, note: '', by: '', at: '' };

  afterEach(() => vi.unstubAllGlobals());

  it('is loaded once for a department, and again when asked', async () => {
    let calls = 0;
    vi.stubGlobal('fetch', (request: Request) => {
      calls += 1;
      const body = request.url.endsWith('/api/liquids') ? [{ name: 'water', properties: [] }] : [own];
      return Promise.resolve(
        new Response(JSON.stringify(body), { status: 200, headers: { 'Content-Type': 'application/json' } }),
      );
    });
    await shelf.load('lake');
    await shelf.load('lake');
    expect(calls).toBe(2);
    expect(shelf.names).toEqual(['water', 'lake water']);
    await shelf.load('lake', true);
    expect(calls).toBe(4);
  });

  it('knows its own liquids by what they state', () => {
    expect(shelf.nameOf({ density: '999 kg/m^3' })).toBe('lake water');
    expect(shelf.nameOf({ density: '998 kg/m^3' })).toBe('');
    expect(shelf.nameOf('water')).toBe('');
  });

  it('lets names be typed where the server does not answer, and tries again', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('lost')));
    await shelf.load('hill');
    expect(shelf.names).toContain('water');
    let calls = 0;
    vi.stubGlobal('fetch', () => {
      calls += 1;
      return Promise.resolve(new Response('[]', { status: 200, headers: { 'Content-Type': 'application/json' } }));
    });
    await shelf.load('hill');
    expect(calls).toBe(2);
  });
});
