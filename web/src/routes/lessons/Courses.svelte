<script lang="ts">
  import { asked, doing } from '$lib/api/asked.svelte';
  import { ask, client } from '$lib/api/client';
  import Problem from '$lib/ui/Problem.svelte';
  import { shortMoment } from '$lib/words/dates';
  import { p } from '../../router';

  /** Courses: lessons by idea, what each needs and nothing before it has shown; moved by weeks, copied for another year. */
  let { department }: { department: string } = $props();
  const listed = asked(() => {
    const path = { department };
    return {
      key: ['courses', department],
      ask: (signal) => ask(client.GET('/api/departments/{department}/courses', { params: { path }, signal })),
    };
  });
  const changed = () => [
    ['courses', department],
    ['lessons', department],
    ['lesson', department],
  ];
  const at = (course: number) => ({ params: { path: { department, course } } });
  let name = $state('');
  let weeks = $state<Record<number, number>>({});
  const making = doing(
    () =>
      ask(client.POST('/api/departments/{department}/courses', { params: { path: { department } }, body: { name } })),
    changed,
  );
  const moving = doing(
    (one: { course: number; weeks: number }) =>
      ask(
        client.POST('/api/departments/{department}/courses/{course}/move', {
          ...at(one.course),
          body: { weeks: one.weeks },
        }),
      ),
    changed,
  );
  const copying = doing(
    (one: { course: number; name: string; weeks: number }) =>
      ask(
        client.POST('/api/departments/{department}/courses/{course}/copy', {
          ...at(one.course),
          body: { name: one.name, weeks: one.weeks },
        }),
      ),
    changed,
  );
  const away = doing(
    (course: number) => ask(client.POST('/api/departments/{department}/courses/{course}/archive', at(course))),
    changed,
  );
  const by = (course: number): number => weeks[course] ?? 1;
  const inWeeks = (many: number): string => (Math.abs(many) === 1 ? 'a week' : `${Math.abs(many)} weeks`);

  async function make(): Promise<void> {
    if (await making.run(undefined)) name = '';
  }
</script>

<section aria-label="courses">
  <h2 class="mt-8 border-t border-ink pt-1.5">Courses</h2>
  <Problem failure={listed.failure ?? making.failure ?? moving.failure ?? copying.failure ?? away.failure} />
  {#each listed.data ?? [] as course (course.id)}
    <article class="border-b border-hair py-2.5" aria-label={course.name}>
      <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <strong class="mr-auto">{course.name}</strong>
        <label class="text-14"
          >by <input
            class="box figure w-16"
            type="number"
            min="-60"
            max="60"
            value={by(course.id)}
            aria-label="weeks by which {course.name} is moved or copied"
            onchange={(event) => (weeks[course.id] = Math.round(Number(event.currentTarget.value)))}
          /> weeks</label
        >
        <button
          class="line text-14"
          type="button"
          disabled={by(course.id) === 0}
          aria-label="move {course.name}"
          onclick={() => void moving.run({ course: course.id, weeks: by(course.id) })}
          >move {inWeeks(by(course.id))} {by(course.id) < 0 ? 'earlier' : 'later'}</button
        >
        <button
          class="plain text-14"
          type="button"
          disabled={by(course.id) === 0}
          aria-label="copy {course.name}"
          onclick={() =>
            void copying.run({ course: course.id, name: `${course.name}, again`.slice(0, 120), weeks: by(course.id) })}
          >copy it {inWeeks(by(course.id))} {by(course.id) < 0 ? 'earlier' : 'later'}</button
        >
        <button
          class="plain text-14"
          type="button"
          aria-label="put {course.name} away, its lessons stay"
          onclick={() => void away.run(course.id)}>archive</button
        >
      </div>
      <ol class="mt-1">
        {#each course.lessons as lesson (lesson.id)}
          <li class="py-1 text-14">
            <span class="figure text-second">{shortMoment(lesson.starts_at)}</span>
            <a href={p('/d/:department/lessons/:lesson', { params: { department, lesson: String(lesson.id) } })}
              >{lesson.name}</a
            >
            {#if lesson.ideas.length > 0}<span class="note">{lesson.ideas.join('; ')}</span>{/if}
            {#if lesson.gaps.length > 0}<span class="mt-0.5 block border-l-4 border-ink pl-2"
                >needs what nothing before it has shown: {lesson.gaps.join('; ')}</span
              >{/if}
          </li>
        {:else}
          <li class="note py-1">No lesson is in it yet: a lesson is put into a course on its own page.</li>
        {/each}
      </ol>
    </article>
  {:else}
    {#if listed.data}<p class="note py-2">
        No course yet. A course holds lessons in the order of their bells and says what one of them needs that none
        before it has shown.
      </p>{/if}
  {/each}
  <form
    class="mt-2 flex flex-wrap items-end gap-3"
    onsubmit={(event) => {
      event.preventDefault();
      void make();
    }}
  >
    <label class="grid gap-0.5 text-14"
      >a new course <input class="box w-72 max-w-full" bind:value={name} maxlength="120" required /></label
    >
    <button class="line" type="submit">Make it</button>
  </form>
</section>
