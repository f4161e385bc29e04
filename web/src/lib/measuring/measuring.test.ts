import { cleanup, render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { answers } from '$lib/api/answers';
import { session } from '$lib/session/session.svelte';
import AidForm from './AidForm.svelte';
import { takingOver, type Aid, type TakenOver } from './aids';

const aid = {
  key: 'a-depth',
  title: 'A depth, by a rule',
  purpose: 'How deep it is.',
  steps: ['Read the rule.'],
  watch: ['Look level.'],
  start: { anchorage: 1, aid: 'a-depth', measured: { reach: '2 m' } },
  serves: ['depth'],
} as unknown as Aid;
const field = { 'x-field': 'quantity', 'x-kind': 'length', 'x-label': 'Reach', 'x-repeats': true };
const schema = { properties: { measured: { properties: { reach: field }, required: ['reach'] } } };
const taken: TakenOver = { result: 'results.depth', quantity: '2.6 +/- 0.1 m', fields: ['depth'], beside: {} };
const told = {
  verdict: { state: 'works', doubt: '', about: 'results.depth', runs: [{ text: 'It is deep.' }] },
  results: {},
  takes_over: [taken],
  inputs: {
    'measured.reach': { value: 2.6, half_width: 0.1, kind: 'length', unit: 'm', name: 'Reach', label: 'Reach' },
  },
  cautions: [],
  working: [],
  assumptions: [],
  sources: [],
  views: [],
};

let asked: { at: string; body: string }[] = [];

function serve(status = 200, reply: object = told): void {
  vi.stubGlobal('fetch', async (request: string | Request, init?: RequestInit) => {
    const at = typeof request === 'string' ? request : request.url;
    asked.push({ at, body: typeof request === 'string' ? String(init?.body ?? '') : await request.clone().text() });
    if (at.endsWith('/shelf/sizes')) return new Response(JSON.stringify({ names: [], there: [] }));
    return at.includes('/schema')
      ? new Response(JSON.stringify(schema))
      : new Response(JSON.stringify(reply), { status });
  });
}

const measured = (): unknown =>
  JSON.parse(asked.filter((one) => one.at.includes('measured')).at(-1)?.body ?? '{}').measured;

beforeEach(() => {
  asked = [];
  localStorage.clear();
  session.units = { length: [{ unit: 'm', printed: 'm', factor: 1, offset: 0 }] };
});

afterEach(() => {
  cleanup();
  answers.clear();
  vi.unstubAllGlobals();
});

describe('an aid at work', () => {
  it('asks for nothing before something is measured, then takes several readings in one line', async () => {
    serve();
    render(AidForm, { department: 'lake', aid, field: 'depth' });
    const reach = await screen.findByLabelText('Reach');
    expect(asked.some((one) => one.at.includes('measured'))).toBe(false);
    await userEvent.type(reach, '2.5; 2.7 m; ');
    await vi.waitFor(() => expect(measured()).toEqual({ reach: ['2.5 m', '2.7 m'] }));
    expect(reach).toHaveValue('2.5; 2.7 m; ');
    expect(await screen.findByText(/mean of 2:/)).toHaveTextContent('2.6');
  });

  it('hands what was found to the field that asked, and to no other', async () => {
    serve();
    const ontake = vi.fn();
    render(AidForm, { department: 'lake', aid, field: 'depth', ontake });
    await userEvent.type(await screen.findByLabelText('Reach'), '2.6 m');
    await userEvent.click(await screen.findByRole('button', { name: 'Take over 2.6 ± 0.1 m' }));
    expect(ontake).toHaveBeenCalledWith(taken);
    cleanup();
    render(AidForm, { department: 'lake', aid, field: 'width' });
    expect(await screen.findByText('It is deep.')).toBeInTheDocument();
    expect(screen.queryByRole('button', { name: /Take over/ })).toBeNull();
  });

  it('says what is still to be stated without calling it a mistake, and a mistake at its field', async () => {
    serve(422, { code: 'missing-key', status: 422, detail: 'it is missing', path: 'measured.reach', extra: {} });
    render(AidForm, { department: 'lake', aid });
    await userEvent.type(await screen.findByLabelText('Reach'), '2');
    expect(await screen.findByText('Still to be stated: reach.')).toBeInTheDocument();
    expect(screen.queryByRole('alert')).toBeNull();
    serve(422, { code: 'out-of-range', status: 422, detail: 'it is too deep', path: 'measured.reach', extra: {} });
    await userEvent.type(screen.getByLabelText('Reach'), '0 m');
    expect((await screen.findAllByRole('alert'))[0]).toHaveTextContent('it is too deep');
  });

  it('keeps what was measured until it is begun anew', async () => {
    serve();
    const { unmount } = render(AidForm, { department: 'lake', aid, where: '7:setup.depth' });
    await userEvent.type(await screen.findByLabelText('Reach'), '2.6 m');
    unmount();
    render(AidForm, { department: 'lake', aid, where: '7:setup.depth' });
    expect(await screen.findByLabelText('Reach')).toHaveValue('2.6 m');
    await userEvent.click(screen.getByRole('button', { name: 'begin anew' }));
    expect(screen.getByLabelText('Reach')).toHaveValue('');
    expect(screen.getByText(/^What it comes to stands here/)).toBeInTheDocument();
  });
});

describe('taking over', () => {
  it('puts what goes beside it next to the field, where such a field stands, and leaves out what it rules out', () => {
    const beside = { width: '3 mm', other: '2 cm', straight: null };
    const changes = takingOver({ ...taken, beside }, 'setup.holes.1.depth', { 'setup.holes.1.width': {} } as never);
    expect(changes).toEqual([
      { path: 'setup.holes.1.width', quantity: '3 mm' },
      { path: 'setup.holes.1.straight', quantity: undefined },
      { path: 'setup.holes.1.depth', quantity: '2.6 +/- 0.1 m' },
    ]);
  });
});
