<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import Mistakes from './Mistakes.svelte';

  /** From report to room, step by step, and what the report's own pressure would have done. */
  let { account }: { account: Schemas['AccountOut'] } = $props();
</script>

<section aria-label="from report to room">
  <h2>From report to room</h2>
  <ol>
    {#each account.steps as step (step.words)}
      <li><span>{step.words}</span> <b class="figure">{step.number}</b></li>
    {/each}
  </ol>
  {#each account.cautions as line (line)}<p class="caution"><strong>Caution.</strong> {line}</p>{/each}
  <ul class="note">
    {#each account.how as line (line)}<li>{line}.</li>{/each}
  </ul>
  {#if account.mistakes.length > 0}
    <h2>What a wrong pressure would do</h2>
    <p class="note">
      Each demonstration's typical set-up, here and with {account.wrong_words.replace(/,$/, '')} taken for the room's.
    </p>
    <Mistakes mistakes={account.mistakes} />
  {/if}
  {#if account.stale_mistakes.length > 0}
    <h2>What {account.stale_words} would do</h2>
    <p class="note">The same set-ups, worked with what stood for this room before.</p>
    <Mistakes mistakes={account.stale_mistakes} />
  {/if}
</section>

<style>
  h2 {
    margin: 16px 0 6px;
  }

  ol {
    max-width: 34rem;
    margin-bottom: 12px;
  }

  ol li {
    display: flex;
    justify-content: space-between;
    gap: 16px;
    padding: 4px 0;
    border-bottom: 1px solid var(--c-hair);
  }

  ul {
    margin: 0 0 20px;
    padding-left: 18px;
    list-style: disc;
  }

  .caution {
    padding-left: 8px;
    border-left: 4px solid var(--c-ink);
    font-size: 0.875rem;
  }
</style>
