import type { Schemas } from '$lib/api/client';
import { session } from '$lib/session/session.svelte';
import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Bench } from './bench.svelte';
import Curve from './predict/Curve.svelte';
import Variations from './variations/Variations.svelte';
import WhatIf from './predict/WhatIf.svelte';

let asked: URL[] = [];
let bench: Bench;

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
    drawing: { width: 300, height: 160, horizon: 160, items: [], handles: [], adders: [], marks: [] },
  };

  it('is of the result over the input asked for, and can be saved only where that is offered', async () => {
    serve(curve);
    const props = { staged: bench, input: 'setup.a', result: 'results.reach' };
    const { rerender } = render(Curve, props);
    expect(await screen.findByRole('group', { name: 'reach over drop' })).toBeInTheDocument();
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
    render(Variations, { bench, onswitched: () => undefined });
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
    render(Variations, { bench, onswitched });
    await userEvent.click(screen.getByRole('button', { name: 'keep as a variation' }));
    expect(screen.getByRole('button', { name: 'Keep' })).toBeDisabled();
    await userEvent.type(screen.getByLabelText('name of the variation'), 'colder{Enter}');
    await vi.waitFor(() => expect(onswitched).toHaveBeenCalledOnce());
    expect(varied).toHaveBeenCalledWith('colder');
  });
});
