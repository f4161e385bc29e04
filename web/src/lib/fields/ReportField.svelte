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
  class="w-full resize-y rounded-xs border border-thin bg-strip p-1 [font:500_0.8125rem/1.3_var(--font-measure)]"
  {id}
  rows="2"
  spellcheck="false"
  value={String(stated ?? '')}
  aria-invalid={form.wrong(path) ? true : undefined}
  aria-describedby={form.wrong(path) ? `${id}-wrong` : undefined}
  oninput={(event) => form.change(path, event.currentTarget.value.trim() || undefined, `typed:${path}`)}
  onfocus={() => form.focus(path)}
  onblur={() => form.focus('')}></textarea>
