<script lang="ts">
  import { shortMoment } from '$lib/words/dates';
  import type { Schemas } from '$lib/api/client';
  import Figure from '$lib/ui/Figure.svelte';
  import { gapInWords, uncertaintyInWords } from './gap';

  interface Props {
    series: Schemas['SeriesOut'][];
    /** Corrects a reading; false where it was refused. */
    oncorrect: (reading: number, text: string) => Promise<boolean>;
  }

  let { series, oncorrect }: Props = $props();
  let correcting = $state<number | null>(null);
  let text = $state('');

  async function send(reading: number): Promise<void> {
    if (await oncorrect(reading, text)) correcting = null;
  }
</script>

{#if series.length === 0}
  <p class="note">Nothing was read at this run.</p>
{:else}
  <table>
    <thead>
      <tr
        ><th scope="col">read</th><th scope="col">predicted</th><th scope="col">mean</th><th scope="col">gap</th><th
          scope="col">readings</th
        ></tr
      >
    </thead>
    <tbody>
      {#each series as one (one.path)}
        <tr>
          <th scope="row">{one.name}</th>
          <td>
            {#if one.predicted !== null && one.predicted !== undefined}
              <Figure si={one.predicted} sd={one.predicted_uncertainty ?? 0} kind={one.kind} shown={one.shown} big />
            {/if}
          </td>
          <td>
            <Figure si={one.mean} sd={one.standard_uncertainty} kind={one.kind} shown={one.shown} big />
            <span class="note">{uncertaintyInWords(one)}</span>
          </td>
          <td>{gapInWords(one.gap)}</td>
          <td class="readings">
            {#each one.readings as reading (reading.id)}
              {#if correcting === reading.id}
                <form
                  onsubmit={(event) => {
                    event.preventDefault();
                    void send(reading.id);
                  }}
                >
                  <input class="box figure" aria-label="corrected reading" bind:value={text} />
                  <button class="plain" type="submit">keep</button>
                  <button class="plain" type="button" onclick={() => (correcting = null)}>leave</button>
                </form>
              {:else}
                <span class="figure reading"
                  >{reading.text}
                  <button
                    class="plain"
                    type="button"
                    aria-label="correct {reading.text}"
                    onclick={() => {
                      correcting = reading.id;
                      text = reading.text;
                    }}>correct</button
                  >
                  {#each reading.corrections as correction (correction.at)}
                    <span class="note"
                      >was {correction.text_before}, changed by {correction.by}, {shortMoment(correction.at)}</span
                    >
                  {/each}
                </span>
              {/if}
            {/each}
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
{/if}

<style>
  table {
    width: 100%;
    border-collapse: collapse;
  }

  th,
  td {
    padding: 6px 12px 6px 0;
    border-bottom: 1px solid var(--c-hair);
    text-align: left;
    vertical-align: top;
    font-weight: 400;
  }

  thead th {
    font-size: 0.875rem;
    color: var(--c-second);
  }

  td > .note {
    display: block;
    max-width: 15rem;
  }

  .readings {
    font-size: 0.9375rem;
  }

  .reading {
    display: block;
  }

  .reading button {
    min-height: 24px;
    font-size: 0.8125rem;
  }

  form {
    display: flex;
    gap: 6px;
  }

  form input {
    width: 7rem;
  }

  @media (max-width: 700px) {
    thead {
      display: none;
    }

    th,
    td {
      display: block;
      border: 0;
      padding: 2px 0;
    }

    tr {
      display: block;
      padding: 8px 0;
      border-bottom: 1px solid var(--c-hair);
    }
  }
</style>
