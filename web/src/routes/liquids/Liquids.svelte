<script lang="ts">
  import { doing } from '$lib/api/asked.svelte';
  import { ask, client } from '$lib/api/client';
  import { knownLiquids, type OwnLiquid as Own } from '$lib/liquids/known';
  import { session } from '$lib/session/session.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import { asPrinted } from '$lib/units/format';
  import { parameter } from '../../router';
  import OwnLiquid from './OwnLiquid.svelte';
  import PropertyCurve from './PropertyCurve.svelte';

  let editing = $state.raw<Own | 'new' | null>(null);
  const department = $derived(parameter('department'));
  const known = knownLiquids(() => department);
  const removing = doing(
    (liquid: number) =>
      ask(
        client.DELETE('/api/departments/{department}/liquids/{liquid}', { params: { path: { department, liquid } } }),
      ),
    () => [['own-liquids', department]],
  );

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
  <Problem failure={known.failure ?? removing.failure} />
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
          <button
            class="plain"
            type="button"
            aria-label="remove {liquid.name}"
            onclick={() => void removing.run(liquid.id)}>remove</button
          >
        </span>
      </li>
    {:else}
      <li
        class="note grid grid-cols-[12rem_minmax(0,1fr)_14rem_auto] items-baseline gap-3 border-b border-hair py-1.5 only:block max-phone:grid-cols-1 max-phone:gap-0.5"
      >
        None yet. Weigh a known volume, and give what you measured a name.
      </li>
    {/each}
  </ul>
  {#if editing}
    <OwnLiquid {department} liquid={editing === 'new' ? null : editing} onclose={() => (editing = null)} />
  {:else}
    <p class="mt-3"><button class="line" type="button" onclick={() => (editing = 'new')}>Another liquid</button></p>
  {/if}

  <h2 class="mt-5 mb-1.5 border-t border-ink pt-1.5">The catalogue</h2>
  {#each known.catalogue as liquid (liquid.name)}
    <details>
      <summary class="cursor-pointer border-b border-hair py-2">
        <strong>{liquid.name}</strong>
        {#if liquid.parameter}<span class="note">{liquid.parameter}: {liquid.parameter_help}</span>{/if}
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
