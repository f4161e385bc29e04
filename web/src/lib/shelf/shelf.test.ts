import { cleanup, render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { answers } from '$lib/api/answers';
import type { TakenOver } from '$lib/measuring/aids';
import Uses from '../../routes/shelf/Uses.svelte';
import FromShelf from './FromShelf.svelte';
import OntoShelf from './OntoShelf.svelte';
import { saysSo } from './shelf';

let asked: { method: string; at: string; body: unknown }[] = [];

/** Serves each address whose end is named. */
function serve(replies: Record<string, unknown>): void {
  vi.stubGlobal('fetch', async (request: Request) => {
    const at = new URL(request.url).pathname;
    asked.push({ method: request.method, at, body: request.method === 'GET' ? null : await request.clone().json() });
    const found = Object.entries(replies).find(([end]) => at.endsWith(end));
    return new Response(JSON.stringify(found?.[1] ?? {}));
  });
}

beforeEach(() => {
  asked = [];
  answers.clear();
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const tube = {
  item: 4,
  name: 'Clear pipe',
  place: 'rack',
  state: 'worn',
  lent_to: 'the club',
  size: 9,
  quantity: '17.9 +/- 0.1 mm',
  how: 'weighed',
  by: 'technician',
  at: '2026-11-02T10:00:00Z',
};

describe('a field and the shelf', () => {
  it('is the same however the quantity is written, and something else once it was changed', () => {
    expect(saysSo('17.9 ± 0.1 mm', '17.9 +/- 0.1 mm')).toBe(true);
    expect(saysSo('17.8 ± 0.1 mm', '17.9 +/- 0.1 mm')).toBe(false);
    expect(saysSo(undefined, '17.9 mm')).toBe(false);
  });

  it('shows what has the size and how that stands, and takes one by a press', async () => {
    serve({ '/shelf/sizes/width': [tube] });
    const onpick = vi.fn();
    render(FromShelf, { department: 'lake', size: 'width', label: 'Width', onpick, onclose: () => undefined });
    const one = await screen.findByRole('button', { name: /Clear pipe/ });
    expect(one).toHaveTextContent('rack; worn; lent to the club; weighed');
    await userEvent.click(one);
    expect(onpick).toHaveBeenCalledWith(tube);
  });
});

it('keeps what an aid found with a thing, under the name that set-ups ask for, with the document it was measured by', async () => {
  serve({
    '/shelf/sizes': { names: [{ key: 'width', label: 'Width', kind: 'length' }], there: [] },
    '/shelf': { results: [{ id: 4, name: 'Clear pipe', place: 'rack' }], next: null },
  });
  const takes: TakenOver[] = [{ result: 'results.w', quantity: '18 mm', fields: ['other', 'width'], beside: {} }];
  render(OntoShelf, { department: 'lake', takes, how: 'by filling it', aid: { aid: 'x' } });
  await userEvent.click(await screen.findByText('Onto the shelf'));
  await userEvent.type(screen.getByLabelText('thing on the shelf'), 'pipe');
  await userEvent.click(await screen.findByRole('button', { name: 'Clear pipe, rack' }));
  expect(await screen.findByRole('status')).toHaveTextContent('Width 18 mm stands with “Clear pipe” now.');
  const sent = asked.find((one) => one.method === 'POST');
  expect(sent?.body).toEqual({ key: 'width', quantity: '18 mm', how: 'by filling it', aid: { aid: 'x' } });
});

describe('what a new measurement changes', () => {
  const use = {
    setup: 3,
    name: 'Bottle',
    version: 2,
    path: 'setup.width',
    quantity: '18.4 mm',
    newer: 9,
    newer_quantity: '17.9 mm',
    verdict: 'It lands at 30 cm.',
    state: 'works',
    doubt: '',
    then_verdict: 'It lands at 28 cm.',
    then_state: 'fails',
    then_doubt: '',
    refused: '',
  };

  it('stands beside the verdict as it is, and is taken over only where one presses', async () => {
    serve({ '/uses': [use] });
    render(Uses, { department: 'lake', item: 4 });
    const row = await screen.findByRole('listitem');
    expect(row).toHaveTextContent(/now: It lands at 30 cm. works with 17.9\s*mm: It lands at 28 cm. does not work/);
    expect(asked.every((one) => one.method === 'GET')).toBe(true);
    await userEvent.click(screen.getByRole('button', { name: /Take 17.9/ }));
    expect(asked.find((one) => one.method === 'POST')?.body).toEqual({ path: 'setup.width', size: 9, version: 2 });
  });

  it('cannot be taken where the set-up refuses it, and says so', async () => {
    serve({ '/uses': [{ ...use, refused: 'the hole is as wide as the bottle', then_verdict: '' }] });
    render(Uses, { department: 'lake', item: 4 });
    expect(await screen.findByText(/the hole is as wide/)).toBeInTheDocument();
    expect(screen.getByRole('button', { name: /Take/ })).toBeDisabled();
  });
});
