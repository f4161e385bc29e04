<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import Mistakes from './Mistakes.svelte';

  /** From report to room, step by step, and what the report's own pressure would have done. */
  let { account }: { account: Schemas['AccountOut'] } = $props();
</script>

<section aria-label="from report to room">
  <h2 class="mt-4 mb-1.5">From report to room</h2>
  <ol class="mb-3 max-w-[34rem]">
    {#each account.steps as step (step.words)}
      <li class="flex justify-between gap-4 border-b border-hair py-1">
        <span>{step.words}</span> <b class="figure whitespace-nowrap">{step.number}</b>
      </li>
    {/each}
  </ol>
  {#each account.cautions as line (line)}<p class="caution border-l-4 border-ink pl-2 text-14">
      <strong>Caution.</strong>
      {line}
    </p>{/each}
  <ul class="note mb-5 list-disc pl-4.5">
    {#each account.how as line (line)}<li>{line}.</li>{/each}
  </ul>
  {#if account.mistakes.length > 0}
    <h2 class="mt-4 mb-1.5">What a wrong pressure would do</h2>
    <p class="note">
      Each demonstration's typical set-up, here and with {account.wrong_words.replace(/,$/, '')} taken for the room's.
    </p>
    <Mistakes mistakes={account.mistakes} />
  {/if}
  {#if account.stale_mistakes.length > 0}
    <h2 class="mt-4 mb-1.5">What {account.stale_words} would do</h2>
    <p class="note">The same set-ups, worked with what stood for this room before.</p>
    <Mistakes mistakes={account.stale_mistakes} />
  {/if}
</section>
