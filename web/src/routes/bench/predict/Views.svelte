<script lang="ts">
  import type { Prediction } from '$lib/api/client';
  import Section from '$lib/section/Section.svelte';
  import Figure from '$lib/ui/Figure.svelte';
  import { at } from '$lib/results/results';

  /** Views of results beside the section: tables, maps over two inputs, plots. */
  let { answer }: { answer: Prediction } = $props();
</script>

{#each answer.views as view (view.title)}
  <details open={view.drawing !== null || undefined}>
    <summary class="cursor-pointer py-1 text-14">{view.title}</summary>
    {#if view.drawing}
      <Section drawing={view.drawing} title={view.title} />
    {:else}
      <table class="w-full text-13">
        <thead>
          <tr
            >{#each view.columns ?? [] as column, i (i)}<th
                class="border-b border-hair py-0.75 pr-1.5 text-left font-normal text-second"
                scope="col">{column}</th
              >{/each}</tr
          >
        </thead>
        <tbody>
          {#each view.rows ?? [] as row, i (i)}
            <tr>
              {#each row as cell, k (k)}
                {@const result = cell.startsWith('results.') ? at(answer, cell) : null}
                <td class="border-b border-hair py-0.75 pr-1.5">
                  {#if result}<Figure
                      si={result.value}
                      sd={result.shown_uncertainty}
                      kind={result.kind}
                      shown={result.shown}
                    />
                  {:else}{cell.startsWith('results.') ? '–' : cell}{/if}
                </td>
              {/each}
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
  </details>
{/each}
