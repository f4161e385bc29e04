<script lang="ts">
  import { asked, doing } from '$lib/api/asked.svelte';
  import { answerTo, fileOf, type Schemas } from '$lib/api/client';
  import Chart from '$lib/chart/Chart.svelte';
  import { settled } from '$lib/api/settled.svelte';
  import type { Staged } from '$lib/predict/staged';
  import { download, fileName } from '$lib/ui/download';

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

  const name = $derived(curve ? `${curve.result.label} over ${curve.input.label.toLowerCase()}` : '');
  const saving = doing(async () => {
    const table = await fileOf('sweep.csv', typed.now, query);
    download(`${fileName(`${staged.name || 'curve'} ${name}`)}.csv`, table, 'text/csv');
  });
  const failure = $derived(swept.failure ?? saving.failure);
</script>

{#if failure}<p class="wrong" role="alert">{failure.message}</p>{/if}
{#if curve}
  {#snippet csv()}<button class="plain" type="button" onclick={() => void saving.run(undefined)}>CSV</button>{/snippet}
  <Chart chart={curve.chart} title={name} {savable} more={csv} />
{/if}
