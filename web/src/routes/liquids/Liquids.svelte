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
    return session.liquidProperties
      .filter(({ key }) => key in liquid.stated)
      .map(({ key, label }) => `${label} ${asPrinted(String(liquid.stated[key]))}`)
      .join(', ');
  }
</script>

<svelte:head><title>Liquids, Anchorage</title></svelte:head>

<TopLine />
<main>
  <h1>Liquids</h1>
  <h2>Your department's own</h2>
  <Problem failure={known.failure ?? removing.failure} />
  <ul class="own">
    {#each known.own as liquid (liquid.id)}
      <li>
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
      <li class="note">None yet. Weigh a known volume, and give what you measured a name.</li>
    {/each}
  </ul>
  {#if editing}
    <OwnLiquid {department} liquid={editing === 'new' ? null : editing} onclose={() => (editing = null)} />
  {:else}
    <p class="mt-3"><button class="line" type="button" onclick={() => (editing = 'new')}>Another liquid</button></p>
  {/if}

  <h2>The catalogue</h2>
  {#each known.catalogue as liquid (liquid.name)}
    <details>
      <summary>
        <strong>{liquid.name}</strong>
        {#if liquid.parameter}<span class="note">{liquid.parameter}: {liquid.parameter_help}</span>{/if}
      </summary>
      {#if liquid.caution}<p class="caution"><strong>Caution.</strong> {liquid.caution}</p>{/if}
      <div class="curves">
        {#each liquid.properties as property (property.key)}<PropertyCurve {property} />{/each}
      </div>
    </details>
  {/each}
</main>

<style>
  main {
    max-width: 76rem;
    padding: 24px;
  }

  h2 {
    margin: 20px 0 6px;
    padding-top: 6px;
    border-top: 1px solid var(--c-ink);
  }

  .own li {
    display: grid;
    grid-template-columns: 12rem minmax(0, 1fr) 14rem auto;
    gap: 12px;
    align-items: baseline;
    padding: 6px 0;
    border-bottom: 1px solid var(--c-hair);
  }

  .own li:only-child.note {
    display: block;
  }

  summary {
    padding: 8px 0;
    border-bottom: 1px solid var(--c-hair);
    cursor: pointer;
  }

  .curves {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr));
    gap: 16px 24px;
    padding: 12px 0;
  }

  .caution {
    margin: 8px 0;
    padding-left: 8px;
    border-left: 4px solid var(--c-ink);
    font-size: 0.875rem;
  }

  @media (max-width: 640px) {
    main {
      padding: 16px;
    }

    .own li {
      grid-template-columns: minmax(0, 1fr);
      gap: 2px;
    }
  }
</style>
