<script lang="ts">
  import type { AdderInfo } from '$lib/api/client';
  import { placeOn, pointOn } from './held';

  interface Props {
    adder: AdderInfo;
    /** A new item is wanted at a distance along the line [SI]. */
    onadd: (adder: AdderInfo, si: number) => void;
  }

  let { adder, onadd }: Props = $props();
  let over = $state<number | null>(null);
  let focused = $state(false);

  const spot = $derived(pointOn(adder, over ?? adder.suggest));
  const shown = $derived(over !== null || focused);

  function place(event: PointerEvent): number {
    const svg = (event.currentTarget as SVGElement).ownerSVGElement;
    const matrix = svg?.getScreenCTM();
    if (!svg || !matrix) return adder.suggest;
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return placeOn(adder, point.x, point.y);
  }
</script>

<g
  class="adder"
  data-adder={adder.path}
  role="button"
  tabindex="0"
  aria-label={adder.words}
  onpointermove={(event) => (over = place(event))}
  onpointerleave={() => (over = null)}
  onpointerup={(event) => onadd(adder, place(event))}
  onkeydown={(event) => {
    if (event.key === 'Enter' || event.key === ' ') {
      onadd(adder, adder.suggest);
      event.preventDefault();
    }
  }}
  onfocus={() => (focused = true)}
  onblur={() => (focused = false)}
>
  <path d="M{adder.from_[0]} {adder.from_[1]}L{adder.to[0]} {adder.to[1]}" stroke="transparent" stroke-width="18" />
  <g class:shown transform="translate({spot[0]} {spot[1]})">
    <path d="M-6 0H6M0 -6V6" stroke="var(--c-ink)" stroke-width="2" />
    <text x="12" y="-8">{adder.words}</text>
  </g>
</g>

<style>
  .adder {
    cursor: copy;
    outline: none;
  }

  .adder g {
    opacity: 0;
    pointer-events: none;
  }

  .adder g.shown {
    opacity: 1;
  }

  text {
    font: 12px var(--font-measure);
    fill: var(--c-ink);
    stroke: var(--c-ground);
    stroke-width: 4px;
    paint-order: stroke;
  }
</style>
