<script lang="ts">
  import { pathInWords, words } from '$lib/words/words';
  import type { Bench } from './bench.svelte';

  /** What stands in the way: no connection, signed out, a refusal; and a draft that came back. */
  let { bench }: { bench: Bench } = $props();
  const { problem, refusal, answer } = $derived(bench.predictor);
</script>

{#if problem?.lost}
  <p class="wrong" role="status">{words.lost}</p>
{:else if problem?.signedOut}
  <p class="wrong" role="alert">
    {words.signedOut} <a href="/accounts/login/" target="_blank" rel="noopener">Sign in again in a new tab</a>; then
    this page goes on.
  </p>
{:else if refusal}
  <p class="wrong" role="alert">
    {#if refusal.problem.path}<strong>{pathInWords(refusal.problem.path)}:</strong>{/if}
    {refusal.message}.
    {#if answer}The last good answer stays below.{/if}
  </p>
{/if}
{#if bench.kept.restored}
  <p class="note back">
    {words.draftBack}
    {#if bench.kept.setup}<button class="plain" type="button" onclick={() => bench.discardDraft()}
        >back to what is saved</button
      >{/if}
  </p>
{/if}

<style>
  .wrong {
    margin: 0 0 12px;
    background: var(--c-ground);
  }

  .back {
    margin: 0 0 8px;
  }

  .back button {
    min-height: 24px;
  }
</style>
