<script lang="ts">
  import { ApiError, send, type Schemas } from '$lib/api/client';
  import Section from '$lib/section/Section.svelte';
  import { download } from '$lib/ui/download';
  import { session } from '$lib/session/session.svelte';
  import { untrack } from 'svelte';
  import type { Bench } from './bench.svelte';

  interface Props {
    bench: Bench;
    input: string;
    result: string;
    /** Whether it can be saved: a curve beside a note cannot. */
    savable?: boolean;
  }

  /** One result over one input, with its band, the verdict along it and today's point. */
  let { bench, input, result, savable = false }: Props = $props();
  let curve = $state.raw<Schemas['CurveOut'] | null>(null);
  let failure = $state('');

  $effect(() => {
    void bench.answer;
    const asked = { ...bench.where, input, result };
    const timer = setTimeout(
      () => void load(asked),
      untrack(() => (curve ? 200 : 0)),
    );
    return () => clearTimeout(timer);
  });

  async function load(asked: Record<string, string>): Promise<void> {
    try {
      curve = (await (await send('sweep', JSON.stringify(bench.document), asked)).json()) as Schemas['CurveOut'];
      failure = '';
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      failure = error.message;
    }
  }

  async function save(kind: 'svg' | 'csv' | 'png'): Promise<void> {
    const theme = session.preferences.theme;
    const query = { ...bench.where, input, result, theme };
    const name = `${bench.name || 'curve'}, ${curve?.result.label ?? ''}`;
    try {
      const response = await send(kind === 'csv' ? 'sweep.csv' : 'sweep.svg', JSON.stringify(bench.document), query);
      const text = await response.text();
      if (kind === 'csv') download(`${name}.csv`, text, 'text/csv');
      else if (kind === 'svg') download(`${name}.svg`, text, 'image/svg+xml');
      else download(`${name}.png`, await asPng(text), 'image/png');
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      failure = error.message;
    }
  }

  /** The SVG painted at three times its size. */
  async function asPng(svg: string): Promise<Blob> {
    const image = new Image();
    image.src = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
    await image.decode();
    const canvas = document.createElement('canvas');
    canvas.width = image.width * 3;
    canvas.height = image.height * 3;
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    URL.revokeObjectURL(image.src);
    return new Promise((done, failed) =>
      canvas.toBlob((blob) => (blob ? done(blob) : failed(new Error('the picture is empty'))), 'image/png'),
    );
  }
</script>

{#if failure}<p class="wrong" role="alert">{failure}</p>{/if}
{#if curve}
  <Section drawing={curve.drawing} title="{curve.result.label} over {curve.input.label.toLowerCase()}" />
  {#if savable}
    <p class="note save">
      Save as
      {#each ['svg', 'png', 'csv'] as const as kind (kind)}
        <button class="plain" type="button" onclick={() => void save(kind)}>{kind.toUpperCase()}</button>
      {/each}
    </p>
  {/if}
{/if}

<style>
  .save {
    margin: 0;
  }
</style>
