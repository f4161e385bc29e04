/** Everything that is fetched goes through here: loading, failure, trying again, and the latest question wins over a late answer. */
import {
  createMutation,
  InfiniteQueryObserver,
  QueryObserver,
  type InfiniteData,
  type InfiniteQueryObserverOptions,
  type InfiniteQueryObserverResult,
  type QueryObserverOptions,
  type QueryObserverResult,
} from '@tanstack/svelte-query';
import { untrack } from 'svelte';
import { anew, answers } from './answers';
import { ApiError, cursorOf } from './client';

type Key = readonly (string | number | boolean | null)[];

interface Question<T> {
  /** What the answer depends on: another key, another answer. */
  key: Key;
  ask: (signal: AbortSignal) => Promise<T>;
  /** After so long it is asked again, by itself, while somebody looks [ms]. */
  every?: (answer: T | undefined) => number;
  /** Whether there is something to ask yet. */
  when?: boolean;
}

/** What an observer of the store sees now: options followed as they change, listened to while the component lives. */
function seen<Options, Result>(
  observer: {
    setOptions: (options: Options) => void;
    getCurrentResult: () => Result;
    subscribe: (listener: (result: Result) => void) => () => void;
  },
  options: () => Options,
): { readonly now: Result } {
  let now = $state.raw(observer.getCurrentResult());
  $effect.pre(() => {
    const next = options();
    untrack(() => {
      observer.setOptions(next);
      now = observer.getCurrentResult();
    });
  });
  $effect.pre(() => untrack(() => observer.subscribe((result) => (now = result))));
  return {
    get now() {
      return now;
    },
  };
}

/** An answer that follows its question; the last one stays until the next is there. */
export function asked<T>(question: () => Question<T>) {
  const options = (): QueryObserverOptions<T, ApiError> => {
    const { key, ask, when, every } = question();
    return {
      queryKey: key,
      queryFn: ({ signal }) => ask(signal),
      enabled: when ?? true,
      notifyOnChangeProps: 'all',
      refetchInterval: every ? (query) => every(query.state.data) : false,
    };
  };
  const observer = new QueryObserver<T, ApiError>(answers, untrack(options));
  const query = seen<QueryObserverOptions<T, ApiError>, QueryObserverResult<T, ApiError>>(observer, options);
  return {
    get data(): T | undefined {
      return query.now.data;
    },
    /** What stands in the way now, also while it is tried again. */
    get failure(): ApiError | null {
      return query.now.error ?? query.now.failureReason;
    },
    again: () => void observer.refetch(),
  };
}

interface Page<T> {
  results: T[];
  next: string | null;
}

interface PagedQuestion<T> {
  key: Key;
  ask: (cursor: string, signal: AbortSignal) => Promise<Page<T>>;
  when?: boolean;
}

type Paged<T> = InfiniteData<Page<T>, string>;
type PagedOptions<T> = InfiniteQueryObserverOptions<Page<T>, ApiError, Paged<T>, Key, string>;

/** A list that comes by pages; the cursor of the next stands in its address. */
export function pages<T>(question: () => PagedQuestion<T>) {
  const options = (): PagedOptions<T> => {
    const { key, ask, when } = question();
    return {
      queryKey: key,
      queryFn: ({ pageParam, signal }) => ask(pageParam, signal),
      initialPageParam: '',
      getNextPageParam: (last) => cursorOf(last.next),
      enabled: when ?? true,
      notifyOnChangeProps: 'all',
    };
  };
  const observer = new InfiniteQueryObserver<Page<T>, ApiError, Paged<T>, Key, string>(answers, untrack(options));
  const query = seen<PagedOptions<T>, InfiniteQueryObserverResult<Paged<T>, ApiError>>(observer, options);
  return {
    /** The rows so far; undefined before the first answer. */
    get rows(): T[] | undefined {
      return query.now.data?.pages.flatMap((page) => page.results);
    },
    get failure(): ApiError | null {
      return query.now.error ?? query.now.failureReason;
    },
    next: () => {
      if (query.now.hasNextPage && !query.now.isFetchingNextPage) void observer.fetchNextPage();
    },
  };
}

/** Something that is done on the server; what was asked under the keys is asked anew after it. */
export function doing<In, Out = unknown>(work: (given: In) => Promise<Out>, changed: () => Key[] = () => []) {
  const mutation = createMutation(
    () => ({
      mutationFn: work,
      // not waited for: it is done, whether or not the lists can be read again just now
      onSuccess: () => changed().forEach((key) => void anew(key)),
    }),
    () => answers,
  );
  return {
    get failure(): ApiError | null {
      return mutation.error;
    },
    get busy(): boolean {
      return mutation.isPending;
    },
    /** Forgets what stood in the way, for instance when something else is typed. */
    clear: () => mutation.reset(),
    /** Does it; null where it failed, which `failure` then tells. */
    run: async (given: In): Promise<Out | null> => {
      try {
        return await mutation.mutateAsync(given);
      } catch (error) {
        if (!(error instanceof ApiError)) throw error;
        return null;
      }
    },
  };
}
