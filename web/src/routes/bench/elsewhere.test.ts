import type { Schemas, Setup } from '$lib/api/client';
import { session } from '$lib/session/session.svelte';
import { cleanup, render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Bench } from './bench.svelte';
import { Player } from './playing/player.svelte';
import Curve from './predict/Curve.svelte';
import { WholeRun } from './variations/run.svelte';
import Variations from './variations/Variations.svelte';
import WhatIf from './predict/WhatIf.svelte';

let asked: URL[] = [];
let bench: Bench;
const nothing = (): Promise<void> => Promise.resolve();

function serve(reply: object, status = 200): void {
  vi.stubGlobal('fetch', (address: string) => {
    asked.push(new URL(address, 'http://x'));
    return Promise.resolve(new Response(JSON.stringify(reply), { status }));
  });
}

beforeEach(() => {
  asked = [];
  bench = new Bench('lake');
  session.units = {
    length: [{ unit: 'm', printed: 'm', factor: 1, offset: 0 }],
    pressure: [{ unit: 'hPa', printed: 'hPa', factor: 100, offset: 0 }],
    temperature: [{ unit: 'degC', printed: '°C', factor: 1, offset: 273.15 }],
    acceleration: [{ unit: 'm/s^2', printed: 'm/s²', factor: 1, offset: 0 }],
  };
});

afterEach(() => {
  bench.close();
  vi.unstubAllGlobals();
});

describe('the set-up in other rooms', () => {
  const here: Schemas['WhatIfOut'] = {
    key: 'today',
    name: 'Here, today',
    sense: '',
    refused: '',
    state: 'works',
    reason: 'It stands at 9.4 m.',
    room: { station_pressure: 94_000, temperature: 291.15, gravity: 9.81 },
    values: [
      { path: 'results.h', label: 'height', kind: 'length', shown: 'm', value: 9.4, standard_uncertainty: 0 },
      { path: 'results.s', label: 'space', kind: 'length', shown: 'm', value: null, standard_uncertainty: 0 },
    ],
  };
  const oven = { ...here, key: 'oven', name: 'Oven', state: '' as const, room: null, values: [], reason: '' };

  it('stands each beside today, and says why one cannot be taken there', async () => {
    serve([here, { ...oven, refused: 'water is not known at 120 °C' }]);
    render(WhatIf, { staged: bench, onclose: () => undefined });
    const rooms = await screen.findAllByRole('listitem');
    expect(rooms[0]).toHaveTextContent(/Here, today 940\s*hPa, 18\s*°C, 9.81\s*m\/s² It stands at 9.4 m\./);
    expect(rooms[0]).toHaveTextContent(/space none/);
    expect(rooms[1]).toHaveTextContent('It cannot be taken there. water is not known at 120 °C.');
    expect(asked[0]?.searchParams.has('own')).toBe(false);
  });

  it('asks with a room of one’s own, of what was stated alone', async () => {
    serve([here]);
    render(WhatIf, { staged: bench, onclose: () => undefined });
    await screen.findAllByRole('listitem');
    await userEvent.type(screen.getByLabelText('pressure'), '850 hPa');
    await vi.waitFor(() =>
      expect(JSON.parse(asked.at(-1)?.searchParams.get('own') ?? '[]')).toEqual([
        { name: 'Your own', room: { station_pressure: '850 hPa' } },
      ]),
    );
  });
});

describe('a curve', () => {
  const curve = {
    input: { path: 'setup.a', label: 'Drop', kind: 'length', unit: 'm', today: 1 },
    result: { label: 'reach', kind: 'length' },
    chart: {
      x: { label: 'Drop', unit: 'm', ends: [0, 2], whole: false },
      y: { label: 'reach', unit: 'm', ends: [0, 2], whole: false },
      lines: [],
      dots: [],
      strip: [],
      marks: [],
      today: null,
    },
  };

  it('is of the result over the input asked for, and can be saved only where that is offered', async () => {
    serve(curve);
    const props = { staged: bench, input: 'setup.a', result: 'results.reach' };
    const { rerender } = render(Curve, props);
    expect(await screen.findByRole('img', { name: 'reach over drop' })).toBeInTheDocument();
    expect(Object.fromEntries(asked[0]?.searchParams ?? [])).toMatchObject({
      input: 'setup.a',
      result: 'results.reach',
    });
    expect(screen.queryByRole('button')).toBeNull();
    await rerender({ ...props, savable: true });
    expect(screen.getAllByRole('button').map((one) => one.textContent)).toEqual(['SVG', 'PNG', 'CSV']);
  });

  it('says what stands in its way', async () => {
    serve({ code: 'unknown-name', status: 422, detail: 'no such result', path: 'result', extra: {} }, 422);
    render(Curve, { staged: bench, input: 'setup.a', result: 'results.none' });
    expect(await screen.findByRole('alert')).toHaveTextContent('no such result');
  });
});

