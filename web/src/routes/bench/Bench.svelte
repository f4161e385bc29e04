<script lang="ts">
  import { ApiError, ask, client, send, type AdderInfo, type Playback } from '$lib/api/client';
  import { provideForm } from '$lib/fields/context';
  import FormFields from '$lib/fields/FormFields.svelte';
  import { fieldsOf, type Field, type JsonSchema } from '$lib/fields/schema';
  import type { Doc, Json } from '$lib/document/paths';
  import { stepped } from '$lib/document/quantities';
  import Section from '$lib/section/Section.svelte';
  import { session } from '$lib/session/session.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import { onDestroy, onMount, untrack } from 'svelte';
  import { navigate, parameter } from '../../router';
  import { Bench } from './bench.svelte';
  import { takeHandOver } from './hand-over';
  import { onKeys } from '$lib/ui/keys';
  import Banner from './Banner.svelte';
  import FrontEdge, { type Step } from './FrontEdge.svelte';
  import Heading from './Heading.svelte';
  import MeasureColumn from './MeasureColumn.svelte';
  import Playing from './Playing.svelte';
  import { Player } from './player.svelte';
  import PredictColumn from './PredictColumn.svelte';
  import RunColumn from './RunColumn.svelte';
  import Variations from './Variations.svelte';

  const bench = new Bench(untrack(() => parameter('department')));
  const player = new Player();
  let step = $state<Step>('predict');
  let fields = $state.raw<Field[]>([]);
  let roomFields = $state.raw<Field[]>([]);
  let focused = $state('');
  let opening = $state.raw<ApiError | null>(null);
  let area = $state<HTMLElement>();
  let variations = $state<Variations>();

  const drawing = $derived(bench.answer?.scene ?? null);
  const about = $derived(bench.answer ? resultAt(bench.answer.results, bench.answer.verdict.about) : null);

  provideForm({
    stated: (path) => bench.stated(path),
    change: (path, value, mark) => {
      player.reset();
      bench.change(path, value, mark);
    },
    wrong: (path) => (bench.refusal?.problem.path === path ? bench.refusal.message : ''),
    inUse: (path) => bench.answer?.inputs[path],
    share: (path) => about?.shares[path] ?? 0,
    get focused() {
      return focused;
    },
    focus: (path) => (focused = path),
    get help() {
      return step === 'measure';
    },
  });

  onMount(() => {
    void open();
    const watch = new ResizeObserver(() => measure());
    if (area) watch.observe(area);
    const off = onKeys(() => session.preferences.single_keys, {
      '1': () => (step = 'measure'),
      '2': () => (step = 'predict'),
      '3': () => (step = 'prepare'),
      '5': () => (step = 'run'),
      u: () => bench.undo(),
      r: () => bench.redo(),
      p: () => void play(),
      ',': () => variations?.step(-1),
      '.': () => variations?.step(1),
      save: () => void save(),
    });
    return () => {
      watch.disconnect();
      off();
    };
  });

  /** Another room, another answer. */
  let room = JSON.stringify(bench.where);
  $effect(() => {
    const now = JSON.stringify(bench.where);
    if (now !== room) untrack(() => bench.predict());
    room = now;
  });

  onDestroy(() => {
    player.reset();
    bench.close();
  });

  async function open(): Promise<void> {
    try {
      const id = parameter('setup');
      const brought = session.takeOpening(id);
      if (id === 'new') {
        const handed = takeHandOver();
        bench.begin(handed?.name ?? 'New set-up', handed?.document ?? null);
      } else await bench.open(id, brought);
      const schema = brought?.schema ?? (await schemaOf(String(bench.stated('demonstration') ?? '')));
      const properties = schema.properties as Record<string, JsonSchema>;
      fields = fieldsOf(properties.setup ?? {}, schema);
      roomFields = fieldsOf(properties.room ?? {}, schema);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      opening = error;
    }
  }

  async function schemaOf(key: string): Promise<JsonSchema> {
    const params = { path: { key } };
    return (await ask(client.GET('/api/demonstrations/{key}/schema', { params }))) as JsonSchema;
  }

  function measure(): void {
    if (!area) return;
    const width = Math.max(280, Math.floor(area.clientWidth));
    const wide = width > 640;
    const height = Math.max(wide ? 360 : 330, Math.floor(area.clientHeight));
    bench.resize({ width, height, horizon: height - 76, clear: wide ? 356 : 0 });
  }

  async function play(): Promise<void> {
    if (player.running) return player.pause();
    try {
      const response = await send('playback', JSON.stringify(bench.document), bench.query(true));
      const playback = (await response.json()) as Playback | null;
      if (playback) player.start(playback);
      else player.still = true;
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      bench.problem = error;
    }
  }

  async function save(): Promise<void> {
    const fresh = bench.setup === null;
    await bench.save();
    if (fresh && bench.setup)
      navigate('/d/:department/bench/:setup', {
        params: { department: bench.department, setup: String(bench.setup.id) },
        replace: true,
      });
  }

  /** Another of the run stands here: its address, and nothing that was playing. */
  function switched(): void {
    player.reset();
    if (!bench.setup) return;
    const params = { department: bench.department, setup: String(bench.setup.id) };
    void navigate('/d/:department/bench/:setup', { params });
  }

  function add(adder: AdderInfo, si: number): void {
    const like = bench.answer?.inputs[adder.like];
    const rows = session.units[like?.kind ?? 'length'] ?? [];
    const row = rows.find((one) => one.unit === like?.unit || one.printed === like?.unit) ?? rows[0];
    if (!row) return;
    const step = row.factor >= 0.01 ? 0.1 : 1;
    const items = (bench.stated(adder.path) as Json[] | undefined) ?? [];
    const place = `${stepped(si / row.factor, step)} ${row.unit}`;
    const item: Json = adder.key ? { [adder.key]: place, ...(adder.item as Doc) } : place;
    bench.change(adder.path, [...items, item]);
  }

  function resultAt(results: unknown, path: string): { shares: Record<string, number> } | null {
    let here: unknown = { results };
    for (const key of path.split('.')) here = (here as Record<string, unknown> | undefined)?.[key];
    return (here as { shares: Record<string, number> } | null | undefined) ?? null;
  }
