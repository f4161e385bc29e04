<script lang="ts">
  import { asked, doing } from '$lib/api/asked.svelte';
  import { ask, client, type ApiError, type Schemas } from '$lib/api/client';
  import Chart from '$lib/chart/Chart.svelte';
  import { liveAir, sourceStands } from '$lib/air/air';
  import TypePressure from '$lib/air/TypePressure.svelte';
  import { session } from '$lib/session/session.svelte';
  import Figure from '$lib/ui/Figure.svelte';
  import { onKeys } from '$lib/ui/keys';
  import Problem from '$lib/ui/Problem.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import { said } from '$lib/units/format';
  import { dateInWords } from '$lib/words/dates';
  import { words } from '$lib/words/words';
  import { onDestroy, onMount } from 'svelte';
  import { p, parameter } from '../../router';
  import NextLesson from './NextLesson.svelte';

  /** The page one starts on: what was noted last time, what comes next, the air now and what it has moved. */
  type Source = Schemas['SourceOut'];
  const SPANS = [
    [24, 'a day'],
    [168, 'a week'],
    [720, 'a month'],
  ] as const;
  const MINUTE = 60_000;
  /** Difference from what was typed that is worth a word [Pa]. */
  const TELLING = 200;
  /** How well such a difference is known, about [Pa]. */
  const ROUGHLY = 20;

  const department = $derived(parameter('department'));
  const room = $derived(session.room(department));
  const air = liveAir(() => department);
  const sources = $derived(air.data?.sources ?? []);
  let hours = $state<number>(24);
  /** The trend is asked anew each minute. */
  let minute = $state(0);
  const clock = setInterval(() => (minute += 1), MINUTE);
  onDestroy(() => clearInterval(clock));
  let typing = $state(false);
  onMount(() => onKeys(() => room !== null, { b: () => (typing = true) }));

  const today = asked(() => ({
    key: ['today', department, room?.id ?? 0, Math.floor(minute / 10)],
    ask: (signal) =>
      ask(client.GET('/api/departments/{department}/today', { params: { path: { department } }, signal })),
    when: department !== '',
  }));
  const trend = asked(() => {
    const path = { department, room: room?.id ?? 0 };
    return {
      key: ['trend', department, path.room, hours, minute],
      ask: (signal) =>
        ask(
          client.GET('/api/departments/{department}/rooms/{room}/trend', {
            params: { path, query: { hours } },
            signal,
          }),
        ),
      when: room !== null,
    };
  });
  const saying = doing((source: Source) =>
    ask(
      client.POST('/api/departments/{department}/rooms/{room}/sources/{source}/so', {
        params: { path: { department, room: room?.id ?? 0, source: source.id } },
      }),
    ),
  );

  function figure(si: number): string {
    const told = said(si, 0, session.unit('pressure', 'hPa'));
    return `${told.number} ${told.unit}`;
  }

  /** What a source that speaks says otherwise than was typed. */
  const otherwise = $derived.by(() => {
    const typed = room?.source === 'typed' ? room.station_pressure : null;
    const source = sources.find((one) => one.speaks && one.pressure);
    if (typed === null || !source?.pressure || Math.abs(source.pressure - typed) < TELLING) return '';
    const less = source.pressure < typed;
    const apart = said(Math.abs(source.pressure - typed), ROUGHLY, session.unit('pressure', 'hPa'));
    return `“${source.name}” says ${apart.number} ${apart.unit} ${less ? 'less' : 'more'} than was typed.`;
  });

  const lost = $derived([today, air, trend].some((one) => one.failure?.lost));
  /** What stands in the way besides a server that does not answer, which is said once for the page. */
  const besides = (failure: ApiError | null): ApiError | null => (failure?.lost ? null : failure);
  const SINCE: Record<number, string> = { 24: 'since yesterday', 168: 'in a week' };
</script>

<svelte:head><title>Today, Anchorage</title></svelte:head>

<TopLine />
<main
  class="mx-auto grid max-w-6xl grid-cols-[minmax(0,1fr)_minmax(0,25rem)] gap-10 px-6 py-7 max-bench:grid-cols-1 max-phone:px-4"
