import { answers } from '$lib/api/answers';
import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import SiteForm from './SiteForm.svelte';

const PLACE = { department: 'd', room: 3, name: 'Stairs' };
const STANDS = { version: 4, landings: [{ name: 'gallery', height: '8 m', who: '' }], path: '', foot: '', signals: [] };

describe('a room as a site', () => {
  let settle: (site: object) => void = () => undefined;

  beforeEach(() => {
    answers.clear();
    vi.stubGlobal(
      'fetch',
      () =>
        new Promise<Response>((done) => {
          settle = (site) =>
            done(new Response(JSON.stringify(site), { headers: { 'Content-Type': 'application/json' } }));
        }),
    );
  });

  afterEach(() => vi.unstubAllGlobals());

  it('shows what stands on the server', async () => {
    render(SiteForm, PLACE);
    settle(STANDS);
    expect(await screen.findByLabelText('landing 1')).toHaveValue('gallery');
  });

  it('leaves what is typed before that comes', async () => {
    render(SiteForm, PLACE);
    await userEvent.click(screen.getByText('add a landing'));
    await userEvent.type(screen.getByLabelText('landing 1'), 'foot');
    settle({ ...STANDS, version: 0, landings: [] });
    await new Promise((done) => setTimeout(done, 20));
    expect(screen.getByLabelText('landing 1')).toHaveValue('foot');
  });
});
