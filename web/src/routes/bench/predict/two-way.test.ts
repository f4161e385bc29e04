import { afterEach, expect, it, vi } from 'vitest';
import { twoWay, valuesOf } from './two-way';

afterEach(() => vi.unstubAllGlobals());

it('reads values between semicolons, a bare number in the unit shown, six at most', () => {
  expect(valuesOf('8; 12 mm;; 1,5 ', 'mm')).toEqual(['8 mm', '12 mm', '1,5 mm']);
  expect(valuesOf('1;2;3;4;5;6;7', 'cm')).toHaveLength(6);
  expect(valuesOf('  ', 'cm')).toEqual([]);
});

it('asks for every combination, and says in its cell what is refused', async () => {
  const sent: unknown[] = [];
  vi.stubGlobal('fetch', (_: string, init: RequestInit) => {
    const { setup } = JSON.parse(String(init.body)) as { setup: { tall: string; bore: string } };
    sent.push([setup.tall, setup.bore]);
    if (setup.bore === '9 kg') {
      const problem = { code: 'wrong-kind', status: 422, detail: 'a length is needed', path: 'setup.bore', extra: {} };
      return Promise.resolve(new Response(JSON.stringify(problem), { status: 422 }));
    }
    const results = { top: { value: Number(setup.tall[0]), standard_uncertainty: 0 } };
    return Promise.resolve(new Response(JSON.stringify({ results, verdict: { state: 'works' } }), { status: 200 }));
  });
  const cells = await twoWay(
    {
      document: { setup: { tall: '0 m', bore: '0 m' } },
      where: {},
      result: 'results.top',
      rows: { path: 'setup.tall', values: ['1 m', '2 m'] },
      columns: { path: 'setup.bore', values: ['8 mm', '9 kg'] },
    },
    new AbortController().signal,
  );
  expect(sent).toHaveLength(4);
  expect(cells.map((row) => row.map((one) => one.result?.value ?? one.refused))).toEqual([
    [1, 'a length is needed'],
    [2, 'a length is needed'],
  ]);
});
