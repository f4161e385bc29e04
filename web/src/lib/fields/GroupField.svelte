<script lang="ts">
  import { takesOver } from '$lib/ui/focus';
  import { useForm } from './context';
  import FormFields from './FormFields.svelte';
  import type { Field } from './schema';

  /** A group of fields; one that may be absent is put in and taken away, one that may be a word is chosen. */
  let { field, path }: { field: Field; path: string } = $props();
  const form = useForm();
  const stated = $derived(form.stated(path));
  const word = $derived(typeof stated === 'string' ? stated : '');
</script>

<fieldset class="border-b border-hair pt-2 pb-1 [&>:not(legend)]:clear-both">
  <legend class="float-left w-full text-14 font-semibold">{field.label}</legend>
  {#if form.help && field.help}<p class="note">{field.help}</p>{/if}
  {#if field.words.length > 0}
    <select
      aria-label={field.label}
      class="box"
      value={word}
      onchange={(event) => form.change(path, event.currentTarget.value || {})}
    >
      <option value="">stated</option>
      {#each field.words as [value, said] (value)}<option {value}>{said}</option>{/each}
    </select>
  {/if}
  {#if form.wrong(path)}<p class="wrong" role="alert">{form.wrong(path)}</p>{/if}
  {#if stated === undefined && field.kind === 'optional-group'}
    <button class="plain" type="button" onclick={() => form.change(path, {})}>state it</button>
  {:else if word === ''}
    <div use:takesOver><FormFields fields={field.fields} {path} /></div>
    {#if field.kind === 'optional-group'}
      <button class="plain" type="button" onclick={() => form.change(path, undefined)}>take it away</button>
    {/if}
  {/if}
</fieldset>
