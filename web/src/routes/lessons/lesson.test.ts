import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import Conflicts from './Conflicts.svelte';
import Harness from './Harness.test.svelte';
import { atItsField, clock, cured, forField, moved, settingsOf, type Lesson, type Settings } from './lesson';
import { session } from '$lib/session/session.svelte';
import { lessonStands } from './standing';

const settings: Settings = {
  name: 'Third lesson',
  room: 4,
  starts_at: '2026-12-02T09:15:00Z',
  minutes: 45,
  ready: 180,
  hands: 2,
  things: { hob: 0, sink: 1, pump: 1 },
  way: 'bath',
  boiled: '3 L',
  people: ['technician', ''],
  spare: 5,
  socket: '',
  course: 0,
  items: [
    { setup: 7, minutes: 8, asking: 2, reset: 1 },
    { setup: 9, minutes: 12, asking: 2, reset: 1 },
  ],
};
const slot = { item: 0, minutes: 25, needs: ['hob'], ends: '2026-12-02T09:00:00Z' };
const lesson = {
  ...settings,
  id: 3,
  version: 2,
  rows: [{ name: 'Hose' }],
  early: [],
  recalls: [],
  clearing: [],
  dry: [{ key: '7.read-height', item: 0, words: 'height of the column', predicted: '9.41 ± 0.01 m' }],
  ticks: {},
  stale: [],
  noted: [],
  litres: '2.1 L',
  conflicts: [],
  proved: true,
  begins: '2026-12-02T08:35:00Z',
  slots: [
    { ...slot, words: 'Boil the water', begins: '2026-12-02T08:35:00Z', key: '7.boil', who: ['technician'] },
    { ...slot, words: 'Let it cool', begins: '2026-12-02T08:40:00Z', key: '7.cool', who: [], needs: [] },
  ],
} as unknown as Lesson;

describe('what is wrong', () => {
  it('is said after the name that its field has on the page', () => {
    expect(atItsField('3 kg is a mass', 'boiled')).toBe('boiled each time: 3 kg is a mass');
    expect(atItsField('it is too long', 'people.1')).toBe('whose hands: it is too long');
    expect(atItsField('somebody changed it', '')).toBe('somebody changed it');
  });
});

describe('a conflict', () => {
  it('is resolved by a setting, by a thing that is there, or by leaving an item out', () => {
    expect(cured(settings, { way: 'day-before' }).way).toBe('day-before');
    expect(cured(settings, { 'things.hob': 1 }).things).toEqual({ hob: 1, sink: 1, pump: 1 });
    expect(cured(settings, { without: 0 }).items?.map((one) => one.setup)).toEqual([9]);
    expect(cured(settings, { nobody: 'technician' }).people).toEqual(['', '']);
    expect(cured(settings, { days: 7 }).starts_at).toBe('2026-12-09T09:15:00.000Z');
    expect(settings.things).toEqual({ hob: 0, sink: 1, pump: 1 });
  });

  it('stands with what would resolve it as buttons that do it', async () => {
    const oncure = vi.fn();
    const cures = [{ words: 'boil it the day before', changes: { way: 'day-before' } }];
    render(Conflicts, { conflicts: [{ words: '“Hose” needs a hob.', item: 0, cures }], oncure });
    expect(screen.getByRole('alert')).toHaveTextContent('“Hose” needs a hob.');
    await userEvent.click(screen.getByRole('button', { name: 'boil it the day before' }));
    expect(oncure).toHaveBeenCalledExactlyOnceWith({ way: 'day-before' });
  });
});

describe('what is kept', () => {
  it('is the settings without what is planned of them', () => {
    expect(settingsOf(lesson)).toEqual(settings);
  });

  it('moves an item to another place and no further than the ends', () => {
    expect(moved(['a', 'b', 'c'], 0, 2)).toEqual(['b', 'c', 'a']);
    expect(moved(['a', 'b', 'c'], 2, -1)).toEqual(['c', 'a', 'b']);
    expect(moved(['a'], 0, 5)).toEqual(['a']);
  });

  it('takes a moment to a field and back', () => {
    expect(new Date(forField('2026-12-02T09:15:00Z')).toISOString()).toBe('2026-12-02T09:15:00.000Z');
  });
});

