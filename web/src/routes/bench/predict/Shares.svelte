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
    <summary class="cursor-pointer py-1 text-14 font-semibold">What matters most to the {about.label}</summary>
    {#each rows as row (row.name)}
      <p class="grid grid-cols-[11.5rem_1fr_3.5rem] items-center gap-2 text-13 leading-[1.5]">
        <span>{row.name}</span>
        <span class="h-2 border-l border-ink">
          <span class="block h-full bg-second" style:width="{100 * row.share}%"></span>
        </span>
        <span class="figure text-right">{row.share < 0.01 ? 'under 1' : Math.round(row.share * 100)} %</span>
      </p>
    {/each}
  </details>
{/if}
