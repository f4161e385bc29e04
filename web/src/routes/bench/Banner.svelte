<script lang="ts">
  import { inputName } from '$lib/results/results';
  import { words } from '$lib/words/words';
  import type { Bench } from './bench.svelte';

  /** What stands in the way: no connection, signed out, a refusal; and a draft that came back. */
  let { bench }: { bench: Bench } = $props();
  const { problem, refusal, answer } = $derived(bench.predictor);
</script>

{#if problem?.lost}
  <p class="wrong mb-3 bg-ground" role="status">{words.lost}{bench.kept.waiting ? ` ${words.saveWaits}` : ''}</p>
{:else if problem?.signedOut}
  <p class="wrong mb-3 bg-ground" role="alert">
    {words.signedOut} <a href="/accounts/login/" target="_blank" rel="noopener">Sign in again in a new tab</a>; then
    this page goes on.
  </p>
{:else if refusal}
  <p class="wrong mb-3 bg-ground">
    {#if refusal.problem.path}<strong>{inputName(answer, refusal.problem.path)}:</strong>{/if}
    {refusal.message}.
    {#if answer}The last good answer stays below.{/if}
  </p>
{/if}
{#if bench.kept.restored}
  <p class="note mb-2">
    {words.draftBack}
    {#if bench.kept.setup}<button class="plain min-h-6" type="button" onclick={() => bench.discardDraft()}
        >back to what is saved</button
      >{/if}
  </p>
{/if}
