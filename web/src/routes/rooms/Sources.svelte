<script lang="ts">
  import { asked, doing } from '$lib/api/asked.svelte';
  import { ask, client, type Schemas } from '$lib/api/client';
  import { sourceStands } from '$lib/air/air';
  import { session } from '$lib/session/session.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import { said } from '$lib/units/format';
  import SourceForm from './SourceForm.svelte';

  interface Props {
    department: string;
    room: number;
    name: string;
  }

  /** Where a room's pressure comes from besides being typed, in the order in which it is believed. */
  let { department, room, name }: Props = $props();
  type Source = Schemas['SourceOut'];
  const EVERY = 2000;
  let open = $state<number | 'new' | null>(null);

  const air = asked(() => {
    const path = { department };
    return {
      key: ['air', department, room],
      ask: (signal) =>
        ask(client.GET('/api/departments/{department}/air', { params: { path, query: { room } }, signal })),
      every: () => EVERY,
    };
  });
  const sources = $derived(air.data?.sources ?? []);
  const changed = () => [['air', department]];
  const at = (source: number) => ({ params: { path: { department, room, source } } });

  function asTyped(source: Source): Schemas['SourceIn'] {
    const half = said(source.tolerance, 0, session.unit('pressure', 'hPa'));
    const { name, sort, place, order, on } = source;
    return { name, sort, place, order, on, tolerance: `${half.number} ${half.unit}` };
  }

  const saving = doing(
    ({ source, change }: { source: Source; change: Partial<Schemas['SourceIn']> }) =>
      ask(
        client.PUT('/api/departments/{department}/rooms/{room}/sources/{source}', {
          ...at(source.id),
          body: { ...asTyped(source), ...change },
        }),
      ),
    changed,
  );
  const removing = doing(
    (source: Source) =>
      ask(client.DELETE('/api/departments/{department}/rooms/{room}/sources/{source}', at(source.id))),
    changed,
  );

  /** Believed before the one above it from now on. */
  async function up(k: number): Promise<void> {
    const order = sources.map((one) => one.id);
    order.splice(k - 1, 2, order[k] ?? 0, order[k - 1] ?? 0);
    for (const [place, id] of order.entries()) {
      const one = sources.find((source) => source.id === id);
      if (one && one.order !== place + 1) await saving.run({ source: one, change: { order: place + 1 } });
    }
  }
</script>

<section aria-label="where the pressure comes from" class="mt-6 border-t border-ink pt-2">
  <h2>Where the pressure in {name} comes from</h2>
  <p class="note">
    What is typed comes first, for three hours. After that the first of these that speaks; where it falls silent, the
    next.
  </p>
  <Problem failure={air.failure ?? saving.failure ?? removing.failure} />
  <ol class="mt-1 text-14">
    {#each sources as source, k (source.id)}
      <li class="border-b border-hair py-1.5">
        {#if open === source.id}
          <SourceForm {department} {room} source={source.id} first={asTyped(source)} onclose={() => (open = null)} />
        {:else}
          <span class="flex flex-wrap items-baseline gap-x-3">
            <strong class="mr-auto">{k + 1}. {source.name}</strong>
            {#if k > 0}<button class="plain" type="button" aria-label="{source.name} earlier" onclick={() => void up(k)}
                >↑</button
              >{/if}
            <button class="plain" type="button" onclick={() => void saving.run({ source, change: { on: !source.on } })}
              >{source.on ? 'stop reading it' : 'read it'}</button
            >
            <button class="plain" type="button" onclick={() => (open = source.id)}>change</button>
            <button
              class="plain"
              type="button"
              aria-label="remove {source.name}"
              onclick={() => void removing.run(source)}>remove</button
            >
          </span>
          <span class="note block"
            >{source.sort === 'sensor' ? 'sensor' : 'weather service'} at <span class="figure">{source.place}</span>, ± {asTyped(
              source,
            ).tolerance}; {sourceStands(source)}</span
          >
        {/if}
      </li>
    {:else}
      {#if air.data}<li class="note py-1.5">Nothing but what is typed.</li>{/if}
    {/each}
  </ol>
  {#if open === 'new'}
    <SourceForm
      {department}
      {room}
      source={null}
      first={{
        name: '',
        sort: 'sensor',
        place: '',
        order: sources.length + 1,
        tolerance: '0.5 hPa',
        on: true,
      }}
      onclose={() => (open = null)}
    />
  {:else}
    <p class="mt-2">
      <button class="line" type="button" onclick={() => (open = 'new')}>A sensor or a weather service</button>
    </p>
  {/if}
</section>