describe('the run of variations', () => {
  const one = (id: number, name: string, state: string): object => ({ id, name, state, verdict: `${name} ${state}` });

  function stand(id: number): void {
    const run = [one(1, 'Glass', 'works'), one(2, 'Brim-full', 'works'), one(3, 'Wide', 'fails')];
    bench.kept.setup = { id, name: 'x', run } as unknown as Schemas['SetupOut'];
  }

  it('marks the one on the bench and goes round by its keys', async () => {
    stand(3);
    const switched = vi.spyOn(bench, 'switchTo').mockResolvedValue(undefined);
    render(Variations, { bench, player: new Player(), onplay: nothing, onswitched: nothing });
    expect(screen.getByRole('button', { name: /Wide/, pressed: true })).toHaveTextContent('does not work');
    await userEvent.click(screen.getByRole('button', { name: /later/ }));
    await userEvent.click(screen.getByRole('button', { name: /earlier/ }));
    await userEvent.click(screen.getByRole('button', { name: /Wide/ }));
    expect(switched.mock.calls).toEqual([[1], [2]]);
  });

  it('keeps what stands here under a name, and asks for one first', async () => {
    stand(1);
    const varied = vi.spyOn(bench, 'vary').mockResolvedValue(9);
    const onswitched = vi.fn();
    render(Variations, { bench, player: new Player(), onplay: nothing, onswitched });
    await userEvent.click(screen.getByRole('button', { name: 'keep as a variation' }));
    expect(screen.getByRole('button', { name: 'Keep' })).toBeDisabled();
    await userEvent.type(screen.getByLabelText('name of the variation'), 'colder{Enter}');
    await vi.waitFor(() => expect(onswitched).toHaveBeenCalledOnce());
    expect(varied).toHaveBeenCalledWith('colder', null);
  });

  const stays = [{ path: 'setup.lift', quantity: '13 cm', words: 'the tube where it is held then' }];

  function goesOn(carries = true): void {
    stand(1);
    bench.edited.take(bench.kept.take({ ...bench.kept.setup, document: '{}' } as unknown as Setup));
    bench.predictor.answer = { carries } as unknown as Schemas['PredictionOut'];
    render(Variations, { bench, player: new Player(), onplay: nothing, onswitched: nothing });
  }

  it('goes on from the end of what stands here: its measures are taken over, and given back if it is not kept', async () => {
    goesOn();
    vi.spyOn(bench, 'stays').mockResolvedValue(stays);
    const varied = vi.spyOn(bench, 'vary').mockResolvedValue(9);
    await userEvent.click(screen.getByRole('button', { name: 'go on from its end' }));
    expect(screen.getByText(/Begins with the tube where it is held then/)).toBeInTheDocument();
    expect(bench.edited.stated('setup.lift')).toBe('13 cm');
    await userEvent.click(screen.getByRole('button', { name: 'not now' }));
    expect(bench.edited.stated('setup.lift')).toBeUndefined();
    await userEvent.click(screen.getByRole('button', { name: 'go on from its end' }));
    await userEvent.type(screen.getByLabelText('name of the variation'), 'lifted{Enter}');
    expect(varied).toHaveBeenCalledWith('lifted', expect.objectContaining({ moment: null }));
  });

  it('says that nothing has moved, that one is to save first, and offers nothing where each begins anew', async () => {
    goesOn();
    const asked = vi.spyOn(bench, 'stays').mockResolvedValue([]);
    await userEvent.click(screen.getByRole('button', { name: 'go on from its end' }));
    expect(screen.getByRole('status')).toHaveTextContent('all is left as it was');
    bench.edited.change('setup.lift', '9 cm');
    await userEvent.click(screen.getByRole('button', { name: 'go on from its end' }));
    expect(screen.getByRole('status')).toHaveTextContent('Save first');
    expect(asked).toHaveBeenCalledOnce();
    cleanup();
    goesOn(false);
    expect(screen.queryByRole('button', { name: /go on/ })).toBeNull();
  });

  it('tells where each began, and that the one before was saved since', async () => {
    const run = [one(1, 'Glass', 'works'), { ...one(2, 'Lifted', 'works'), follows: 1, moment: 4, outdated: true }];
    bench.kept.setup = { id: 2, name: 'x', run } as unknown as Schemas['SetupOut'];
    render(Variations, { bench, player: new Player(), onplay: nothing, onswitched: nothing });
    expect(screen.getByRole('button', { name: /Lifted/ })).toHaveTextContent('works, from a moment of 1');
    const anew = vi.spyOn(bench, 'carryAnew').mockResolvedValue(undefined);
    expect(screen.getByText(/Glass was saved anew since/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'carry over again' }));
    expect(anew).toHaveBeenCalledOnce();
  });
});

describe('a run played as one', () => {
  const run = [{ id: 1 }, { id: 2, follows: 1, moment: 1 }, { id: 3, follows: 2, moment: null }] as Setup['run'];
  const playback = { times: [0, 40, 80], marks: [], moving: [], frames: [[], [], []], series: [] };
  let frame: ((now: number) => void) | null = null;
  let now = 0;
  const shown: number[] = [];

  function played(player: Player): WholeRun {
    vi.stubGlobal('requestAnimationFrame', (next: (now: number) => void) => ((frame = next), 1));
    vi.stubGlobal('cancelAnimationFrame', () => undefined);
    vi.spyOn(performance, 'now').mockImplementation(() => now);
    shown.length = 0;
    const show = (one: { id: number }): Promise<void> => {
      player.reset();
      shown.push(one.id);
      return Promise.resolve();
    };
    return new WholeRun(player, show, () => Promise.resolve(player.start(playback)));
  }

  const pass = async (seconds: number): Promise<void> => {
    await new Promise((done) => setTimeout(done));
    frame?.((now += 1000 * seconds));
    await new Promise((done) => setTimeout(done));
  };

  it('moves each, quickened, to where the next one began, and gives the pace back', async () => {
    const player = new Player();
    const whole = played(player);
    const done = whole.play(run);
    await pass(3);
    expect([player.time, player.pace, shown]).toEqual([30, 10, [1]]);
    await pass(2);
    expect(shown).toEqual([1, 2]);
    await pass(9);
    expect(shown).toEqual([1, 2, 3]);
    await pass(9);
    await done;
    expect([whole.playing, player.pace]).toEqual([false, 1]);
  });

  it('stops where it is stopped', async () => {
    const player = new Player();
    const whole = played(player);
    void whole.play(run);
    await pass(1);
    whole.stop();
    await pass(50);
    expect([shown, whole.playing, player.running]).toEqual([[1], false, false]);
  });
});
