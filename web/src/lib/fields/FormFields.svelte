<script lang="ts">
  import { untrack } from 'svelte';
  import { lowerFirst } from '$lib/results/results';
  import { useForm } from './context';
  import FieldRow from './FieldRow.svelte';
  import { matters, type Field } from './schema';

  /** The fields of one object; those that are neither needed nor stated stand behind one step.  whole: of a page of its own, where what one needs first is open. */
  let { fields, path, whole = false }: { fields: Field[]; path: string; whole?: boolean } = $props();
  const form = useForm();
  const shown = $derived(fields.filter((field) => matters(field, fields, (key) => form.stated(`${path}.${key}`))));
  const needed = $derived(shown.filter((field) => field.required || isStated(field)).map((field) => field.key));
  /** Those that stand first: a field does not change its place while somebody is in the form. */
  let settled = $state.raw<string[]>([]);
  let box = $state<HTMLElement>();
  let opened = $state(false);
  const first = $derived(
    shown.filter((field) => field.required || (whole && field.first) || settled.includes(field.key)),
  );
  const rest = $derived(shown.filter((field) => !first.includes(field)));

  $effect.pre(() => {
    const now = needed;
    if (!untrack(() => box)?.contains(document.activeElement)) settled = now;
  });

  $effect(() => {
    if (rest.some((field) => form.wrong(`${path}.${field.key}`))) opened = true;
  });

  function left(): void {
    setTimeout(() => {
      if (!box?.contains(document.activeElement)) settled = needed;
    });
  }

  function isStated(field: Field): boolean {
    const keys = field.kind === 'one-of' ? field.fields.map((one) => one.key) : [field.key];
    return keys.some((key) => form.stated(`${path}.${key}`) !== undefined);
  }
</script>

<div bind:this={box} onfocusout={left}>
  {#each first as field (field.key)}
    <FieldRow {field} {path} />
  {/each}
  {#if rest.length > 0}
    <details bind:open={opened}>
      <summary class="note cursor-pointer overflow-hidden py-1.5 text-ellipsis whitespace-nowrap"
        >more: {rest.map((field) => lowerFirst(field.label)).join(', ')}</summary
      >
      {#each rest as field (field.key)}
        <FieldRow {field} {path} />
      {/each}
    </details>
  {/if}
</div>
