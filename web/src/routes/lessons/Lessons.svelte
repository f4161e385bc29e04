<script lang="ts">
  import { asked, doing } from '$lib/api/asked.svelte';
  import { ask, client } from '$lib/api/client';
  import { puttingAway } from '$lib/api/putting-away.svelte';
  import { session } from '$lib/session/session.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import Undo from '$lib/ui/Undo.svelte';
  import { momentInWords } from '$lib/words/dates';
  import { navigate, p, parameter } from '../../router';
  import Courses from './Courses.svelte';
  import DaySheet from './DaySheet.svelte';
  import TakeIn from './TakeIn.svelte';

  /** The lessons of a department by their bells. */
  const department = $derived(parameter('department'));
  let archived = $state(false);
  const HOUR = 3_600_000;
  const listed = asked(() => {
    const path = { department };
    const query = { archived };
    return {
      key: ['lessons', department, archived],
      ask: (signal) => ask(client.GET('/api/departments/{department}/lessons', { params: { path, query }, signal })),
    };
  });
  const changed = () => [['lessons', department]];
  const at = (lesson: number) => ({ params: { path: { department, lesson } } });
  const away = puttingAway(
    (lesson) => ask(client.POST('/api/departments/{department}/lessons/{lesson}/archive', at(lesson))),
    (lesson) => ask(client.POST('/api/departments/{department}/lessons/{lesson}/bring-back', at(lesson))),
    changed,
  );
  const making = doing(() => {
    const bell = new Date((Math.ceil(Date.now() / HOUR) + 24) * HOUR);
    const body = { name: 'A new lesson', room: session.room(department)?.id ?? 0, starts_at: bell.toISOString() };
    return ask(
      client.POST('/api/departments/{department}/lessons', {
        params: { path: { department } },
        body: {
          ...body,
          minutes: 45,
          ready: 180,
          hands: 2,
          things: { hob: 1, sink: 1, pump: 1, jug: 2 },
          people: [],
          socket: '',
          course: 0,
          way: 'bath' as const,
          boiled: '3 L',
          items: [],
        },
      }),
    );
  }, changed);

  async function make(): Promise<void> {
    const made = await making.run(undefined);
    if (made) navigate('/d/:department/lessons/:lesson', { params: { department, lesson: String(made.id) } });
  }
</script>

<svelte:head><title>Lessons, Anchorage</title></svelte:head>

<TopLine />
<main class="mx-auto max-w-5xl px-6 py-6 max-phone:px-4">
  <div class="flex flex-wrap items-baseline gap-4">
    <h1 class="mr-auto">Lessons</h1>
    <button class="solid" type="button" onclick={() => void make()}>Plan a lesson</button>
    <TakeIn {department} />
    <button class="plain text-14" type="button" aria-pressed={archived} onclick={() => (archived = !archived)}
      >{archived ? 'those to come' : 'archived ones'}</button
    >
  </div>
  <Problem failure={listed.failure ?? making.failure} />
  <Undo {away} />
  <ul class="mt-3" aria-label="lessons">
    {#each listed.data ?? [] as lesson (lesson.id)}
      <li class="flex flex-wrap items-baseline gap-x-4 border-b border-hair py-2.5">
        <span class="mr-auto">
          {#if archived}<strong>{lesson.name}</strong>
          {:else}<a
              class="font-semibold"
              href={p('/d/:department/lessons/:lesson', { params: { department, lesson: String(lesson.id) } })}
              >{lesson.name}</a
            >{/if}
          <span class="note block"
            >{momentInWords(lesson.starts_at)}{lesson.room ? `, ${lesson.room}` : ''}; {lesson.shown === 1
              ? 'one set-up'
              : `${lesson.shown} set-ups`} in {lesson.minutes} min</span
          >
        </span>
        {#if archived}
          <button class="plain text-14" type="button" onclick={() => void away.bringBack(lesson.id)}>bring back</button>
        {:else}
          <button
            class="plain text-14"
            type="button"
            aria-label="archive {lesson.name}"
            onclick={() => void away.put(lesson)}>archive</button
          >
        {/if}
      </li>
    {:else}
      {#if listed.data}<li class="note py-2">
          {archived
            ? 'None is archived.'
            : 'No lesson is planned yet. A lesson takes set-ups in their order and says what is to be done before the bell, when and by whom.'}
        </li>{/if}
    {/each}
  </ul>
  {#if !archived}
    <DaySheet {department} lessons={listed.data ?? []} />
    <Courses {department} />
  {/if}
</main>
