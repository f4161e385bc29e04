<script lang="ts">
  import { tick } from 'svelte';
  import { asText, inUnit, parts } from '$lib/document/quantities';
  import { asPrinted, measured } from '$lib/units/format';
  import { Understood } from './understood.svelte';
  import { session } from '$lib/session/session.svelte';
  import type { Json } from '$lib/document/paths';
  import { useForm } from './context';
  import Row from './Row.svelte';
  import WorkOut from './WorkOut.svelte';
  import type { Field } from './schema';

  /** A number with tolerance and unit, typed in one line; the unit can also be picked. */
  interface Props {
    field: Field;
    path: string;
    /** What stands before the value in use where none is stated. */
    absent?: string;
  }

  let { field, path, absent = 'not stated' }: Props = $props();
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
    if (!used) return field.fallback === undefined ? 'not stated' : `${absent}: ${asText(field.fallback)}`;
    return `${absent}: ${measured(used, session.unit(field.of, used.unit))}`;
  });

  /** What several readings come to. */
  const mean = $derived.by(() => {
    const used = Array.isArray(stated) && !form.wrong(path) ? form.inUse(path) : undefined;
    return used ? measured(used, session.unit(field.of, used.unit)) : '';
  });

  const understood = new Understood();
  let last = '';
  const keep = (value: Json | undefined): void => form.change(path, value, `typed:${path}`);
  const shown = $derived(inWriting(understood.shown(stated)));

  /** A quantity in a field as people write it; one that is being typed as it is typed. */
  function inWriting(text: string): string {
    return understood.stands(stated) ? text : asPrinted(text).replaceAll('\u00a0', ' ');
  }

  function type(text: string): void {
    if (field.repeats && text.includes(';')) return understood.takeAs(text, readings(text), keep);
    last = parts(stated)?.unit || last || form.inUse(path)?.unit || units[0]?.unit || '';
    void understood.type(text, { path, kind: field.of, plain, unit: last }, keep);
  }

  /** Several readings in one line; one without a unit has that of the last that names one. */
  function readings(text: string): Json {
    const typed = text.split(';').map((one) => one.trim().replace('±', '+/-'));
    const each = typed.filter((one) => one !== '');
    const named = each.map((one) => parts(one)?.unit ?? '').findLast((one) => one !== '') ?? '';
    return each.map((one) =>
      plain && /^-?[\d.]+$/.test(one) ? Number(one) : /[\d.]$/.test(one) ? `${one} ${named}` : one,
    );
  }

  /** What is read or offered stands in sight while the field is typed in. */
  $effect(() => {
    if (understood.offer === '' && understood.meaning === '') return;
    const row = document.getElementById(id)?.closest('[data-row]');
    void tick().then(() => row?.scrollIntoView({ block: 'nearest' }));
  });

  /** What was stated before a unit was picked, and what that made of it: picked back, it is as it was. */
  let before: { text: string; made: string } | null = null;

  function pick(chosen: string): void {
    const to = units.find((row) => row.unit === chosen);
    if (!to) return;
    const from = before && asText(stated) === before.made ? before.text : asText(stated);
    const made = inUnit(from.replace('±', '+/-'), to, units);
    before = { text: from, made };
    form.change(path, made.replace('±', '+/-'));
  }
</script>

<Row {path} label={field.label} control={id} help={field.help} {inUse}>
  <span class="flex items-baseline gap-0.5">
    <input
      {id}
      class="figure {Array.isArray(stated)
        ? 'max-w-[15rem]'
        : 'max-w-[9.5rem]'} min-w-[4.5rem] rounded-xs border border-t-transparent border-r-transparent border-b-thin border-l-transparent px-1 py-px text-right font-semibold focus:bg-strip [&[aria-invalid]]:border [&[aria-invalid]]:border-ink [&[aria-invalid]]:bg-strip"
      type="text"
      autocomplete="off"
      spellcheck="false"
      value={shown}
      size={Math.max(6, shown.length)}
      aria-invalid={form.wrong(path) ? true : undefined}
      aria-describedby={form.wrong(path) ? `${id}-wrong` : undefined}
      oninput={(event) => type(event.currentTarget.value)}
      onfocus={() => form.focus(path)}
      onkeydown={(event) => {
        if (event.key === 'Enter' && understood.accept(keep)) event.preventDefault();
      }}
      onblur={() => {
        understood.leave();
        form.focus('');
      }}
    />
    {#if field.kind === 'quantity-or-unknown'}
      <button class="plain" type="button" onclick={() => form.change(path, 'unknown')}>unknown</button>
    {/if}
    {#if units.length > 1 && stated !== undefined}
      <span
        class="relative after:pointer-events-none after:absolute after:top-0.75 after:right-0 after:bottom-0 after:left-1.5 after:text-second after:content-['▾'] print:hidden"
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
  {#snippet below()}
    <WorkOut {field} {path} />
    {#if Array.isArray(stated) && mean}<p class="note text-13" role="status">mean of {stated.length}: {mean}</p>{/if}
    {#if understood.stands(stated) && understood.offer}
      <p class="note my-0.5 flex items-baseline justify-between gap-2 text-13">
        <span>{asPrinted(understood.offer)}?</span>
        <button class="line" type="button" onclick={() => understood.accept(keep)}
          >Take {asPrinted(understood.offer)} <span class="key">Enter</span></button
        >
      </p>
    {:else if understood.stands(stated) && understood.meaning}
      <p class="note my-0.5 text-13" role="status">read as {asPrinted(understood.meaning)}</p>
    {/if}
  {/snippet}
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
