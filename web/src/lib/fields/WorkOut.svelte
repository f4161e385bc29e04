<script lang="ts">
  import { asPrinted } from '$lib/units/format';
  import { useForm } from './context';
  import type { Field } from './schema';

  /** Other ways to a field's value: worked out by an aid, or taken from the shelf; and what it was taken from. */
  let { field, path }: { field: Field; path: string } = $props();
  const form = useForm();
  const taken = $derived(form.shelf?.taken(path));
  const worked = $derived(form.workOut?.serves(field.key) === true);
  const there = $derived(form.shelf?.has(field.key) === true);
  const name = $derived(field.label.toLowerCase());
</script>

{#if taken}
  <p class="note text-13 leading-[1.3]">
    as <a class="underline decoration-1 underline-offset-4" href={form.shelf?.address(taken.item)}>{taken.name}</a
    >{taken.gone ? ', off the shelf by now' : ''}
    {#if taken.newer !== null && taken.newer !== undefined}
      <span class="block text-ink"
        >measured again: {asPrinted(taken.newer_quantity)}
        <button class="plain min-h-6 text-13" type="button" onclick={() => form.shelf?.takeNewer(path)}>take it</button
        ></span
      >
    {/if}
  </p>
{/if}
{#if worked || there}
  <p class="note flex flex-wrap gap-x-3 print:hidden">
    {#if there}<button
        class="plain min-h-6 text-13"
        type="button"
        aria-label="take {name} from the shelf"
        onclick={() => form.shelf?.open(path, field)}>from the shelf</button
      >{/if}
    {#if worked}<button
        class="plain min-h-6 text-13"
        type="button"
        aria-label="work out {name}"
        onclick={() => form.workOut?.open(path, field)}>or work it out</button
      >{/if}
  </p>
{/if}
