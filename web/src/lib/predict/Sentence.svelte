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
  {#each some as run, i (i)}{#if run.text}{run.text}{:else}<span class="figure whitespace-nowrap"
        ><b class="font-semibold">{run.number}</b>{#if run.spread}<small class="text-[0.62em]"
            >{SPACE}±{SPACE}{run.spread}</small
          >{/if}{#if run.unit}<small class="text-[0.62em]">{SPACE}{run.unit}</small>{/if}</span
      >{/if}{/each}
{/snippet}

<div>
  <h1 class="text-28 leading-[1.16] font-normal">{@render told(halves.first)}</h1>
  {#if halves.rest.length > 0}<p class="mt-1.5 text-16 leading-[1.3] [&_small]:text-13">
      {@render told(halves.rest)}
    </p>{/if}
</div>
