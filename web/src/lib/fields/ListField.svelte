<script lang="ts">
  import type { Json } from '$lib/document/paths';
  import { asText } from '$lib/document/quantities';
  import { useForm } from './context';
  import FormFields from './FormFields.svelte';
  import OneLine from './OneLine.svelte';
  import QuantityField from './QuantityField.svelte';
  import WorkOut from './WorkOut.svelte';
  import type { Field } from './schema';

  /** A list of groups or of quantities: added, moved, taken away. */
  let { field, path }: { field: Field; path: string } = $props();
  const form = useForm();
  const items = $derived((form.stated(path) as Json[] | undefined) ?? []);
  const wrong = $derived(form.wrong(path));
  const line = $derived(form.readLine ? field.line : '');

  function add(): void {
    const last = items.at(-1);
    const fresh = field.fields.length > 0 ? (last ?? field.fresh ?? {}) : asText(last) || asText(field.fresh) || '';
    form.change(path, [...items, fresh as Json]);
  }

  function swap(i: number): void {
    const copy = [...items];
    [copy[i - 1], copy[i]] = [copy[i] as Json, copy[i - 1] as Json];
    form.change(path, copy);
  }

  function single(i: number): Field {
    return {
      ...field,
      kind: 'quantity',
      key: String(i),
      label: `${field.item} ${i + 1}`,
      help: '',
      required: true,
      fallback: undefined,
    };
  }
</script>

{#snippet remover(i: number)}
  {#if items.length > field.least}
    <button
      class="plain min-h-6 text-13"
      type="button"
      aria-label="remove {field.item} {i + 1}"
      onclick={() => form.change(`${path}.${i}`, undefined)}>remove</button
    >
  {/if}
{/snippet}

<section class="border-b border-hair pb-1" aria-label={field.label} data-list={path}>
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
  {#each items.keys() as i (i)}
    <div class="mt-1.5 border-l border-hair pl-2.5">
      {#if field.fields.length > 0}
        <p class="head flex justify-between text-14 normal-case">
          <strong>{field.item} {i + 1}</strong>
          <span>
            {#if i > 0}<button
                class="plain min-h-6 text-13"
                type="button"
                aria-label="move {field.item} {i + 1} up"
                onclick={() => swap(i)}>↑</button
              >{/if}
            {@render remover(i)}
          </span>
        </p>
        {#if form.wrong(`${path}.${i}`)}<p class="wrong" role="alert">{form.wrong(`${path}.${i}`)}</p>{/if}
        <FormFields fields={field.fields} path="{path}.{i}" />
      {:else}
        <div class="lone">
          <QuantityField field={single(i)} path="{path}.{i}" />
          {@render remover(i)}
        </div>
      {/if}
    </div>
  {/each}
  <WorkOut {field} {path} />
  {#if line}<OneLine {field} {path} />{/if}
  <button class="plain text-14" type="button" disabled={items.length >= field.most} onclick={add}>
    {items.length >= field.most ? `no more than ${field.most} ${field.item}s` : `add a ${field.item}`}
  </button>
</section>
