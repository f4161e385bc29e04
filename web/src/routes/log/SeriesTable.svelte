<script lang="ts">
  import { shortMoment } from '$lib/words/dates';
  import type { Schemas } from '$lib/api/client';
  import { takesOver } from '$lib/ui/focus';
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
  <table
    class="w-full max-[700px]:[&_td]:before:mr-2 max-[700px]:[&_td]:before:text-14 max-[700px]:[&_td]:before:text-second max-[700px]:[&_td]:before:content-[attr(data-head)]"
  >
    <thead class="max-[700px]:hidden">
      <tr class="max-[700px]:block max-[700px]:border-b max-[700px]:border-hair max-[700px]:px-0 max-[700px]:py-2"
        ><th
          class="border-b border-hair py-1.5 pr-3 text-left align-top text-14 font-normal text-second max-[700px]:block max-[700px]:border-0 max-[700px]:px-0 max-[700px]:py-0.5"
          scope="col">read</th
        ><th
          class="border-b border-hair py-1.5 pr-3 text-left align-top text-14 font-normal text-second max-[700px]:block max-[700px]:border-0 max-[700px]:px-0 max-[700px]:py-0.5"
          scope="col">predicted</th
        ><th
          class="border-b border-hair py-1.5 pr-3 text-left align-top text-14 font-normal text-second max-[700px]:block max-[700px]:border-0 max-[700px]:px-0 max-[700px]:py-0.5"
          scope="col">mean</th
        ><th
          class="border-b border-hair py-1.5 pr-3 text-left align-top text-14 font-normal text-second max-[700px]:block max-[700px]:border-0 max-[700px]:px-0 max-[700px]:py-0.5"
          scope="col">gap</th
        ><th
          class="border-b border-hair py-1.5 pr-3 text-left align-top text-14 font-normal text-second max-[700px]:block max-[700px]:border-0 max-[700px]:px-0 max-[700px]:py-0.5"
          scope="col">readings</th
        ></tr
      >
    </thead>
    <tbody>
      {#each series as one (one.path)}
        <tr class="max-[700px]:block max-[700px]:border-b max-[700px]:border-hair max-[700px]:px-0 max-[700px]:py-2">
          <th
            class="border-b border-hair py-1.5 pr-3 text-left align-top font-normal max-[700px]:block max-[700px]:border-0 max-[700px]:px-0 max-[700px]:py-0.5"
            scope="row">{one.name}</th
          >
          <td
            data-head="predicted"
            class="border-b border-hair py-1.5 pr-3 text-left align-top font-normal max-[700px]:block max-[700px]:border-0 max-[700px]:px-0 max-[700px]:py-0.5"
          >
            {#if one.predicted !== null && one.predicted !== undefined}
              <Figure si={one.predicted} sd={one.predicted_uncertainty ?? 0} kind={one.kind} shown={one.shown} big />
            {/if}
          </td>
          <td
            data-head="mean"
            class="border-b border-hair py-1.5 pr-3 text-left align-top font-normal max-[700px]:block max-[700px]:border-0 max-[700px]:px-0 max-[700px]:py-0.5"
          >
            <Figure si={one.mean} sd={one.standard_uncertainty} kind={one.kind} shown={one.shown} big />
            <span class="note block max-w-[15rem]">{uncertaintyInWords(one)}</span>
          </td>
          <td
            data-head="gap"
            class="border-b border-hair py-1.5 pr-3 text-left align-top font-normal max-[700px]:block max-[700px]:border-0 max-[700px]:px-0 max-[700px]:py-0.5"
            >{gapInWords(one.gap)}</td
          >
          <td
            data-head="readings"
            class="border-b border-hair py-1.5 pr-3 text-left align-top text-15 font-normal max-[700px]:block max-[700px]:border-0 max-[700px]:px-0 max-[700px]:py-0.5"
          >
            {#each one.readings as reading (reading.id)}
              {#if correcting === reading.id}
                <form
                  use:takesOver
                  class="flex gap-1.5"
                  onsubmit={(event) => {
                    event.preventDefault();
                    void send(reading.id);
                  }}
                >
                  <input class="box figure w-[7rem]" aria-label="corrected reading" bind:value={text} />
                  <button class="plain" type="submit">keep</button>
                  <button class="plain" type="button" onclick={() => (correcting = null)}>leave</button>
                </form>
              {:else}
                <span class="figure block"
                  >{reading.text}
                  <button
                    class="plain min-h-6 text-13"
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
