<script lang="ts">
  import type { Primitive } from '$lib/api/client';
  import { colour, fill, gradientId, pathData } from './primitive';

  let { item, moved, scope = '' }: { item: Primitive; moved?: number[]; scope?: string } = $props();
  const points = $derived(moved ?? item.d ?? []);
</script>

{#if item.k === 'p'}
  {#if item.f && typeof item.f !== 'string'}
    <linearGradient
      id={gradientId(item, scope)}
      gradientUnits="userSpaceOnUse"
      x1="0"
      x2="0"
      y1={item.f.y0}
      y2={item.f.y1}
    >
      {#each item.f.stops as [offset, token], i (i)}<stop {offset} stop-color={colour(token)} />{/each}
    </linearGradient>
  {/if}
  <path
    data-id={item.id}
    d={pathData(points, item)}
    fill={fill(item, scope)}
    stroke={colour(item.s)}
    stroke-width={item.w}
    stroke-dasharray={item.da?.join(' ')}
    stroke-linecap={item.r ? 'round' : undefined}
    stroke-linejoin={item.r ? 'round' : undefined}
    >{#if item.words}<title>{item.words}</title>{/if}</path
  >
{:else if item.k === 'c'}
  <circle
    data-id={item.id}
    cx={item.x}
    cy={item.y}
    r={item.rad}
    fill={fill(item, scope)}
    stroke={colour(item.s)}
    stroke-width={item.w}
  />
{:else}
  <text
    data-id={item.id}
    class={item.face}
    x={item.x}
    y={item.y}
    text-anchor={item.a}
    stroke={item.h ? colour(item.h) : undefined}
    paint-order="stroke"
    >{#each item.runs ?? [] as [words, size, weight, ink], i (i)}<tspan
        font-size={size}
        font-weight={weight}
        fill={colour(ink)}>{words}</tspan
      >{/each}</text
  >
{/if}

<style>
  text {
    stroke-width: 4px;
    stroke-linejoin: round;
    white-space: pre;
    user-select: none;
  }

  .measure {
    font-family: var(--font-measure);
    font-stretch: 88%;
    font-variant-numeric: tabular-nums;
  }

  .sentence {
    font-family: var(--font-sentence);
  }
</style>