>
  <div>
    <h1>Today</h1>
    {#if lost}
      <p class="font-semibold" role="status">
        The server does not answer{today.data ? ': this is what it said last' : ''}. It is asked again by itself.
      </p>
    {/if}
    <Problem failure={besides(today.failure)} />
    <h2 class="mt-5 mb-1.5 border-t border-ink pt-1.5">Noted last time</h2>
    <ul aria-label="noted last time">
      {#each today.data?.notes ?? [] as note (`${note.run} ${note.lesson}`)}
        <li class="border-b border-hair py-2">
          <p class="text-17 leading-[1.25]">{note.note}</p>
          <p class="note">
            {#if note.run}
              <a href={p('/d/:department/log/:run', { params: { department, run: String(note.run) } })}>{note.name}</a>,
              {note.outcome}; {note.by}, {dateInWords(note.at)}
            {:else}
              <a href={p('/d/:department/lessons/:lesson', { params: { department, lesson: String(note.lesson) } })}
                >{note.name}</a
              >, a lesson; {note.by}, {dateInWords(note.at)}
            {/if}
          </p>
        </li>
      {:else}{#if today.data}<li class="note py-1.5">Nothing was noted yet.</li>{/if}{/each}
    </ul>

    <NextLesson {department} />

    <h2 class="mt-6 mb-1.5 border-t border-ink pt-1.5">To be shown next</h2>
    <ul aria-label="to be shown next">
      {#each today.data?.next ?? [] as one (one.id)}
        <li class="border-b border-hair py-2">
          <p>
            <a
              class="font-semibold"
              href={p('/d/:department/bench/:setup', { params: { department, setup: String(one.id) } })}>{one.name}</a
            >
            <small class="text-second">{one.doubt || words.states[one.state]}</small>
          </p>
          <p class="text-14">{one.verdict}</p>
          {#each one.moved as move (move.hours)}
            <p class="text-14"><span class="note">{SINCE[move.hours]}:</span> {move.words}</p>
          {/each}
          {#if one.own_pressure}<p class="note">It states a pressure of its own: no weather moves it.</p>{/if}
        </li>
      {:else}{#if today.data}<li class="note py-1.5">
            Nothing yet. On the <a href={p('/d/:department', { params: { department } })}>list of set-ups</a> each has “To
            be shown next” in its menu.
          </li>{/if}{/each}
    </ul>
  </div>

  <section aria-label="the air now">
    {#if room}
      <h2>The air in {room.name}</h2>
      <p class="my-1 text-28">
        <Figure si={room.station_pressure} sd={0} kind="pressure" shown={session.unit('pressure', 'hPa').unit} />
      </p>
      <p class="note">
        {room.source === 'typed'
          ? 'as typed; a pressure that was typed comes first for three hours'
          : room.source
            ? `of “${room.source}”`
            : 'the standard atmosphere at its height: nothing better is known'}
      </p>
      {#if typing}
        <TypePressure {department} room={room.id} onclose={() => (typing = false)} />
      {:else}
        <p class="my-1.5">
          <button class="line" type="button" onclick={() => (typing = true)}
            >Type what a barometer reads <span class="key max-phone:hidden">b</span></button
          >
        </p>
      {/if}
      {#if otherwise}<p class="text-14 font-semibold">{otherwise}</p>{/if}
      <ul class="mt-2 text-14" aria-label="sources">
        {#each sources as source (source.id)}
          <li class="border-b border-hair py-1.5">
            <span class="flex justify-between gap-3"
              ><strong>{source.name}</strong>
              <span class="figure">{source.pressure ? figure(source.pressure) : ''}</span></span
            >
            <span class="note block">{sourceStands(source)}</span>
            {#if source.asked}
              <span class="block font-semibold" role="alert"
                >{source.asked_of
                  ? `It reports of ${source.asked_of} now, another airfield than before, and says ${figure(source.asked)} here.`
                  : `It says ${figure(source.asked)}, which no weather makes of what was there before.`}
                Is it so?
                <button class="line ml-1" type="button" onclick={() => void saying.run(source).then(air.again)}
                  >It is so</button
                ></span
              >
            {/if}
          </li>
        {:else}<li class="note">
            No sensor and no weather service is read for this room; the page
            <a href={p('/d/:department/rooms', { params: { department } })}>Rooms</a> takes them.
          </li>{/each}
      </ul>
      <Problem failure={saying.failure ?? besides(trend.failure)} />
      <p class="mt-4 flex gap-3 text-14" role="group" aria-label="trend over">
        {#each SPANS as [span, name] (span)}
          <button
            class="min-h-7 border-b-2 border-transparent aria-pressed:border-ink"
            type="button"
            aria-pressed={hours === span}
            onclick={() => (hours = span)}>{name}</button
          >
        {/each}
      </p>
      {#if trend.data?.chart}
        <p class="text-14 font-semibold">{trend.data.words}</p>
        <Chart chart={trend.data.chart} from={trend.data.at} title="pressure in {room.name} over {hours} hours" />
      {:else if trend.data}
        <p class="note">Nothing was read in that time.</p>
      {/if}
    {:else}
      <p class="note">
        No room is in use. <a href={p('/d/:department/rooms', { params: { department } })}>Name one</a> to know its air.
      </p>
    {/if}
  </section>
</main>
