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
  <span class="entry">
    <input
      {id}
      class="figure"
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
      <span class="pick"
        ><select
          aria-label="unit of {field.label.toLowerCase()}"
          value={picked}
          onchange={(event) => pick(event.currentTarget.value)}
        >
          {#if picked === ''}<option value="">unit</option>{/if}
          {#each units as row (row.unit)}<option value={row.unit}>{row.printed || 'plain'}</option>{/each}
        </select></span
      >
    {/if}
  </span>
</Row>
{#if field.ready.length > 0}
  <select
    class="ready"
    aria-label="ready choices of {field.label.toLowerCase()}"
    value=""
    onchange={(event) => form.change(path, event.currentTarget.value)}
  >
    <option value="">choose a ready one</option>
    {#each field.ready as [name, text] (name)}<option value={text}>{name}: {text.replace('+/-', '±')}</option>{/each}
  </select>
{/if}

<style>
  .entry {
    display: flex;
    align-items: baseline;
    gap: 2px;
  }

  input {
    min-width: 4.5rem;
    max-width: 9.5rem;
    padding: 1px 4px;
    border: 1px solid transparent;
    border-bottom-color: var(--c-thin);
    border-radius: 2px;
    background: transparent;
    font-weight: 600;
    text-align: right;
  }

  input:focus {
    background: var(--c-strip);
  }

  input[aria-invalid] {
    border: 1px solid var(--c-ink);
    background: var(--c-strip);
  }

  .pick {
    position: relative;
  }

  .pick::after {
    content: '▾';
    position: absolute;
    inset: 3px 0 0 6px;
    color: var(--c-second);
    pointer-events: none;
  }

  .ready {
    width: 100%;
    min-height: 28px;
    border: 0;
    border-bottom: 1px solid var(--c-hair);
    background: transparent;
    color: var(--c-second);
    font-size: 0.8125rem;
  }

  .pick select {
    appearance: none;
    width: 24px;
    min-height: 24px;
    border: 0;
    background: transparent;
    color: transparent;
    font-size: 0.8125rem;
  }

  option {
    background: var(--c-strip);
    color: var(--c-ink);
  }
</style>
