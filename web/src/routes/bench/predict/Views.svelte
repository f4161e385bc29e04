<script lang="ts">
  import type { Prediction } from '$lib/api/client';
  import Chart from '$lib/chart/Chart.svelte';
  import type { Staged } from '$lib/predict/staged';
  import Section from '$lib/section/Section.svelte';
  import Ledger from '$lib/predict/Ledger.svelte';

  /** Views of results beside the section: tables, plots, and maps over two inputs on which one drags. */
  let { answer, staged }: { answer: Prediction; staged: Staged } = $props();

  function hold(path: string, text: string): void {
    staged.predictor.holding = path;
    staged.edited.change(path, text, 'gesture:map');
  }

  function release(): void {
    staged.edited.endGesture();
    staged.predictor.release();
  }

  function nothing(): void {
    // a map's ring neither takes away nor adds
  }
</script>

{#each answer.views as view (view.title)}
  <details open={view.drawing || view.chart ? true : (view.walks ?? []).length > 0 || undefined}>
    <summary class="cursor-pointer py-1 text-14">{view.title}</summary>
    {#if view.chart}
      <Chart chart={view.chart} title={view.title} />
    {:else if view.drawing}
      <Section
        drawing={view.drawing}
        title={view.title}
        onhold={hold}
        onrelease={release}
        onremove={nothing}
        onfocus={nothing}
        onadd={nothing}
      />
    {:else}
      <Ledger {answer} {view} />
    {/if}
  </details>
{/each}
