<script lang="ts">
  import { useForm } from './context';
  import type { Field } from './schema';

  /** The way to a field's value by an aid, where one serves it. */
  let { field, path }: { field: Field; path: string } = $props();
  const form = useForm();
</script>

{#if form.workOut?.serves(field.key)}
  <button
    class="plain min-h-6 text-13 print:hidden"
    type="button"
    aria-label="work out {field.label.toLowerCase()}"
    onclick={() => form.workOut?.open(path, field)}>or work it out</button
  >
{/if}
