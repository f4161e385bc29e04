<script lang="ts">
  import { answers } from '$lib/api/answers';
  import { doing } from '$lib/api/asked.svelte';
  import { ask, client, type Schemas } from '$lib/api/client';
  import { conflictIn } from '$lib/api/conflict';
  import { typing } from '$lib/session/typing';
  import Meanwhile from '$lib/ui/Meanwhile.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import { SPACE } from '$lib/units/format';
  import type { Lesson } from './lesson';
  import TickBox from './TickBox.svelte';
  import { standing, type Ticking } from './ticking.svelte';
  import Waiting from './Waiting.svelte';

  type Typed = Required<Schemas['NoteIn']>;
  const store = typing<Typed>('note');

  interface Props {
    department: string;
    lesson: Lesson;
    ticking: Ticking;
  }

  /** After the bell: who empties and puts away what, the fragile things first; and what is to be known next time. */
  let { department, lesson, ticking }: Props = $props();
  const now = $derived(standing(lesson.ticks, ticking.waiting));
  const people = $derived([...new Set(lesson.clearing.map((job) => job.who))]);
  const place = $derived(`${department}:${lesson.id}`);
  /** What is typed and not kept yet, over the note that stood there then; it outlives a reload. */
  let typed = $derived<Typed | null>(store.read(place));
  const note = $derived(typed?.note ?? lesson.note);
  let kept = $state(false);
  const noting = doing(
    (body: Typed) =>
      ask(
        client.PUT('/api/departments/{department}/lessons/{lesson}/note', {
          params: { path: { department, lesson: lesson.id } },
          body,
        }),
      ),
    () => [
      ['lesson', department, lesson.id],
      ['lessons', department],
    ],
  );

  function type(words: string): void {
    kept = false;
    typed = { note: words, seen: typed?.seen ?? lesson.note };
    store.keep(place, typed);
  }

  function drop(): void {
    typed = null;
    store.drop(place);
  }

  async function keep(): Promise<void> {
    if (!typed) return;
    kept = (await noting.run(typed)) !== null;
    if (kept) drop();
  }

  function keepMine(): void {
    const theirs = conflictIn(noting.failure)?.theirs.note;
    if (!typed || typeof theirs !== 'string') return;
    typed = { ...typed, seen: theirs };
    void keep();
  }

  function takeTheirs(): void {
    drop();
    noting.clear();
    void answers.invalidateQueries({ queryKey: ['lesson', department, lesson.id] });
  }
</script>

<Waiting {ticking} />
<div class="grid max-w-5xl grid-cols-2 gap-x-12 max-bench:grid-cols-1">
  <section>
    <h2>After the bell</h2>
    {#if lesson.clearing.length > 0}
      <p class="note my-1">
        About {Math.ceil(lesson.cleared)}{SPACE}min{lesson.litres ? `, at least ${lesson.litres} to pour away` : ''}.
        The school’s rules say what may go into its sinks.
      </p>
      {#each people as who (who)}
        <p class="mt-2.5 text-14 font-semibold">{who}</p>
        <ol aria-label="after the bell, {who}">
          {#each lesson.clearing.filter((job) => job.who === who) as job (job.key)}
            <li class="border-b border-hair text-14">
              <TickBox name={job.words} standing={now[job.key]} ontick={(done) => ticking.tick(job.key, done)}>
                {job.words} <span class="note block">{lesson.rows[job.item]?.name}</span>
              </TickBox>
            </li>
          {/each}
        </ol>
      {/each}
    {:else}
      <p class="note my-1">Nothing is shown yet, so nothing is put away.</p>
    {/if}
  </section>
  <section>
    <h2 class="max-bench:mt-5">To be known next time</h2>
    <p class="note my-1">
      It stands first on Today, the bench and the sheets when one of these set-ups is shown again.
    </p>
    <Meanwhile failure={noting.failure} mine={{ note }} ontake={takeTheirs} onkeep={keepMine} />
    {#if !conflictIn(noting.failure)}<Problem failure={noting.failure} />{/if}
    <textarea
      class="box mt-1 min-h-28 w-full"
      maxlength="2000"
      aria-label="to be known next time"
      value={note}
      oninput={(event) => type(event.currentTarget.value)}
      placeholder="what was short, what was late, what to bring"></textarea>
    <p class="mt-1.5 flex items-center gap-3">
      <button class="solid" type="button" disabled={!typed || note === lesson.note} onclick={() => void keep()}
        >Keep it</button
      >
      {#if kept}<span class="note" role="status">Kept.</span>{/if}
    </p>
    {#if lesson.closing}
      <h2 class="mt-5">To end on</h2>
      <p class="my-1 text-15">{lesson.closing}</p>
    {/if}
  </section>
</div>
