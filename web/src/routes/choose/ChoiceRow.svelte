<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import SmallSection from '$lib/section/SmallSection.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import { SPACE } from '$lib/units/format';

  /** One thing to choose: its section, what the class sees, what it takes, how it fares here today. */
  interface Props {
    row: Schemas['OfferOut'];
    department: string;
    onbegin: () => void;
    onlike: () => void;
  }

  let { row, department, onbegin, onlike }: Props = $props();
  const MESS = { dry: 'stays dry', drips: 'a few drips', wet: 'gets wet' };
  const RISK = { low: 'little risk', care: 'some care', rules: 'follow the school’s rules' };
  const facts = $derived(
    [
      `${row.minutes}${SPACE}min, ready in ${row.preparing}${SPACE}min`,
      `from ${row.age} years`,
      row.people === 1 ? 'one person' : `${row.people} people`,
      row.tall === null ? '' : `${row.tall.toFixed(row.tall < 1 ? 2 : 1)}${SPACE}m tall`,
      row.fits === false ? 'too tall for this room' : '',
      row.visible_from === null ? '' : `seen from ${distance(row.visible_from)}`,
      row.sink ? 'needs a sink' : '',
      MESS[row.mess],
      RISK[row.risk],
    ].filter(Boolean),
  );

  /** A distance by a rule of thumb: two figures, and beyond any room only that. */
  function distance(metres: number): string {
    if (metres > 30) return `beyond 30${SPACE}m`;
    return `${metres >= 10 ? Math.round(metres) : Number(metres.toPrecision(1))}${SPACE}m`;
  }
</script>

<li
  class="grid grid-cols-[168px_minmax(0,1fr)_auto] items-start gap-x-4 gap-y-1 border-b border-hair py-3 max-phone:grid-cols-[84px_minmax(0,1fr)]"
>
  <SmallSection
    {department}
    setup={row.setup}
    demonstration={row.demonstration}
    class="max-phone:h-auto max-phone:w-[84px]"
  />
  <div class="grid gap-1">
    <p>
      <strong class="text-18">{row.name}</strong>{#if row.name !== row.title}<span class="note"
          >, {row.title.toLowerCase()}</span
        >{/if}
    </p>
    <p>{row.sees}</p>
    <p class="note">{facts.join(' · ')}</p>
    <p class="note">With {row.gear.join(', ')}.</p>
    <p class="flex items-baseline gap-2 text-14">
      {#if row.state}<span class="flex-none"><VerdictMark state={row.state} doubt="" size={16} /></span>{/if}
      <span>{row.reason}</span>
    </p>
  </div>
  <p class="grid justify-items-end gap-1 max-phone:col-span-2 max-phone:flex max-phone:justify-between">
    <button
      class="line"
      type="button"
      aria-label="{row.setup ? 'Open it' : 'Begin with it'}: {row.name}"
      onclick={onbegin}>{row.setup ? 'Open it' : 'Begin with it'}</button
    >
    <button class="plain text-13" type="button" aria-label="what shows the same? {row.name}" onclick={onlike}
      >what shows the same?</button
    >
  </p>
</li>
