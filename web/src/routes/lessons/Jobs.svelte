<script lang="ts">
  import { SPACE } from '$lib/units/format';
  import { clock, workOf, type Lesson } from './lesson';
  import TickBox from './TickBox.svelte';
  import { standing, type Ticking } from './ticking.svelte';
  import Waiting from './Waiting.svelte';

  /** What is to be done before the bell, when and by whom, ticked as it is done; and what the dry runs read. */
  let { lesson, ticking }: { lesson: Lesson; ticking: Ticking } = $props();
  const now = $derived(standing(lesson.ticks, ticking.waiting));
  const slots = $derived(lesson.slots ?? []);
  const name = (item: number): string => lesson.rows[item]?.name ?? '';
  const items = $derived([...new Set(lesson.dry.map((one) => one.item))]);
  const work = $derived(
    workOf(slots)
      .map(([who, minutes]) => `${who} ${minutes}${SPACE}min`)
      .join(', '),
  );
</script>

<Waiting {ticking} />
{#if lesson.early.length > 0}
  <h2 class="mt-2">The day before</h2>
  <ul>
    {#each lesson.early as job (job.key)}
      <li class="border-b border-hair text-14">
        <TickBox name={job.words} standing={now[job.key]} ontick={(done) => ticking.tick(job.key, done)}>
          {job.words} <span class="note block">{name(job.item)}</span>
        </TickBox>
      </li>
    {/each}
  </ul>
{/if}
<h2 class="mt-2">Before the bell</h2>
<ol aria-label="before the bell">
  {#each slots as slot (slot.key)}
    <li class="border-b border-hair text-14">
      <TickBox name={slot.words} standing={now[slot.key]} ontick={(done) => ticking.tick(slot.key, done)}>
        <span class="flex gap-2.5">
          <strong class="figure w-11 flex-none">{clock(slot.begins, lesson.starts_at)}</strong>
          <span class="min-w-0"
            >{slot.words}
            <span class="note block"
              >{slot.minutes}{SPACE}min, {slot.who.length === 0 ? 'by itself' : slot.who.join(' and ')}{slot.needs
                .length > 0
                ? `; ${slot.needs.join(', ')}`
                : ''}; {name(slot.item)}</span
            ></span
          >
        </span>
      </TickBox>
    </li>
  {:else}
    <li class="note py-2">
      {lesson.slots ? 'Nothing is to be done today.' : 'No timetable can do as it stands: see what is in the way.'}
    </li>
  {/each}
</ol>
{#if work}<p class="note mt-2">Hands: {work}.{lesson.litres ? ` Water: at least ${lesson.litres}.` : ''}</p>{/if}
{#if lesson.dry.length > 0}
  <h2 class="mt-4">Read at the dry runs</h2>
  {#each items as item (item)}
    <p class="mt-1.5 text-14 font-semibold">{name(item)}</p>
    <ul>
      {#each lesson.dry.filter((one) => one.item === item) as read (read.key)}
        <li class="flex flex-wrap items-center gap-x-3 border-b border-hair py-1.5 text-14">
          <label class="min-w-0 flex-1"
            >{read.words}<span class="note block">predicted {read.predicted}</span>
            <input
              class="box figure mt-1 w-full max-w-[11rem]"
              value={now[read.key]?.words ?? ''}
              maxlength="60"
              placeholder="read"
              aria-label="{read.words} of {name(item)}, read at the dry run"
              onchange={(event) =>
                ticking.tick(read.key, event.currentTarget.value.trim() !== '', event.currentTarget.value.trim())}
            /></label
          >
        </li>
      {/each}
    </ul>
  {/each}
{/if}
