<script lang="ts">
  import type { Prediction } from '$lib/api/client';
  import type { Staged } from '$lib/predict/staged';
  import Curve from './Curve.svelte';

  /** Where schools disagree: who holds what, and which view this set-up bears out, with a small curve. */
  let { staged, answer }: { staged: Staged; answer: Prediction } = $props();
  let opened = $state<Record<string, boolean>>({});
</script>

{#each answer.schools as school (school.claim)}
  <details ontoggle={(event) => (opened[school.claim] = event.currentTarget.open)}>
    <summary class="cursor-pointer py-1 text-14">{school.claim}</summary>
    <p class="mb-2 text-14">{school.words}</p>
    {#if school.curve && opened[school.claim]}
      <Curve {staged} input={school.curve.input} result={school.curve.result} />
    {/if}
  </details>
{/each}
