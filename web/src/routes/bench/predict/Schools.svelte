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
    <summary>{school.claim}</summary>
    <p>{school.words}</p>
    {#if school.curve && opened[school.claim]}
      <Curve {staged} input={school.curve.input} result={school.curve.result} />
    {/if}
  </details>
{/each}

<style>
  summary {
    padding: 4px 0;
    font-size: 0.875rem;
    cursor: pointer;
  }

  p {
    margin: 0 0 8px;
    font-size: 0.875rem;
  }
</style>
