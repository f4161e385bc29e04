import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Playback, Prediction } from '$lib/api/client';
import type { Staged } from '$lib/predict/staged';
import { POINTED } from '$lib/section/pointed';
import { session } from '$lib/session/session.svelte';
import Banner from './Banner.svelte';
import { Bench } from './bench.svelte';
import FrontEdge from './FrontEdge.svelte';
import Heading from './Heading.svelte';
import { Player } from './playing/player.svelte';
import Playing from './playing/Playing.svelte';
import PredictColumn from './predict/PredictColumn.svelte';
import Ledger from '$lib/predict/Ledger.svelte';
import Shares from './predict/Shares.svelte';
import Views from './predict/Views.svelte';

const cm = { unit: 'cm', printed: 'cm', factor: 0.01, offset: 0 };
const inch = { unit: 'inch', printed: 'in', factor: 0.0254, offset: 0 };

function result(value: number, more: object = {}) {
  return {
    value,
    unit: 'm',
    standard_uncertainty: 0.001,
    shown_uncertainty: 0.001,
    shares: { 'setup.a': 0.7, 'setup.list.1.b': 0.3 },
    label: 'lead of the jet',
    name: 'lead of the jet',
    kind: 'length',
    shown: 'cm',
    read: true,
    ...more,
  };
}

const answer = {
  anchorage: 1,
  demonstration: 'x',
  title: 'X',
  moves: true,
  schools: [],
  verdict: {
    state: 'marginal',
    reason: 'It lands, by 4.1 cm; more follows.',
    about: 'results.reach',
    advice: ['Raise it: then it is clear.', 'Mind the floor.'],
    changes: [[{ path: 'setup.a', quantity: '5 cm' }], null],
    buttons: ['Raise it to 5 cm', ''],
    runs: [
      { text: 'It lands, by ' },
      { path: 'results.reach', number: '4.1', spread: '0.2', unit: 'cm', words: '' },
      { text: '; more follows.' },
    ],
    headline: ['results.reach', 'results.none'],
  },
  room: {
    how: ['pressure as stated'],
    temperature: { value: 293.15, unit: 'K', kind: 'temperature', shown: 'degC' },
    constants: 'reference',
    constants_words: '',
    what_if: false,
    liquids: {},
  },
  results: { reach: result(0.041), none: null, list: [result(0.2)] },
  assumptions: ['no wind'],
  cautions: ['wet floor'],
  sources: ['somebody 1643'],
  views: [
    {
      view: 'table',
      title: 'Jets',
      columns: ['', 'reach'],
      rows: [
        ['first', 'results.list.0'],
        ['gone', 'results.none'],
      ],
    },
  ],
  inputs: {
    'setup.a': { value: 1, half_width: 0, kind: 'length', unit: 'cm', label: 'drop', name: 'drop', origin: 'typed' },
    'setup.list.1.b': {
      value: 1,
      half_width: 0,
      kind: 'length',
      unit: 'cm',
      label: 'size',
      name: 'size, no. 2',
      origin: 'typed',
    },
  },
} as unknown as Prediction;

beforeEach(() => {
  localStorage.clear();
  session.units = { length: [cm, inch] };
  session.me = {
    username: 't',
    departments: [],
    preferences: { theme: 'light', figures: 'usual', single_keys: true, units: {} },
  };
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(JSON.stringify(answer), { status: 200 })));
});

describe('predict', () => {
  it('says the verdict first, its number as a measure, and what would change it as buttons', async () => {
    const bench = new Bench('d');
    bench.begin('x', { setup: { a: '1 cm' } });
    render(PredictColumn, { staged: bench, answer });
    expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent(/It lands, by 4.1 ± 0.2 cm;/);
    expect(screen.getByRole('img')).toHaveAccessibleName('doubtful');
    expect(screen.queryByText('Mind the floor.')).not.toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Raise it to 5 cm' }));
    expect(bench.edited.document).toEqual({ setup: { a: '5 cm' } });
    bench.close();
  });

  it('marks a verdict that is in doubt, and tells a liquid far from a usual temperature', () => {
    const bench = new Bench('d');
    bench.begin('x', { room: { temperature: '85 degC' }, setup: { a: '1 cm' } });
    const hot = {
      ...answer,
      verdict: { ...answer.verdict, doubt: 'in doubt, 62 %' },
      room: { ...answer.room, temperature: { ...answer.room.temperature, value: 358.15 }, liquids: { 'setup.x': {} } },
    } as unknown as Prediction;
    render(PredictColumn, { staged: bench, answer: hot });
    expect(screen.getByRole('img')).toHaveAccessibleName('doubtful, in doubt, 62 %');
    expect(screen.getByText(/With liquid and gas at 85.°C/)).toBeVisible();
    bench.close();
  });

  it('shows only the numbers that exist in this case, and a caution in full', () => {
    const bench = new Bench('d');
    render(PredictColumn, { staged: bench, answer });
    expect(screen.getAllByRole('term').map((term) => term.textContent)).toEqual(['Lead of the jet']);
    expect(screen.getByText(/wet floor/)).toBeVisible();
    bench.close();
  });

  it('changes a unit when it is pressed, for every result of the kind', async () => {
    const bench = new Bench('d');
    render(PredictColumn, { staged: bench, answer });
    await userEvent.click(screen.getByRole('button', { name: 'cm, press for another unit' }));
    expect(screen.getByRole('button', { name: 'in, press for another unit' })).toBeInTheDocument();
    expect(session.preferences.units).toEqual({ length: 'inch' });
    bench.close();
  });

  it('names what matters most by its label and item', () => {
    render(Shares, { answer });
    expect(screen.getByText('drop')).toBeInTheDocument();
    expect(screen.getByText('size, no. 2')).toBeInTheDocument();
    expect(screen.getByText('70 %')).toBeInTheDocument();
  });

  it('shows a table with a dash where a result does not exist', () => {
    render(Views, { answer, staged: {} as Staged });
    expect(screen.getAllByRole('row', { hidden: true })).toHaveLength(3);
    expect(screen.getByText('–')).toBeInTheDocument();
  });

  it('walks a ledger line by line, by keys, and points at the shape of each', async () => {
    let at = '';
    const context = new Map([[POINTED, { at: '', point: (id: string) => (at = id) }]]);
    const rows = [
      ['1', 'water', 'results.reach'],
      ['2', 'oil', 'results.reach'],
    ];
    const view = {
      view: 'table' as const,
      title: 'Ledger',
      columns: ['', '', 'pressure'],
      rows,
      walks: ['leg-0', 'leg-1'],
    };
    render(Ledger, { props: { answer, view }, context });
    await userEvent.click(screen.getByRole('button', { name: 'Walk it, line by line' }));
    expect(at).toBe('leg-0');
    expect(screen.getAllByText('…')).toHaveLength(2); // all of a line that was not come to, but for what it is called
    await userEvent.click(screen.getByRole('button', { name: 'on' }));
    expect(at).toBe('leg-1');
    expect(screen.queryByText('…')).toBeNull();
    await userEvent.keyboard('{ArrowUp}');
    expect(at).toBe('leg-0');
    await userEvent.click(screen.getByRole('button', { name: 'show all' }));
    expect(at).toBe('');
  });
});

