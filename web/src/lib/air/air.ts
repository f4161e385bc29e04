/** The air in a department's rooms, asked every second where something measures it; the browser is answered only where it has changed. */
import { asked } from '$lib/api/asked.svelte';
import { ask, client, type Schemas } from '$lib/api/client';
import { session } from '$lib/session/session.svelte';

const EVERY = 1000;
/** Where nothing measures the room. */
const SELDOM = 10_000;

/** One question for the whole page, whoever asks it. */
export function liveAir(department: () => string) {
  return asked(() => {
    const path = { department: department() };
    const query = { room: session.room(path.department)?.id ?? 0 };
    return {
      key: ['air', path.department, query.room],
      ask: (signal) => ask(client.GET('/api/departments/{department}/air', { params: { path, query }, signal })),
      when: path.department !== '',
      every: (air) => (air && air.sources.length > 0 ? EVERY : SELDOM),
    };
  });
}

/** How a source of the air stands, in a few words. */
export function sourceStands(source: Schemas['SourceOut']): string {
  if (!source.on) return 'not read';
  if (source.asked !== null && source.asked !== undefined) return 'asks';
  if (source.speaks) return source.trouble ? `counts still, but ${source.trouble}` : 'speaks';
  return source.trouble ? `silent: ${source.trouble}` : 'has not spoken yet';
}
