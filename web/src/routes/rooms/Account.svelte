<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import Number from '$lib/ui/Number.svelte';

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
    <table>
      <thead><tr><th scope="col">demonstration</th><th scope="col">here</th><th scope="col">by mistake</th></tr></thead>
      <tbody>
        {#each account.mistakes as one (one.title)}
          <tr title={one.words}>
            <td>{one.title}, {one.label}</td>
            <td
              >{#if one.here !== null}<Number
                  si={one.here}
                  sd={one.here_sd}
                  kind={one.kind}
                  shown={one.shown}
                />{/if}</td
            >
            <td
              >{#if one.mistaken !== null}<Number
                  si={one.mistaken}
                  sd={one.mistaken_sd}
                  kind={one.kind}
                  shown={one.shown}
                />{/if}</td
            >
          </tr>
          <tr class="words"><td colspan="3">{one.words[0]?.toUpperCase()}{one.words.slice(1)}.</td></tr>
        {/each}
      </tbody>
    </table>
  {/if}
</section>

<style>
  h2 {
    margin: 0 0 6px;
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

  table {
    width: 100%;
    max-width: 46rem;
    margin-top: 8px;
    border-collapse: collapse;
    font-size: 0.875rem;
  }

  th {
    font-weight: 400;
    text-align: left;
    color: var(--c-second);
  }

  td {
    padding: 6px 8px 0 0;
    border-top: 1px solid var(--c-hair);
  }

  .words td {
    padding: 0 8px 6px 0;
    border: 0;
    color: var(--c-second);
    font-size: 0.8125rem;
  }
</style>
