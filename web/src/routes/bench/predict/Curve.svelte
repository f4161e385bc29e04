<script lang="ts">
  import { answerTo, asked, doing } from '$lib/api/asked.svelte';
  import { send, type Schemas } from '$lib/api/client';
  import { settled } from '$lib/api/settled.svelte';
  import type { Staged } from '$lib/predict/staged';
  import Section from '$lib/section/Section.svelte';
  import { download } from '$lib/ui/download';
  import { session } from '$lib/session/session.svelte';

  interface Props {
    staged: Staged;
    input: string;
    result: string;
    /** Whether it can be saved: a curve beside a note cannot. */
    savable?: boolean;
  }

  /** One result over one input, with its band, the verdict along it and today's point. */
  let { staged, input, result, savable = false }: Props = $props();
  const typed = settled(() => JSON.stringify(staged.edited.document), 200);
  const query = $derived({ ...staged.predictor.where, input, result });
  const swept = asked(() => {
    const document = typed.now;
    const asking = query;
    return {
      key: ['sweep', document, JSON.stringify(asking)],
      ask: (signal) => answerTo<Schemas['CurveOut']>('sweep', document, asking, signal),
    };
  });
  const curve = $derived(swept.data);

  const saving = doing(async (kind: 'svg' | 'csv' | 'png') => {
    const name = `${staged.name || 'curve'}, ${curve?.result.label ?? ''}`;
    const more = kind === 'csv' ? query : { ...query, theme: session.theme };
    const response = await send(kind === 'csv' ? 'sweep.csv' : 'sweep.svg', typed.now, more);
    const text = await response.text();
    if (kind === 'csv') download(`${name}.csv`, text, 'text/csv');
    else if (kind === 'svg') download(`${name}.svg`, text, 'image/svg+xml');
    else download(`${name}.png`, await asPng(text), 'image/png');
  });
  const failure = $derived(swept.failure ?? saving.failure);

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

{#if failure}<p class="wrong" role="alert">{failure.message}</p>{/if}
{#if curve}
  <Section drawing={curve.drawing} title="{curve.result.label} over {curve.input.label.toLowerCase()}" />
  {#if savable}
    <p class="note">
      Save as
      {#each ['svg', 'png', 'csv'] as const as kind (kind)}
        <button class="plain" type="button" onclick={() => void saving.run(kind)}>{kind.toUpperCase()}</button>
      {/each}
    </p>
  {/if}
{/if}
