<script lang="ts">
  import { ApiError, ask, client } from '$lib/api/client';
  import { provideForm } from '$lib/fields/context';
  import FormFields from '$lib/fields/FormFields.svelte';
  import { fieldsOf, type Field, type JsonSchema } from '$lib/fields/schema';
  import type { Json } from '$lib/document/paths';
  import { knownLiquids } from '$lib/liquids/known';
  import { at } from '$lib/results/results';
  import { providePointed } from '$lib/section/pointed';
  import Section from '$lib/section/Section.svelte';
  import { session } from '$lib/session/session.svelte';
  import { onKeys } from '$lib/ui/keys';
  import { words } from '$lib/words/words';
  import TopLine from '$lib/ui/TopLine.svelte';
  import { onDestroy, onMount, untrack } from 'svelte';
  import { navigate, parameter } from '../../router';
  import { add, reorder } from './adding';
  import Banner from './Banner.svelte';
  import { Bench } from './bench.svelte';
  import FrontEdge from './FrontEdge.svelte';
  import { takeHandOver } from './hand-over';
  import Heading from './Heading.svelte';
  import Layout from './Layout.svelte';
  import Noted from './Noted.svelte';
  import MeasureColumn from './measure/MeasureColumn.svelte';
  import { OtherWays } from './measure/other-ways.svelte';
  import { Player } from './playing/player.svelte';
  import Playing from './playing/Playing.svelte';
  import PredictColumn from './predict/PredictColumn.svelte';
  import RunColumn from './run/RunColumn.svelte';
  import { STEPS, type Step } from './steps';
  import Variations from './variations/Variations.svelte';

  const bench = new Bench(untrack(() => parameter('department')));
  const { edited, predictor, kept, beside } = bench;
  const player = new Player();
  let step = $state<Step>('predict');
  let fields = $state.raw<Field[]>([]);
  let roomFields = $state.raw<Field[]>([]);
  let focused = $state('');
  let printing = $state(false);
  let opening = $state.raw<ApiError | null>(null);
  let area = $state<HTMLElement>();
  let variations = $state<Variations>();

  const answer = $derived(predictor.answer);
  const drawing = $derived(answer?.scene ?? null);
  const about = $derived(answer ? at(answer, answer.verdict.about) : null);

  let pointedAt = $state('');
  providePointed({
    get at() {
      return pointedAt;
    },
    point: (id) => (pointedAt = id),
  });

  /** A liquid is wanted at a path: the next of those that can be named. */
  let filling = $state('');
  const liquids = knownLiquids(
    () => bench.department,
    () => filling !== '',
  );

  function fill(path: string): void {
    filling = path;
    if (liquids.names.length > 0) fillNext(path);
  }

  function fillNext(path: string): void {
    const now = edited.stated(path);
    const name = typeof now === 'string' ? now : liquids.nameOf(now);
    const next = liquids.names[(liquids.names.indexOf(name) + 1) % liquids.names.length] ?? 'water';
    const own = liquids.own.find((one) => one.name === next);
    edited.change(path, own ? (own.stated as Json) : next);
  }

  /** The names come after the first wish for one. */
  $effect(() => {
    if (filling && liquids.names.length > 0 && !untrack(() => filled)) {
      filled = true;
      untrack(() => fillNext(filling));
    }
  });
  let filled = $state(false);

  const otherWays = new OtherWays(
    bench,
    () => fields.length > 0,
    () => player.reset(),
  );

  provideForm({
    stated: (path) => edited.stated(path),
    change: (path, value, mark) => {
      player.reset();
      edited.change(path, value, mark);
    },
    wrong: (path) => (predictor.refusal?.problem.path === path ? predictor.refusal.message : ''),
    inUse: (path) => answer?.inputs[path],
    share: (path) => about?.shares[path] ?? 0,
    get focused() {
      return focused;
    },
    focus: (path) => (focused = path),
    get help() {
      return step === 'measure';
    },
    ...otherWays.forFields,
    readLine: (path, text) => {
      const query = { ...session.roomQuery(bench.department), path, text };
      return ask(client.POST('/api/one-line', { params: { query }, body: edited.document as never }));
    },
  });

  onMount(() => {
    void open();
    const watch = new ResizeObserver(() => measure());
    if (area) watch.observe(area);
    const off = onKeys(() => session.preferences.single_keys, {
      ...Object.fromEntries(STEPS.map((place) => [String(place.number), () => (step = place.step)])),
      u: () => edited.undo(),
      r: () => edited.redo(),
      p: () => void play(),
      ',': () => variations?.step(-1),
      '.': () => variations?.step(1),
      save: () => void bench.save(),
    });
    return () => {
      watch.disconnect();
      off();
    };
  });

  /** Another room, another answer. */
  let room = session.roomKey(bench.department);
  $effect(() => {
    const now = session.roomKey(bench.department);
    if (now !== room) untrack(() => predictor.predict());
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
      const schema = brought?.schema ?? (await schemaOf(String(edited.stated('demonstration') ?? '')));
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
    predictor.resize({ width, height, horizon: height - 76, clear: wide ? 356 : 0 });
  }

  async function play(): Promise<void> {
    if (player.running) return player.pause();
    const trouble = await player.load(edited.document, predictor.query(true));
    if (trouble) predictor.problem = trouble;
  }

  async function fromTheStart(): Promise<void> {
    player.reset();
    await play();
  }

  /** A new set-up that was saved, at once or when a server answered, has an address of its own. */
  $effect(() => {
    if (kept.setup === null || parameter('setup') !== 'new') return;
    const params = { department: bench.department, setup: String(kept.setup.id) };
    void navigate('/d/:department/bench/:setup', { params, replace: true });
  });

  /** Prints guide, gear, numbers and section, once the guide is there. */
  async function print(): Promise<void> {
    printing = true;
    for (let i = 0; i < 100 && !document.querySelector('[aria-label="how to prepare it"] h2'); i++)
      await new Promise((done) => setTimeout(done, 50));
    globalThis.print();
    printing = false;
  }

  /** Another of the run stands here: its address, and nothing that was playing. */
  function switched(): void {
    player.reset();
    if (!kept.setup) return;
    const params = { department: bench.department, setup: String(kept.setup.id) };
    void navigate('/d/:department/bench/:setup', { params });
  }
</script>

<svelte:head><title>{bench.name || 'Bench'}, Anchorage</title></svelte:head>

<Layout {step} failed={opening?.message ?? ''} stale={predictor.stale} {printing} bind:area>
  {#snippet top()}
    <TopLine title={bench.name} pressure={answer?.room.station_pressure ?? null} />
  {/snippet}
  {#snippet list()}
    <Heading {bench} title={answer?.title ?? ''} onsave={() => bench.save()} onprint={() => void print()} />
    {#if kept.setup}{#key kept.setup.id}<Noted department={bench.department} setup={kept.setup.id} />{/key}{/if}
    <Variations bind:this={variations} {bench} {player} onplay={fromTheStart} onswitched={switched} />
    {#if fields.length > 0}<FormFields {fields} path="setup" />{/if}
    <p class="note mt-4">
      {answer ? `Worked with the ${answer.room.constants} constants: ${answer.room.constants_words}.` : ''}
    </p>
  {/snippet}
  {#snippet section()}
    {#if predictor.stale}<p class="note absolute z-1 mt-3 ml-18 bg-ground px-2 font-semibold text-ink" role="note">
        {words.stale}
      </p>{/if}
    {#if drawing}
      <Section
        {drawing}
        title={answer?.verdict.reason ?? ''}
        moved={player.moved}
        earlier={player.moved || predictor.holding ? null : beside.outline}
        would={player.moved || predictor.holding ? [] : (beside.preview?.marks ?? [])}
        onhold={(path, text) => {
          player.reset();
          predictor.holding = path;
          edited.change(path, text, `gesture:${path}`);
        }}
        onrelease={() => bench.release()}
        onremove={(path) => edited.change(path, undefined)}
        onfocus={(path) => (focused = path)}
        onadd={(adder, si) => add(bench, adder, si)}
        onmove={(path, by) => reorder(bench, path, by)}
        onfill={fill}
      />
    {/if}
  {/snippet}
  {#snippet guide()}
    {#await import('./prepare/PrepareColumn.svelte') then { default: PrepareColumn }}<PrepareColumn
        staged={bench}
        version={bench.dirty ? 0 : (bench.kept.setup?.version ?? 0)}
        gear={bench.kept.setup?.picks}
        setup={bench.kept.setup?.id ?? 0}
        department={bench.department}
        onrehearse={() => (step = 'run')}
      />{/await}
  {/snippet}
  {#snippet column()}
    <Banner {bench} />
    {#if step === 'measure'}
      <MeasureColumn staged={bench} fields={roomFields} />
    {:else if step === 'run'}
      <RunColumn {bench} />
    {:else if answer}
      <PredictColumn staged={bench} preview={beside.preview} {answer} />
    {/if}
  {/snippet}
  {#snippet playing()}
    <Playing {player} {answer} onplay={() => void play()} />
  {/snippet}
  {#snippet edge()}
    <FrontEdge
      {step}
      standing={{
        state: answer?.verdict.state ?? '',
        doubt: answer?.verdict.doubt ?? '',
        wrong: predictor.refusal !== null,
        stale: predictor.stale,
        runs: kept.setup?.runs ?? 0,
      }}
      onstep={(next) => (step = next)}
    />
  {/snippet}
</Layout>
{#if kept.conflict}
  {#await import('./ConflictSheet.svelte') then { default: ConflictSheet }}
    <ConflictSheet {bench} />
  {/await}
{/if}
{#if otherWays.workingOut || otherWays.fromShelf}
  {#await import('./measure/OtherWays.svelte') then { default: Sheets }}<Sheets ways={otherWays} {bench} />{/await}
{/if}
