<script lang="ts">
  import { answers } from '$lib/api/answers';
  import { asked, doing } from '$lib/api/asked.svelte';
  import { ask, client, type Drawing, type Run } from '$lib/api/client';
  import Section from '$lib/section/Section.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import { momentInWords } from '$lib/words/dates';
  import { words } from '$lib/words/words';
  import { p, parameter } from '../../router';
  import SeriesTable from './SeriesTable.svelte';

  const department = $derived(parameter('department'));
  const path = $derived({ department, run: Number(parameter('run')) });
  const shown = asked(() => {
    const one = path;
    return {
      key: ['run', one.department, one.run],
      ask: (signal) => ask(client.GET('/api/departments/{department}/runs/{run}', { params: { path: one }, signal })),
    };
  });
  const run = $derived(shown.data ?? null);
  const drawing = $derived((run?.drawing ?? null) as Drawing | null);
  const verdict = $derived(run?.prediction.verdict as { reason: string; state: string } | undefined);
  const room = $derived(
    run?.prediction.room as
      { station_pressure: { value: number; kind: string; shown: string }; constants: string } | undefined,
  );

  /** Means of the readings on the frozen tape, beside the predicted marks. */
  const means = $derived(
    (drawing?.marks ?? []).flatMap((mark) => {
      const series = run?.series.find((one) => one.path === mark.path);
      if (!series || series.predicted === null || series.predicted === undefined) return [];
      const x = mark.x + (series.mean - series.predicted) * mark.per_si;
      const half = 2 * series.standard_uncertainty * mark.per_si;
      return [{ id: mark.id, x, half }];
    }),
  );

  /** What came back stands here at once, and the log is asked anew. */
  function taken(changed: Run): Run {
    answers.setQueryData(['run', path.department, path.run], changed);
    return changed;
  }

  const changing = doing(
    async (body: { outcome?: Run['outcome']; note?: string }) =>
      taken(await ask(client.PATCH('/api/departments/{department}/runs/{run}', { params: { path }, body }))),
    () => [['runs', department]],
  );
  const correcting = doing(
    async ({ reading, text }: { reading: number; text: string }) => {
      const params = { path: { department, reading } };
      const body = { text };
      return taken(await ask(client.PATCH('/api/departments/{department}/readings/{reading}', { params, body })));
    },
    () => [['runs', department]],
  );
</script>

<svelte:head><title>{run?.setup_name ?? 'Run'}, Anchorage</title></svelte:head>

<TopLine title={run?.setup_name ?? ''} pressure={room?.station_pressure ?? null} />
<main class="mx-auto max-w-259 px-6 pt-6 pb-16 max-phone:px-4 max-phone:pt-4 max-phone:pb-12">
  <Problem failure={shown.failure ?? changing.failure ?? correcting.failure} />
  {#if run && verdict}
    <header>
      <h1>{run.setup_name}</h1>
      <p class="note">
        {momentInWords(run.at)}, {run.by}{run.rehearsal ? ', a rehearsal' : ''};
        <a href={p('/d/:department/bench/:setup', { params: { department, setup: String(run.setup) } })}
          >the set-up as it is now</a
        >
      </p>
      <p class="verdict mt-2 mb-4 flex items-center gap-2">
        <VerdictMark state={verdict.state} doubt={run.doubt} size={20} /> Predicted: {verdict.reason}
      </p>
    </header>
    <SeriesTable
      series={run.series}
      oncorrect={async (reading, text) => (await correcting.run({ reading, text })) !== null}
    />
    <div class="told mt-4 mb-6 flex flex-wrap gap-4">
      <label class="grid gap-0.5 text-14">
        How it went
        <select
          class="box"
          value={run.outcome}
          onchange={(event) => void changing.run({ outcome: event.currentTarget.value as Run['outcome'] })}
        >
          {#each Object.entries(words.outcomes) as [value, said] (value)}<option {value}>{said}</option>{/each}
        </select>
      </label>
      <label class="grid min-w-[16rem] flex-1 gap-0.5 text-14">
        Note
        <textarea
          class="box"
          rows="2"
          value={run.note}
          onchange={(event) => void changing.run({ note: event.currentTarget.value })}></textarea>
      </label>
    </div>
    {#if drawing}
      <div
        class="relative [overflow-x:auto] bg-[linear-gradient(var(--c-ground)_592px,var(--c-bench)_592px)] [&_svg]:max-w-none"
      >
        <Section {drawing} title="the section as predicted: {verdict.reason}" />
        <svg
          class="means absolute top-0 left-0"
          viewBox="0 0 {drawing.width} {drawing.height}"
          width={drawing.width}
          height={drawing.height}
          aria-hidden="true"
        >
          {#each means as mean (mean.id)}
            <path
              d="M{mean.x - mean.half} {drawing.horizon + 20}H{mean.x + mean.half}"
              stroke="var(--c-ink)"
              stroke-width="1.5"
            />
            <path d="M{mean.x} {drawing.horizon + 25}l-5 -9h10z" fill="var(--c-ink)" />
          {/each}
        </svg>
      </div>
      <p class="note">
        The drawing, the prediction, the room and the {room?.constants} constants are as they stood when the run was logged.
        Bars on the tape: predicted; solid marks below them: what was read. ± holds 95 %.
      </p>
    {/if}
  {/if}
</main>
