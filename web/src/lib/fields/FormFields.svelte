<script lang="ts">
  import { useForm } from './context';
  import FieldRow from './FieldRow.svelte';
  import { matters, type Field } from './schema';

  /** The fields of one object; those that are neither needed nor stated stand behind one step. */
  let { fields, path }: { fields: Field[]; path: string } = $props();
  const form = useForm();
  const shown = $derived(fields.filter((field) => matters(field, fields, (key) => form.stated(`${path}.${key}`))));
  const first = $derived(shown.filter((field) => field.required || isStated(field)));
  const rest = $derived(shown.filter((field) => !first.includes(field)));
  const wrongInRest = $derived(rest.some((field) => form.wrong(`${path}.${field.key}`)));

  function isStated(field: Field): boolean {
    const keys = field.kind === 'one-of' ? field.fields.map((one) => one.key) : [field.key];
    return keys.some((key) => form.stated(`${path}.${key}`) !== undefined);
  }
</script>

{#each first as field (field.key)}
  <FieldRow {field} {path} />
{/each}
{#if rest.length > 0}
  <details open={wrongInRest || undefined}>
    <summary class="note">more: {rest.map((field) => field.label.toLowerCase()).join(', ')}</summary>
    {#each rest as field (field.key)}
      <FieldRow {field} {path} />
    {/each}
  </details>
{/if}

<style>
  summary {
    padding: 6px 0;
    cursor: pointer;
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
</style>
