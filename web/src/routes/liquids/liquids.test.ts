import type { Schemas } from '$lib/api/client';
import { session } from '$lib/session/session.svelte';
import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import OwnLiquid from './OwnLiquid.svelte';
import PropertyCurve from './PropertyCurve.svelte';

const property: Schemas['PropertyOut'] = {
  key: 'density',
  kind: 'density',
  label: 'density',
  relative_uncertainty: 0.004,
  source: 'a handbook, p. 3',
  usual: { temperature: 293.15, value: 980 },
  ends: [
    { temperature: 273.15, value: 1000 },
    { temperature: 303.15, value: 970 },
  ],
  chart: {
    x: { label: 'temperature', unit: '°C', ends: [0, 30], whole: false },
    y: { label: 'density', unit: 'kg/m³', ends: [960, 1010], whole: false },
    lines: [{ words: '', dashed: false, x: [0, 15, 30], y: [1000, 990, 970], spread: [] }],
    dots: [],
    strip: [],
    marks: [],
    today: null,
  },
};

describe('a property over temperature', () => {
  beforeEach(() => {
    session.units = {
      density: [{ unit: 'kg/m^3', printed: 'kg/m³', factor: 1, offset: 0 }],
      temperature: [{ unit: 'degC', printed: '°C', factor: 1, offset: 273.15 }],
    };
  });

  it('tells its value at 20 °C, both ends, its spread at 95 % and its source', () => {
    const { container } = render(PropertyCurve, { property });
    expect(container.querySelector('figcaption')).toHaveTextContent(/density 980\s*kg\/m³ at 20\s*°C ± 0.8 %/);
    expect(container.querySelector('.ends')).toHaveTextContent(/0\s*°C: 1000\s*kg\/m³\s*30\s*°C: 970\s*kg\/m³/);
    expect(screen.getByText('a handbook, p. 3')).toBeInTheDocument();
  });

  it('shows its curve, with its ends in words for who cannot see it', async () => {
    render(PropertyCurve, { property });
    expect(await screen.findByRole('img')).toHaveAccessibleName(
      /density, 0\s*°C: 1000\s*kg\/m³; 30\s*°C: 970\s*kg\/m³/,
    );
  });
});

describe('a liquid of the department’s own', () => {
  let sent: { method: string; path: string; body: unknown }[] = [];

  function serve(reply: object, status: number): void {
    vi.stubGlobal('fetch', async (request: Request) => {
      const reads = request.method === 'GET';
      if (!reads)
        sent.push({ method: request.method, path: new URL(request.url).pathname, body: await request.json() });
      const headers = { 'Content-Type': 'application/json' };
      return new Response(JSON.stringify(reads ? [] : reply), { status: reads ? 200 : status, headers });
    });
  }

  beforeEach(() => {
    sent = [];
    session.liquidProperties = ['density', 'viscosity'].map((key) => ({ key, label: key, kind: key, example: '1' }));
  });
  afterEach(() => vi.unstubAllGlobals());

  it('is kept with what is known alone, and the form goes', async () => {
    serve({}, 200);
    const onclose = vi.fn();
    render(OwnLiquid, { department: 'lake', liquid: null, onclose });
    await userEvent.type(screen.getByLabelText('name'), 'Frying oil');
    await userEvent.type(screen.getByLabelText('density'), '921 kg/m^3');
    await userEvent.type(screen.getByLabelText('viscosity'), '  ');
    await userEvent.click(screen.getByRole('button', { name: 'Keep this liquid' }));
    await vi.waitFor(() => expect(onclose).toHaveBeenCalledOnce());
    expect(sent).toEqual([
      {
        method: 'POST',
        path: '/api/departments/lake/liquids',
        body: { name: 'Frying oil', note: '', stated: { density: '921 kg/m^3' } },
      },
    ]);
  });

  it('says what is wrong beside its field and loses nothing', async () => {
    serve({ code: 'missing-key', status: 422, detail: 'it is missing', path: 'stated.density', extra: {} }, 422);
    const onclose = vi.fn();
    const liquid = {
      id: 4,
      name: 'Oil',
      note: 'by pipette',
      stated: { viscosity: '60 mPa*s' },
      version: 3,
      by: '',
      at: '',
      archived_by: '',
      archived_at: null,
    };
    render(OwnLiquid, { department: 'lake', liquid, onclose });
    await userEvent.click(screen.getByRole('button', { name: 'Keep this liquid' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('it is missing');
    expect(screen.getByLabelText('density')).toHaveAttribute('aria-invalid', 'true');
    expect(screen.getByLabelText('viscosity')).toHaveValue('60 mPa*s');
    expect(sent[0]).toMatchObject({ method: 'PUT', path: '/api/departments/lake/liquids/4' });
    expect(onclose).not.toHaveBeenCalled();
  });
});
