<script lang="ts">
  import type { Json } from '$lib/document/paths';
  import { useForm } from './context';
  import QuantityField from './QuantityField.svelte';
  import Row from './Row.svelte';
  import type { Field } from './schema';

  /** A liquid: a catalogue name, or its own properties as measured. */
  let { field, path }: { field: Field; path: string } = $props();
  const form = useForm();
  const stated = $derived(form.stated(path));
  const own = $derived(typeof stated === 'object' && stated !== null);
  const id = $derived(`f-${path}`);

  const PROPERTIES: [string, string, string, boolean][] = [
    ['density', 'density', 'density', true],
    ['surface_tension', 'surface tension', 'surface tension', false],
    ['viscosity', 'viscosity', 'viscosity', false],
    ['vapour_pressure', 'vapour pressure', 'pressure', false],
    ['contact_angle', 'contact angle', 'angle', false],
  ];

  function property([key, label, of, required]: (typeof PROPERTIES)[number]): Field {
    const empty = {
      fallback: undefined,
      when: null,
      choices: [],
      fields: [],
      words: [],
      item: '',
      least: 0,
      most: 0,
      fresh: undefined,
    };
    return { ...empty, key, label, of, required, kind: 'quantity', help: '' };
  }

  function switchTo(kind: string): void {
    const next: Json = kind === 'own' ? { density: '1000 kg/m^3' } : 'water';
    form.change(path, next);
  }
</script>

<Row {path} label={field.label} control={id} help={field.help}>
  <span class="pair">
    {#if !own}
      <input
        {id}
        class="figure"
        type="text"
        value={String(stated ?? '')}
        oninput={(event) => form.change(path, event.currentTarget.value, `typed:${path}`)}
      />
    {/if}
    <button {...own ? { id } : {}} class="plain" type="button" onclick={() => switchTo(own ? 'name' : 'own')}>
      {own ? 'by name instead' : 'another'}
    </button>
  </span>
</Row>
{#if own}
  <div class="own">
    {#each PROPERTIES as one (one[0])}
      <QuantityField field={property(one)} path="{path}.{one[0]}" />
    {/each}
  </div>
{/if}

<style>
  .pair {
    display: flex;
    align-items: baseline;
    gap: 6px;
  }

  input {
    width: 6rem;
    padding: 1px 4px;
    border: 0;
    border-bottom: 1px solid var(--c-thin);
    background: transparent;
    font-weight: 600;
    text-align: right;
  }

  button {
    min-height: 24px;
    font-size: 0.8125rem;
  }

  .own {
    padding-left: 10px;
    border-left: 1px solid var(--c-hair);
  }
</style>
