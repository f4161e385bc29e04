import type { Schemas } from '$lib/api/client';
import { session } from '$lib/session/session.svelte';
import { render, screen, within } from '@testing-library/svelte';
import { beforeEach, describe, expect, it } from 'vitest';
import Account from './Account.svelte';

const mistake = {
  title: 'Barometer',
  label: 'height of the column',
  kind: 'length',
  shown: 'm',
  here: 9.41,
  here_sd: 0.004,
  mistaken: 10.15,
  mistaken_sd: 0.004,
  words: 'the report’s 1016 hPa would put the column 0.74 m too high here',
};
const account: Schemas['AccountOut'] = {
  station_pressure: 94_170,
  steps: [
    { words: 'the report says', number: '1016.0 hPa' },
    { words: 'pressure at the bench', number: '941.7 hPa' },
  ],
  how: ['gravity from the latitude'],
  cautions: ['Read it again.'],
  wrong_pressure: 101_600,
  wrong_words: 'a report’s 1016 hPa, reduced to sea level,',
  mistakes: [mistake],
  stale_words: '',
  stale_mistakes: [],
};

describe('the account of a room', () => {
  beforeEach(() => {
    session.units = { length: [{ unit: 'm', printed: 'm', factor: 1, offset: 0 }] };
  });

  it('goes from the report to the bench in order, each step with its number', () => {
    render(Account, { account });
    const steps = within(screen.getByRole('region', { name: 'from report to room' })).getAllByRole('listitem');
    expect(steps.slice(0, 2).map((one) => one.textContent)).toEqual([
      'the report says 1016.0 hPa',
      'pressure at the bench 941.7 hPa',
    ]);
    expect(screen.getByText('gravity from the latitude.')).toBeInTheDocument();
    expect(screen.getByText('Read it again.', { exact: false })).toHaveTextContent('Caution.');
  });

  it('tells what the wrong pressure would do: both numbers and the sentence', () => {
    render(Account, { account });
    const row = screen.getByRole('row', { name: /^Barometer, height of the column/ });
    expect(row).toHaveTextContent('9.41');
    expect(row).toHaveTextContent('10.15');
    expect(screen.getByText('The report’s 1016 hPa would put the column 0.74 m too high here.')).toBeInTheDocument();
    expect(screen.getByText(/here and with a report’s 1016 hPa, reduced to sea level taken/)).toBeInTheDocument();
  });

  it('speaks of an earlier pressure only where one would mislead', async () => {
    const { rerender } = render(Account, { account: { ...account, mistakes: [] } });
    expect(screen.queryByRole('table')).toBeNull();
    const stale = { ...account, stale_words: 'this morning’s 953 hPa', stale_mistakes: [mistake] };
    await rerender({ account: { ...stale, mistakes: [] } });
    expect(screen.getByRole('heading', { name: 'What this morning’s 953 hPa would do' })).toBeInTheDocument();
    expect(screen.getAllByRole('table')).toHaveLength(1);
  });
});