</script>

<svelte:head><title>{bench.name || 'Bench'}, Anchorage</title></svelte:head>

<div class="page">
  <TopLine title={bench.name} pressure={bench.answer?.room.station_pressure ?? null} />
  {#if opening}
    <main class="failed">
      <h1>This set-up cannot be opened</h1>
      <p>{opening.message}</p>
    </main>
  {:else}
    <main class="middle step-{step}">
      <section class="list" aria-label="measures">
        <Heading {bench} title={bench.answer?.title ?? ''} onsave={save} />
        <Variations bind:this={variations} {bench} onswitched={switched} />
        {#if fields.length > 0}<FormFields {fields} path="setup" />{/if}
        <p class="note foot">
          {bench.answer
            ? `Worked with the ${bench.answer.room.constants} constants: ${bench.answer.room.constants_words}.`
            : ''}
        </p>
      </section>
      <section class="drawing" bind:this={area} aria-label="section">
        {#if drawing}
          <Section
            {drawing}
            title={bench.answer?.verdict.reason ?? ''}
            moved={player.moved}
            earlier={player.moved || bench.holding ? null : bench.outline}
            would={player.moved || bench.holding ? [] : (bench.preview?.marks ?? [])}
            onhold={(path, text) => {
              player.reset();
              bench.holding = path;
              bench.change(path, text, `gesture:${path}`);
            }}
            onrelease={() => bench.release()}
            onremove={(path) => bench.change(path, undefined)}
            onfocus={(path) => (focused = path)}
            onadd={add}
          />
        {/if}
      </section>
      {#if step === 'prepare'}
        <section class="guide" aria-label="guide">
          {#await import('./PrepareColumn.svelte') then { default: PrepareColumn }}<PrepareColumn {bench} />{/await}
        </section>
      {/if}
      <aside class="column" hidden={step === 'prepare'}>
        <Banner {bench} />
        {#if step === 'measure'}
          <MeasureColumn {bench} fields={roomFields} />
        {:else if step === 'run'}
          <RunColumn {bench} />
        {:else if bench.answer}
          <PredictColumn {bench} answer={bench.answer} />
        {/if}
      </aside>
    </main>
    <Playing {player} answer={bench.answer} onplay={() => void play()} />
  {/if}
  <FrontEdge
    {step}
    state={bench.answer?.verdict.state ?? ''}
    wrong={bench.refusal !== null}
    runs={bench.setup?.runs ?? 0}
    onstep={(next) => (step = next)}
  />
</div>
{#if bench.conflict}
  {#await import('./ConflictSheet.svelte') then { default: ConflictSheet }}
    <ConflictSheet {bench} />
  {/await}
{/if}

<style>
  .page {
    display: grid;
    grid-template-rows: auto minmax(0, 1fr) auto auto;
    height: 100dvh;
  }

  .failed {
    padding: 48px 24px;
  }

  .middle {
    position: relative;
    display: grid;
    grid-template-columns: 296px minmax(0, 1fr);
    min-height: 0;
    background: linear-gradient(var(--c-ground) calc(100% - 76px), var(--c-bench) calc(100% - 76px));
  }

  .list {
    height: calc(100% - 76px);
    overflow: auto;
    padding: 12px 16px 16px 24px;
  }

  .foot {
    margin-top: 16px;
  }

  .drawing {
    min-width: 0;
    overflow: hidden;
  }

  .guide {
    position: absolute;
    inset: 0 0 0 296px;
    overflow: auto;
    border-left: 1px solid var(--c-hair);
    background: var(--c-ground);
  }

  .step-prepare {
    background: none;
  }

  .step-prepare .list {
    height: 100%;
  }

  .column {
    position: absolute;
    top: 14px;
    right: 24px;
    width: 332px;
    max-height: calc(100% - 76px - 78px);
    overflow: auto;
    padding-right: 4px;
  }

  @media (max-width: 936px) {
    .page {
      display: block;
      height: auto;
      padding-bottom: 64px;
    }

    .middle {
      display: flex;
      flex-direction: column;
      background: none;
    }

    .list {
      order: 4;
      height: auto;
      padding: 12px 16px;
    }

    .drawing {
      order: 2;
      height: 372px;
      border: 0;
      background: linear-gradient(var(--c-ground) 296px, var(--c-bench) 296px);
    }

    .column {
      position: static;
      order: 1;
      width: auto;
      max-height: none;
      padding: 12px 16px;
    }

    .guide {
      position: static;
      order: 1;
      border: 0;
    }

    .step-prepare .drawing,
    .step-prepare .list {
      display: none;
    }

    .step-predict .column {
      display: contents;
    }

    .step-predict .column > :global(*) {
      order: 1;
      margin-inline: 16px;
    }

    .step-predict .column > :global(.first) {
      padding-top: 12px;
    }

    .step-predict .column > :global(.rest) {
      order: 3;
      padding-top: 12px;
    }

    .step-measure .list {
      order: 1;
    }

    .step-measure .column {
      order: 3;
    }
  }
</style>
