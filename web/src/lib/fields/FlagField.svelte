<script lang="ts">
  import { useForm } from './context';
  import Row from './Row.svelte';
  import type { Field } from './schema';

  let { field, path }: { field: Field; path: string } = $props();
  const form = useForm();
  const id = $derived(`f-${path}`);
</script>

<Row {path} label={field.label} control={id} help={field.help}>
  <input
    {id}
    type="checkbox"
    class="size-6"
    checked={Boolean(form.stated(path) ?? field.fallback)}
    onchange={(event) => form.change(path, event.currentTarget.checked)}
  />
</Row>
