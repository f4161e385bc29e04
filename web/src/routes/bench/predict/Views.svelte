<script lang="ts">
  import type { Prediction } from '$lib/api/client';
  import Section from '$lib/section/Section.svelte';
  import Figure from '$lib/ui/Figure.svelte';
  import { at } from '$lib/results/results';

  /** Views of results beside the section: tables, and maps over two inputs. */
  let { answer }: { answer: Prediction } = $props();
</script>

{#each answer.views as view (view.title)}
  <details open={view.view === 'map' || undefined}>
    <summary>{view.title}</summary>
    {#if view.view === 'map' && view.drawing}
      <Section drawing={view.drawing} title={view.title} />
    {:else}
      <table>
        <thead>
          <tr
            >{#each view.columns ?? [] as column, i (i)}<th scope="col">{column}</th>{/each}</tr
          >
        </thead>
        <tbody>
          {#each view.rows ?? [] as row, i (i)}
            <tr>
              {#each row as cell, k (k)}
                {@const result = cell.startsWith('results.') ? at(answer, cell) : null}
                <td>
                  {#if result}<Figure
                      si={result.value}
                      sd={result.standard_uncertainty}
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

<style>
  summary {
    padding: 4px 0;
    font-size: 0.875rem;
    cursor: pointer;
  }

  table {
    width: 100%;
    border-collapse: collapse;
    font-size: 0.8125rem;
  }

  th {
    font-weight: 400;
    text-align: left;
    color: var(--c-second);
  }

  td,
  th {
    padding: 3px 6px 3px 0;
    border-bottom: 1px solid var(--c-hair);
  }
</style>
