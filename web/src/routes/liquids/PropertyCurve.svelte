<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import Chart from '$lib/chart/Chart.svelte';
  import { session } from '$lib/session/session.svelte';
  import { SPACE, said } from '$lib/units/format';

  /** One property over its valid temperatures, with the numbers at both ends and at 20 °C, and its source. */
  let { property }: { property: Schemas['PropertyOut'] } = $props();
  const ends = $derived(
    property.ends.map((end) => `${inWords(end.temperature, 'temperature')}: ${inWords(end.value, property.kind)}`),
  );

  function inWords(si: number, kind: string): string {
    const told = said(si, 0, session.unit(kind, ''));
    return `${told.number}${SPACE}${told.unit}`.trim();
  }
</script>

<figure>
  <figcaption>
    <strong>{property.label}</strong> <span class="figure">{inWords(property.usual.value, property.kind)}</span>
    <small class="text-second">at {inWords(property.usual.temperature, 'temperature')}</small>
    {#if property.relative_uncertainty > 0}<small class="whitespace-nowrap text-second"
        >± {Number((200 * property.relative_uncertainty).toPrecision(2))} %</small
      >{/if}
  </figcaption>
  <Chart chart={property.chart} title="{property.label}, {ends.join('; ')}" height={150} savable={false} />
  <p class="ends figure my-0.5 flex justify-between text-12">
    {#each ends as end (end)}<span>{end}</span>{/each}
  </p>
  <p class="note text-12">{property.source}</p>
</figure>
