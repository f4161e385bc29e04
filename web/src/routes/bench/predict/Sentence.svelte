<script lang="ts">
  import type { Prediction } from '$lib/api/client';
  import { SPACE } from '$lib/units/format';

  /** The verdict's sentence, its numbers set as measures; what follows a semicolon stands smaller. */
  let { runs }: { runs: Prediction['verdict']['runs'] } = $props();

  type Runs = Prediction['verdict']['runs'];
  const halves = $derived.by(() => {
    const first: Runs = [];
    const rest: Runs = [];
    let into = first;
    for (const run of runs) {
      const cut = into === first && run.text ? run.text.indexOf(';') : -1;
      if (run.text && cut >= 0) {
        first.push({ text: run.text.slice(0, cut + 1) });
        rest.push({ text: run.text.slice(cut + 1).trimStart() });
        into = rest;
      } else into.push(run);
    }
    return { first, rest };
  });
</script>

{#snippet told(some: Runs)}
  {#each some as run, i (i)}{#if run.text}{run.text}{:else}<span class="figure"
        ><b>{run.number}</b>{#if run.spread}<small>{SPACE}±{SPACE}{run.spread}</small>{/if}{#if run.unit}<small
            >{SPACE}{run.unit}</small
          >{/if}</span
      >{/if}{/each}
{/snippet}

<div>
  <h1>{@render told(halves.first)}</h1>
  {#if halves.rest.length > 0}<p>{@render told(halves.rest)}</p>{/if}
</div>

<style>
  h1 {
    margin: 0;
    font-size: 1.75rem;
    font-weight: 400;
    line-height: 1.16;
  }

  p {
    margin: 6px 0 0;
    font-size: 1rem;
    line-height: 1.3;
  }

  .figure {
    white-space: nowrap;
  }

  b {
    font-weight: 600;
  }

  small {
    font-size: 0.62em;
  }

  p small {
    font-size: 0.8125rem;
  }
</style>
