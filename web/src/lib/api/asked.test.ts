import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { ApiError } from './client';
import Harness from './Harness.test.svelte';

const told = (id: string): string => screen.getByTestId(id).textContent ?? '';
const problem = (status: number, detail: string): ApiError =>
  new ApiError({ code: 'x', status, detail, path: '', extra: {} });

/** Questions that are answered when the test says so, in any order. */
function waiting() {
  const open: Record<string, (answer: string) => void> = {};
  const ask = (word: string): Promise<string> => new Promise((settle) => (open[word] = settle));
  return { open, ask };
}

describe('what is asked', () => {
  it('is shown for the newest question, however late an older answer comes', async () => {
    const { open, ask } = waiting();
    const { rerender } = render(Harness, { word: 'a', ask });
    await vi.waitFor(() => expect(open.a).toBeDefined());
    await rerender({ word: 'ab', ask });
    await vi.waitFor(() => expect(open.ab).toBeDefined());
    open.ab?.('of ab');
    await vi.waitFor(() => expect(told('answer')).toBe('of ab'));
    open.a?.('of a');
    await new Promise((done) => setTimeout(done, 20));
    expect(told('answer')).toBe('of ab');
  });

  it('keeps the last answer on the page until the next is there', async () => {
    const { open, ask } = waiting();
    const { rerender } = render(Harness, { word: 'a', ask });
    await vi.waitFor(() => expect(open.a).toBeDefined());
    open.a?.('of a');
    await vi.waitFor(() => expect(told('answer')).toBe('of a'));
    await rerender({ word: 'ab', ask });
    await vi.waitFor(() => expect(open.ab).toBeDefined());
    expect(told('answer')).toBe('of a');
  });

  it('waits until the typing stands still', async () => {
    const words: string[] = [];
    const ask = (word: string): Promise<string> => {
      words.push(word);
      return Promise.resolve(word);
    };
    const { rerender } = render(Harness, { word: 'r', ask, still: 1 });
    for (const word of ['ra', 'rai', 'rain']) await rerender({ word, ask, still: 1 });
    await vi.waitFor(() => expect(told('answer')).toBe('rain'));
    expect(words).toEqual(['r', 'rain']);
  });

  it('says a refusal at once and does not repeat the question', async () => {
    const ask = vi.fn(() => Promise.reject(problem(422, 'no such thing')));
    render(Harness, { word: 'a', ask });
    await vi.waitFor(() => expect(told('failure')).toBe('no such thing'));
    expect(ask).toHaveBeenCalledOnce();
  });

  it('says that no server answers and asks again until one does', async () => {
    vi.useFakeTimers({ shouldAdvanceTime: true });
    let there = false;
    const ask = (): Promise<string> => (there ? Promise.resolve('back') : Promise.reject(problem(0, 'no server')));
    render(Harness, { word: 'a', ask });
    await vi.waitFor(() => expect(told('failure')).toBe('no server'));
    there = true;
    await vi.advanceTimersByTimeAsync(2500);
    await vi.waitFor(() => expect(told('answer')).toBe('back'));
    expect(told('failure')).toBe('');
    vi.useRealTimers();
  });
});

describe('a list by pages', () => {
  it('goes on from its cursor, and no further than its end', async () => {
    const cursors: string[] = [];
    const page = (cursor: string) => {
      cursors.push(cursor);
      const next = cursor === '' ? 'http://x/list?search=&cursor=Mg%3D%3D' : null;
      return Promise.resolve({ results: cursor === '' ? ['one', 'two'] : ['three'], next });
    };
    render(Harness, { word: 'a', ask: (word) => Promise.resolve(word), page });
    await vi.waitFor(() => expect(told('rows')).toBe('one two'));
    await userEvent.click(screen.getByRole('button', { name: 'more' }));
    await vi.waitFor(() => expect(told('rows')).toBe('one two three'));
    await userEvent.click(screen.getByRole('button', { name: 'more' }));
    expect(cursors).toEqual(['', 'Mg==']);
  });
});

describe('what is done', () => {
  it('gives what came of it, and what depends on it is asked anew', async () => {
    const ask = vi.fn((word: string) => Promise.resolve(word));
    render(Harness, { word: 'a', ask, work: () => Promise.resolve('done') });
    await vi.waitFor(() => expect(told('answer')).toBe('a'));
    await userEvent.click(screen.getByRole('button', { name: 'do it' }));
    await vi.waitFor(() => expect(told('came')).toBe('done: '));
    await vi.waitFor(() => expect(ask).toHaveBeenCalledTimes(2));
  });

  it('is shown though a first answer from before it is still on its way', async () => {
    const open: ((answer: string) => void)[] = [];
    const ask = (): Promise<string> => new Promise((settle) => open.push(settle));
    render(Harness, { word: 'a', ask, work: () => Promise.resolve('done') });
    await vi.waitFor(() => expect(open).toHaveLength(1));
    await userEvent.click(screen.getByRole('button', { name: 'do it' }));
    await vi.waitFor(() => expect(open).toHaveLength(2));
    open[0]?.('before');
    open[1]?.('after');
    await vi.waitFor(() => expect(told('answer')).toBe('after'));
    expect(told('failure')).toBe('');
  });

  it('says what stood in its way, and asks nothing anew', async () => {
    const ask = vi.fn((word: string) => Promise.resolve(word));
    render(Harness, { word: 'a', ask, work: () => Promise.reject(problem(409, 'taken')) });
    await userEvent.click(screen.getByRole('button', { name: 'do it' }));
    await vi.waitFor(() => expect(told('came')).toBe('failed: taken'));
    expect(ask).toHaveBeenCalledOnce();
  });
});
