<script lang="ts">
  import { answers } from '$lib/api/answers';
  import { asked, doing } from '$lib/api/asked.svelte';
  import { ask, client } from '$lib/api/client';
  import { workerOn } from '$lib/offline/worker-on';
  import Problem from '$lib/ui/Problem.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import { dateInWords } from '$lib/words/dates';
  import { onMount } from 'svelte';
  import { p, parameter } from '../../router';
  import Afterwards from './Afterwards.svelte';
  import Conflicts from './Conflicts.svelte';
  import Jobs from './Jobs.svelte';
  import { atItsField, atTheBench, clock, cured, settingsOf, type Lesson, type Settings } from './lesson';
  import LessonSettings from './LessonSettings.svelte';
  import { PARTS, partOf, type Part } from './parts';
  import RunningOrder from './RunningOrder.svelte';
  import Sheets from './Sheets.svelte';
  import { lessonStands } from './standing';
  import { ticking as tickingOf } from './ticking.svelte';
  import Timetable from './Timetable.svelte';

  /** One lesson: its running order, what comes before the bell and after it. What is changed is kept and planned anew at once. */
  const department = $derived(parameter('department'));
  const id = $derived(Number(parameter('lesson')));
  const path = $derived({ department, lesson: id });
  const shown = asked(() => {
    const one = path;
    return {
      key: ['lesson', one.department, one.lesson],
      ask: (signal) =>
        ask(client.GET('/api/departments/{department}/lessons/{lesson}', { params: { path: one }, signal })),
    };
  });
  const courses = asked(() => {
    const one = { department };
    return {
      key: ['courses', department],
      ask: (signal) => ask(client.GET('/api/departments/{department}/courses', { params: { path: one }, signal })),
    };
  });
  onMount(() => {
    void workerOn(() => {
      shown.again();
      courses.again();
    });
  });
  const lesson = $derived(shown.data ?? null);
  const stands = $derived(lesson ? lessonStands(lesson) : null);
  const keeping = doing(
    (body: Settings) => {
      const version = lesson?.version ?? 0;
      return ask(
        client.PUT('/api/departments/{department}/lessons/{lesson}', { params: { path }, body: { ...body, version } }),
      );
    },
    () => [
      ['lessons', department],
      ['courses', department],
    ],
  );
  const meanwhile = $derived(keeping.failure?.problem.code === 'conflict');
  const ticking = tickingOf(
    () => path,
    (ticks) => {
      const key = ['lesson', path.department, path.lesson];
      answers.setQueryData<Lesson>(key, (before) => before && { ...before, ticks });
    },
  );

  let chosen = $state<Part | null>(partOf(location.hash));
  const part = $derived(chosen ?? 'order');
  /** What is opened with something in it begins with its timetable, and stays where one turns to. */
  $effect(() => {
    if (lesson && chosen === null) chosen = lesson.rows.length > 0 ? 'before' : 'order';
  });
  function turn(to: Part): void {
    chosen = to;
    history.replaceState(history.state, '', `#${to}`);
  }

  /** One after the other: each change begins on what the one before it came to. */
  let last: Promise<unknown> = Promise.resolve();
  function change(make: (settings: Settings) => Settings): void {
    last = last.then(async () => {
      if (!lesson) return;
      const kept = await keeping.run(make(settingsOf(lesson)));
      if (kept) answers.setQueryData(['lesson', path.department, path.lesson], kept);
    });
  }

  function set<K extends keyof Settings>(key: K, value: Settings[K]): void {
    change((settings) => ({ ...settings, [key]: value }));
  }

  function cure(changes: Parameters<typeof cured>[1]): void {
    change((settings) => cured(settings, changes));
  }

  function takeTheirs(): void {
    keeping.clear();
    shown.again();
  }

  const wrong = (key: string): true | undefined => (keeping.failure?.problem.path === key ? true : undefined);
  const whole = $derived(lesson?.conflicts.filter((one) => one.item === null) ?? []);
  const at = $derived(lesson?.conflicts.filter((one) => one.item !== null) ?? []);
</script>

<svelte:window onhashchange={() => (chosen = partOf(location.hash))} />
<svelte:head><title>{lesson?.name ?? 'Lesson'}, Anchorage</title></svelte:head>

