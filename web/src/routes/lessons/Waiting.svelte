<script lang="ts">
  import Problem from '$lib/ui/Problem.svelte';
  import type { Ticking } from './ticking.svelte';

  /** Ticks that the server does not have yet. */
  let { ticking }: { ticking: Ticking } = $props();
  const many = $derived(ticking.waiting.length);
</script>

<Problem failure={ticking.failure} />
{#if many > 0}
  <p class="my-1.5 border-l-4 border-ink pl-2 text-14" role="status">
    {many === 1 ? 'One tick is' : `${many} ticks are`} kept here and not sent yet: {many === 1 ? 'it goes' : 'they go'} as
    soon as the server answers.
  </p>
{/if}
