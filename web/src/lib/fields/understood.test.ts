import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Json } from '$lib/document/paths';
import { Understood } from './understood.svelte';

const reading = { path: 'setup.x', kind: 'length', plain: false, unit: 'mm' };

describe('what is typed into a field', () => {
  let kept: (Json | undefined)[] = [];
  let pending: { text: string; settle: (body: object, status?: number) => Promise<void> }[] = [];
  const keep = (value: Json | undefined): void => void kept.push(value);
  let field = new Understood();

  beforeEach(() => {
    kept = [];
    pending = [];
    field = new Understood();
    vi.stubGlobal('fetch', async (request: Request) => {
      const { text } = (await request.json()) as { text: string };
      return new Promise<Response>((done) =>
        pending.push({
          text,
          settle: async (body, status = 200) => {
            done(new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } }));
            await new Promise((next) => setTimeout(next, 5));
          },
        }),
      );
    });
  });

  afterEach(() => vi.unstubAllGlobals());

  async function type(text: string): Promise<void> {
    void field.type(text, reading, keep);
    await new Promise((next) => setTimeout(next, 5));
  }

  it('is kept at once where it is written as the file writes it', async () => {
    for (const text of ['88 mm', '88 ± 1 mm', '-3 degC', '50 %', '1e-3 m', '12 mm Hg']) await type(text);
    expect(pending).toHaveLength(0);
    expect(kept).toEqual(['88 mm', '88 +/- 1 mm', '-3 degC', '50 %', '1e-3 m', '12 mm Hg']);
  });

  it('is read where it is written otherwise, and its meaning shown before the field is left', async () => {
    await type('28 ± 1 % cm');
    await pending[0]?.settle({ quantity: '28 +/- 0.28 cm', offered: false });
    expect(kept).toEqual(['28 +/- 0.28 cm']);
    expect([field.meaning, field.shown('28 +/- 0.28 cm')]).toEqual(['28 +/- 0.28 cm', '28 ± 1 % cm']);
    field.leave();
    expect(field.shown('28 +/- 0.28 cm')).toBe('28 ± 0.28 cm');
  });

  it('is offered with the unit shown where it has none, and taken by one key', async () => {
    await type('88');
    await pending[0]?.settle({ quantity: '88 mm', offered: true });
    expect([field.offer, kept]).toEqual(['88 mm', ['88']]);
    expect(field.accept(keep)).toBe(true);
    expect(kept.at(-1)).toBe('88 mm');
    expect(field.accept(keep)).toBe(false);
  });

  it('drops what is understood of an earlier text', async () => {
    await type('88,');
    await type('88,5 mm');
    await pending[1]?.settle({ quantity: '88.5 mm', offered: false });
    await pending[0]?.settle({ quantity: '88 mm', offered: false });
    expect(kept).toEqual(['88.5 mm']);
  });

  it('keeps what cannot be read as it stands, so that nothing typed is lost', async () => {
    await type('about 88,5');
    await pending[0]?.settle({ code: 'unreadable-quantity', status: 422, detail: 'no', path: '', extra: {} }, 422);
    expect(kept).toEqual(['about 88,5']);
    expect(field.shown('about 88,5')).toBe('about 88,5');
  });

  it('shows what another hand changed meanwhile', async () => {
    await type('88,5 mm');
    await pending[0]?.settle({ quantity: '88.5 mm', offered: false });
    expect(field.shown('90 mm')).toBe('90 mm');
  });
});
