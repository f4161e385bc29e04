<script lang="ts">
  import type { Difference } from '$lib/document/paths';

  interface Props {
    rows: Difference[];
    /** What a path is called. */
    name: (path: string) => string;
  }

  /** Where two versions differ, mine beside theirs. */
  let { rows, name }: Props = $props();
  const CELL = 'border-b border-hair py-1 pr-2 text-left align-top';
</script>

{#if rows.length > 0}
  <table class="my-3 w-full">
    <thead
      ><tr
        >{#each ['what', 'yours', 'theirs'] as head (head)}<th class="{CELL} font-semibold" scope="col">{head}</th
          >{/each}</tr
      ></thead
    >
    <tbody>
      {#each rows as row (row.path)}
        <tr
          ><td class={CELL}>{name(row.path)}</td><td class="figure {CELL}">{row.mine}</td><td class="figure {CELL}"
            >{row.theirs}</td
          ></tr
        >
      {/each}
    </tbody>
  </table>
{/if}
