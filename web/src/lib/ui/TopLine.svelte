<script lang="ts">
  import { session } from '$lib/session/session.svelte';
  import { liveAir } from '$lib/air/air';
  import { kept } from '$lib/offline/kept.svelte';
  import { onKeys } from '$lib/ui/keys';
  import { said } from '$lib/units/format';
  import { momentInWords } from '$lib/words/dates';
  import { untrack } from 'svelte';
  import { isActive, NAVIGATION, navigate, p, parameter } from '../../router';
  import type { MenuEntry } from './Menu.svelte';

  /** Comes after the first paint: it brings the menu's whole machinery. */
  const painted = new Promise((done) => requestAnimationFrame(() => setTimeout(done, 0)));
  const menu = painted.then(() => import('./Menu.svelte'));

  interface Pressure {
    value: number;
    kind: string;
    shown: string;
  }

  /** Mark and department, what is open, the pressure it is worked with, every other view, the person. */
  let { title = '', pressure = null }: { title?: string; pressure?: Pressure | null } = $props();
  const department = $derived(parameter('department'));
  const mine = $derived(session.me?.departments ?? []);
  const preferences = $derived(session.preferences);
  const here = $derived(mine.find((one) => one.slug === department));
  const room = $derived(session.room(department));
  const inRoom = $derived(
    room?.station_pressure ? { value: room.station_pressure, kind: 'pressure', shown: 'hPa' } : null,
  );
  let asking = $state(false);

  $effect(() => onKeys(() => preferences.single_keys, { q: () => (asking = true) }));

  let now = $state(Date.now());
  $effect(() => {
    const clock = setInterval(() => (now = Date.now()), 1000);
    return () => clearInterval(clock);
  });

  /** How long the room's pressure stands, in words. */
  function age(since: string | null): string {
    if (!since) return '';
    const seconds = (now - Date.parse(since)) / 1000;
    if (seconds < 90) return `${Math.max(0, Math.round(seconds))} s old`;
    const minutes = Math.max(0, Math.round(seconds / 60));
    if (minutes < 60) return `${minutes} min old`;
    return minutes < 48 * 60 ? `${Math.round(minutes / 60)} h old` : `${Math.round(minutes / 1440)} days old`;
  }

  /** A room's pressure may come from a sensor: what is shown is never older than a second or two. */
  const air = liveAir(() => department);
  $effect(() => {
    const rooms = air.data?.rooms;
    if (rooms) untrack(() => session.takeRooms(department, rooms));
  });

  const shown = $derived(pressure ?? inRoom);
  const told = $derived(shown ? said(shown.value, 0, session.unit(shown.kind, shown.shown)) : null);

  const entries = $derived<MenuEntry[]>([
    {
      label: 'Night colours',
      checked: session.theme === 'night',
      onselect: () => void session.prefer({ theme: session.theme === 'night' ? 'light' : 'night' }),
    },
    {
      label: 'Larger figures',
      checked: preferences.figures === 'larger',
      onselect: () => void session.prefer({ figures: preferences.figures === 'larger' ? 'usual' : 'larger' }),
    },
    {
      label: 'Single keys',
      checked: preferences.single_keys,
      onselect: () => void session.prefer({ single_keys: !preferences.single_keys }),
    },
    { label: 'Change the password', onselect: () => globalThis.location.assign('/accounts/password/change/') },
    { label: 'Sign out', onselect: () => globalThis.location.assign('/accounts/logout/') },
  ]);
</script>

<header
  class="flex min-h-11 flex-wrap items-center gap-x-3.5 gap-y-0.5 border-b border-hair px-6 max-phone:gap-x-2.5 max-phone:px-3 max-phone:py-1.5 min-[75rem]:flex-nowrap print:hidden max-phone:[&>:last-child]:ml-auto"
>
  <img src="/static/mark.svg" alt="Anchorage" width="26" height="26" />
  <div class="flex min-w-0 flex-col text-14 leading-[1.15]">
    {#if mine.length > 1}
      <select
        class="min-h-6 max-w-[14rem] bg-ground font-semibold"
        aria-label="department"
        value={department}
        onchange={(event) => navigate('/d/:department', { params: { department: event.currentTarget.value } })}
      >
        {#each mine as one (one.slug)}<option value={one.slug}>{one.name}</option>{/each}
      </select>
    {:else}
      <strong>{mine[0]?.name ?? ''}</strong>
    {/if}
    {#if title}<span
        class="max-w-[15rem] overflow-hidden text-12 text-ellipsis whitespace-nowrap text-second max-phone:hidden"
        >{title}</span
      >{/if}
  </div>
  {#if told}
    <p
      class="figure ml-1 whitespace-nowrap max-phone:m-0"
      title="absolute, as this set-up states it or as worked out for its room"
    >
      <b class="text-20 font-semibold">{told.number}</b>
      {told.unit}
      {#if !pressure && room?.pressure_at}<span
          class="text-13 max-phone:hidden {room.old ? 'font-semibold text-ink' : 'text-second'}"
          >{age(room.pressure_at)}{room.old ? ': read it again' : ''}</span
        >{:else}<span class="text-13 text-second max-phone:hidden">at the bench</span>{/if}
    </p>
  {/if}
  {#if here && here.rooms.length > 0}
    <select
      class="min-h-7 max-w-[8rem] border-b border-thin bg-ground text-14"
      aria-label="room in use"
      value={String(here.room ?? '')}
      onchange={(event) => void session.useRoom(department, Number(event.currentTarget.value))}
    >
      {#if here.room === null}<option value="">no room</option>{/if}
      {#each here.rooms as one (one.id)}<option value={String(one.id)}>{one.name}</option>{/each}
    </select>
  {/if}
  <nav
    class="ml-auto flex flex-wrap gap-x-2.25 max-phone:order-5 max-phone:m-0 max-phone:basis-full max-phone:flex-wrap max-phone:gap-x-4 max-phone:gap-y-0 min-[75rem]:shrink-0"
    aria-label="views"
  >
    {#each NAVIGATION as [address, name] (address)}
      <a
        class="inline-flex min-h-7 items-center text-14 no-underline max-phone:whitespace-nowrap [&[aria-current]]:font-semibold [&[aria-current]]:shadow-[inset_0_-2px_0_var(--c-ink)]"
        href={p(address, { params: { department } })}
        aria-current={isActive(address, { department }) ? 'page' : undefined}>{name}</a
      >
    {/each}
    <button class="min-h-7 text-14 whitespace-nowrap" type="button" onclick={() => (asking = true)}
      >Quick line <span class="key max-phone:hidden">q</span></button
    >
  </nav>
  {#await menu}
    <span class="person">{session.me?.username}</span>
  {:then { default: Menu }}
    <Menu label="{session.me?.username}, your settings" shown={session.me?.username ?? ''} {entries} />
  {/await}
</header>
{#if kept.since}
  <p class="border-b border-hair px-6 py-1.5 text-14 max-phone:px-3 print:hidden" role="status">
    <strong>The server does not answer.</strong> What you see it told on {momentInWords(kept.since)}.
  </p>
{/if}
{#if asking}
  {#await import('$lib/quick/Quick.svelte') then { default: Quick }}
    <Quick {department} onclose={() => (asking = false)} />
  {/await}
{/if}
