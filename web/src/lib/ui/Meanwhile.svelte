<script lang="ts">
  import { conflictIn } from '$lib/api/conflict';
  import type { ApiError } from '$lib/api/client';
  import { differences, type Doc } from '$lib/document/paths';
  import { momentInWords } from '$lib/words/dates';
  import { pathInWords } from '$lib/words/words';
  import Differences from './Differences.svelte';

  interface Props {
    failure: ApiError | null;
    /** What stands here, in the shape in which theirs comes; what is left out is not mine to keep. */
    mine: Doc;
    ontake: (theirs: Doc, version: number) => void;
    /** Keeps mine over the version that is now known. */
    onkeep: (version: number) => void;
  }

  /** Somebody changed it in between: nothing is overwritten before this is answered. */
  let { failure, mine, ontake, onkeep }: Props = $props();
  const conflict = $derived(conflictIn(failure));
  const rows = $derived(Object.keys(mine).flatMap((key) => differences(mine[key], conflict?.theirs[key], key)));
</script>

{#if conflict && failure}
  <section class="my-3 border-l-4 border-ink pl-3" role="alert">
    <p class="font-semibold">
      {failure.message}{conflict.at ? `, ${momentInWords(conflict.at)}` : ''}. Nothing was overwritten.
    </p>
    <Differences {rows} name={pathInWords} />
    {#if rows.length === 0}<p class="my-2">Both say the same.</p>{/if}
    <p class="flex flex-wrap gap-3">
      <button class="solid" type="button" onclick={() => ontake(conflict.theirs, conflict.version)}>Take theirs</button>
      {#if rows.length > 0}<button class="line" type="button" onclick={() => onkeep(conflict.version)}
          >Keep mine instead</button
        >{/if}
    </p>
  </section>
{/if}
