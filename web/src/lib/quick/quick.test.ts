import { session } from '$lib/session/session.svelte';
import type { Me } from '$lib/api/client';
import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import Quick from './Quick.svelte';

const said = {
  answer: '3.33 bar',
  of: 'absolute',
  working: '2.4 bar = 240000 Pa, + p₀',
  rests_on: 'p₀ 934.2 hPa; reference constants',
  caution: '',
  line: '3.33 bar, absolute (2.4 bar = 240000 Pa, + p₀)',
  columns: ['gauge', 'absolute'],
  rows: [
    { unit: 'bar', values: ['2.4', '3.33'], asked: 1 },
    { unit: 'psi', values: ['34.81', '48.36'], asked: -1 },
  ],
};

describe('the quick line', () => {
  let asked: URL[] = [];

  function serve(reply: object, status = 200): void {
    vi.stubGlobal('fetch', (request: Request) => {
      asked.push(new URL(request.url));
      return Promise.resolve(
        new Response(JSON.stringify(reply), { status, headers: { 'Content-Type': 'application/json' } }),
      );
    });
  }

  beforeEach(() => {
    asked = [];
    const rooms = [{ id: 5, name: 'Barn', version: 3 }];
    session.me = { departments: [{ slug: 'lake', room: 5, rooms }] } as unknown as Me;
    render(Quick, { department: 'lake', onclose: () => undefined });
  });

  afterEach(() => {
    vi.unstubAllGlobals();
    session.me = null;
  });

  it('asks in the room in use and says answer, working and what it rests on', async () => {
    serve(said);
    await userEvent.type(screen.getByLabelText('quantity, and in what'), '2.4 bar gauge, absolute here{Enter}');
    expect(await screen.findByText('Rests on p₀ 934.2 hPa; reference constants.')).toBeInTheDocument();
    const whole = { text: '2.4 bar gauge, absolute here', department: 'lake', room: '5' };
    // typed slowly enough, the first half is asked too
    await vi.waitFor(() => expect(Object.fromEntries(asked.at(-1)?.searchParams ?? [])).toEqual(whole));
    expect(screen.getByLabelText('the whole line')).toHaveValue(`2.4 bar gauge, absolute here = ${said.line}`);
  });

  it('copies the whole line, and leaves it selected where no clipboard is lent', async () => {
    serve(said);
    const user = userEvent.setup();
    await user.type(screen.getByLabelText('quantity, and in what'), '2.4 bar gauge, absolute here{Enter}');
    await user.click(await screen.findByRole('button', { name: 'Copy the line' }));
    expect(await navigator.clipboard.readText()).toContain('3.33 bar, absolute');
    expect(screen.getByRole('button', { name: 'Copied' })).toBeInTheDocument();
    vi.spyOn(navigator.clipboard, 'writeText').mockRejectedValue(new Error('not lent'));
    await user.click(screen.getByRole('button', { name: 'Copied' }));
    const line = screen.getByLabelText<HTMLInputElement>('the whole line');
    expect(line.selectionEnd).toBe(line.value.length);
  });

  it('tells every usual unit, gauge and absolute, and marks the one that was asked for', async () => {
    serve(said);
    await userEvent.type(screen.getByLabelText('quantity, and in what'), '2.4 bar gauge, absolute here');
    expect(await screen.findByRole('row', { name: /bar 2.4 3.33, as asked/ })).toBeInTheDocument();
    expect(screen.getByRole('row', { name: 'psi 34.81 48.36' })).toBeInTheDocument();
    expect(screen.getAllByRole('columnheader').map((one) => one.textContent)).toEqual(['gauge', 'absolute']);
  });

  it('says what it cannot read, keeps what was typed, takes the earlier answer away and offers the nearest line', async () => {
    serve(said);
    await userEvent.click(screen.getByRole('button', { name: '12 ft in m' }));
    await screen.findByLabelText('the whole line');
    await userEvent.clear(screen.getByLabelText('quantity, and in what'));
    const extra = { parts: { nearest: '12 ft' } };
    serve({ code: 'unreadable', status: 422, detail: 'in what? end with a unit', path: 'text', extra }, 422);
    await userEvent.type(screen.getByLabelText('quantity, and in what'), '12 ft in');
    expect(await screen.findByText(/in what\? end with a unit/)).toBeInTheDocument();
    expect(screen.getByLabelText('quantity, and in what')).toHaveValue('12 ft in');
    expect(screen.queryByLabelText('the whole line')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: '12 ft' }));
    expect(screen.getByLabelText('quantity, and in what')).toHaveValue('12 ft');
  });

  it('answers an example when it is pressed', async () => {
    serve(said);
    await userEvent.click(screen.getByRole('button', { name: '12 ft in m' }));
    await screen.findByText(said.answer);
    expect(asked.map((one) => one.searchParams.get('text'))).toEqual(['12 ft in m']);
  });
});
