<script lang="ts">
  import { pages } from '$lib/api/asked.svelte';
  import { ask, client } from '$lib/api/client';
  import { settled } from '$lib/api/settled.svelte';
  import type { TakenOver } from '$lib/measuring/aids';
  import Problem from '$lib/ui/Problem.svelte';
  import { asPrinted } from '$lib/units/format';
  import { measuring, shelfSizes } from './shelf';

  interface Props {
    department: string;
    /** The results that can be kept, and the document that they were measured with. */
    takes: TakenOver[];
    how: string;
    aid: Record<string, unknown>;
  }

  /** What an aid found is kept with a thing on the shelf, under one of the names that set-ups ask for. */
  let { department, takes, how, aid }: Props = $props();
  let search = $state('');
  let key = $state('');
  let kept = $state('');
  const typed = settled(() => search, 150);
  const sizes = shelfSizes(() => department);
  const named = $derived(
    takes
      .flatMap((taken) =>
        typeof taken.quantity === 'string'
          ? taken.fields.map((name) => ({
              key: name,
              quantity: String(taken.quantity),
              label: sizes.data?.names.find((one) => one.key === name)?.label ?? '',
            }))
          : [],
      )
      .filter((one) => one.label !== ''),
  );
  const chosen = $derived(named.find((one) => one.key === key) ?? named[0]);
  const things = pages(() => {
    const path = { department };
    const query = { search: typed.now, page_size: 8 };
    return {
      key: ['shelf', department, 'found', typed.now],
      ask: (cursor, signal) =>
        ask(
          client.GET('/api/departments/{department}/shelf', {
            params: { path, query: { ...query, ...(cursor ? { cursor } : {}) } },
            signal,
          }),
        ),
      when: typed.now !== '',
    };
  });
  const keeping = measuring(() => department);

  async function keep(item: number, name: string): Promise<void> {
    if (!chosen) return;
    const done = await keeping.run({ item, key: chosen.key, quantity: chosen.quantity, how, aid });
    if (done) kept = `${chosen.label} ${asPrinted(chosen.quantity)} stands with “${name}” now.`;
  }
</script>

{#if chosen}
  <details class="mt-3 text-14">
    <summary class="cursor-pointer py-1 font-semibold">Onto the shelf</summary>
    <p class="my-1 flex flex-wrap items-baseline gap-2">
      <label
        >as <select class="min-h-7 border-b border-thin" bind:value={() => chosen.key, (next) => (key = next)}>
          {#each named as one (one.key)}<option class="bg-strip text-ink" value={one.key}>{one.label}</option>{/each}
        </select></label
      >
      <input
        class="box"
        type="search"
        placeholder="of which thing"
        aria-label="thing on the shelf"
        bind:value={search}
      />
    </p>
    <Problem failure={keeping.failure ?? things.failure} />
    {#if kept}<p role="status">{kept}</p>{/if}
    <ul>
      {#each search ? (things.rows ?? []) : [] as one (one.id)}
        <li>
          <button class="plain min-h-7" type="button" onclick={() => void keep(one.id, one.name)}
            >{one.name}{one.place ? `, ${one.place}` : ''}</button
          >
        </li>
      {/each}
    </ul>
  </details>
{/if}
