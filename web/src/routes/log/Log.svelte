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
  import { gapInWords } from './gap';

  let search = $state('');
  const department = $derived(parameter('department'));
  const typed = settled(() => search, 150);
  const runs = pages<RunRow>(() => ({
    key: ['runs', department, typed.now],
    ask: (cursor, signal) => {
      const query = { search: typed.now, ...(cursor ? { cursor } : {}) };
      return ask(client.GET('/api/departments/{department}/runs', { params: { path: { department }, query }, signal }));
    },
  }));
</script>

<svelte:head><title>Log, Anchorage</title></svelte:head>

<TopLine />
<main class="mx-auto max-w-6xl px-6 py-8 max-sm:px-4 max-sm:py-5">
  <div class="head">
    <h1>Log</h1>
    <input
      class="box"
      type="search"
      placeholder="search set-ups, notes, people"
      aria-label="search the log"
      bind:value={search}
    />
    <a class="line" href="/api/departments/{department}/runs.csv?{new URLSearchParams({ search })}" download
      >Save as CSV</a
    >
  </div>
  <p class="note mb-3">
    What was read, ± 95 %, and how far it lies from the prediction: u is the standard uncertainty of reading and
    prediction together.
  </p>
  <Problem failure={runs.failure} />
  {#if runs.rows && runs.rows.length > 0}
    <div class="list" role="list">
      <LongList rows={runs.rows} onend={runs.next}>
        {#snippet children(run)}
          <div class="row" role="listitem">
            <span class="figure when">{dateInWords(run.at)}</span>
            <a href={p('/d/:department/log/:run', { params: { department, run: String(run.id) } })}>
              <strong>{run.setup_name}</strong>
              <span>{run.note || run.verdict}</span>
            </a>
            <span class="outcome"
              >{words.outcomes[run.outcome]}{run.rehearsal ? ', rehearsal' : ''}<span class="note">
                {run.by}</span
              ></span
            >
            <span class="series">
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
    <p class="empty">{search ? words.nothingFound : words.emptyLog}</p>
  {/if}
</main>

<style>
  .head {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 12px 16px;
    margin-bottom: 20px;
  }

  .head input {
    width: 18rem;
    margin-left: auto;
  }

  .head .line {
    display: inline-flex;
    align-items: center;
    text-decoration: none;
  }

  .list {
    border-top: 1px solid var(--c-ink);
  }

  .row {
    display: grid;
    grid-template-columns: 7rem minmax(0, 1fr) 8.5rem 19rem;
    gap: 16px;
    padding: 10px 0;
    border-bottom: 1px solid var(--c-hair);
  }

  .row > a {
    display: grid;
    align-content: start;
    text-decoration: none;
  }

  .row > a span {
    font-size: 0.875rem;
    color: var(--c-second);
  }

  .when,
  .outcome {
    font-size: 0.9375rem;
  }

  .outcome .note {
    display: block;
  }

  .series {
    display: grid;
    align-content: start;
  }

  .empty {
    margin: 40px 0;
    max-width: 34rem;
    font-size: 1.375rem;
  }

  @media (max-width: 860px) {
    .row {
      grid-template-columns: minmax(0, 1fr);
      gap: 2px;
    }

    .head input {
      margin-left: 0;
      width: 100%;
    }
  }
</style>
