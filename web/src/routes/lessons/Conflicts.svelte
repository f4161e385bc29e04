<script lang="ts">
  import type { Conflict } from './lesson';

  interface Props {
    conflicts: readonly Conflict[];
    oncure: (changes: Conflict['cures'][number]['changes']) => void;
  }

  /** What cannot be as it is planned, with what would resolve it on a press. */
  let { conflicts, oncure }: Props = $props();
</script>

{#each conflicts as conflict (conflict.words)}
  <div class="my-2 border-l-4 border-ink pl-2.5" role="alert">
    <p class="font-semibold">{conflict.words}</p>
    {#if conflict.cures.length > 0}
      <p class="mt-1 flex flex-wrap items-baseline gap-2 text-14">
        {#each conflict.cures as cure (cure.words)}
          <button class="line" type="button" onclick={() => oncure(cure.changes)}>{cure.words}</button>
        {/each}
      </p>
    {/if}
  </div>
{/each}
