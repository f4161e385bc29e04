<script lang="ts">
  import { asked, doing, pages } from './asked.svelte';
  import type { ApiError } from './client';
  import { settled } from './settled.svelte';

  interface Props {
    word: string;
    ask: (word: string) => Promise<string>;
    page?: (cursor: string) => Promise<{ results: string[]; next: string | null }>;
    work?: () => Promise<string>;
    still?: number;
  }

  let {
    word,
    ask,
    page = () => Promise.resolve({ results: [], next: null }),
    work = () => Promise.resolve(''),
    still = 0,
  }: Props = $props();
  const typed = settled(() => word, 20);
  const answer = asked(() => {
    const one = still > 0 ? typed.now : word;
    return { key: ['harness', one], ask: () => ask(one) };
  });
  const list = pages(() => ({ key: ['harness-list'], ask: (cursor) => page(cursor) }));
  const act = doing(
    () => work(),
    () => [['harness']],
  );
  let came = $state<string | null>('not yet');
  const words = (failure: ApiError | null): string => failure?.message ?? '';
</script>

<p data-testid="answer">{answer.data ?? 'nothing yet'}</p>
<p data-testid="failure">{words(answer.failure)}</p>
<p data-testid="rows">{list.rows?.join(' ') ?? 'nothing yet'}</p>
<p data-testid="came">{came ?? 'failed'}: {words(act.failure)}</p>
<button type="button" onclick={list.next}>more</button>
<button type="button" onclick={async () => (came = await act.run(undefined))}>do it</button>
