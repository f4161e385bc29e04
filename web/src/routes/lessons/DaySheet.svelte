<script lang="ts">
  import { session } from '$lib/session/session.svelte';
  import type { Schemas } from '$lib/api/client';
  import { moved } from './lesson';

  /** One sheet for a day's lessons, room by room in the order in which one walks; and a week for a calendar. */
  let { department, lessons }: { department: string; lessons: readonly Schemas['LessonRowOut'][] } = $props();
  const dayOf = (moment: string): string => {
    const at = new Date(moment);
    return `${at.getFullYear()}-${`${at.getMonth() + 1}`.padStart(2, '0')}-${`${at.getDate()}`.padStart(2, '0')}`;
  };
  const days = $derived([...new Set(lessons.map((one) => dayOf(one.starts_at)))]);
  const today = dayOf(new Date().toISOString());
  let picked = $state('');
  const day = $derived(picked || (days.find((one) => one >= today) ?? days.at(-1) ?? ''));
  const here = $derived(session.me?.departments.find((one) => one.slug === department)?.rooms ?? []);
  const shown = $derived([
    ...new Set(lessons.filter((one) => dayOf(one.starts_at) === day).map((one) => one.room || '')),
  ]);
  let order = $state<string[]>([]);
  const walked = $derived([
    ...order.filter((one) => shown.includes(one)),
    ...shown.filter((one) => !order.includes(one)),
  ]);
  const numbers = $derived(walked.map((name) => here.find((room) => room.name === name)?.id ?? 0).join(','));
  const inWords = (one: string): string =>
    new Date(`${one}T12:00`).toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });
</script>

{#if day}
  <section aria-label="a day's sheet">
    <h2 class="mt-8 border-t border-ink pt-1.5">A day on one sheet</h2>
    <div class="mt-1.5 flex flex-wrap items-baseline gap-x-5 gap-y-2 text-14">
      <label
        >the day
        <select class="box" value={day} onchange={(event) => (picked = event.currentTarget.value)}>
          {#each days as one (one)}<option value={one}>{inWords(one)}</option>{/each}
        </select></label
      >
      <a
        class="plain"
        target="_blank"
        rel="noopener"
        href="/api/departments/{department}/lessons/day.pdf?on={day}&rooms={numbers}">its prep sheet (PDF)</a
      >
      <a class="plain" href="/api/departments/{department}/lessons/week.ics?since={day}" download
        >the week from it into a calendar</a
      >
    </div>
    {#if walked.length > 1}
      <p class="note mt-1.5">The order in which one walks:</p>
      <ol class="list-decimal pl-6 text-14">
        {#each walked as name, k (name)}
          <li class="py-0.5">
            {name || 'no room named'}
            <button
              class="plain"
              type="button"
              disabled={k === 0}
              aria-label="{name || 'no room named'} earlier"
              onclick={() => (order = moved(walked, k, k - 1))}>↑</button
            >
          </li>
        {/each}
      </ol>
    {/if}
  </section>
{/if}
