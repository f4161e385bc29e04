<script lang="ts">
  import { doing } from '$lib/api/asked.svelte';
  import { ask, client, type Schemas } from '$lib/api/client';
  import { takesOver } from '$lib/ui/focus';
  import { untrack } from 'svelte';

  interface Props {
    department: string;
    room: number;
    /** Which one is changed; none where it is a new one. */
    source: number | null;
    first: Schemas['SourceIn'];
    onclose: () => void;
  }

  /** A sensor or a weather service: what it is called, where it is read, how well it is known. */
  let { department, room, source, first, onclose }: Props = $props();
  let facts = $state(untrack(() => ({ ...first })));
  const keeping = doing(
    (body: Schemas['SourceIn']) => {
      const path = { department, room };
      if (source === null)
        return ask(client.POST('/api/departments/{department}/rooms/{room}/sources', { params: { path }, body }));
      const params = { path: { ...path, source } };
      return ask(client.PUT('/api/departments/{department}/rooms/{room}/sources/{source}', { params, body }));
    },
    () => [['air', department]],
  );
  const wrong = (path: string): true | undefined => (keeping.failure?.problem.path === path ? true : undefined);

  async function keep(): Promise<void> {
    if (await keeping.run(facts)) onclose();
  }
</script>

<form
  use:takesOver
  class="my-2 grid gap-2 text-14"
  onsubmit={(event) => {
    event.preventDefault();
    void keep();
  }}
>
  <label class="grid gap-0.5"
    >name <input class="box" bind:value={facts.name} maxlength="80" aria-invalid={wrong('name')} /></label
  >
  <label class="grid gap-0.5"
    >what it is
    <select class="box" bind:value={facts.sort}>
      <option value="sensor">a sensor that sends lines</option>
      <option value="weather">a weather service with airfields’ reports</option>
    </select></label
  >
  <label class="grid gap-0.5"
    >where it is read
    <input
      class="box figure"
      bind:value={facts.place}
      maxlength="200"
      placeholder={facts.sort === 'sensor' ? '/dev/ttyUSB0 or socket://127.0.0.1:4001' : 'http://127.0.0.1:4002/report'}
      aria-invalid={wrong('place')}
    /></label
  >
  <label class="grid gap-0.5"
    >how well its pressure is known, ±
    <input class="box figure" bind:value={facts.tolerance} maxlength="40" aria-invalid={wrong('tolerance')} /></label
  >
  {#if keeping.failure}<p class="wrong" role="alert">{keeping.failure.message}</p>{/if}
  <p class="flex items-baseline gap-3">
    <button class="solid" type="submit" disabled={facts.name.trim() === '' || facts.place.trim() === ''}
      >Keep this source</button
    >
    <button class="plain" type="button" onclick={onclose}>leave it</button>
  </p>
</form>
