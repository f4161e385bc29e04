import { cleanup, render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { answers } from '$lib/api/answers';
import { session } from '$lib/session/session.svelte';
import Today from './Today.svelte';

vi.mock('../../router', async (real) => ({ ...(await real<object>()), parameter: () => 'lake' }));

const room = {
  id: 3,
  name: 'Boathouse',
  version: 1,
  station_pressure: 94_170,
  pressure_at: null,
  old: false,
  source: 'typed',
};
const source = {
  id: 5,
  name: 'Bench sensor',
  on: true,
  speaks: true,
  pressure: 93_700,
  asked: null as number | null,
  trouble: '',
};
const today = {
  notes: [
    {
      run: 1,
      lesson: 0,
      name: 'Hose',
      outcome: 'worked',
      note: 'Bring dry cards.',
      by: 'teacher',
      at: '2026-11-02T10:00:00Z',
    },
  ],
  next: [
    {
      id: 7,
      name: 'Water barometer',
      verdict: 'It stands at 9.4 m.',
      state: 'works',
      doubt: '',
      own_pressure: false,
      moved: [{ hours: 24, words: 'height 6 cm less' }],
    },
    {
      id: 8,
      name: 'Plugged pipes',
      verdict: 'It reads 2 mm.',
      state: 'works',
      doubt: '',
      own_pressure: true,
      moved: [],
    },
  ],
};
const trend = { hours: 24, count: 0, drawing: null, words: '', now: null, then: null, then_at: null };
let asked: string[] = [];
let lesson: object | null = null;

function serve(sources: object[]): void {
  vi.stubGlobal('fetch', (request: string | Request) => {
    const at = typeof request === 'string' ? request : `${request.method} ${request.url}`;
    asked.push(at);
    const reply = at.includes('/air?')
      ? { rooms: [room], sources }
      : at.includes('/trend')
        ? trend
        : at.includes('/lessons/next')
          ? lesson
          : at.includes('/today')
            ? today
            : {};
    return Promise.resolve(new Response(JSON.stringify(reply), { headers: { ETag: '"a"' } }));
  });
}

beforeEach(() => {
  asked = [];
  lesson = null;
  answers.clear();
  session.units = { pressure: [{ unit: 'hPa', printed: 'hPa', factor: 100, offset: 0 }] };
  const department = { slug: 'lake', name: 'Lake', role: 'teacher', room: 3, rooms: [room] };
  session.me = { username: 'x', departments: [department], preferences: { units: {} } } as unknown as typeof session.me;
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it('begins with what was noted, goes on with what comes next and what the air moved in it', async () => {
  serve([]);
  render(Today);
  expect(await screen.findByText('Bring dry cards.')).toBeInTheDocument();
  const next = await screen.findByRole('list', { name: 'to be shown next' });
  expect(next).toHaveTextContent(/Water barometer works It stands at 9.4 m. since yesterday: height 6 cm less/);
  expect(next).toHaveTextContent(/Plugged pipes .* no weather moves it/);
  expect(await screen.findByText('Nothing was read in that time.')).toBeInTheDocument();
});

it('tells the next lesson, what is in its way and what is due before it by whom', async () => {
  const begins = new Date(Date.now() + 3_600_000).toISOString();
  const slot = {
    words: 'Boil the water',
    item: 0,
    begins,
    ends: begins,
    minutes: 25,
    who: ['Ada'],
    key: '7.boil',
    needs: ['hob'],
  };
  lesson = {
    id: 8,
    name: 'Third lesson',
    starts_at: begins,
    rows: [{ name: 'Hose' }],
    conflicts: [{ words: 'It needs a hob.', item: 0, cures: [] }],
    early: [],
    noted: [{ name: 'Second lesson', note: 'bring a longer hose', by: '', at: begins }],
    ticks: { '7.fill': { done: true, words: '', by: '', at: begins } },
    slots: [
      slot,
      { ...slot, words: 'Done', key: '7.fill' },
      { ...slot, words: 'Over', ends: new Date(0).toISOString() },
    ],
  };
  serve([]);
  render(Today);
  const next = await screen.findByRole('region', { name: 'next lesson' });
  expect(next).toHaveTextContent(
    /Third lesson .*; Hose bring a longer hose noted at “Second lesson” It needs a hob. .* Boil the water Ada$/,
  );
});

it('tells what a source says otherwise than was typed, and why one is silent', async () => {
  serve([
    source,
    { ...source, id: 6, name: 'Airfield', speaks: false, pressure: null, trouble: 'it cannot be reached' },
  ]);
  render(Today);
  expect(await screen.findByText(/“Bench sensor” says 4.7\s*hPa less than was typed/)).toBeInTheDocument();
  expect(screen.getByRole('list', { name: 'sources' })).toHaveTextContent('silent: it cannot be reached');
});

it('asks about a pressure that no weather makes', async () => {
  serve([{ ...source, asked: 98_000 }]);
  render(Today);
  expect(await screen.findByRole('alert')).toHaveTextContent(/It says 980\s*hPa, which no weather makes/);
  await userEvent.click(screen.getByRole('button', { name: 'It is so' }));
  expect(asked.some((one) => one.startsWith('POST') && one.endsWith('/sources/5/so'))).toBe(true);
});

it('says once that the server does not answer, beside what it said last', async () => {
  serve([source]);
  render(Today);
  expect(await screen.findByText('Bring dry cards.')).toBeInTheDocument();
  let lost = 0;
  vi.stubGlobal('fetch', () => ((lost += 1), Promise.reject(new TypeError('no network'))));
  void answers.invalidateQueries();
  await vi.waitFor(() => expect(lost).toBeGreaterThan(3));
  expect(await screen.findByText(/The server does not answer: this is what it said last\./)).toBeInTheDocument();
  expect(screen.getAllByText(/does not answer/)).toHaveLength(1);
  expect(screen.getByText('Bring dry cards.')).toBeInTheDocument();
});
