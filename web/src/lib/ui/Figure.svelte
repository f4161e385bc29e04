<script lang="ts">
  import { session } from '$lib/session/session.svelte';
  import { SPACE, said } from '$lib/units/format';

  interface Props {
    si: number;
    sd: number;
    kind: string;
    shown: string;
    /** Pressing the unit changes it, for this person, for every result of the kind. */
    pressable?: boolean;
    big?: boolean;
  }

  let { si, sd, kind, shown, pressable = false, big = false }: Props = $props();
  const unit = $derived(session.unit(kind, shown));
  const told = $derived(said(si, sd, unit));

  function next(): void {
    const rows = session.units[kind] ?? [];
    const now = rows.findIndex((row) => row.unit === unit.unit);
    const following = rows[(now + 1) % rows.length];
    if (following) void session.prefer({ units: { [kind]: following.unit } });
  }
</script>

<span class="figure whitespace-nowrap"
  ><b class="font-semibold {big ? 'text-[1.15em]' : ''}">{told.number}</b>{#if told.spread}<small
      class="text-13 text-second">{SPACE}±{SPACE}{told.spread}</small
    >{/if}{#if told.unit}{#if pressable}<button
        class="unit min-h-6 min-w-6 pr-0.5 pl-0.75 text-13 text-second underline decoration-dotted decoration-1 underline-offset-3 print:no-underline"
        type="button"
        title="press for another unit"
        aria-label="{told.unit}, press for another unit"
        onclick={next}>{told.unit}</button
      >{:else}<small class="text-13 text-second">{SPACE}{told.unit}</small>{/if}{/if}</span
>
