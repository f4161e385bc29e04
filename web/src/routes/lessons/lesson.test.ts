import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import Beforehand from './Beforehand.svelte';
import Conflicts from './Conflicts.svelte';
import { clock, cured, forField, moved, settingsOf, type Lesson, type Settings } from './lesson';

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
  conflicts: [],
  proved: true,
  begins: '2026-12-02T08:35:00Z',
  slots: [
    { ...slot, words: 'Boil the water', begins: '2026-12-02T08:35:00Z', hands: [2] },
    { ...slot, words: 'Let it cool', begins: '2026-12-02T08:40:00Z', hands: [], needs: [] },
  ],
} as unknown as Lesson;

describe('a conflict', () => {
  it('is resolved by a setting, by a thing that is there, or by leaving an item out', () => {
    expect(cured(settings, { way: 'day-before' }).way).toBe('day-before');
    expect(cured(settings, { 'things.hob': 1 }).things).toEqual({ hob: 1, sink: 1, pump: 1 });
    expect(cured(settings, { without: 0 }).items?.map((one) => one.setup)).toEqual([9]);
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

describe('before the bell', () => {
  it('says what begins when, with whose hands and what it needs', () => {
    render(Beforehand, { lesson });
    const jobs = screen.getAllByRole('listitem');
    expect(jobs[0]).toHaveTextContent(/25\s*min Boil the water Hose hands 2 hob/);
    expect(jobs[1]).toHaveTextContent('by itself');
    expect(screen.getByText(/no later beginning would do/)).toBeInTheDocument();
  });

  it('names the day where it is another one than the bell’s', () => {
    expect(clock('2026-12-01T18:00:00', '2026-12-02T09:15:00')).toBe('Tue 1 Dec, 18:00');
    expect(clock('2026-12-02T08:35:00', '2026-12-02T09:15:00')).toBe('08:35');
  });

  it('says that a better one was not ruled out where it was not proved', () => {
    render(Beforehand, { lesson: { ...lesson, proved: false } });
    expect(screen.getByText(/a later one may do/)).toBeInTheDocument();
  });
});
