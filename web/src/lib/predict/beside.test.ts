import type { Prediction } from '$lib/api/client';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Beside } from './beside.svelte';

const answer = (reason: string, quantity = '5 cm'): Prediction =>
  ({
    verdict: { reason, changes: [null, [{ path: 'a', quantity }]] },
    scene: { marks: [{ id: reason }], items: [] },
  }) as unknown as Prediction;

describe('what stands beside the drawing', () => {
  let pending: { body: string; settle: (reason: string) => Promise<void> }[] = [];
  let beside = new Beside();

  beforeEach(() => {
    vi.useFakeTimers();
    beside = new Beside();
    pending = [];
    vi.stubGlobal(
      'fetch',
      (_: string, init: RequestInit) =>
        new Promise<Response>((done) =>
          pending.push({
            body: String(init.body),
            settle: async (reason) => {
              done(new Response(JSON.stringify(answer(reason)), { status: 200 }));
              await vi.advanceTimersByTimeAsync(1);
            },
          }),
        ),
    );
  });

  afterEach(() => {
    beside.stop();
    vi.unstubAllGlobals();
    vi.useRealTimers();
  });

  it('is asked for once nothing moves: what the first advice that can be pressed would do', async () => {
    beside.show(answer('now'), { a: '1 cm' }, {});
    expect(pending).toHaveLength(0);
    await vi.advanceTimersByTimeAsync(300);
    expect(pending.map((one) => one.body)).toEqual(['{"a":"5 cm"}']);
    await pending[0]?.settle('better');
    expect(beside.preview?.reason).toBe('better');
  });

  it('drops what comes late: only the newest advice is shown', async () => {
    beside.show(answer('now', '5 cm'), { a: '1 cm' }, {});
    await vi.advanceTimersByTimeAsync(300);
    beside.show(answer('later', '7 cm'), { a: '2 cm' }, {});
    await vi.advanceTimersByTimeAsync(300);
    await pending[1]?.settle('of the newest');
    await pending[0]?.settle('of the one before');
    expect(beside.preview?.reason).toBe('of the newest');
  });

  it('shows nothing any more once something moves again', async () => {
    beside.show(answer('now'), { a: '1 cm' }, {});
    await vi.advanceTimersByTimeAsync(300);
    beside.stop();
    await pending[0]?.settle('too late');
    expect(beside.preview).toBeNull();
  });

  it('keeps the outline of the variation that stood here before', async () => {
    beside.earlier = { a: '9 cm' };
    beside.show(answer('now'), { a: '1 cm' }, {});
    await vi.advanceTimersByTimeAsync(300);
    expect(pending.map((one) => one.body)).toEqual(['{"a":"5 cm"}', '{"a":"9 cm"}']);
    await pending[1]?.settle('before');
    expect(beside.outline?.marks).toEqual([{ id: 'before' }]);
  });
});
