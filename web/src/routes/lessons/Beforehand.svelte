<script lang="ts">
  import { SPACE } from '$lib/units/format';
  import { clock, type Lesson } from './lesson';

  /** What is to be done before the bell, when and by whom. */
  let { lesson }: { lesson: Lesson } = $props();
</script>

<h2>Before the bell</h2>
{#if lesson.early.length > 0}
  <p class="mt-2 text-14 font-semibold">The day before</p>
  <ul class="list-disc pl-5 text-14">
    {#each lesson.early as line (line)}<li class="my-0.75">{line}</li>{/each}
  </ul>
{/if}
{#if lesson.slots && lesson.slots.length > 0 && lesson.begins}
  <p class="my-1.5">
    Begins at <strong class="figure">{clock(lesson.begins, lesson.starts_at)}</strong>;
    {lesson.proved
      ? 'no later beginning would do.'
      : 'a later one may do: none was found in the time there is to look.'}
  </p>
  <ol aria-label="before the bell">
    {#each lesson.slots as slot (`${slot.item} ${slot.words}`)}
      <li class="grid grid-cols-[4.5rem_minmax(0,1fr)_5.5rem] gap-x-3 border-b border-hair py-1.5 text-14">
        <span class="figure"
          >{clock(slot.begins, lesson.starts_at)}<span class="note block">{slot.minutes}{SPACE}min</span></span
        >
        <span
          >{slot.words}
          <span class="note block">{lesson.rows[slot.item]?.name}</span></span
        >
        <span class="note text-right"
          >{slot.hands.length === 0 ? 'by itself' : `hands ${slot.hands.join(' and ')}`}
          {#each slot.needs as need (need)}<span class="block">{need}</span>{/each}</span
        >
      </li>
    {/each}
  </ol>
  <p class="mt-1 text-14">
    <strong class="figure">{clock(lesson.starts_at, lesson.starts_at)}</strong> the bell
  </p>
{:else if lesson.slots}
  <p class="note my-1.5">Nothing is to be done today.</p>
{:else}
  <p class="note my-1.5">No timetable can do as it stands: see what is in the way.</p>
{/if}
