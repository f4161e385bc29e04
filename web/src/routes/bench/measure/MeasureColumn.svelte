<script lang="ts">
  import FormFields from '$lib/fields/FormFields.svelte';
  import type { Field } from '$lib/fields/schema';
  import { holdsLiquid } from '$lib/results/results';
  import { words } from '$lib/words/words';
  import type { Staged } from '$lib/predict/staged';

  /** The room that the set-up is worked in, beside the measures at the left. */
  let { staged, fields }: { staged: Staged; fields: Field[] } = $props();
  /** Beside a liquid stands its temperature already. */
  const here = $derived(fields.filter((field) => field.key !== 'temperature' || !holdsLiquid(staged.predictor.answer)));
</script>

<h2>The room</h2>
<FormFields fields={here} path="room" />
{#if staged.predictor.answer}
  <h2 class="mt-4">Worked out</h2>
  <ul class="note mt-1 list-disc pl-4.5">
    {#each staged.predictor.answer.room.how as line (line)}<li>{line}</li>{/each}
  </ul>
{/if}
<p class="note mt-4">
  Measure at the left, from the top down. {words.plusMinus} The thicker the line under a measure, the more of the verdict's
  ± comes from it.
</p>
