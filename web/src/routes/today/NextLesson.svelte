<script lang="ts">
  import { asked } from '$lib/api/asked.svelte';
  import { ask, client } from '$lib/api/client';
  import Problem from '$lib/ui/Problem.svelte';
  import { momentInWords } from '$lib/words/dates';
  import { p } from '../../router';
  import { clock } from '../lessons/lesson';

  /** The lesson that comes next, what is in its way, and what is due before it. That no server answers the page says. */
  let { department }: { department: string } = $props();
  const MOST = 4;
  const MINUTE = 60_000;
  const next = asked(() => {
    const path = { department };
    return {
      key: ['lessons', department, 'next'],
      ask: (signal) => ask(client.GET('/api/departments/{department}/lessons/next', { params: { path }, signal })),
      when: department !== '',
      every: () => MINUTE,
    };
  });
  const lesson = $derived(next.data);
  const due = $derived(
    (lesson?.slots ?? []).filter((slot) => Date.parse(slot.ends) > Date.now() && !lesson?.ticks[slot.key]?.done),
  );
</script>

{#if !next.failure?.lost}<Problem failure={next.failure} />{/if}
{#if lesson}
  <section aria-label="next lesson">
    <h2 class="mt-6 mb-1.5 border-t border-ink pt-1.5">Next lesson</h2>
    <p class="text-17 leading-[1.25]">
      <a
        class="font-semibold"
        href={p('/d/:department/lessons/:lesson', { params: { department, lesson: String(lesson.id) } })}
        >{lesson.name}</a
      >
    </p>
    <p class="note">{momentInWords(lesson.starts_at)}; {lesson.rows.map((row) => row.name).join(', ')}</p>
    {#each lesson.noted as one (`${one.at} ${one.name}`)}
      <p class="mt-1 border-l-4 border-ink pl-2 text-14">
        {one.note} <span class="note">noted at “{one.name}”</span>
      </p>
    {/each}
    {#each lesson.conflicts as conflict (conflict.words)}
      <p class="mt-1 border-l-4 border-ink pl-2 text-14">{conflict.words}</p>
    {/each}
    {#if lesson.early.length > 0}<p class="mt-1 text-14">
        <span class="note">the day before:</span>
        {lesson.early.map((job) => job.words).join('; ')}
      </p>{/if}
    <ul class="mt-1 text-14" aria-label="due before it">
      {#each due.slice(0, MOST) as slot (`${slot.item} ${slot.words}`)}
        <li class="flex gap-3 border-b border-hair py-1">
          <span class="figure whitespace-nowrap text-second">{clock(slot.begins, lesson.starts_at)}</span>
          <span class="mr-auto">{slot.words}</span>
          <span class="note whitespace-nowrap">{slot.who.length === 0 ? 'by itself' : slot.who.join(' and ')}</span>
        </li>
      {/each}
      {#if due.length > MOST}<li class="note py-1">and {due.length - MOST} more before the bell</li>{/if}
    </ul>
  </section>
{/if}
