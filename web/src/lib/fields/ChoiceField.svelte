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
    class="choice"
    value={String(form.stated(path) ?? field.fallback ?? '')}
    onchange={(event) => form.change(path, event.currentTarget.value)}
  >
    {#each field.choices as [value, said] (value)}<option {value}>{said}</option>{/each}
  </select>
</Row>

<style>
  .choice {
    min-height: 28px;
    max-width: 10rem;
    border: 0;
    border-bottom: 1px solid var(--c-thin);
    background: transparent;
    font-weight: 600;
    font-size: 0.875rem;
  }

  option {
    background: var(--c-strip);
    color: var(--c-ink);
  }
</style>
