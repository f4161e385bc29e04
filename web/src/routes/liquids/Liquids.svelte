<script lang="ts">
  import { asked } from '$lib/api/asked.svelte';
  import { ask, client } from '$lib/api/client';
  import { puttingAway } from '$lib/api/putting-away.svelte';
  import { knownLiquids, type OwnLiquid as Own } from '$lib/liquids/known';
  import { session } from '$lib/session/session.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import Undo from '$lib/ui/Undo.svelte';
  import { asPrinted, said } from '$lib/units/format';
  import { dateInWords } from '$lib/words/dates';
  import { parameter } from '../../router';
  import OwnLiquid from './OwnLiquid.svelte';
  import PropertyCurve from './PropertyCurve.svelte';

  let editing = $state.raw<Own | 'new' | null>(null);
  let showArchived = $state(false);
  const department = $derived(parameter('department'));
  const known = knownLiquids(() => department);
  const today = asked(() => {
    const query = { department, room: session.room(department)?.id ?? 0 };
    return {
      key: ['liquids-now', department, query.room],
      ask: (signal) => ask(client.GET('/api/liquids/now', { params: { query }, signal })),
    };
  });
  const here = $derived(today.data ? figure(today.data.temperature, 'temperature', 'degC') : '');

  function figure(si: number | null, kind: string, shown = ''): string {
    if (si === null) return 'not known';
    const told = said(si, 0, session.unit(kind, shown));
    return `${told.number} ${told.unit}`.trim();
  }

  /** Where the liquid's row begins: its numbers in the room now. */
  function now(name: string): { label: string; value: string }[] {
    const found = today.data?.liquids.find((one) => one.name === name);
    if (!found) return [];
    const known = found.properties.map(({ label, kind, value }) => ({ label, value: figure(value, kind) }));
    return [...known, { label: 'stands in a barometer', value: figure(found.column, 'height', 'm') }];
  }
  const params = (liquid: number) => ({ params: { path: { department, liquid } } });
  const away = puttingAway(
    (liquid) => ask(client.POST('/api/departments/{department}/liquids/{liquid}/archive', params(liquid))),
    (liquid) => ask(client.POST('/api/departments/{department}/liquids/{liquid}/bring-back', params(liquid))),
    () => [['own-liquids', department]],
  );
  const archived = asked(() => {
    const path = { department };
    return {
      key: ['own-liquids', department, 'archived'],
      ask: (signal) =>
        ask(
          client.GET('/api/departments/{department}/liquids', { params: { path, query: { archived: true } }, signal }),
        ),
      when: showArchived,
    };
  });

  /** What is known of an own liquid, in the order in which properties are told. */
  function told(liquid: Own): string {
    const known = session.liquidProperties
      .filter(({ key }) => key in liquid.stated)
      .map(({ key, label }) => `${label} ${asPrinted(String(liquid.stated[key]))}`);
    return [...(liquid.stated.name ? [String(liquid.stated.name)] : []), ...known].join(', ');
  }
</script>

<svelte:head><title>Liquids, Anchorage</title></svelte:head>

<TopLine />
<main class="max-w-[76rem] p-6 max-phone:p-4">
  <h1>Liquids</h1>
  <h2 class="mt-5 mb-1.5 border-t border-ink pt-1.5">Your department's own</h2>
  <Problem failure={known.failure ?? archived.failure} />
  <ul class="own">
    {#each known.own as liquid (liquid.id)}
      <li
        class="grid grid-cols-[12rem_minmax(0,1fr)_14rem_auto] items-baseline gap-3 border-b border-hair py-1.5 max-phone:grid-cols-1 max-phone:gap-0.5"
      >
        <strong>{liquid.name}</strong>
        <span class="figure">{told(liquid)}</span>
        <span class="note">{liquid.note}</span>
        <span>
          <button class="plain" type="button" onclick={() => (editing = liquid)}>change</button>
          <button class="plain" type="button" aria-label="archive {liquid.name}" onclick={() => void away.put(liquid)}
            >archive</button
          >
        </span>
      </li>
    {:else}
      {#if known.read}<li class="note border-b border-hair py-1.5">
          None yet. Weigh a known volume, and give what you measured a name.
        </li>{/if}
    {/each}
  </ul>
  <Undo {away} />
  {#if editing}
    <OwnLiquid {department} liquid={editing === 'new' ? null : editing} onclose={() => (editing = null)} />
  {:else}
    <p class="mt-3 flex items-baseline gap-3">
      <button class="line" type="button" onclick={() => (editing = 'new')}>Another liquid</button>
      <button
        class="plain text-14"
        type="button"
        aria-expanded={showArchived}
        onclick={() => (showArchived = !showArchived)}>archived ones</button
      >
    </p>
  {/if}
  {#if showArchived && archived.data}
    <ul>
      {#each archived.data as liquid (liquid.id)}
        <li class="note flex items-baseline gap-3 border-b border-hair py-1">
          <span
            >{liquid.name}, {told(liquid)}; by {liquid.archived_by}, {dateInWords(
              liquid.archived_at ?? liquid.at,
            )}</span
          >
          <button
            class="plain text-13"
            type="button"
            aria-label="bring back {liquid.name}"
            onclick={() => void away.bringBack(liquid.id)}>bring back</button
          >
        </li>
      {:else}<li class="note">None is archived.</li>{/each}
    </ul>
  {/if}

  <h2 class="mt-5 mb-1.5 border-t border-ink pt-1.5">The catalogue{here ? `, at ${here}` : ''}</h2>
  <Problem failure={today.failure} />
  {#each known.catalogue as liquid (liquid.name)}
    <details>
      <summary class="cursor-pointer border-b border-hair py-2">
        <strong>{liquid.name}</strong>
        {#if liquid.parameter}<span class="note">{liquid.parameter}: {liquid.parameter_help}</span>{/if}
        <span class="grid grid-cols-[repeat(auto-fill,minmax(11.5rem,1fr))] gap-x-4 pl-4.5">
          {#each now(liquid.name) as one (one.label)}
            <span class="text-14"><span class="note">{one.label}</span> <span class="figure">{one.value}</span></span>
          {/each}
        </span>
      </summary>
      {#if liquid.caution}<p class="caution my-2 border-l-4 border-ink pl-2 text-14">
          <strong>Caution.</strong>
          {liquid.caution}
        </p>{/if}
      <div class="grid grid-cols-[repeat(auto-fill,minmax(17rem,1fr))] gap-x-6 gap-y-4 py-3">
        {#each liquid.properties as property (property.key)}<PropertyCurve {property} />{/each}
      </div>
    </details>
  {/each}
</main>
