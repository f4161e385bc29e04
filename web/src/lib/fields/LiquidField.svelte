<script lang="ts">
  import type { Json } from '$lib/document/paths';
  import { knownLiquids } from '$lib/liquids/known';
  import { parameter } from '../../router';
  import { useForm } from './context';
  import QuantityField from './QuantityField.svelte';
  import Row from './Row.svelte';
  import type { Field } from './schema';

  /** A liquid: a catalogue name, one of the department's own, or properties as measured. */
  let { field, path }: { field: Field; path: string } = $props();
  const form = useForm();
  const stated = $derived(form.stated(path));
  const own = $derived(typeof stated === 'object' && stated !== null);
  const named = $derived(own ? (stated as Record<string, Json>).name : undefined);
  let wanted = $state(false);
  const liquids = knownLiquids(
    () => parameter('department'),
    () => wanted || own,
  );
  const known = $derived(liquids.nameOf(stated));
  const id = $derived(`f-${path}`);

  function switchTo(kind: string): void {
    const next: Json = kind === 'own' ? { density: '1000 kg/m^3' } : 'water';
    form.change(path, next);
  }

  /** A name of the catalogue stays a name; one of the department's own is put in with all its properties. */
  function choose(name: string): void {
    const found = liquids.own.find((one) => one.name === name);
    form.change(path, found ? (found.stated as Json) : name, `typed:${path}`);
  }
</script>

<Row {path} label={field.label} control={id} help={field.help}>
  <span class="pair">
    {#if !own}
      <input
        {id}
        class="figure"
        type="text"
        list="{id}-names"
        value={String(stated ?? '')}
        onfocus={() => (wanted = true)}
        oninput={(event) => choose(event.currentTarget.value)}
      />
      <datalist id="{id}-names">
        {#each liquids.names as name (name)}<option value={name}></option>{/each}
      </datalist>
    {:else}
      <b>{known || named || ''}</b>
    {/if}
    <button {...own ? { id } : {}} class="plain" type="button" onclick={() => switchTo(own ? 'name' : 'own')}>
      {own ? 'by name instead' : 'another'}
    </button>
  </span>
</Row>
{#if own}
  <div class="own">
    {#each field.fields as one (one.key)}
      <QuantityField field={{ ...one, required: one.required && !named }} path="{path}.{one.key}" />
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
    width: 8rem;
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
