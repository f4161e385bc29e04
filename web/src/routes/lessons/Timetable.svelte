<script lang="ts">
  import SmallSection from '$lib/section/SmallSection.svelte';
  import { SPACE } from '$lib/units/format';
  import { clock, type Lesson } from './lesson';
  import { standing, type Ticking } from './ticking.svelte';
  import { laidOut } from './timetable';

  interface Props {
    department: string;
    lesson: Lesson;
    ticking: Ticking;
  }

  /** The lesson turned into time: down a rule to the bell, and from it along a tape; each job stands over what it is for. */
  let { department, lesson, ticking }: Props = $props();
  const RULE = 44;
  const TAPE = 26;
  const BENCH = 118;
  const MARGIN = 24;
  const HOURS: Intl.DateTimeFormatOptions = { hour: '2-digit', minute: '2-digit' };
  const ofDay = (moment: Date): string => moment.toLocaleTimeString('en-GB', HOURS);
  let width = $state(0);
  let height = $state(0);
  let today = $state(Date.now());
  $effect(() => {
    const timer = setInterval(() => (today = Date.now()), 15_000);
    return () => clearInterval(timer);
  });
  const wide = $derived(Math.max(width - RULE - MARGIN, 200));
  const high = $derived(Math.max(height - TAPE - BENCH, 160));
  const drawn = $derived(laidOut(lesson, wide, high, ofDay, today));
  const now = $derived(standing(lesson.ticks, ticking.waiting));
  const jobs = $derived(new Map((lesson.slots ?? []).map((slot) => [slot.key, slot])));

  function whoOf({ who }: { who: readonly string[] }): string {
    if (who.length === 0) return 'by itself';
    return who.length > 1 && who.length === lesson.hands ? 'all hands' : who.join(' and ');
  }

  function minutesAfter(moment: string): number {
    return (Date.parse(moment) - Date.parse(lesson.starts_at)) / 60_000;
  }
</script>

<div
  class="relative h-full min-h-[30rem] overflow-hidden"
  bind:clientWidth={width}
  bind:clientHeight={height}
  role="img"
  aria-label="the jobs before the bell and the running order after it, drawn to the time they take; the lists tell the same"
>
  <svg class="figure absolute inset-0 size-full text-12" aria-hidden="true">
    <rect x="0" y={high} {width} height={TAPE + BENCH} fill="var(--c-bench)" />
    <rect x="0" y="0" width={RULE} height={high} fill="var(--c-strip)" />
    <line x1={RULE} x2={RULE} y1="0" y2={high} stroke="var(--c-thin)" />
    {#each drawn.rule as mark (mark.words)}
      <line x1={RULE - 10} x2={RULE} y1={mark.at} y2={mark.at} stroke="var(--c-ink)" />
      <text x={RULE - 12} y={mark.at - 3} text-anchor="end" fill="var(--c-ink)">{mark.words}</text>
    {/each}
    {#if drawn.now !== null}<path d="M{RULE} {drawn.now} l-11 -6 v12z" fill="var(--c-ink)" data-now />{/if}
    <g transform="translate({RULE} 0)">
      {#each drawn.stretches as one (`${one.item} ${one.recall}`)}
        {#if !one.recall}<line x1={one.left} x2={one.left} y1="0" y2={high} stroke="var(--c-hair)" />{/if}
      {/each}
      {#each drawn.bars as bar (bar.key)}
        {#if bar.label > bar.top + 2 || bar.label < bar.top - 6}<path
            d="M{bar.x} {(bar.top + bar.bottom) / 2} H{bar.x + 8} V{bar.label + 9} h5"
            fill="none"
            stroke="var(--c-thin)"
          />{/if}
        <line
          x1={bar.x}
          x2={bar.x}
          y1={bar.top}
          y2={bar.bottom}
          stroke="var(--c-ink)"
          stroke-width={bar.byItself ? 2 : 6}
          stroke-dasharray={bar.byItself ? '2 4' : undefined}
          opacity={now[bar.key]?.done ? 0.35 : 1}
        />
        <line x1={bar.x - 6} x2={bar.x + 6} y1={bar.bottom} y2={bar.bottom} stroke="var(--c-ink)" stroke-width="2" />
      {/each}
      <rect x="0" y={high} width={wide} height={TAPE} fill="var(--c-strip)" />
      {#each drawn.tape as mark (mark.words)}
        <line x1={mark.at} x2={mark.at} y1={high} y2={high + 9} stroke="var(--c-ink)" />
        <text
          x={mark.at + (mark.at > wide - 24 ? -3 : 3)}
          y={high + 21}
          text-anchor={mark.at > wide - 24 ? 'end' : 'start'}
          fill="var(--c-ink)">{mark.words}{mark.words === '0' ? ' min' : ''}</text
        >
      {/each}
      {#each drawn.stretches as one (`${one.item} ${one.recall}`)}
        <line x1={one.left} x2={one.left} y1={high} y2={high + 12} stroke="var(--c-ink)" stroke-width="2" />
        <line x1={one.left} x2={one.left} y1={high + TAPE} y2={high + TAPE + BENCH} stroke="var(--c-bench-second)" />
        {#if one.recall}
          <rect x={one.left} y={high + TAPE} width={Math.max(one.width, 3)} height="8" fill="var(--c-bench-ink)" />
          {#if drawn.bell - one.left > 64}<text x={one.left + 12} y={high + TAPE + 24} fill="var(--c-bench-second)"
              >recall</text
            >{/if}
        {/if}
      {/each}
      <line
        x1={drawn.bell}
        x2={drawn.bell}
        y1={high}
        y2={high + TAPE + BENCH}
        stroke="var(--c-bench-ink)"
        stroke-width="3"
      />
    </g>
  </svg>
  {#each drawn.bars as bar (bar.key)}
    {@const slot = jobs.get(bar.key)}
    {#if slot}<p
        class="absolute text-13 leading-[17px] {now[bar.key]?.done ? 'text-second line-through decoration-1' : ''}"
        style="left: {RULE + bar.x + 14}px; top: {bar.label}px; width: {bar.width - 8}px"
        title={slot.words}
      >
        <span class="{bar.lines === 1 ? 'line-clamp-1' : 'line-clamp-2'} font-semibold">{slot.words}</span>
        <span class="note block truncate text-12 leading-4">{slot.minutes}{SPACE}min, {whoOf(slot)}</span>
      </p>{/if}
  {/each}
  <p
    class="figure absolute text-right text-13 font-semibold text-bench-ink"
    style="left: 0; width: {RULE - 4}px; top: {high + 5}px"
  >
    {clock(lesson.starts_at, lesson.starts_at)}
  </p>
  {#each lesson.rows as row, k (`${k} ${row.setup}`)}
    {@const place = drawn.stretches[k]}
    {#if place}<div
        class="absolute overflow-hidden pt-1.5 pl-2 text-bench-ink"
        style="left: {RULE + place.left}px; width: {place.width - 3}px; top: {high + TAPE}px; height: {BENCH}px"
      >
        <p class="line-clamp-2 text-13 leading-[16px] font-semibold" title={row.name}>{row.name}</p>
        <p class="figure text-12 text-bench-second">
          <strong class="text-15 text-bench-ink">{minutesAfter(row.ends) - minutesAfter(row.begins)}</strong>
          min from {clock(row.begins, lesson.starts_at)}
        </p>
        {#if place.width > 76}<SmallSection {department} setup={row.setup} class="mt-1 h-11 w-16 object-contain" />{/if}
      </div>{/if}
  {/each}
</div>
