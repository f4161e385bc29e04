<script lang="ts">
  import type { PuttingAway } from '$lib/api/putting-away.svelte';
  import Problem from './Problem.svelte';

  /** What was put away last, and the way back. */
  let { away }: { away: PuttingAway } = $props();
</script>

<p class="undo text-15" role="status">
  {#if away.gone}
    “{away.gone.name}” is archived.
    <button class="plain font-semibold" type="button" onclick={() => void away.undo()}>undo</button>
  {/if}
</p>
<Problem failure={away.failure} />
