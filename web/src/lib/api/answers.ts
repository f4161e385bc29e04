/** The one store of what was asked and answered. */
import { keepPreviousData, QueryClient, type QueryKey } from '@tanstack/svelte-query';
import type { ApiError } from './client';

declare module '@tanstack/svelte-query' {
  interface Register {
    defaultError: ApiError;
  }
}

const AGAIN = 2000;
const KEPT = 60_000;

/** What was asked is kept for a minute; where no server answers it is asked again until one does. */
export const answers = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (_, error) => error.lost || error.signedOut,
      retryDelay: AGAIN,
      gcTime: KEPT,
      networkMode: 'always',
      refetchOnWindowFocus: false,
      placeholderData: keepPreviousData,
    },
    mutations: { networkMode: 'always' },
  },
});

/** Asks anew what was asked under a key; a first answer that is still on its way may be from before, and is not waited for. */
export async function anew(queryKey: QueryKey): Promise<void> {
  await answers.cancelQueries({ queryKey });
  await answers.invalidateQueries({ queryKey });
}
