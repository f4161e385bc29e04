<script lang="ts">
  import { takesOver } from '$lib/ui/focus';
  import { useForm } from './context';
  import FieldRow from './FieldRow.svelte';
  import type { Field } from './schema';

  /** Alternatives of which exactly one is stated. */
  let { field, path }: { field: Field; path: string } = $props();
  const form = useForm();
  const chosen = $derived(
    field.fields.find((one) => form.stated(`${path}.${one.key}`) !== undefined) ?? field.fields[0],
  );

  function choose(key: string): void {
    const next = field.fields.find((one) => one.key === key);
    if (!next || next === chosen) return;
    if (chosen) form.change(`${path}.${chosen.key}`, undefined, `one-of:${path}.${field.key}`);
    form.change(
      `${path}.${key}`,
      next.kind === 'list' ? Array(next.least).fill({}) : '',
      `one-of:${path}.${field.key}`,
    );
  }
</script>

{#if chosen}
  {#key chosen.key}<div use:takesOver><FieldRow field={chosen} {path} /></div>{/key}
  <p class="note">
    {#each field.fields.filter((one) => one !== chosen) as other (other.key)}
      <button class="plain min-h-6 text-13" type="button" onclick={() => choose(other.key)}
        >or by {other.label.toLowerCase()}</button
      >
    {/each}
  </p>
{/if}
