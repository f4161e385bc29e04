<script lang="ts">
  import { asked } from '$lib/api/asked.svelte';
  import { ask, client, type Schemas } from '$lib/api/client';
  import { settled } from '$lib/api/settled.svelte';
  import type { Doc } from '$lib/document/paths';
  import { dropDraft } from '$lib/document/drafts';
  import { session } from '$lib/session/session.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import { handOver } from '../bench/hand-over';
  import { navigate, parameter } from '../../router';
  import ChoiceRow from './ChoiceRow.svelte';
  import { addressOf, OPEN, wishOf, type Wish } from './wish';

  /** Every demonstration and set-up by what it shows, how long it takes, what it needs, and how it fares here today. */
  let wish = $state<Wish>(wishOf(location.search));
  const department = $derived(parameter('department'));
  const typed = settled(() => wish.search, 150);
  const query = $derived({ ...wish, search: typed.now, room: session.roomQuery(department).room });
  const found = asked(() => ({
    key: ['choose', department, JSON.stringify(query)],
    ask: (signal) =>
      ask(
        client.GET('/api/departments/{department}/choose', {
          params: { path: { department }, query: query as never },
          signal,
        }),
      ),
  }));
  const changed = $derived(addressOf(wish) !== '');

  $effect(() => {
    const address = addressOf({ ...wish, search: typed.now });
    history.replaceState(history.state, '', `${location.pathname}${address ? `?${address}` : ''}`);
  });

  const MINUTES = [5, 10, 15, 20];
  const DISTANCES = [4, 6, 9, 12];

  async function begin(row: Schemas['OfferOut']): Promise<void> {
    if (row.setup) {
      void navigate('/d/:department/bench/:setup', { params: { department, setup: String(row.setup) } });
      return;
    }
    const catalogue = await ask(client.GET('/api/demonstrations'));
    const start = catalogue.find((one) => one.key === row.demonstration)?.starts[0];
    if (!start) return;
    dropDraft(department, 'new');
    handOver({ name: start.name, document: start.document as Doc });
    void navigate('/d/:department/bench/:setup', { params: { department, setup: 'new' } });
  }
</script>

<svelte:head><title>Choose, Anchorage</title></svelte:head>

<TopLine />
<main class="mx-auto max-w-6xl px-6 py-8 max-phone:px-4 max-phone:py-5">
  <h1 class="mb-4">{found.data?.like ? `Instead of ${found.data.like.toLowerCase()}` : 'Choose what to show'}</h1>
  <form class="mb-6 grid gap-3" aria-label="what is wanted" onsubmit={(event) => event.preventDefault()}>
    <input
      class="box w-full max-w-[34rem]"
      type="search"
      placeholder="an idea, a piece of gear, a mistake: jets, syringe, heavier"
      aria-label="search by idea, gear or mistake"
      bind:value={wish.search}
    />
    <div class="flex flex-wrap items-end gap-x-3 gap-y-2">
      <label class="grid gap-0.5 text-14"
        >It shows<select class="box max-w-60" bind:value={wish.idea}>
          <option value="">anything</option>
          {#each found.data?.ideas ?? [] as idea (idea.key)}
            <option value={idea.key}>{idea.words} ({idea.count})</option>
          {/each}
        </select></label
      >
      <label class="grid gap-0.5 text-14"
        >At the bench<select class="box" bind:value={wish.minutes}>
          <option value={0}>any time</option>
          {#each MINUTES as minutes (minutes)}<option value={minutes}>{minutes} min at most</option>{/each}
        </select></label
      >
      <label class="grid gap-0.5 text-14"
        >Getting ready<select class="box" bind:value={wish.preparing}>
          <option value={0}>any time</option>
          {#each MINUTES as minutes (minutes)}<option value={minutes}>{minutes} min at most</option>{/each}
        </select></label
      >
      <label class="grid gap-0.5 text-14"
        >Class aged<select class="box" bind:value={wish.age}>
          <option value={0}>any age</option>
          {#each [9, 10, 11, 12, 13, 14] as age (age)}<option value={age}>{age}</option>{/each}
        </select></label
      >
      <label class="grid gap-0.5 text-14"
        >Seen from<select class="box" bind:value={wish.seen}>
          <option value={0}>anywhere</option>
          {#each DISTANCES as metres (metres)}<option value={metres}>{metres} m away</option>{/each}
        </select></label
      >
      <label class="grid gap-0.5 text-14"
        >What gets wet<select class="box" bind:value={wish.mess}>
          <option value="">may get wet</option>
          <option value="drips">a few drips</option>
          <option value="dry">nothing</option>
        </select></label
      >
      <label class="grid gap-0.5 text-14"
        >Care<select class="box" bind:value={wish.risk}>
          <option value="">whatever it asks</option>
          <option value="care">no special rules</option>
          <option value="low">hardly any</option>
        </select></label
      >
      <label class="flex min-h-8 items-center gap-2 text-14"
        ><input
          type="checkbox"
          checked={!wish.sink}
          onchange={(event) => (wish.sink = !event.currentTarget.checked)}
        />no sink</label
      >
      {#if changed}<button class="plain text-14" type="button" onclick={() => (wish = { ...OPEN })}
          >leave all open</button
        >{/if}
    </div>
  </form>
  <Problem failure={found.failure} />
  <div aria-live="polite">
    {#if found.data}
      {#if found.data.unheard.length > 0}
        <p class="note mb-3">Nothing is called {found.data.unheard.join(' or ')}.</p>
      {/if}
      {#if found.data.demonstrations.length + found.data.setups.length === 0}
        <p class="my-8 max-w-[34rem] text-22">
          Nothing fits all of this. Leave something open: a little more time often does it.
        </p>
      {/if}
      {@render offered('Demonstrations', found.data.demonstrations)}
      {@render offered('Set-ups of the department', found.data.setups)}
      {#if found.data.more > 0}<p class="note mt-3">There are more: a word or a wish narrows them.</p>{/if}
    {/if}
  </div>
</main>

{#snippet offered(title: string, rows: Schemas['OfferOut'][])}
  {#if rows.length > 0}
    <h2 class="text-18 mt-4 mb-1 font-semibold">{title}</h2>
    <ul class="border-t border-ink">
      {#each rows as row (`${row.demonstration} ${row.setup}`)}
        <ChoiceRow
          {row}
          {department}
          onbegin={() => void begin(row)}
          onlike={() => (wish = { ...OPEN, like: row.demonstration })}
        />
      {/each}
    </ul>
  {/if}
{/snippet}
