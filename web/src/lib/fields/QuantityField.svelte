<script lang="ts">
  import { asText, inUnit, parts } from '$lib/document/quantities';
  import { measured } from '$lib/units/format';
  import { session } from '$lib/session/session.svelte';
  import { useForm } from './context';
  import Row from './Row.svelte';
  import type { Field } from './schema';

  /** A number with tolerance and unit, typed in one line; the unit can also be picked. */
  let { field, path }: { field: Field; path: string } = $props();
  const form = useForm();
  const id = $derived(`f-${path}`);
  const units = $derived(session.units[field.of] ?? []);
  const stated = $derived(form.stated(path));
  const unit = $derived(parts(stated)?.unit ?? '');
  const picked = $derived(units.find((row) => row.unit === unit || row.printed === unit)?.unit ?? '');
  const plain = $derived(field.kind === 'number');

  const inUse = $derived.by(() => {
    if (stated !== undefined) return '';
    const used = form.inUse(path);
    if (!used) return field.fallback === undefined ? 'not stated' : `not stated: ${asText(field.fallback)}`;
    return `not stated: ${measured(used, session.unit(field.of, used.unit))}`;
  });

  function type(text: string): void {
    const value = text.trim();
    const number = plain && /^-?\d+(\.\d+)?$/.test(value) ? Number(value) : null;
    form.change(path, value === '' ? undefined : (number ?? value.replace('±', '+/-')), `typed:${path}`);
  }

  function pick(chosen: string): void {
    const to = units.find((row) => row.unit === chosen);
    if (to) form.change(path, inUnit(stated, to, units).replace('±', '+/-'));
  }
</script>

<Row {path} label={field.label} control={id} help={field.help} {inUse}>
  <span class="flex items-baseline gap-0.5">
    <input
      {id}
      class="figure max-w-[9.5rem] min-w-[4.5rem] rounded-xs border border-t-transparent border-r-transparent border-b-thin border-l-transparent px-1 py-px text-right font-semibold focus:bg-strip [&[aria-invalid]]:border [&[aria-invalid]]:border-ink [&[aria-invalid]]:bg-strip"
      type="text"
      autocomplete="off"
      spellcheck="false"
      value={asText(stated)}
      size={Math.max(6, asText(stated).length)}
      aria-invalid={form.wrong(path) ? true : undefined}
      aria-describedby={form.wrong(path) ? `${id}-wrong` : undefined}
      oninput={(event) => type(event.currentTarget.value)}
      onfocus={() => form.focus(path)}
      onblur={() => form.focus('')}
    />
    {#if field.kind === 'quantity-or-unknown'}
      <button class="plain" type="button" onclick={() => form.change(path, 'unknown')}>unknown</button>
    {/if}
    {#if units.length > 1 && stated !== undefined}
      <span
        class="relative after:pointer-events-none after:absolute after:top-0.75 after:right-0 after:bottom-0 after:left-1.5 after:text-second after:content-['▾']"
        ><select
          class="min-h-6 w-6 appearance-none text-13 text-transparent"
          aria-label="unit of {field.label.toLowerCase()}"
          value={picked}
          onchange={(event) => pick(event.currentTarget.value)}
        >
          {#if picked === ''}<option class="bg-strip text-ink" value="">unit</option>{/if}
          {#each units as row (row.unit)}<option class="bg-strip text-ink" value={row.unit}
              >{row.printed || 'plain'}</option
            >{/each}
        </select></span
      >
    {/if}
  </span>
</Row>
{#if field.ready.length > 0}
  <select
    class="min-h-7 w-full border-b border-hair text-13 text-second"
    aria-label="ready choices of {field.label.toLowerCase()}"
    value=""
    onchange={(event) => form.change(path, event.currentTarget.value)}
  >
    <option class="bg-strip text-ink" value="">choose a ready one</option>
    {#each field.ready as [name, text] (name)}<option class="bg-strip text-ink" value={text}
        >{name}: {text.replace('+/-', '±')}</option
      >{/each}
  </select>
{/if}
