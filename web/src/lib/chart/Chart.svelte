<script lang="ts">
  import { download, fileName } from '$lib/ui/download';
  import Problem from '$lib/ui/Problem.svelte';
  import { doing } from '$lib/api/asked.svelte';
  import type { Snippet } from 'svelte';
  import type * as Plotting from '@observablehq/plot';
  import { plotted, type ChartData } from './plotted';

  interface Props {
    chart: ChartData;
    /** What it shows, for those who do not see it, and the name of its file. */
    title: string;
    /** The moment from which the lower axis counts its hours. */
    from?: string;
    height?: number;
    /** Whether it can be saved as a picture. */
    savable?: boolean;
    /** More that can be saved beside the pictures. */
    more?: Snippet;
  }

  let { chart, title, from = '', height = 230, savable = true, more }: Props = $props();
  let plot = $state.raw<typeof Plotting | null>(null);
  let lost = $state(false);
  let width = $state(0);
  let sheet = $state<HTMLDivElement>();

  /** The library comes with the first chart, not before. */
  $effect(() => {
    import('@observablehq/plot').then(
      (loaded) => (plot = loaded),
      () => (lost = true),
    );
  });

  /** Draws the chart into its place, anew whenever it, its width or the library changes. */
  function drawn(place: HTMLDivElement): void {
    if (!plot) return;
    const picture = plotted(plot, chart, { width: width || 340, height, from });
    picture.setAttribute('role', 'img');
    picture.setAttribute('aria-label', title);
    place.replaceChildren(picture);
  }

  const saving = doing(async (kind: 'svg' | 'png') => {
    const picture = sheet?.querySelector('svg');
    if (!picture) return;
    const { asPng, asSvg } = await import('./export');
    const name = `${fileName(title)}.${kind}`;
    if (kind === 'svg') download(name, await asSvg(picture), 'image/svg+xml');
    else download(name, await asPng(picture), 'image/png');
  });
</script>

<figure>
  <div {@attach drawn} bind:this={sheet} bind:clientWidth={width} style:min-height="{height}px" class="w-full"></div>
  {#if lost}
    <p class="wrong" role="alert">The chart’s part of the page did not arrive. Load the page again.</p>
  {/if}
  <Problem failure={saving.failure} />
  {#if savable}
    <figcaption class="note flex items-baseline gap-2">
      Save as
      {#each ['svg', 'png'] as const as kind (kind)}
        <button class="plain" type="button" onclick={() => void saving.run(kind)}>{kind.toUpperCase()}</button>
      {/each}
      {@render more?.()}
    </figcaption>
  {/if}
</figure>