describe('how it stands', () => {
  const words = (one: Lesson): string => lessonStands(one).words.join('');
  it('says when to begin, what is in the way, and that nothing can do', () => {
    expect(words(lesson)).toMatch(/^Begin at \d\d:35, and all is ready at the bell, \d\d:15\.$/);
    const conflicts = [{ words: 'x', item: null, cures: [] }];
    expect(lessonStands({ ...lesson, conflicts })).toMatchObject({ state: 'marginal' });
    expect(words({ ...lesson, conflicts })).toMatch(/; one thing is in the way\.$/);
    expect(lessonStands({ ...lesson, slots: null, begins: null, conflicts })).toMatchObject({ state: 'fails' });
    expect(words({ ...lesson, rows: [] })).toBe('Nothing is shown in it yet.');
  });
});

describe('before the bell', () => {
  afterEach(() => {
    vi.unstubAllGlobals();
    localStorage.clear();
  });

  /** A server that hears ticks once the network is there. */
  function network(): { up: boolean; heard: string[]; sent: string[] } {
    const state = { up: true, heard: [] as string[], sent: [] as string[] };
    vi.stubGlobal('fetch', async (request: Request) => {
      if (!state.up) throw new TypeError('no network');
      const { ticks } = (await request.json()) as { ticks: { sent: string; key: string; done: boolean; at: string }[] };
      for (const one of ticks) {
        if (!state.sent.includes(one.sent)) state.heard.push(`${one.key} ${one.done}`);
        state.sent.push(one.sent);
      }
      const told = Object.fromEntries(
        ticks.map((one) => [one.key, { done: one.done, words: '', by: 'me', at: one.at }]),
      );
      return new Response(JSON.stringify(told), { headers: { 'Content-Type': 'application/json' } });
    });
    return state;
  }

  it('says what begins when, with whose hands and what it needs', () => {
    network();
    render(Harness, { lesson });
    const jobs = screen.getAllByRole('listitem');
    expect(jobs[0]).toHaveTextContent(/Boil the water 25\s*min, technician; hob; Hose/);
    expect(jobs[1]).toHaveTextContent('by itself');
    expect(screen.getByText(/Hands: technician 25\s*min\. Water: at least 2\.1 L/)).toBeInTheDocument();
  });

  it('keeps ticks while the network is cut, and each arrives once when it is back', async () => {
    const net = network();
    net.up = false;
    const page = render(Harness, { lesson });
    await userEvent.click(screen.getByRole('checkbox', { name: 'Boil the water' }));
    await userEvent.click(screen.getByRole('checkbox', { name: 'Let it cool' }));
    expect(await screen.findByRole('status')).toHaveTextContent('2 ticks are kept here');
    expect(net.heard).toEqual([]);
    page.unmount();
    net.up = true;
    render(Harness, { lesson });
    await vi.waitFor(() => expect(net.heard).toEqual(['7.boil true', '7.cool true']));
    await vi.waitFor(() => expect(screen.queryByRole('status')).toBeNull());
    expect(screen.getByRole('checkbox', { name: 'Boil the water' })).toBeChecked();
    globalThis.dispatchEvent(new Event('online'));
    expect(net.sent.length).toBe(2);
  });

  it('sends nobody else’s ticks on a browser that two people share', async () => {
    const net = network();
    net.up = false;
    session.me = { username: 'ada' } as typeof session.me;
    const page = render(Harness, { lesson });
    await userEvent.click(screen.getByRole('checkbox', { name: 'Boil the water' }));
    page.unmount();
    net.up = true;
    session.me = { username: 'bo' } as typeof session.me;
    const theirs = render(Harness, { lesson });
    expect(screen.getByRole('checkbox', { name: 'Boil the water' })).not.toBeChecked();
    theirs.unmount();
    expect(net.heard).toEqual([]);
    session.me = { username: 'ada' } as typeof session.me;
    render(Harness, { lesson });
    await vi.waitFor(() => expect(net.heard).toEqual(['7.boil true']));
    session.me = null;
  });

  it('keeps what the dry run read as it is typed', async () => {
    const net = network();
    render(Harness, { lesson });
    await userEvent.type(screen.getByRole('textbox', { name: /height of the column of Hose/ }), '9.38 m{Tab}');
    await vi.waitFor(() => expect(net.heard).toEqual(['7.read-height true']));
  });

  it('names the day where it is another one than the bell’s', () => {
    expect(clock('2026-12-01T18:00:00', '2026-12-02T09:15:00')).toBe('Tue 1 Dec, 18:00');
    expect(clock('2026-12-02T08:35:00', '2026-12-02T09:15:00')).toBe('08:35');
  });
});
