<script lang="ts">
  import Figure from '$lib/ui/Figure.svelte';
  import type { Walks } from './lines';

  /** One kind of walk through several set-ups, line against line. */
  let { walks, names }: { walks: Walks; names: string[] } = $props();
  const CELL = 'border-b border-hair py-1.25 pr-3 text-left';
  const said = $derived(
    walks.part === 0
      ? 'No line differs beyond its uncertainty.'
      : walks.part === 1
        ? 'They differ from the first line on; what differs is marked ≠.'
        : `The same up to line ${walks.part - 1}; what differs from there on is marked ≠.`,
  );
</script>

<h2 class="mt-5 mb-1 text-17 font-semibold">{walks.title}, line by line</h2>
<p class="mb-1.5 max-w-[60rem]">{said}</p>
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="overflow-x-auto" role="region" aria-label="{walks.title}, line by line" tabindex="0">
  <table class="text-15">
    <thead>
      <tr>
        {#each names as name, side (side)}<th
            class="{CELL} font-semibold"
            class:pl-6={side > 0}
            scope="colgroup"
            colspan={walks.columns.length}>{name}</th
          >{/each}
      </tr>
      <tr>
        {#each names.keys() as side (side)}{#each walks.columns as column, k (k)}<th
              class="{CELL} font-normal text-second"
              class:pl-6={side > 0 && k === 0}
              scope="col">{column}</th
            >{/each}{/each}
      </tr>
    </thead>
    <tbody>
      {#each walks.lines as sides, i (i)}
        <tr>
          {#each sides as cells, side (side)}
            {#each walks.columns.keys() as k (k)}
              {@const cell = cells[k]}
              <td class="{CELL} whitespace-nowrap" class:pl-6={side > 0 && k === 0}>
                {#if side > 0 && cell?.differs}<span class="text-second" title="differs">≠ </span>{/if}
                {#if cell?.result}<Figure
                    si={cell.result.value}
                    sd={cell.result.shown_uncertainty}
                    kind={cell.result.kind}
                    shown={cell.result.shown}
                  />{:else if cell && !cell.text.startsWith('results.')}{cell.text}{:else if k === 0}ended{/if}
              </td>
            {/each}
          {/each}
        </tr>
      {/each}
    </tbody>
  </table>
</div>
