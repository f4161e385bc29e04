<script lang="ts">
  import { session } from '$lib/session/session.svelte';
  import { onKeys } from '$lib/ui/keys';
  import { said } from '$lib/units/format';
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

  /** How long the room's pressure stands, in words. */
  function age(since: string | null): string {
    if (!since) return '';
    const minutes = Math.max(0, Math.round((Date.now() - Date.parse(since)) / 60_000));
    if (minutes < 60) return `${minutes} min old`;
    return minutes < 48 * 60 ? `${Math.round(minutes / 60)} h old` : `${Math.round(minutes / 1440)} days old`;
  }

  const shown = $derived(pressure ?? inRoom);
  const told = $derived(shown ? said(shown.value, 0, session.unit(shown.kind, shown.shown)) : null);

  const entries = $derived<MenuEntry[]>([
    {
      label: 'Night colours',
      checked: preferences.theme === 'night',
      onselect: () => void session.prefer({ theme: preferences.theme === 'night' ? 'light' : 'night' }),
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

<header>
  <img src="/static/mark.svg" alt="Anchorage" width="26" height="26" />
  <div class="where">
    {#if mine.length > 1}
      <select
        aria-label="department"
        value={department}
        onchange={(event) => navigate('/d/:department', { params: { department: event.currentTarget.value } })}
      >
        {#each mine as one (one.slug)}<option value={one.slug}>{one.name}</option>{/each}
      </select>
    {:else}
      <strong>{mine[0]?.name ?? ''}</strong>
    {/if}
    {#if title}<span class="title">{title}</span>{/if}
  </div>
  {#if told}
    <p class="pressure figure" title="absolute, as this set-up states it or as worked out for its room">
      <b>{told.number}</b>
      {told.unit}
      {#if !pressure && room?.pressure_at}<span class:old={room.old}
          >{age(room.pressure_at)}{room.old ? ': read it again' : ''}</span
        >{:else}<span>at the bench</span>{/if}
    </p>
  {/if}
  {#if here && here.rooms.length > 0}
    <select
      class="room"
      aria-label="room in use"
      value={String(here.room ?? '')}
      onchange={(event) => void session.useRoom(department, Number(event.currentTarget.value))}
    >
      {#if here.room === null}<option value="">no room</option>{/if}
      {#each here.rooms as one (one.id)}<option value={String(one.id)}>{one.name}</option>{/each}
    </select>
  {/if}
  <nav aria-label="views">
    {#each NAVIGATION as [address, name] (address)}
      <a
        href={p(address, { params: { department } })}
        aria-current={isActive(address, { department }) ? 'page' : undefined}>{name}</a
      >
    {/each}
    <button class="quick" type="button" onclick={() => (asking = true)}>Quick line <span class="key">q</span></button>
  </nav>
  {#await menu}
    <span class="person">{session.me?.username}</span>
  {:then { default: Menu }}
    <Menu label="{session.me?.username}, your settings" shown={session.me?.username ?? ''} {entries} />
  {/await}
</header>
{#if asking}
  {#await import('$lib/quick/Quick.svelte') then { default: Quick }}
    <Quick {department} onclose={() => (asking = false)} />
  {/await}
{/if}

<style>
  header {
    display: flex;
    align-items: center;
    gap: 14px;
    min-height: 44px;
    padding: 0 24px;
    border-bottom: 1px solid var(--c-hair);
  }

  .where {
    display: flex;
    flex-direction: column;
    min-width: 0;
    line-height: 1.15;
    font-size: 0.875rem;
  }

  .where select {
    border: 0;
    background: var(--c-ground);
    font-weight: 600;
    max-width: 14rem;
    min-height: 24px;
  }

  .title {
    overflow: hidden;
    color: var(--c-second);
    font-size: 0.75rem;
    text-overflow: ellipsis;
    white-space: nowrap;
    max-width: 15rem;
  }

  .pressure {
    margin: 0 0 0 12px;
    white-space: nowrap;
  }

  .pressure b {
    font-size: 1.25rem;
    font-weight: 600;
  }

  .pressure span {
    color: var(--c-second);
    font-size: 0.8125rem;
  }

  nav {
    display: flex;
    gap: 16px;
    margin-left: auto;
  }

  .pressure .old {
    color: var(--c-ink);
    font-weight: 600;
  }

  .room {
    min-height: 28px;
    max-width: 11rem;
    border: 0;
    border-bottom: 1px solid var(--c-thin);
    background: var(--c-ground);
    font-size: 0.875rem;
  }

  .quick {
    min-height: 28px;
    padding: 0;
    border: 0;
    background: none;
    font-size: 0.9375rem;
    white-space: nowrap;
  }

  nav a {
    display: inline-flex;
    align-items: center;
    min-height: 28px;
    font-size: 0.9375rem;
    text-decoration: none;
  }

  nav a[aria-current] {
    font-weight: 600;
    box-shadow: inset 0 -2px 0 var(--c-ink);
  }

  @media (max-width: 640px) {
    header {
      flex-wrap: wrap;
      gap: 2px 10px;
      padding: 6px 12px;
    }

    nav {
      flex-basis: 100%;
      flex-wrap: wrap;
      order: 5;
      gap: 0 16px;
      margin: 0;
    }

    header > :global(:last-child) {
      margin-left: auto;
    }

    .pressure {
      margin: 0;
    }

    nav a {
      white-space: nowrap;
    }

    .quick .key,
    .pressure span,
    .title {
      display: none;
    }
  }
</style>
