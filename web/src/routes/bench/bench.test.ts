import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Bench } from './bench.svelte';

function answerTo(document: string): object {
  return {
    verdict: { reason: document, changes: [], advice: [], buttons: [] },
    results: {},
    scene: { window: {}, marks: [] },
  };
}

describe('the bench', () => {
  let pending: { body: string; settle: (response: Response) => void; fail: () => void }[] = [];

  beforeEach(() => {
    localStorage.clear();
    pending = [];
    vi.stubGlobal(
      'fetch',
      (_: string, init: RequestInit) =>
        new Promise<Response>((settle, reject) =>
          pending.push({ body: String(init.body), settle, fail: () => reject(new TypeError('lost')) }),
        ),
    );
  });

  afterEach(() => vi.unstubAllGlobals());

  async function settle(i: number): Promise<void> {
    pending[i]?.settle(new Response(JSON.stringify(answerTo(pending[i]?.body ?? '')), { status: 200 }));
    await vi.waitFor(() => undefined);
    await new Promise((done) => setTimeout(done, 5));
  }

  it('shows what the page brought and asks only for a drawing on another sheet', async () => {
    const bench = new Bench('d');
    const sheet = { width: 984, height: 660, horizon: 584, clear: 356 };
    bench.predictor.sheet = sheet;
    const setup = { id: 7, name: 'n', version: 1, document: '{"a":1}' };
    const brought = { ...answerTo('brought'), scene: { width: 984, height: 660, window: {}, marks: [] } };
    await bench.open('7', { setup, answer: brought } as unknown as Parameters<Bench['open']>[1]);
    expect(bench.predictor.answer?.verdict.reason).toBe('brought');
    bench.predictor.resize({ ...sheet });
    expect(pending).toHaveLength(0);
    bench.predictor.resize({ ...sheet, height: 652 });
    bench.predictor.resize({ ...sheet, height: 660 });
    expect(pending).toHaveLength(1);
    await settle(0);
    expect(pending).toHaveLength(2);
    bench.close();
  });

  it('has one request in flight and asks again for the newest alone', async () => {
    const bench = new Bench('d');
    bench.begin('new', { a: 1 });
    for (const a of [2, 3, 4]) bench.edited.change('a', a);
    expect(pending).toHaveLength(1);
    await settle(0);
    expect(pending.map((one) => one.body)).toEqual(['{"a":1}', '{"a":4}']);
    await settle(1);
    expect(bench.predictor.answer?.verdict.reason).toBe('{"a":4}');
    bench.close();
  });

  it('keeps the last good answer and the draft when an answer is a refusal', async () => {
    const bench = new Bench('d');
    bench.begin('new', { a: 1 });
    await settle(0);
    bench.edited.change('a', 'wrong');
    pending[1]?.settle(
      new Response(JSON.stringify({ code: 'wrong-kind', status: 422, detail: 'no', path: 'a', extra: {} }), {
        status: 422,
      }),
    );
    await new Promise((done) => setTimeout(done, 5));
    expect(bench.predictor.refusal?.problem.path).toBe('a');
    expect(bench.predictor.answer?.verdict.reason).toBe('{"a":1}');
    const again = new Bench('d');
    again.begin('new', null);
    expect(again.edited.document).toEqual({ a: 'wrong' });
    bench.close();
    again.close();
  });

  it.each([
    ['before its answer', (one: (typeof pending)[0]) => one.fail()],
    ['in the middle of its answer', (one: (typeof pending)[0]) => one.settle(new Response('{"verdict": {'))],
  ])('tries again when the server is lost %s', async (_, lose) => {
    const bench = new Bench('d');
    bench.begin('new', { a: 1 });
    lose(pending[0]!);
    await new Promise((done) => setTimeout(done, 5));
    expect(bench.predictor.problem?.lost).toBe(true);
    bench.predictor.predict();
    await settle(1);
    expect(bench.predictor.problem).toBeNull();
    bench.close();
  });

  it('undoes advice of several changes as one', () => {
    const bench = new Bench('d');
    bench.begin('new', { a: 1, b: 1 });
    bench.edited.carryOut([
      { path: 'a', quantity: 2 },
      { path: 'b', quantity: 3 },
    ]);
    bench.edited.undo();
    expect(bench.edited.document).toEqual({ a: 1, b: 1 });
    bench.edited.redo();
    expect(bench.edited.document).toEqual({ a: 2, b: 3 });
    bench.close();
  });
});
