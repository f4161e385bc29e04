<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import { session } from '$lib/session/session.svelte';
  import { SPACE, said } from '$lib/units/format';

  /** One property over its valid temperatures, with the numbers at both ends and at 20 °C, and its source. */
  let { property }: { property: Schemas['PropertyOut'] } = $props();
  const WIDE = 260;
  const TALL = 64;
  const unit = $derived(session.unit(property.kind, ''));
  const degrees = $derived(session.unit('temperature', 'degC'));
  const first = $derived(property.temperatures[0] ?? 0);
  const last = $derived(property.temperatures.at(-1) ?? 1);
  const low = $derived(Math.min(...property.values));
  const high = $derived(Math.max(...property.values));
  const points = $derived(
    property.temperatures
      .map((t, i) => {
        const y = high > low ? (high - (property.values[i] ?? low)) / (high - low) : 0.5;
        return `${(((t - first) / (last - first)) * WIDE).toFixed(1)},${(4 + y * (TALL - 8)).toFixed(1)}`;
      })
      .join(' '),
  );
  const at20 = $derived.by(() => {
    const k = property.temperatures.findIndex((t) => t >= 293.15);
    const a = property.temperatures[k - 1] ?? first;
    const b = property.temperatures[k] ?? last;
    const va = property.values[k - 1] ?? property.values[0] ?? 0;
    const vb = property.values[k] ?? va;
    return b > a ? va + ((vb - va) * (293.15 - a)) / (b - a) : vb;
  });

  function words(si: number): string {
    const told = said(si, 0, unit);
    return `${told.number}${SPACE}${told.unit}`.trim();
  }

  function warm(kelvin: number): string {
    const told = said(kelvin, 0, degrees);
    return `${told.number}${SPACE}${told.unit}`;
  }
</script>

<figure>
  <figcaption>
    <strong>{property.label}</strong> <span class="figure">{words(at20)}</span> <small>at {warm(293.15)}</small>
    {#if property.relative_uncertainty > 0}<small
        >± {Number((200 * property.relative_uncertainty).toPrecision(2))} %</small
      >{/if}
  </figcaption>
  <svg viewBox="0 0 {WIDE} {TALL}" role="img" aria-label="{property.label} from {warm(first)} to {warm(last)}">
    <path d="M0 0V{TALL}H{WIDE}" fill="none" stroke="var(--c-thin)" />
    <polyline {points} fill="none" stroke="var(--c-ink)" stroke-width="1.5" />
  </svg>
  <p class="ends figure">
    <span>{warm(first)}: {words(property.values[0] ?? 0)}</span>
    <span>{warm(last)}: {words(property.values.at(-1) ?? 0)}</span>
  </p>
  <p class="note">{property.source}</p>
</figure>

<style>
  figure {
    margin: 0;
  }

  svg {
    width: 100%;
    height: auto;
  }

  .ends {
    display: flex;
    justify-content: space-between;
    margin: 2px 0;
    font-size: 0.75rem;
  }

  small {
    color: var(--c-second);
  }

  .note {
    margin: 0;
    font-size: 0.75rem;
  }
</style>
