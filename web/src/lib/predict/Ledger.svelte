<script lang="ts">
  import type { Prediction } from '$lib/api/client';
  import { usePointed } from '$lib/section/pointed';
  import { at } from '$lib/results/results';
  import Figure from '$lib/ui/Figure.svelte';

  /** A table of results; where its lines point at shapes of the section it may be walked line by line. */
  let { answer, view }: { answer: Pick<Prediction, 'results'>; view: Prediction['views'][number] } = $props();
  const pointed = usePointed();
  const rows = $derived(view.rows ?? []);
  const walks = $derived(pointed ? (view.walks ?? []) : []);
  /** The line that one has come to; null where the whole table stands. */
  let reached = $state<number | null>(null);

  function go(to: number | null): void {
    reached = to === null ? null : Math.min(Math.max(to, 0), rows.length - 1);
    pointed?.point(reached === null ? '' : (walks[reached] ?? ''));
  }

  function key(event: KeyboardEvent): void {
    if (reached === null) return;
    const step = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }[event.key];
    if (step) go(reached + step);
    else if (event.key === 'Escape') go(null);
    else return;
    event.preventDefault();
  }
</script>

{#if walks.length > 0}
  <!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
  <p class="my-1 flex gap-2" role="group" aria-label="walk {view.title.toLowerCase()}" onkeydown={key}>
    {#if reached !== null}
      <button class="plain text-13" type="button" aria-disabled={reached === 0} onclick={() => go((reached ?? 0) - 1)}
        >back</button
      >
    {/if}
    <!-- one button all the way, so that the focus stays on it -->
    <button
      class="line text-13"
      type="button"
      aria-disabled={reached === rows.length - 1}
      onclick={() => go(reached === null ? 0 : reached + 1)}>{reached === null ? 'Walk it, line by line' : 'on'}</button
    >
    {#if reached !== null}
      <button class="plain text-13" type="button" onclick={() => go(null)}>show all</button>
    {/if}
  </p>
{/if}
<table class="w-full text-13">
  <thead>
    <tr
      >{#each view.columns ?? [] as column, i (i)}<th
          class="border-b border-hair py-0.75 pr-1.5 text-left font-normal text-second"
          scope="col">{column}</th
        >{/each}</tr
    >
  </thead>
  <tbody aria-live={reached === null ? undefined : 'polite'}>
    {#each rows as row, i (i)}
      <tr
        class:here={reached === i}
        onpointerenter={() => reached === null && pointed?.point(walks[i] ?? '')}
        onpointerleave={() => reached === null && pointed?.point('')}
      >
        {#each row as cell, k (k)}
          {@const result = cell.startsWith('results.') ? at(answer, cell) : null}
          <td class="border-b border-hair py-0.75 pr-1.5">
            {#if reached !== null && i > reached && k > 0}…{:else if result}<Figure
                si={result.value}
                sd={result.shown_uncertainty}
                kind={result.kind}
                shown={result.shown}
              />{:else}{cell.startsWith('results.') ? '–' : cell}{/if}
          </td>
        {/each}
      </tr>
    {/each}
  </tbody>
</table>

<style>
  .here td {
    border-bottom-color: var(--c-ink);
    font-weight: 600;
  }
</style>
