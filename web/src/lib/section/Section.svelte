<script lang="ts">
  import type { AdderInfo, Drawing } from '$lib/api/client';
  import Adder from './Adder.svelte';
  import Item from './Item.svelte';
  import { outlines, pathData } from './primitive';
  import Patterns from './Patterns.svelte';
  import { usePointed } from './pointed';
  import Ring from './Ring.svelte';

  interface Props {
    drawing: Drawing;
    title: string;
    /** Points of moving primitives, by id, while something plays. */
    moved?: ReadonlyMap<string, number[]> | null;
    /** Where advice would land things: open marks on the tape. */
    would?: Drawing['marks'];
    /** An earlier drawing in the same window, of which the outline stays. */
    earlier?: Drawing | null;
    onhold?: (path: string, text: string) => void;
    onrelease?: () => void;
    onremove?: (path: string) => void;
    onfocus?: (path: string) => void;
    onadd?: (adder: AdderInfo, si: number) => void;
    /** A list item is moved among the others, by so many places. */
    onmove?: (path: string, by: number) => void;
    /** The liquid at a path is to be another. */
    onfill?: (path: string) => void;
  }

  let {
    drawing,
    title,
    moved = null,
    would = [],
    earlier = null,
    onhold,
    onrelease,
    onremove,
    onfocus,
    onadd,
    onmove,
    onfill,
  }: Props = $props();

  const scope = $props.id();
  const pointed = usePointed();
  const outlined = $derived(
    pointed?.at ? drawing.items.find((item) => item.id === pointed.at && item.k === 'p') : undefined,
  );
  let held = $state('');

  /** Left edge and middle height of an outline. */
  function outlineOf(d: number[]): { left: number; middle: number } {
    const xs = d.filter((_, i) => i % 2 === 0);
    const ys = d.filter((_, i) => i % 2 === 1);
    return { left: Math.min(...xs), middle: (Math.min(...ys) + Math.max(...ys)) / 2 };
  }
  const alive = $derived(Boolean(onhold) && !moved);
  const hidden = $derived(new Set(held ? [`${held}:figure`, `${held}:half`] : []));
  const shown = $derived(
    drawing.items.filter(
      (item) => !item.id.endsWith(':ring') && !hidden.has(item.id) && !(moved && item.g?.includes('moment')),
    ),
  );
  /** The lettering stands above the earlier outline, which its halo interrupts. */
  const beneath = $derived(earlier ? shown.filter((item) => item.k !== 't') : shown);
  const above = $derived(earlier ? shown.filter((item) => item.k === 't') : []);
</script>

<svg
  viewBox="0 0 {drawing.width} {drawing.height}"
  width={drawing.width}
  height={drawing.height}
  role="group"
  aria-label={title}
>
  <defs><Patterns /></defs>
  {#each beneath as item (item.id)}
    <Item {item} moved={moved?.get(item.id)} {scope} />
  {/each}
  {#each earlier ? outlines(earlier.items) : [] as item (item.id)}
    <path
      class="earlier"
      d={pathData(item.d ?? [], item)}
      fill="none"
      stroke="var(--c-ink)"
      stroke-width="1"
      stroke-dasharray="5 4"
    />
  {/each}
  {#each above as item (item.id)}
    <Item {item} moved={moved?.get(item.id)} {scope} />
  {/each}
  {#if outlined}
    {@const edge = outlineOf(outlined.d ?? [])}
    <g class="pointed" aria-hidden="true">
      <path d={pathData(outlined.d ?? [], outlined)} fill="none" stroke="var(--c-ground)" stroke-width="7" />
      <path d={pathData(outlined.d ?? [], outlined)} fill="none" stroke="var(--c-ink)" stroke-width="2.5" />
      <path
        d="M{edge.left - 12} {edge.middle}l-16 -9v18z"
        fill="var(--c-ink)"
        stroke="var(--c-ground)"
        stroke-width="2"
      />
    </g>
  {/if}
  {#each would as mark (mark.id)}
    <path
      class="would"
      d="M{mark.x - 5} {drawing.horizon + 13}h10l-5 -9z"
      fill="var(--c-strip)"
      stroke="var(--c-ink)"
      stroke-width="1.25"><title>with the change: {mark.words}</title></path
    >
  {/each}
  {#if alive && onhold && onrelease && onremove && onfocus && onadd}
    {#each drawing.adders as adder (adder.path)}
      <Adder {adder} {onadd} />
    {/each}
    {#each drawing.handles as handle (handle.id)}
      <Ring
        {handle}
        room={drawing.width}
        onhold={(path, text) => {
          held = path;
          onhold(path, text);
        }}
        onrelease={() => {
          held = '';
          onrelease();
        }}
        {onremove}
        {onfocus}
        {onmove}
        {onfill}
      />
    {/each}
  {/if}
</svg>

<style>
  svg {
    display: block;
    max-width: 100%;
    overflow: visible;
  }
</style>
