<script lang="ts">
  import type { Prediction } from '$lib/api/client';
  import { resultsOf } from '$lib/results/results';
  import { session } from '$lib/session/session.svelte';
  import Figure from '$lib/ui/Figure.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import Sentence from '$lib/predict/Sentence.svelte';
  import type { Measured } from './aids';

  /** What a measurement comes to: the sentence, its results with their uncertainties, what matters most to the one asked for. */
  let { answer }: { answer: Measured } = $props();
  const all = $derived(resultsOf(answer as Pick<Prediction, 'results'>));
  const about = $derived(all.find((one) => one.path === answer.verdict.about));
  /** What a table or a plot tells point by point is not told here again. */
  const results = $derived(answer.views.length > 0 ? all.filter((one) => !/\.\d/.test(one.path)) : all);
  const shares = $derived(
    Object.entries(about?.result.shares ?? {})
      .sort(([, a], [, b]) => b - a)
      .slice(0, 4),
  );
  const name = (path: string): string => answer.inputs[path]?.name ?? 'scatter of the points about the line';
</script>

<div class="flex gap-3">
  <VerdictMark state={answer.verdict.state} doubt={answer.verdict.doubt} />
  <Sentence runs={answer.verdict.runs} />
</div>
<dl class="mt-3 text-14">
  {#each results as one (one.path)}
    <div class="flex items-baseline justify-between gap-3 border-b border-hair py-1">
      <dt>{one.name}</dt>
      <dd class="whitespace-nowrap">
        <Figure
          si={one.result.value}
          sd={one.result.shown_uncertainty}
          kind={one.result.kind}
          shown={session.unit(one.result.kind, one.result.shown).unit}
        />
      </dd>
    </div>
  {/each}
</dl>
{#if shares.length > 0}
  <p class="mt-3 text-14 font-semibold">What matters most to it</p>
  <ul class="text-14">
    {#each shares as [path, share] (path)}
      <li class="flex justify-between gap-3 py-0.5">
        <span>{name(path)}</span><span class="figure">{share < 0.01 ? 'under 1' : Math.round(100 * share)} %</span>
      </li>
    {/each}
  </ul>
{/if}
