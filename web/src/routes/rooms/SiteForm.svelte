<script lang="ts">
  import { asked, doing } from '$lib/api/asked.svelte';
  import { ask, client, type Schemas } from '$lib/api/client';
  import Problem from '$lib/ui/Problem.svelte';
  import { untrack } from 'svelte';

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
  const EMPTY: Site = { version: 0, landings: [], path: '', foot: '', signals: [] };
  let typed = $state<Site>(EMPTY);
  let kept = $state(false);
  /** What stands on the server is shown once it comes, and again after it was kept. */
  $effect(() => {
    const { data } = stands;
    if (!data) return;
    untrack(() => {
      if ((typed.version ?? 0) === 0 || data.version !== typed.version) typed = structuredClone(data);
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
    if (saved) typed = structuredClone(saved);
  }

  function changed(): void {
    kept = false;
    saving.clear();
  }

  async function theirs(): Promise<void> {
    saving.clear();
    typed = { ...EMPTY };
    stands.again();
  }
</script>

<details class="mt-5 border-t border-ink pt-1.5" open={(stands.data?.landings ?? []).length > 0}>
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
    {#each typed.landings ?? [] as landing, k (k)}
      <p class="my-1.5 grid grid-cols-[minmax(0,1fr)_6.5rem_minmax(0,1fr)_auto] items-end gap-2 text-14">
        <label class="grid gap-0.5"
          >{k === 0 ? 'landing' : ''}<input
            class="box w-full min-w-0"
            bind:value={landing.name}
            maxlength="60"
            aria-label="landing {k + 1}"
            aria-invalid={wrong(`landings.${k}.name`)}
          /></label
        >
        <label class="grid gap-0.5"
          >{k === 0 ? 'above the basin' : ''}<input
            class="box figure w-full min-w-0"
            bind:value={landing.height}
            maxlength="40"
            placeholder="3.2 m"
            aria-label="landing {k + 1}, height above the basin"
            aria-invalid={wrong(`landings.${k}.height`)}
          /></label
        >
        <label class="grid gap-0.5"
          >{k === 0 ? 'who stands there' : ''}<input
            class="box w-full min-w-0"
            bind:value={landing.who}
            maxlength="60"
            aria-label="landing {k + 1}, who stands there"
          /></label
        >
        <button
          class="plain"
          type="button"
          aria-label="take landing {k + 1} out"
          onclick={() => {
            typed.landings?.splice(k, 1);
            changed();
          }}>×</button
        >
      </p>
    {/each}
    <p>
      <button
        class="plain text-14"
        type="button"
        onclick={() => (typed.landings = [...(typed.landings ?? []), { name: '', height: '', who: '' }])}
        >add a landing</button
      >
    </p>
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
    {#each typed.signals ?? [] as signal, k (k)}
      <p class="my-1 grid grid-cols-[minmax(0,1fr)_minmax(0,2fr)_auto] gap-2 text-14">
        <input
          class="box w-full min-w-0"
          bind:value={signal.sign}
          maxlength="60"
          placeholder="two whistles"
          aria-label="signal {k + 1}"
          aria-invalid={wrong(`signals.${k}.sign`)}
        />
        <input
          class="box w-full min-w-0"
          bind:value={signal.means}
          maxlength="120"
          placeholder="stop, hold it where it is"
          aria-label="signal {k + 1}, what it means"
          aria-invalid={wrong(`signals.${k}.means`)}
        />
        <button
          class="plain"
          type="button"
          aria-label="take signal {k + 1} out"
          onclick={() => {
            typed.signals?.splice(k, 1);
            changed();
          }}>×</button
        >
      </p>
    {/each}
    <p>
      <button
        class="plain text-14"
        type="button"
        onclick={() => (typed.signals = [...(typed.signals ?? []), { sign: '', means: '' }])}>add a signal</button
      >
    </p>
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
