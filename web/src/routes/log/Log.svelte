<script lang="ts">
  import { ApiError, ask, client, type RunRow } from '$lib/api/client';
  import Number from '$lib/ui/Number.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import { words } from '$lib/words/words';
  import { untrack } from 'svelte';
  import { p, parameter } from '../../router';
  import { gapInWords, seriesName } from './gap';

  let search = $state('');
  let runs = $state.raw<RunRow[] | null>(null);
  let failure = $state.raw<ApiError | null>(null);
  let timer = 0;
  const department = $derived(parameter('department'));

  $effect(() => {
    void [department, search];
    clearTimeout(timer);
    timer = window.setTimeout(() => void load(), untrack(() => runs) === null ? 0 : 150);
    return () => clearTimeout(timer);
  });

  async function load(): Promise<void> {
    try {
      runs = await ask(
        client.GET('/api/departments/{department}/runs', { params: { path: { department }, query: { search } } }),
      );
      failure = null;
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      failure = error;
    }
  }

  function when(text: string): string {
    return new Date(text).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
  }
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
  {#if failure}<p class="wrong" role="alert">
      {failure.message}
      {#if failure.signedOut}<a href="/accounts/login/">Sign in</a>{/if}
    </p>{/if}
  {#if runs && runs.length > 0}
    <ul>
      {#each runs as run (run.id)}
        <li>
          <span class="figure when">{when(run.at)}</span>
          <a href={p('/d/:department/log/:run', { params: { department, run: String(run.id) } })}>
            <strong>{run.setup_name}</strong>
            <span>{run.note || run.verdict}</span>
          </a>
          <span class="outcome"
            >{words.outcomes[run.outcome]}{run.rehearsal ? ', rehearsal' : ''}<span class="note"> {run.by}</span></span
          >
          <span class="series">
            {#each run.series as one (one.path)}
              <span>
                <Number si={one.mean} sd={one.standard_uncertainty} kind={one.kind} shown={one.shown} />
                <span class="note">{seriesName(one)}; {gapInWords(one.gap)}</span>
              </span>
            {:else}<span class="note">nothing read</span>{/each}
          </span>
        </li>
      {/each}
    </ul>
  {:else if runs}
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

  ul {
    border-top: 1px solid var(--c-ink);
  }

  li {
    display: grid;
    grid-template-columns: 7rem minmax(0, 1fr) 8.5rem 19rem;
    gap: 16px;
    padding: 10px 0;
    border-bottom: 1px solid var(--c-hair);
  }

  li > a {
    display: grid;
    align-content: start;
    text-decoration: none;
  }

  li > a span {
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
    li {
      grid-template-columns: minmax(0, 1fr);
      gap: 2px;
    }

    .head input {
      margin-left: 0;
      width: 100%;
    }
  }
</style>
