<script lang="ts">
  import { ApiError, ask, client, type Schemas } from '$lib/api/client';
  import { shelf } from '$lib/liquids/shelf.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import { parameter } from '../../router';
  import OwnLiquid from './OwnLiquid.svelte';
  import PropertyCurve from './PropertyCurve.svelte';

  type Own = Schemas['OwnLiquidOut'];

  let failure = $state('');
  let editing = $state.raw<Own | 'new' | null>(null);
  const department = $derived(parameter('department'));

  $effect(() => void shelf.load(department));

  /** A quantity as typed, its unit as printed. */
  function printed(text: string): string {
    return text.replace('+/-', '±').replace('^3', '³').replace('^2', '²').replace('*', '·');
  }

  async function remove(liquid: Own): Promise<void> {
    try {
      const path = { department, liquid: liquid.id };
      await ask(client.DELETE('/api/departments/{department}/liquids/{liquid}', { params: { path } }));
      failure = '';
      await shelf.load(department, true);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      failure = error.message;
    }
  }
</script>

<svelte:head><title>Liquids, Anchorage</title></svelte:head>

<TopLine />
<main>
  <h1>Liquids</h1>
  <h2>Your department's own</h2>
  {#if failure}<p class="wrong" role="alert">{failure}</p>{/if}
  <ul class="own">
    {#each shelf.own as liquid (liquid.id)}
      <li>
        <strong>{liquid.name}</strong>
        <span class="figure"
          >{Object.entries(liquid.stated)
            .map(([key, value]) => `${key.replaceAll('_', ' ')} ${printed(String(value))}`)
            .join(', ')}</span
        >
        <span class="note">{liquid.note}</span>
        <span>
          <button class="plain" type="button" onclick={() => (editing = liquid)}>change</button>
          <button class="plain" type="button" aria-label="remove {liquid.name}" onclick={() => void remove(liquid)}
            >remove</button
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
  {#each shelf.catalogue as liquid (liquid.name)}
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
