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
    expect(Object.fromEntries(asked[0]?.searchParams ?? [])).toEqual({
      text: '2.4 bar gauge, absolute here',
      department: 'lake',
      room: '5',
    });
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

  it('says what it cannot read, keeps what was typed and takes the earlier answer away', async () => {
    serve(said);
    await userEvent.click(screen.getByRole('button', { name: '12 ft in m' }));
    await screen.findByLabelText('the whole line');
    await userEvent.clear(screen.getByLabelText('quantity, and in what'));
    serve(
      { code: 'unreadable', status: 422, detail: 'it cannot be read; try 12 ft in m', path: 'text', extra: {} },
      422,
    );
    await userEvent.type(screen.getByLabelText('quantity, and in what'), 'about ten{Enter}');
    expect(await screen.findByText(/it cannot be read; try 12 ft in m/)).toBeInTheDocument();
    expect(screen.getByLabelText('quantity, and in what')).toHaveValue('about ten');
    expect(screen.queryByLabelText('the whole line')).toBeNull();
  });

  it('answers an example when it is pressed', async () => {
    serve(said);
    await userEvent.click(screen.getByRole('button', { name: '12 ft in m' }));
    await screen.findByText(said.answer);
    expect(asked.map((one) => one.searchParams.get('text'))).toEqual(['12 ft in m']);
  });
});