describe('the front edge', () => {
  it('has each step in its place of six and its state in words', async () => {
    const steps: string[] = [];
    render(FrontEdge, {
      step: 'predict',
      standing: { state: 'fails', doubt: '', wrong: false, stale: false, runs: 2 },
      onstep: (step: string) => steps.push(step),
    });
    expect(screen.getByRole('button', { name: /2 Predict does not work/ })).toHaveAttribute('aria-current', 'step');
    await userEvent.click(screen.getByRole('button', { name: /5 Run 2 runs/ }));
    expect(steps).toEqual(['run']);
  });
});

describe('the heading', () => {
  it('offers to save only what can be saved', () => {
    const bench = new Bench('d');
    bench.begin('New one', { setup: {} });
    const { rerender } = render(Heading, {
      bench,
      title: 'x',
      onsave: () => Promise.resolve(),
      onprint: () => undefined,
    });
    expect(screen.getByRole('button', { name: 'Save' })).toBeEnabled();
    expect(screen.getByText('x; not saved yet')).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'undo' })).toBeDisabled();
    void rerender({});
    bench.close();
  });
});

describe('the banner', () => {
  it('says nothing when nothing stands in the way', () => {
    const bench = new Bench('d');
    render(Banner, { bench });
    expect(screen.queryByRole('alert')).toBeNull();
    bench.close();
  });
});

describe('playback', () => {
  const playback: Playback = {
    times: [0, 60, 90],
    marks: [{ time: 60, words: 'first stops' }],
    series: [{ key: 'l', label: 'level', kind: 'length', values: [0.3, 0.1, 0] }],
    moving: ['x'],
    frames: [[[0, 0]], [[1, 1]], [[2, 2]]],
  };

  it('is scrubbed by its line, tells the moment, its events and its values', async () => {
    const player = new Player();
    player.playback = playback;
    render(Playing, { player, answer, onplay: () => undefined });
    expect(screen.getByText('1 min 0 s, first stops')).toBeInTheDocument();
    player.scrub(75);
    expect(await screen.findByText('1 min 15 s')).toBeInTheDocument();
    expect(screen.getByText('5')).toBeInTheDocument();
  });

  it('runs over the quantity that is moved where no law gives its time', async () => {
    const player = new Player();
    const over = { label: 'lift', kind: 'length', unit: 'cm' };
    player.playback = { ...playback, times: [0.5, 0.3, 0.1], marks: [{ time: 0.3, words: 'levels agree' }], over };
    render(Playing, { player, answer, onplay: () => undefined });
    expect(screen.getByText('30 cm, levels agree')).toBeInTheDocument();
    player.scrub(player.length / 4);
    expect(await screen.findByText('40 cm')).toBeInTheDocument();
    expect(screen.queryByRole('button', { name: 'double' })).toBeNull();
  });

  it('says so where nothing ever moves', () => {
    render(Playing, { player: new Player(), answer: { ...answer, moves: false }, onplay: () => undefined });
    expect(screen.getByText('Nothing moves in this demonstration.')).toBeInTheDocument();
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('is chosen half, true or double, once it is known that it runs in time', async () => {
    const player = new Player();
    const { rerender } = render(Playing, { player, answer, onplay: () => undefined });
    expect(screen.queryByRole('button', { name: 'double' })).toBeNull();
    player.playback = playback;
    await rerender({});
    await userEvent.click(screen.getByRole('button', { name: 'double' }));
    expect(player.pace).toBe(2);
    expect(screen.getByRole('button', { name: 'double' })).toHaveAttribute('aria-pressed', 'true');
  });
});
