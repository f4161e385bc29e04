<script lang="ts">
  import { measured } from '$lib/units/format';
  import { session } from '$lib/session/session.svelte';
  import { useForm } from './context';
  import Row from './Row.svelte';
  import type { Field } from './schema';

  /** A whole line pasted from a weather report; what was read from it stands below. */
  let { field, path }: { field: Field; path: string } = $props();
  const form = useForm();
  const id = $derived(`f-${path}`);
  const stated = $derived(form.stated(path));
  const read = $derived.by(() => {
    const used = stated === undefined ? undefined : form.inUse(path);
    return used ? `read as ${measured(used, session.unit(field.of, used.unit))}` : '';
  });
</script>

<Row {path} label={field.label} control={id} help={field.help} inUse={read} />
<textarea
  {id}
  rows="2"
  spellcheck="false"
  value={String(stated ?? '')}
  aria-invalid={form.wrong(path) ? true : undefined}
  aria-describedby={form.wrong(path) ? `${id}-wrong` : undefined}
  oninput={(event) => form.change(path, event.currentTarget.value.trim() || undefined, `typed:${path}`)}
  onfocus={() => form.focus(path)}
  onblur={() => form.focus('')}></textarea>

<style>
  textarea {
    width: 100%;
    padding: 4px;
    border: 1px solid var(--c-thin);
    border-radius: 2px;
    background: var(--c-strip);
    font: 500 0.8125rem/1.3 var(--font-measure);
    resize: vertical;
  }
</style>
