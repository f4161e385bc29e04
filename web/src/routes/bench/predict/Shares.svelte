<script lang="ts">
  import type { Prediction } from '$lib/api/client';
  import { at } from '$lib/results/results';

  /** What matters most to the result that decides the verdict. */
  let { answer }: { answer: Prediction } = $props();
  const about = $derived(at(answer, answer.verdict.about));
  const rows = $derived.by(() => {
    const all = Object.entries(about?.shares ?? {}).sort(([, a], [, b]) => b - a);
    const first = all.slice(0, 4).map(([path, share]) => ({ name: name(path), share }));
    const rest = all.slice(4).reduce((sum, [, share]) => sum + share, 0);
    return rest > 0.005 ? [...first, { name: 'all the rest', share: rest }] : first;
  });

  function name(path: string): string {
    return answer.inputs[path]?.name ?? path;
  }
</script>

{#if about && rows.length > 0}
  <details open>
    <summary>What matters most to the {about.label}</summary>
    {#each rows as row (row.name)}
      <p>
        <span>{row.name}</span>
        <span class="bar" style="--share: {row.share}"></span>
        <span class="figure">{row.share < 0.01 ? 'under 1' : Math.round(row.share * 100)} %</span>
      </p>
    {/each}
  </details>
{/if}

<style>
  summary {
    padding: 4px 0;
    font-size: 0.875rem;
    font-weight: 600;
    cursor: pointer;
  }

  p {
    display: grid;
    grid-template-columns: 11.5rem 1fr 3.5rem;
    align-items: center;
    gap: 8px;
    margin: 0;
    font-size: 0.8125rem;
    line-height: 1.5;
  }

  .bar {
    height: 8px;
    border-left: 1px solid var(--c-ink);
    background: linear-gradient(var(--c-second), var(--c-second)) no-repeat left / calc(var(--share) * 100%) 100%;
  }

  .figure {
    text-align: right;
  }
</style>
