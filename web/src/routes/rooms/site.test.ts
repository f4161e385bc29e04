import { answers } from '$lib/api/answers';
import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { tick } from 'svelte';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import SiteForm from './SiteForm.svelte';

const PLACE = { department: 'd', room: 3, name: 'Stairs' };
const STANDS = { version: 4, landings: [{ name: 'gallery', height: '8 m', who: '' }], path: '', foot: '', signals: [] };

describe('a room as a site', () => {
  let pending: ((answer: Response) => void)[] = [];

  /** Answers what was asked, once it was. */
  async function settle(site: object): Promise<void> {
    await vi.waitFor(() => expect(pending).toHaveLength(1));
    pending[0]?.(new Response(JSON.stringify(site), { headers: { 'Content-Type': 'application/json' } }));
  }

  beforeEach(() => {
    answers.clear();
    pending = [];
    vi.stubGlobal('fetch', () => new Promise<Response>((done) => pending.push(done)));
  });

  afterEach(() => vi.unstubAllGlobals());

  it('shows what stands on the server', async () => {
    render(SiteForm, PLACE);
    await settle(STANDS);
    expect(await screen.findByLabelText('landing 1')).toHaveValue('gallery');
  });

  it('leaves what is typed before that comes', async () => {
    render(SiteForm, PLACE);
    await userEvent.click(screen.getByText('add a landing'));
    await userEvent.type(screen.getByLabelText('landing 1'), 'foot');
    await settle({ ...STANDS, version: 0, landings: [], path: 'up the rail' });
    await vi.waitFor(() => expect(answers.getQueryData(['site', 'd', 3])).toBeDefined());
    await tick();
    expect(screen.getByLabelText('landing 1')).toHaveValue('foot');
  });
});
