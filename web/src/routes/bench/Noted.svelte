<script lang="ts">
  import { asked } from '$lib/api/asked.svelte';
  import { ask, client } from '$lib/api/client';
  import { dateInWords } from '$lib/words/dates';

  /** What was noted last time of a saved set-up, before all else. */
  let { department, setup }: { department: string; setup: number } = $props();
  const found = asked(() => {
    const path = { department, setup };
    return {
      key: ['noted', department, setup],
      ask: (signal) =>
        ask(client.GET('/api/departments/{department}/setups/{setup}/noted', { params: { path }, signal })),
    };
  });
  const last = $derived(found.data?.[0]);
</script>

{#if last}
  <p class="mb-2 border-l-4 border-ink pl-2 text-14" aria-label="noted last time">
    {last.note}
    <span class="note block">noted {dateInWords(last.at)}{last.by ? ` by ${last.by}` : ''}</span>
  </p>
{/if}