{#snippet heading(lesson: Lesson)}
  <p class="note">
    <a href={p('/d/:department/lessons', { params: { department } })}>Lessons</a>{lesson.course_name
      ? `, ${lesson.course_name}`
      : ''}
  </p>
  <h1 class="text-22">{lesson.name}</h1>
  <p class="note">
    {dateInWords(lesson.starts_at)}, {clock(lesson.starts_at, lesson.starts_at)}; {atTheBench(lesson)}
  </p>
  {#snippet noted(one: Lesson['noted'][number])}
    <p class="mt-1.5 border-l-4 border-ink pl-2 text-14">
      {one.note} <span class="note block">noted at “{one.name}”, {dateInWords(one.at)}</span>
    </p>
  {/snippet}
  {#if lesson.noted[0]}{@render noted(lesson.noted[0])}{/if}
  {#if lesson.noted.length > 1}<details class="mt-1 text-14">
      <summary class="cursor-pointer text-second">noted before that, {lesson.noted.length - 1}</summary>
      {#each lesson.noted.slice(1) as one (`${one.at} ${one.name}`)}{@render noted(one)}{/each}
    </details>{/if}
{/snippet}

{#snippet verdict()}
  {#if stands}<p class="verdict flex items-start gap-3 text-28 leading-[1.15] max-bench:text-20">
      <span class="mt-1 flex-none"><VerdictMark state={stands.state} /></span>
      <span
        >{#each stands.words as piece, k (k)}{#if k % 2}<strong class="figure">{piece}</strong
            >{:else}{piece}{/if}{/each}</span
      >
    </p>{/if}
  {#if keeping.failure}
    <p class="wrong my-2" role="alert">
      {atItsField(keeping.failure.message, keeping.failure.problem.path)}
      {#if meanwhile}<button class="line ml-2" type="button" onclick={takeTheirs}>Show what is kept now</button>{/if}
    </p>
  {/if}
  <Conflicts conflicts={whole} oncure={cure} />
{/snippet}

<div class="grid h-dvh grid-rows-[auto_minmax(0,1fr)_auto] max-bench:block max-bench:h-auto max-bench:pb-16">
  <TopLine title={lesson?.name ?? ''} />
  {#if lesson}
    {#if part === 'before'}
      <main class="grid min-h-0 grid-cols-[19rem_minmax(0,1fr)] max-bench:block">
        <section class="min-h-0 overflow-auto px-6 pt-3 pb-4 max-bench:px-4" aria-label="before the bell, planned">
          {@render heading(lesson)}
          <div class="mt-2 bench:hidden">{@render verdict()}</div>
          <Jobs {lesson} {ticking} />
        </section>
        <section
          class="grid min-h-0 grid-rows-[auto_minmax(0,1fr)] border-l border-hair max-bench:hidden"
          aria-label="the timetable"
        >
          <div class="px-6 pt-3 pb-2">
            {@render verdict()}
            <Conflicts conflicts={at} oncure={cure} />
            {#if lesson.slots && lesson.slots.length > 0 && !lesson.proved}<p class="note">
                A later beginning may do: none was found in the time there is to look.
              </p>{/if}
          </div>
          <Timetable {department} {lesson} {ticking} />
        </section>
      </main>
    {:else}
      <main class="min-h-0 overflow-auto px-6 pt-3 pb-8 max-phone:px-4">
        {@render heading(lesson)}
        <div class="mt-2">{@render verdict()}</div>
        {#if part === 'order'}
          <div class="grid grid-cols-[minmax(0,1fr)_23rem] gap-10 max-bench:grid-cols-1 max-bench:gap-2">
            {#key lesson.version}
              <div><RunningOrder {department} {lesson} onchange={(items) => set('items', items)} oncure={cure} /></div>
              <div>
                <h2 class="mt-5 border-t border-ink pt-1.5">When, where, with whom</h2>
                <LessonSettings {department} {lesson} courses={courses.data ?? []} {wrong} onset={set} />
              </div>
            {/key}
          </div>
        {:else if part === 'after'}
          <div class="mt-3"><Afterwards {department} {lesson} {ticking} /></div>
        {:else}
          <div class="mt-3"><Sheets {department} {lesson} /></div>
        {/if}
      </main>
    {/if}
  {:else}
    <main class="px-6 py-6"><Problem failure={shown.failure} /></main>
  {/if}
  <nav
    class="grid grid-cols-4 gap-2 bg-front px-6 text-bench-second max-bench:fixed max-bench:right-0 max-bench:bottom-0 max-bench:left-0 max-bench:z-10 max-bench:gap-1 max-bench:px-2"
    aria-label="parts of the lesson"
  >
    {#each PARTS as one (one.part)}
      <button
        class="group min-h-10 overflow-hidden border-t-3 border-thin text-left whitespace-nowrap max-bench:min-h-13 max-bench:text-center max-bench:text-12 max-bench:whitespace-normal [&[aria-current]]:border-t-bench-ink [&[aria-current]]:text-bench-ink"
        type="button"
        aria-current={one.part === part ? 'step' : undefined}
        onclick={() => turn(one.part)}
      >
        <strong class="font-normal group-[[aria-current]]:font-semibold">{one.name}</strong>
        {#if lesson}<small class="ml-1.5 text-13 max-bench:hidden">{one.told(lesson)}</small>{/if}
      </button>
    {/each}
  </nav>
</div>
