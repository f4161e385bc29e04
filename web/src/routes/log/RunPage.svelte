<script lang="ts">
  import { answers } from '$lib/api/answers';
  import { asked, doing } from '$lib/api/asked.svelte';
  import { ask, client, type Drawing, type Run, type Schemas } from '$lib/api/client';
  import { conflictIn } from '$lib/api/conflict';
  import Chart from '$lib/chart/Chart.svelte';
  import { puttingAway } from '$lib/api/putting-away.svelte';
  import Section from '$lib/section/Section.svelte';
  import { session } from '$lib/session/session.svelte';
  import { landing } from '$lib/ui/focus';
  import Meanwhile from '$lib/ui/Meanwhile.svelte';
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
    async (body: Schemas['RunPatch']) =>
      taken(await ask(client.PATCH('/api/departments/{department}/runs/{run}', { params: { path }, body }))),
    () => [['runs', department]],
  );

  /** What is typed or chosen here and not kept yet, and the version that it was begun on. */
  let own = $state.raw<{ note?: string; outcome?: Run['outcome']; version: number } | null>(null);
  const mine = $derived({ note: own?.note ?? run?.note ?? '', outcome: own?.outcome ?? run?.outcome ?? 'worked' });

  const changed = $derived.by(() => {
    const { note, outcome } = own ?? {};
    return { ...(note === undefined ? {} : { note }), ...(outcome === undefined ? {} : { outcome }) };
  });

  function begin(change: { note?: string; outcome?: Run['outcome'] }): void {
    own = { version: run?.version ?? 0, ...own, ...change };
  }

  async function keep(version = own?.version ?? 0): Promise<void> {
    if (!own) return;
    const sent = own;
    if ((await changing.run({ series: [], ...sent, version })) && own === sent) own = null;
  }

  function takeTheirs(): void {
    own = null;
    changing.clear();
    shown.again();
  }

  const away = puttingAway(
    () => ask(client.POST('/api/departments/{department}/runs/{run}/archive', { params: { path } })),
    () => ask(client.POST('/api/departments/{department}/runs/{run}/bring-back', { params: { path } })),
    () => [
      ['runs', department],
      ['run', path.department, path.run],
    ],
  );
  const member = $derived(session.me?.departments.find((one) => one.slug === department));
  const takesBack = $derived(run !== null && (member?.role === 'head' || run.by === session.me?.username));
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
  <Problem failure={shown.failure ?? (conflictIn(changing.failure) ? null : changing.failure) ?? correcting.failure} />
  <Problem failure={away.failure} />
  {#if run && verdict}
    <header>
      <h1 use:landing class="outline-none">{run.setup_name}</h1>
      <p class="note">
        {momentInWords(run.at)}, {run.by}{run.rehearsal ? ', a rehearsal' : ''};
        <a href={p('/d/:department/bench/:setup', { params: { department, setup: String(run.setup) } })}
          >the set-up as it is now</a
        >{#if takesBack && !run.archived_at}; <button
            class="plain"
            type="button"
            onclick={() => void away.put({ id: path.run, name: run.setup_name })}>take this run back</button
          >{/if}
      </p>
      {#if run.archived_at}
        <p class="my-2 border-l-4 border-ink pl-2" role="status">
          Taken back by {run.archived_by}, {momentInWords(run.archived_at)}: it is out of the log.
          {#if takesBack}<button class="plain font-semibold" type="button" onclick={() => void away.bringBack(path.run)}
              >undo</button
            >{/if}
        </p>
      {/if}
      <p class="verdict mt-2 mb-4 flex items-center gap-2">
        <VerdictMark state={verdict.state} doubt={run.doubt} size={20} /> Predicted: {verdict.reason}
      </p>
    </header>
    <SeriesTable
      series={run.series}
      oncorrect={async (reading, text) => (await correcting.run({ reading, text })) !== null}
    />
    {#each run.series.filter((one) => one.chart) as one (one.path)}
      {#if one.chart}
        <div class="mt-4 max-w-[34rem]">
          <p class="text-14 font-semibold">{one.name}: read and predicted</p>
          <Chart chart={one.chart} title="{one.name}, read and predicted" height={200} />
        </div>
      {/if}
    {/each}
    <div class="told mt-4 mb-6 flex flex-wrap gap-4">
      <label class="grid gap-0.5 text-14">
        How it went
        <select
          class="box"
          value={mine.outcome}
          onchange={(event) => {
            begin({ outcome: event.currentTarget.value as Run['outcome'] });
            void keep();
          }}
        >
          {#each Object.entries(words.outcomes) as [value, said] (value)}<option {value}>{said}</option>{/each}
        </select>
      </label>
      <label class="grid min-w-[16rem] flex-1 gap-0.5 text-14">
        Note
        <textarea
          class="box"
          rows="2"
          maxlength="4000"
          value={mine.note}
          oninput={(event) => begin({ note: event.currentTarget.value })}
          onchange={() => void keep()}></textarea>
      </label>
    </div>
    <Meanwhile failure={changing.failure} mine={changed} ontake={takeTheirs} onkeep={(version) => void keep(version)} />
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
