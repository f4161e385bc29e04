<script lang="ts">
  import { pages } from '$lib/api/asked.svelte';
  import { ask, client, type RunRow } from '$lib/api/client';
  import { settled } from '$lib/api/settled.svelte';
  import Figure from '$lib/ui/Figure.svelte';
  import LongList from '$lib/ui/LongList.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import { dateInWords } from '$lib/words/dates';
  import { words } from '$lib/words/words';
  import { p, parameter } from '../../router';
  import { onMount, untrack } from 'svelte';
  import { Outbox } from '../bench/run/outbox.svelte';
  import WaitingRuns from '../bench/run/WaitingRuns.svelte';
  import { gapInWords } from './gap';

  let search = $state('');
  let archived = $state(false);
  const department = $derived(parameter('department'));
  const outbox = new Outbox(untrack(() => department));
  onMount(() => outbox.start());
  const typed = settled(() => search, 150);
  const runs = pages<RunRow>(() => ({
    key: ['runs', department, typed.now, archived],
    ask: (cursor, signal) => {
      const query = { search: typed.now, archived, ...(cursor ? { cursor } : {}) };
      return ask(client.GET('/api/departments/{department}/runs', { params: { path: { department }, query }, signal }));
    },
  }));
</script>

<svelte:head><title>Log, Anchorage</title></svelte:head>

<TopLine />
<main class="mx-auto max-w-6xl px-6 py-8 max-phone:px-4 max-phone:py-5">
  <div class="head mb-5 flex flex-wrap items-center gap-x-4 gap-y-3">
    <h1>{archived ? 'Runs that were taken back' : 'Log'}</h1>
    <input
      class="box ml-auto w-[18rem] max-[860px]:ml-0 max-[860px]:w-full"
      type="search"
      placeholder="search set-ups, notes, people"
      aria-label="search the log"
      bind:value={search}
    />
    <a
      class="line inline-flex items-center no-underline"
      href="/api/departments/{department}/runs.csv?{new URLSearchParams({ search })}"
      download>Save as CSV</a
    >
    <button class="plain" type="button" onclick={() => (archived = !archived)}
      >{archived ? 'back to the log' : 'taken back'}</button
    >
  </div>
  <p class="note mb-3">
    What was read, ± 95 %, and how far it lies from the prediction: u is the standard uncertainty of reading and
    prediction together.
  </p>
  <WaitingRuns {outbox} />
  <Problem failure={runs.failure} />
  {#if runs.rows && runs.rows.length > 0}
    <div class="list border-t border-ink" role="list">
      <LongList rows={runs.rows} onend={runs.next}>
        {#snippet children(run)}
          <div
            class="row grid grid-cols-[7rem_minmax(0,1fr)_8.5rem_19rem] gap-4 border-b border-hair py-2.5 max-[860px]:grid-cols-1 max-[860px]:gap-0.5"
            role="listitem"
          >
            <span class="figure text-15">{dateInWords(run.at)}</span>
            <a
              class="grid content-start no-underline"
              href={p('/d/:department/log/:run', { params: { department, run: String(run.id) } })}
            >
              <strong>{run.setup_name}</strong>
              <span class="text-14 text-second">{run.note || run.verdict}</span>
              {#if run.doubt}<span class="note">the verdict was {run.doubt}</span>{/if}
            </a>
            <span class="text-15"
              >{words.outcomes[run.outcome]}{run.rehearsal ? ', rehearsal' : ''}<span class="note block">
                {run.by}</span
              ></span
            >
            <span class="grid content-start">
              {#each run.series as one (one.path)}
                <span>
                  <Figure si={one.mean} sd={one.standard_uncertainty} kind={one.kind} shown={one.shown} />
                  <span class="note">{one.name}; {gapInWords(one.gap)}</span>
                </span>
              {:else}<span class="note">nothing read</span>{/each}
            </span>
          </div>
        {/snippet}
      </LongList>
    </div>
  {:else if runs.rows}
    <p class="my-10 max-w-[34rem] text-22">
      {search ? words.nothingFound : archived ? words.noneTakenBack : words.emptyLog}
    </p>
  {/if}
</main>
