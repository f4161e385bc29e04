<script lang="ts">
  import { asked, doing } from '$lib/api/asked.svelte';
  import { ask, client, type Schemas } from '$lib/api/client';
  import Problem from '$lib/ui/Problem.svelte';
  import { untrack } from 'svelte';
  import Lines from './Lines.svelte';

  type Site = Schemas['SiteIn'];

  /** A tall place: its landings above the basin and who stands there, the hose's path, who keeps the foot clear, the signals. */
  let { department, room, name }: { department: string; room: number; name: string } = $props();
  const at = $derived({ params: { path: { department, room } } });
  const stands = asked(() => {
    const params = at;
    return {
      key: ['site', department, room],
      ask: (signal) => ask(client.GET('/api/departments/{department}/rooms/{room}/site', { ...params, signal })),
    };
  });
  type Landing = Record<'name' | 'height' | 'who', string>;
  type Signal = Record<'sign' | 'means', string>;
  const LANDING = [
    { key: 'name', heading: 'landing', most: 60 },
    {
      key: 'height',
      heading: 'above the basin',
      label: 'height above the basin',
      placeholder: '3.2 m',
      most: 40,
      figure: true,
    },
    { key: 'who', heading: 'who stands there', label: 'who stands there', most: 60 },
  ] as const;
  const SIGNAL = [
    { key: 'sign', placeholder: 'two whistles', most: 60 },
    { key: 'means', label: 'what it means', placeholder: 'stop, hold it where it is', most: 120 },
  ] as const;
  const EMPTY: Site = { version: 0, landings: [], path: '', foot: '', signals: [] };
  let typed = $state<Site>(EMPTY);
  let kept = $state(false);
  /** Whether somebody types here: what comes of the server late does not take it away. */
  let touched = false;
  /** A site that has been described stands open; what a person opened stays so. */
  let open = $state(false);
  /** What stands on the server is shown once it comes, and again after it was kept. */
  $effect(() => {
    const { data } = stands;
    if (!data) return;
    untrack(() => {
      if (data.landings?.length) open = true;
      if (!touched) typed = structuredClone(data);
    });
  });
  const saving = doing(
    (body: Site) => ask(client.PUT('/api/departments/{department}/rooms/{room}/site', { params: at.params, body })),
    () => [['site', department, room]],
  );
  const wrong = (path: string): true | undefined => (saving.failure?.problem.path === path ? true : undefined);

  async function save(): Promise<void> {
    const { version, landings, path, foot, signals } = $state.snapshot(typed) as Site;
    const saved = await saving.run({ version, landings, path, foot, signals });
    kept = saved !== null;
    if (!saved) return;
    touched = false;
    typed = structuredClone(saved);
  }

  function changed(): void {
    touched = true;
    kept = false;
    saving.clear();
  }

  async function theirs(): Promise<void> {
    saving.clear();
    touched = false;
    typed = { ...EMPTY };
    stands.again();
  }
</script>

<details class="mt-5 border-t border-ink pt-1.5" bind:open>
  <summary class="cursor-pointer font-semibold">As a site for something tall</summary>
  <p class="note my-1">
    A stairwell, slope, bank or jetty: Prepare then says from which landing a column is read, and the prep sheet carries
    it. The school’s rules for ladders, rails and work at height come first.
  </p>
  <Problem failure={stands.failure} />
  <form
    aria-label="site of {name}"
    oninput={changed}
    onsubmit={(event) => {
      event.preventDefault();
      void save();
    }}
  >
    <Lines
      bind:rows={() => (typed.landings ?? []) as Landing[], (rows) => (typed.landings = rows)}
      columns={LANDING}
      what="landing"
      empty={{ name: '', height: '', who: '' }}
      widths="grid-cols-[minmax(0,1fr)_6.5rem_minmax(0,1fr)_auto]"
      wrong={(k, key) => wrong(`landings.${k}.${key}`)}
      onchange={changed}
    />
    <label class="my-1.5 grid gap-0.5 text-14"
      >The hose goes <input
        class="box w-full min-w-0"
        bind:value={typed.path}
        maxlength="300"
        placeholder="up the rail's outside, tied at each landing"
      /></label
    >
    <label class="my-1.5 grid gap-0.5 text-14"
      >Keeps the foot clear <input
        class="box w-full min-w-0"
        bind:value={typed.foot}
        maxlength="80"
        placeholder="who"
      /></label
    >
    <p class="mt-2 text-14">Signals between top and foot</p>
    <Lines
      bind:rows={() => (typed.signals ?? []) as Signal[], (rows) => (typed.signals = rows)}
      columns={SIGNAL}
      what="signal"
      empty={{ sign: '', means: '' }}
      widths="grid-cols-[minmax(0,1fr)_minmax(0,2fr)_auto]"
      wrong={(k, key) => wrong(`signals.${k}.${key}`)}
      onchange={changed}
    />
    <Problem failure={saving.failure} />
    <p class="my-2 flex items-baseline gap-3">
      <button class="line" type="submit">Keep this site</button>
      {#if saving.failure?.problem.code === 'conflict'}<button
          class="plain text-14"
          type="button"
          onclick={() => void theirs()}>show what is kept now</button
        >{/if}
      <span class="note" role="status">{kept ? 'Kept.' : ''}</span>
    </p>
  </form>
</details>
