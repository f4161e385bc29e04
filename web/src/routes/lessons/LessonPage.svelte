<script lang="ts">
  import { answers } from '$lib/api/answers';
  import { asked, doing } from '$lib/api/asked.svelte';
  import { ask, client } from '$lib/api/client';
  import { session } from '$lib/session/session.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import { p, parameter } from '../../router';
  import Beforehand from './Beforehand.svelte';
  import Conflicts from './Conflicts.svelte';
  import { cured, forField, settingsOf, type Settings } from './lesson';
  import RunningOrder from './RunningOrder.svelte';

  /** One lesson: its running order, and what comes before the bell. What is changed is kept and planned anew at once. */
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
  const lesson = $derived(shown.data ?? null);
  const keeping = doing(
    (body: Settings) => {
      const version = lesson?.version ?? 0;
      return ask(
        client.PUT('/api/departments/{department}/lessons/{lesson}', { params: { path }, body: { ...body, version } }),
      );
    },
    () => [['lessons', department]],
  );
  const meanwhile = $derived(keeping.failure?.problem.code === 'conflict');

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

  function takeTheirs(): void {
    keeping.clear();
    shown.again();
  }

  const wrong = (key: string): true | undefined => (keeping.failure?.problem.path === key ? true : undefined);
  const rooms = $derived(session.me?.departments.find((one) => one.slug === department)?.rooms ?? []);
  const THINGS = [
    ['hob', 'hobs'],
    ['sink', 'sinks'],
    ['pump', 'pumps'],
  ] as const;
  const WAYS = [
    ['bath', 'in running cold water'],
    ['pot', 'in its covered pot'],
    ['day-before', 'boiled the day before'],
  ] as const;
  const ROW = 'grid gap-0.5 text-14';
</script>

<svelte:head><title>{lesson?.name ?? 'Lesson'}, Anchorage</title></svelte:head>

<TopLine title={lesson?.name ?? ''} />
<main class="mx-auto max-w-6xl px-6 py-6 max-phone:px-4">
  <Problem failure={shown.failure} />
  {#if lesson}
    <p class="note"><a href={p('/d/:department/lessons', { params: { department } })}>Lessons</a></p>
    <h1>{lesson.name}</h1>
    {#if keeping.failure}
      <p class="wrong my-2" role="alert">
        {keeping.failure.message}
        {#if meanwhile}<button class="line ml-2" type="button" onclick={takeTheirs}>Show what is kept now</button>{/if}
      </p>
    {/if}
    <Conflicts
      conflicts={lesson.conflicts.filter((one) => one.item === null)}
      oncure={(changes) => change((settings) => cured(settings, changes))}
    />
    <div class="grid grid-cols-[minmax(0,1fr)_minmax(0,27rem)] gap-10 max-bench:grid-cols-1 max-bench:gap-4">
      <div>
        {#key lesson.version}
          <div class="mt-3 grid grid-cols-3 gap-x-4 gap-y-3 max-phone:grid-cols-2">
            <label class="{ROW} col-span-2"
              >name <input
                class="box"
                value={lesson.name}
                maxlength="120"
                aria-invalid={wrong('name')}
                onchange={(event) => set('name', event.currentTarget.value)}
              /></label
            >
            <label class={ROW}
              >room
              <select
                class="box"
                value={lesson.room ?? 0}
                onchange={(event) => set('room', Number(event.currentTarget.value))}
              >
                <option value={0}>none named</option>
                {#each rooms as room (room.id)}<option value={room.id}>{room.name}</option>{/each}
              </select></label
            >
            <label class="{ROW} col-span-2"
              >the bell <input
                class="box figure"
                type="datetime-local"
                value={forField(lesson.starts_at)}
                aria-invalid={wrong('starts_at')}
                onchange={(event) => {
                  const at = new Date(event.currentTarget.value);
                  if (!Number.isNaN(at.getTime())) set('starts_at', at.toISOString());
                }}
              /></label
            >
            <label class={ROW}
              >until the next, min <input
                class="box figure"
                type="number"
                min="5"
                max="480"
                step="0.25"
                value={lesson.minutes}
                aria-invalid={wrong('minutes')}
                onchange={(event) => set('minutes', Number(event.currentTarget.value))}
              /></label
            >
            <label class={ROW}
              >free before it, min <input
                class="box figure"
                type="number"
                min="0"
                max="2880"
                step="5"
                value={lesson.ready}
                aria-invalid={wrong('ready')}
                onchange={(event) => set('ready', Math.round(Number(event.currentTarget.value)))}
              /></label
            >
            <label class={ROW}
              >pairs of hands
              <select
                class="box"
                value={lesson.hands}
                onchange={(event) => set('hands', Number(event.currentTarget.value))}
              >
                {#each [1, 2, 3, 4] as many (many)}<option value={many}>{many}</option>{/each}
              </select></label
            >
            <label class={ROW}
              >boiled each time <input
                class="box figure"
                value={lesson.boiled}
                maxlength="40"
                aria-invalid={wrong('boiled')}
                onchange={(event) => set('boiled', event.currentTarget.value)}
              /></label
            >
            <label class="{ROW} col-span-2"
              >cooled
              <select
                class="box"
                value={lesson.way}
                onchange={(event) => set('way', event.currentTarget.value as Settings['way'])}
              >
                {#each WAYS as [value, words] (value)}<option {value}>{words}</option>{/each}
              </select></label
            >
            <span class="flex gap-2">
              {#each THINGS as [key, words] (key)}
                <label class={ROW}
                  >{words}
                  <input
                    class="box figure w-[3.4rem]"
                    type="number"
                    min="0"
                    max="9"
                    value={lesson.things?.[key] ?? 0}
                    onchange={(event) =>
                      set('things', { ...lesson.things, [key]: Math.round(Number(event.currentTarget.value)) })}
                  /></label
                >
              {/each}
            </span>
          </div>
          <RunningOrder
            {department}
            {lesson}
            onchange={(items) => set('items', items)}
            oncure={(changes) => change((settings) => cured(settings, changes))}
          />
        {/key}
      </div>
      <section aria-label="before the bell, planned" class="mt-3">
        <Beforehand {lesson} />
        <p class="mt-4 flex flex-wrap gap-x-5 gap-y-1 text-14">
          {#each [['prep', 'prep sheet'], ['run', 'run sheet']] as [kind, words] (kind)}
            <a
              class="plain"
              target="_blank"
              rel="noopener"
              href={`/api/departments/${department}/lessons/${lesson.id}/${kind}.pdf`}>{words} (PDF)</a
            >
          {/each}
          <a class="plain" href={`/api/departments/${department}/lessons/${lesson.id}/lesson.ics`} download
            >into a calendar, with alarms</a
          >
        </p>
      </section>
    </div>
  {/if}
</main>
