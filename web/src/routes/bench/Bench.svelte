<script lang="ts">
  import { ApiError, ask, client, send, type Playback } from '$lib/api/client';
  import { provideForm } from '$lib/fields/context';
  import FormFields from '$lib/fields/FormFields.svelte';
  import { fieldsOf, type Field, type JsonSchema } from '$lib/fields/schema';
  import Section from '$lib/section/Section.svelte';
  import { session } from '$lib/session/session.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import { onDestroy, onMount, untrack } from 'svelte';
  import { navigate, parameter } from '../../router';
  import { add } from './adding';
  import { Bench } from './bench.svelte';
  import { takeHandOver } from './hand-over';
  import { onKeys } from '$lib/ui/keys';
  import Banner from './Banner.svelte';
  import FrontEdge, { type Step } from './FrontEdge.svelte';
  import Heading from './Heading.svelte';
  import Layout from './Layout.svelte';
  import MeasureColumn from './MeasureColumn.svelte';
  import Playing from './Playing.svelte';
  import { Player } from './player.svelte';
  import PredictColumn from './PredictColumn.svelte';
  import { at } from './results';
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
  const about = $derived(bench.answer ? at(bench.answer, bench.answer.verdict.about) : null);

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
</script>

<svelte:head><title>{bench.name || 'Bench'}, Anchorage</title></svelte:head>

<Layout {step} failed={opening?.message ?? ''} bind:area>
  {#snippet top()}
    <TopLine title={bench.name} pressure={bench.answer?.room.station_pressure ?? null} />
  {/snippet}
  {#snippet list()}
    <Heading {bench} title={bench.answer?.title ?? ''} onsave={save} />
    <Variations bind:this={variations} {bench} onswitched={switched} />
    {#if fields.length > 0}<FormFields {fields} path="setup" />{/if}
    <p class="note mt-4">
      {bench.answer
        ? `Worked with the ${bench.answer.room.constants} constants: ${bench.answer.room.constants_words}.`
        : ''}
    </p>
  {/snippet}
  {#snippet section()}
    {#if drawing}
      <Section
        {drawing}
        title={bench.answer?.verdict.reason ?? ''}
        moved={player.moved}
        earlier={player.moved || bench.holding ? null : bench.beside.outline}
        would={player.moved || bench.holding ? [] : (bench.beside.preview?.marks ?? [])}
        onhold={(path, text) => {
          player.reset();
          bench.holding = path;
          bench.change(path, text, `gesture:${path}`);
        }}
        onrelease={() => bench.release()}
        onremove={(path) => bench.change(path, undefined)}
        onfocus={(path) => (focused = path)}
        onadd={(adder, si) => add(bench, adder, si)}
      />
    {/if}
  {/snippet}
  {#snippet guide()}
    {#await import('./PrepareColumn.svelte') then { default: PrepareColumn }}<PrepareColumn {bench} />{/await}
  {/snippet}
  {#snippet column()}
    <Banner {bench} />
    {#if step === 'measure'}
      <MeasureColumn {bench} fields={roomFields} />
    {:else if step === 'run'}
      <RunColumn {bench} />
    {:else if bench.answer}
      <PredictColumn {bench} answer={bench.answer} />
    {/if}
  {/snippet}
  {#snippet playing()}
    <Playing {player} answer={bench.answer} onplay={() => void play()} />
  {/snippet}
  {#snippet edge()}
    <FrontEdge
      {step}
      state={bench.answer?.verdict.state ?? ''}
      wrong={bench.refusal !== null}
      runs={bench.setup?.runs ?? 0}
      onstep={(next) => (step = next)}
    />
  {/snippet}
</Layout>
{#if bench.conflict}
  {#await import('./ConflictSheet.svelte') then { default: ConflictSheet }}
    <ConflictSheet {bench} />
  {/await}
{/if}
