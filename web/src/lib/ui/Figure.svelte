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

<span class="figure" class:big
  ><b>{told.number}</b>{#if told.spread}<small>{SPACE}±{SPACE}{told.spread}</small
    >{/if}{#if told.unit}{#if pressable}<button
        type="button"
        title="press for another unit"
        aria-label="{told.unit}, press for another unit"
        onclick={next}>{told.unit}</button
      >{:else}<small>{SPACE}{told.unit}</small>{/if}{/if}</span
>

<style>
  .figure {
    white-space: nowrap;
  }

  b {
    font-weight: 600;
  }

  .big b {
    font-size: 1.15em;
  }

  small,
  button {
    font-size: 0.8125rem;
    color: var(--c-second);
  }

  button {
    min-width: 24px;
    min-height: 24px;
    padding: 0 2px 0 3px;
    border: 0;
    background: none;
    text-decoration: underline dotted 1px;
    text-underline-offset: 3px;
  }
</style>
