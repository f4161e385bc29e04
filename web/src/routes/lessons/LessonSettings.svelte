<script lang="ts">
  import { session } from '$lib/session/session.svelte';
  import { forField, type Lesson, type Settings } from './lesson';
  import NumberField from './NumberField.svelte';

  interface Props {
    department: string;
    lesson: Lesson;
    courses: readonly { id: number; name: string }[];
    wrong: (key: string) => true | undefined;
    onset: <K extends keyof Settings>(key: K, value: Settings[K]) => void;
  }

  /** When and where, who and what there is to prepare it. */
  let { department, lesson, courses, wrong, onset }: Props = $props();
  const rooms = $derived(session.me?.departments.find((one) => one.slug === department)?.rooms ?? []);
  const THINGS = [
    ['hob', 'hobs'],
    ['sink', 'sinks'],
    ['pump', 'pumps'],
    ['jug', 'jugs'],
  ] as const;
  const WAYS = [
    ['bath', 'in running cold water'],
    ['pot', 'in its covered pot'],
    ['day-before', 'boiled the day before'],
  ] as const;
  const ROW = 'grid min-w-0 gap-0.5 text-14';
  const people = $derived(lesson.people ?? []);

  function named(k: number, name: string): void {
    const made = Array.from({ length: lesson.hands ?? 1 }, (_, i) => (i === k ? name : (people[i] ?? '')));
    onset('people', made);
  }
</script>

<div class="mt-3 grid grid-cols-2 gap-x-4 gap-y-3">
  <label class="{ROW} col-span-2"
    >name <input
      class="box w-full min-w-0"
      value={lesson.name}
      maxlength="120"
      aria-invalid={wrong('name')}
      onchange={(event) => onset('name', event.currentTarget.value)}
    /></label
  >
  <label class={ROW}
    >room
    <select
      class="box w-full min-w-0"
      value={lesson.room ?? 0}
      onchange={(event) => onset('room', Number(event.currentTarget.value))}
    >
      <option value={0}>none named</option>
      {#each rooms as room (room.id)}<option value={room.id}>{room.name}</option>{/each}
    </select></label
  >
  <label class={ROW}
    >course
    <select
      class="box w-full min-w-0"
      value={lesson.course ?? 0}
      onchange={(event) => onset('course', Number(event.currentTarget.value))}
    >
      <option value={0}>none</option>
      {#each courses as course (course.id)}<option value={course.id}>{course.name}</option>{/each}
    </select></label
  >
  <label class="{ROW} col-span-2"
    >the bell <input
      class="box figure w-full min-w-0"
      type="datetime-local"
      value={forField(lesson.starts_at)}
      aria-invalid={wrong('starts_at')}
      onchange={(event) => {
        const at = new Date(event.currentTarget.value);
        if (!Number.isNaN(at.getTime())) onset('starts_at', at.toISOString());
      }}
    /></label
  >
  <NumberField
    label="until the next, min"
    value={lesson.minutes ?? null}
    least={5}
    most={480}
    step={0.25}
    wrong={wrong('minutes')}
    onset={(value) => onset('minutes', value ?? 45)}
  />
  <NumberField
    label="wanted again after, min"
    value={lesson.spare ?? null}
    most={480}
    optional
    wrong={wrong('spare')}
    onset={(value) => onset('spare', value)}
  />
  <NumberField
    label="free before it, min"
    value={lesson.ready ?? null}
    most={2880}
    wrong={wrong('ready')}
    onset={(value) => onset('ready', value ?? 180)}
  />
  <label class={ROW}
    >pairs of hands
    <select
      class="box w-full min-w-0"
      value={lesson.hands}
      onchange={(event) => onset('hands', Number(event.currentTarget.value))}
    >
      {#each [1, 2, 3, 4] as many (many)}<option value={many}>{many}</option>{/each}
    </select></label
  >
  <span class="col-span-2 grid grid-cols-2 gap-2">
    {#each { length: lesson.hands ?? 1 }, k}
      <label class={ROW}
        >{lesson.hands === 1 ? 'whose' : `whose, ${k + 1}`}
        <input
          class="box w-full min-w-0"
          value={people[k] ?? ''}
          maxlength="40"
          placeholder="hands {k + 1}"
          aria-invalid={wrong(`people.${k}`)}
          onchange={(event) => named(k, event.currentTarget.value)}
        /></label
      >
    {/each}
  </span>
  <label class={ROW}
    >boiled each time <input
      class="box figure w-full min-w-0"
      value={lesson.boiled}
      maxlength="40"
      aria-invalid={wrong('boiled')}
      onchange={(event) => onset('boiled', event.currentTarget.value)}
    /></label
  >
  <label class={ROW}
    >cooled
    <select
      class="box w-full min-w-0"
      value={lesson.way}
      onchange={(event) => onset('way', event.currentTarget.value as Settings['way'])}
    >
      {#each WAYS as [value, words] (value)}<option {value}>{words}</option>{/each}
    </select></label
  >
  <label class={ROW}
    >nearest socket <input
      class="box figure w-full min-w-0"
      value={lesson.socket}
      maxlength="40"
      placeholder="from the bench, 2 m"
      aria-invalid={wrong('socket')}
      onchange={(event) => onset('socket', event.currentTarget.value)}
    /></label
  >
  <span class="col-span-2 grid grid-cols-4 gap-2">
    {#each THINGS as [key, words] (key)}
      <NumberField
        label={words}
        value={lesson.things?.[key] ?? 0}
        most={9}
        wrong={wrong(`things.${key}`)}
        onset={(value) => onset('things', { ...lesson.things, [key]: value ?? 0 })}
      />
    {/each}
  </span>
</div>
