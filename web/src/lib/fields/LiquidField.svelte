<script lang="ts">
  import type { Json } from '$lib/document/paths';
  import { knownLiquids } from '$lib/liquids/known';
  import { parameter } from '../../router';
  import { takesOver } from '$lib/ui/focus';
  import { untrack } from 'svelte';
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
  /** All liquids of a set-up are at one temperature, said beside the first. */
  const first = $derived(!/\.[1-9]\d*\.\w+$/.test(path));
  /** What is said of the temperature beside the liquid; the room's where nothing is stated here. */
  const temperature = $derived<Field>({
    ...field,
    key: 'temperature',
    kind: 'quantity',
    of: 'temperature',
    label: 'Its temperature',
    help: '',
    ready: [],
    fields: [],
    required: false,
    fallback: undefined,
  });

  function switchTo(kind: string): void {
    const next: Json = kind === 'own' ? { density: '1000 kg/m^3' } : 'water';
    form.change(path, next);
  }

  /** What was typed before the names were there turns out to be one of the department's own. */
  $effect(() => {
    if (typeof stated === 'string' && liquids.own.some((one) => one.name === stated)) untrack(() => choose(stated));
  });

  /** A name of the catalogue stays a name; one of the department's own is put in with all its properties. */
  function choose(name: string): void {
    const found = liquids.own.find((one) => one.name === name);
    form.change(path, found ? (found.stated as Json) : name, `typed:${path}`);
  }
</script>

<Row {path} label={field.label} control={id} help={field.help}>
  <span class="flex items-baseline gap-1.5">
    {#if !own}
      <input
        {id}
        class="figure w-[8rem] border-b border-thin px-1 py-px text-right font-semibold"
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
    <button
      {...own ? { id } : {}}
      class="plain min-h-6 text-13"
      type="button"
      onclick={() => switchTo(own ? 'name' : 'own')}
    >
      {own ? 'by name instead' : 'another'}
    </button>
  </span>
</Row>
{#if own}
  <div use:takesOver class="own border-l border-hair pl-2.5">
    {#each field.fields as one (one.key)}
      <QuantityField field={{ ...one, required: one.required && !named }} path="{path}.{one.key}" />
    {/each}
  </div>
{/if}
{#if first && form.inUse('room.temperature')}<QuantityField
    field={temperature}
    path="room.temperature"
    absent="the room's"
  />{/if}
