import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Prediction } from '$lib/api/client';
import { session } from '$lib/session/session.svelte';
import { Bench } from './bench.svelte';
import { inputsFor, inputsOf, resultsOf } from '$lib/results/results';
import { conflictOf } from './keeping';
import { ApiError } from '$lib/api/client';
import { sheetQuery } from '$lib/predict/sheet';
import Solve from './predict/Solve.svelte';

const number = (value: number, name: string): object => ({
  value,
  label: name,
  name,
  standard_uncertainty: 0,
  kind: 'length',
  shown: 'cm',
  shares: {},
  read: false,
});
const input = (name: string, origin = 'typed'): object => ({
  value: 1,
  half_width: 0,
  kind: 'length',
  unit: 'cm',
  label: name,
  name,
  origin,
});

const answer = {
  inputs: { 'setup.a': input('Drop'), 'setup.list.1.b': input('Size, no. 2'), 'setup.c': input('Sigma', 'handbook') },
  results: { reach: number(0.04, 'reach'), list: [number(1, 'speed, no. 1'), null], name: 'jet', none: null },
  verdict: { about: 'results.reach', headline: [] },
} as unknown as Prediction;

describe('what can be varied and asked for', () => {
  it('names inputs and results in order, handbook values and what does not exist left out', () => {
    expect(inputsOf(answer)).toEqual([
      { path: 'setup.a', name: 'drop' },
      { path: 'setup.list.1.b', name: 'size, no. 2 (list)' },
    ]);
    expect(resultsOf(answer).map(({ path, name }) => [path, name])).toEqual([
      ['results.reach', 'reach'],
      ['results.list.0', 'speed, no. 1'],
    ]);
  });
});

describe('what a result depends on', () => {
  it('offers what matters most first, then what is exact, and not what has no effect', () => {
    const depends = { ...number(0.04, 'reach'), shares: { 'setup.b': 0.2, 'setup.c': 0.8, 'setup.d': 0 } };
    const uncertain = (name: string): object => ({ ...input(name), half_width: 0.1 });
    const inputs = {
      'setup.exact': input('Exact'),
      'setup.b': uncertain('B'),
      'setup.c': uncertain('C'),
      'setup.d': uncertain('D'),
      'setup.e': uncertain('E'),
    };
    const told = { ...answer, inputs, results: { reach: depends } } as unknown as Prediction;
    expect(inputsFor(told, 'results.reach').map((one) => one.path)).toEqual(['setup.c', 'setup.b', 'setup.exact']);
  });
});

describe('solve', () => {
  let asked: URL[] = [];

  beforeEach(() => {
    asked = [];
    session.units = { length: [{ unit: 'cm', printed: 'cm', factor: 0.01, offset: 0 }] };
  });

  afterEach(() => vi.unstubAllGlobals());

  function serve(reply: object, status = 200): void {
    vi.stubGlobal('fetch', (address: string) => {
      const url = new URL(address, 'http://x');
      if (url.pathname === '/api/predict')
        return Promise.resolve(new Response(JSON.stringify({ verdict: { changes: [] } }), { status: 200 }));
      asked.push(url);
      return Promise.resolve(new Response(JSON.stringify(reply), { status }));
    });
  }

  const solved = {
    input: { path: 'setup.a', label: 'Drop', kind: 'length', unit: 'cm' },
    result: { label: 'reach', kind: 'length' },
    target: 0.45,
    low: 0,
    high: 1,
    found: [{ value: 0.12, state: 'works', quantity: '12 +/- 0.2 cm' }],
    nearest: null,
  };

  async function ask(typed = '45 cm'): Promise<Bench> {
    const bench = new Bench('d');
    render(Solve, { staged: bench, answer, results: resultsOf(answer), about: 'results.reach' });
    await userEvent.type(screen.getByPlaceholderText('now 4 cm'), typed);
    await userEvent.click(screen.getByRole('button', { name: 'Work it out' }));
    return bench;
  }

  it('asks for the target as typed and carries an answer out when pressed', async () => {
    serve(solved);
    const bench = await ask();
    expect(asked[0]?.pathname).toBe('/api/solve');
    expect(Object.fromEntries(asked[0]?.searchParams ?? [])).toMatchObject({
      input: 'setup.a',
      result: 'results.reach',
      target: '45 cm',
    });
    await userEvent.click(await screen.findByRole('button', { name: /^Take 12\scm$/ }));
    expect(bench.edited.stated('setup.a')).toBe('12 +/- 0.2 cm');
    bench.close();
  });

  it('takes a number without a unit in the unit shown', async () => {
    serve(solved);
    const bench = await ask('45');
    expect(asked[0]?.searchParams.get('target')).toBe('45 cm');
    bench.close();
  });

  it('says that none does it, with the nearest reach', async () => {
    serve({ ...solved, found: [], nearest: { value: 1, result: 0.4, quantity: '100 cm' } });
    const bench = await ask();
    expect(await screen.findByRole('status')).toHaveTextContent('Nothing from 0 cm to 100 cm does it. Nearest: 40 cm');
    bench.close();
  });

  it('says what is wrong with a target and keeps what was typed', async () => {
    serve({ code: 'wrong-kind', status: 422, detail: 'a length is needed', path: 'target', extra: {} }, 422);
    const bench = await ask();
    expect(await screen.findByRole('alert')).toHaveTextContent('a length is needed');
    expect(screen.getByPlaceholderText('now 4 cm')).toHaveValue('45 cm');
    bench.close();
  });
});

describe('the sheet and the keeping', () => {
  it('asks with its sides and a window only where one is to be kept', () => {
    const sheet = { width: 984, height: 660, horizon: 584, clear: 356 };
    expect(sheetQuery(null, null)).toEqual({ scene: 'true' });
    expect(sheetQuery(sheet, null)).toEqual({
      scene: 'true',
      width: '984',
      height: '660',
      horizon: '584',
      clear: '356',
    });
    expect(sheetQuery(sheet, { scale: 2, origin: 1, horizon: 3, cut: null }).window).toContain('"scale":2');
  });

  it('tells a conflict from other failures', () => {
    const problem = { code: 'conflict', status: 409, detail: '', path: '', extra: {} };
    const extra = { by: 'head', at: 'x', version: 3, document: '{"a":1}' };
    expect(conflictOf(new ApiError({ ...problem, extra }))).toEqual({ ...extra, document: { a: 1 } });
    expect(conflictOf(new ApiError({ ...problem, code: 'failed' }))).toBeNull();
  });
});
