<script lang="ts">
  import { useForm } from './context';
  import Row from './Row.svelte';
  import type { Field } from './schema';

  let { field, path }: { field: Field; path: string } = $props();
  const form = useForm();
  const id = $derived(`f-${path}`);
</script>

<Row {path} label={field.label} control={id} help={field.help}>
  <select
    {id}
    class="min-h-7 max-w-[10rem] border-b border-thin text-14 font-semibold"
    value={String(form.stated(path) ?? field.fallback ?? '')}
    onchange={(event) => form.change(path, event.currentTarget.value)}
  >
    {#each field.choices as [value, said] (value)}<option class="bg-strip text-ink" {value}>{said}</option>{/each}
  </select>
</Row>
