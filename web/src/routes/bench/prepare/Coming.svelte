<script lang="ts">
  import { asked } from '$lib/api/asked.svelte';
  import { ask, client } from '$lib/api/client';
  import { momentInWords } from '$lib/words/dates';
  import { p } from '../../../router';

  /** The lessons to come that show a saved set-up, with what of its gear cannot be had at their hours. */
  let { department, setup }: { department: string; setup: number } = $props();
  const found = asked(() => {
    const path = { department, setup };
    return {
      key: ['coming', department, setup],
      ask: (signal) =>
        ask(client.GET('/api/departments/{department}/setups/{setup}/coming', { params: { path }, signal })),
    };
  });
</script>

{#if found.data?.length}
  <h2 class="mt-3.5 mb-1 border-t border-hair pt-1.5 first:mt-0">For which lesson</h2>
  <ul class="list-disc pl-5">
    {#each found.data as one (one.lesson)}
      <li class="my-0.75">
        <a
          class="plain"
          href={p('/d/:department/lessons/:lesson', { params: { department, lesson: String(one.lesson) } })}
          >{one.name}</a
        >, {momentInWords(one.starts_at)}{one.room ? `, ${one.room}` : ''}
        {#each one.in_the_way as words (words)}
          <p class="mt-1 border-l-4 border-ink pl-2 text-14">{words}</p>
        {/each}
      </li>
    {/each}
  </ul>
{/if}
