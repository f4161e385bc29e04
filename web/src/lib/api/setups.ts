/** The set-ups of a department as they are listed, and what is done to one. */
import { doing, pages } from './asked.svelte';
import { ask, client, type SetupRow } from './client';
import { puttingAway } from './putting-away.svelte';

interface Listed {
  department: string;
  search?: string;
  archived?: boolean;
  demonstration?: string;
  variations?: boolean;
}

/** The newest saved first, page by page; of one demonstration where it is named. */
export function setups(which: () => Listed & { when?: boolean }) {
  return pages<SetupRow>(() => {
    const { department, search = '', archived = false, demonstration = '', variations = false, when = true } = which();
    return {
      key: ['setups', department, search, archived, demonstration, variations],
      when: when && department !== '',
      ask: (cursor, signal) => {
        const query = { search, archived, demonstration, variations, ...(cursor ? { cursor } : {}) };
        const params = { path: { department }, query };
        return ask(client.GET('/api/departments/{department}/setups', { params, signal }));
      },
    };
  });
}

/** What is done to a set-up of the list; the list is asked anew after it. */
export function arranging(department: () => string) {
  const changed = () => [['setups', department()]];
  const act = (what: 'copy' | 'archive' | 'bring-back') => (setup: number) => {
    const params = { path: { department: department(), setup } };
    return ask(client.POST(`/api/departments/{department}/setups/{setup}/${what}`, { params }));
  };
  const copying = doing(act('copy'), changed);
  const away = puttingAway(act('archive'), act('bring-back'), changed);
  const rename = doing(({ setup, name }: { setup: number; name: string }) => {
    const params = { path: { department: department(), setup } };
    return ask(client.PATCH('/api/departments/{department}/setups/{setup}', { params, body: { name } }));
  }, changed);
  const pin = doing(
    ({ setup, pinned }: { setup: number; pinned: boolean }) => {
      const params = { path: { department: department(), setup } };
      return ask(client.PUT('/api/departments/{department}/setups/{setup}/pin', { params, body: { pinned } }));
    },
    () => [...changed(), ['today', department()]],
  );
  return { copying, rename, away, pin };
}
