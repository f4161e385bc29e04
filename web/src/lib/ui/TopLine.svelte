<script lang="ts">
  import { session } from '$lib/session/session.svelte';
  import { said } from '$lib/units/format';
  import { isActive, navigate, p, parameter } from '../../router';
  import type { MenuEntry } from './Menu.svelte';

  /** Comes after the first paint: it brings the menu's whole machinery. */
  const menu = import('./Menu.svelte');

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
  const told = $derived(pressure ? said(pressure.value, 0, session.unit(pressure.kind, pressure.shown)) : null);

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
      {told.unit} <span>at the bench</span>
    </p>
  {/if}
  <nav aria-label="views">
    <a
      href={p('/d/:department', { params: { department } })}
      aria-current={isActive('/d/:department', { department }) ? 'page' : undefined}>Set-ups</a
    >
    <a
      href={p('/d/:department/log', { params: { department } })}
      aria-current={isActive('/d/:department/log', { department }) ? 'page' : undefined}>Log</a
    >
    <a
      href={p('/d/:department/members', { params: { department } })}
      aria-current={isActive('/d/:department/members', { department }) ? 'page' : undefined}>Members</a
    >
  </nav>
  {#await menu}
    <span class="person">{session.me?.username}</span>
  {:then { default: Menu }}
    <Menu label="{session.me?.username}, your settings" shown={session.me?.username ?? ''} {entries} />
  {/await}
</header>

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
    gap: 20px;
    margin-left: auto;
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
      order: 5;
      gap: 18px;
    }

    header > :global(:last-child) {
      margin-left: auto;
    }

    .pressure {
      margin: 0;
    }

    .pressure span,
    .title {
      display: none;
    }
  }
</style>
