<script lang="ts">
  import { doing } from '$lib/api/asked.svelte';
  import { ask, client, type Schemas } from '$lib/api/client';
  import { ofShelf, SORTS, STATES, type Item, type ItemPage } from '$lib/shelf/shelf';
  import { takesOver } from '$lib/ui/focus';
  import { untrack } from 'svelte';

  interface Props {
    department: string;
    item: Item | null;
    onclose: () => void;
    onkept: (item: ItemPage) => void;
  }

  /** What is said of a thing, but for its sizes. */
  let { department, item, onclose, onkept }: Props = $props();
  type Facts = Omit<Schemas['NewItemIn'], 'sizes'>;
  const first = untrack(() => item);
  /** The version that was opened, whatever is read anew meanwhile. */
  const seen = first?.version ?? 0;
  let facts = $state<Facts>({
    name: first?.name ?? '',
    sort: first?.sort ?? 'vessel',
    place: first?.place ?? '',
    count: first?.count ?? 1,
    state: first?.state ?? 'good',
    lent_to: first?.lent_to ?? '',
    lent_until: first?.lent_until ?? null,
    borrowed_from: first?.borrowed_from ?? '',
    wanted: first?.wanted ?? false,
    note: first?.note ?? '',
  });
  const keeping = doing(
    (body: Facts) => {
      const path = { department };
      if (!item)
        return ask(
          client.POST('/api/departments/{department}/shelf', { params: { path }, body: { ...body, sizes: [] } }),
        );
      const params = { path: { ...path, item: item.id } };
      return ask(
        client.PUT('/api/departments/{department}/shelf/{item}', { params, body: { ...body, version: seen } }),
      );
    },
    () => ofShelf(department),
  );

  async function keep(): Promise<void> {
    const kept = await keeping.run({ ...facts, lent_until: facts.lent_until || null });
    if (!kept) return;
    onclose();
    onkept(kept);
  }

  const wrong = (path: string): string => (keeping.failure?.problem.path === path ? keeping.failure.message : '');
  const ROW = 'grid grid-cols-[9rem_minmax(0,1fr)] items-baseline gap-2 text-14';
</script>

<form
  use:takesOver
  class="my-3 grid max-w-[36rem] gap-2"
  onsubmit={(event) => {
    event.preventDefault();
    void keep();
  }}
>
  <label class={ROW}
    >name <input
      class="box"
      bind:value={facts.name}
      maxlength="120"
      aria-invalid={wrong('name') ? true : undefined}
    /></label
  >
  {#if wrong('name')}<p class="wrong" role="alert">{wrong('name')}</p>{/if}
  <label class={ROW}
    >sort <select class="min-h-8 border-b border-thin bg-ground" bind:value={facts.sort}>
      {#each SORTS as one (one)}<option value={one}>{one}</option>{/each}
    </select></label
  >
  <label class={ROW}
    >where it stands <input class="box" bind:value={facts.place} maxlength="120" placeholder="bay 2, shelf 1" /></label
  >
  <label class={ROW}
    >how many <input class="box figure" type="number" min="1" max="10000" bind:value={facts.count} /></label
  >
  {#if wrong('count')}<p class="wrong" role="alert">{wrong('count')}</p>{/if}
  <label class={ROW}
    >state <select class="min-h-8 border-b border-thin bg-ground" bind:value={facts.state}>
      {#each STATES as one (one)}<option value={one}>{one}</option>{/each}
    </select></label
  >
  <label class={ROW}
    >lent to <input
      class="box"
      bind:value={facts.lent_to}
      maxlength="120"
      aria-invalid={wrong('lent_to') ? true : undefined}
    /></label
  >
  {#if wrong('lent_to')}<p class="wrong" role="alert">{wrong('lent_to')}</p>{/if}
  <label class={ROW}>until <input class="box figure" type="date" bind:value={facts.lent_until} /></label>
  <label class={ROW}>borrowed from <input class="box" bind:value={facts.borrowed_from} maxlength="120" /></label>
  <label class={ROW}>note <input class="box" bind:value={facts.note} maxlength="400" /></label>
  <label class={ROW}
    >wanted <span
      ><input class="min-h-6" type="checkbox" bind:checked={facts.wanted} />
      <small class="note">not there yet</small></span
    ></label
  >
  {#if keeping.failure && !keeping.failure.problem.path}<p class="wrong" role="alert">
      {keeping.failure.message}{keeping.failure.problem.code === 'conflict'
        ? '. Nothing was overwritten: open it again, and say it once more.'
        : ''}
    </p>{/if}
  <p class="mt-1 flex gap-3">
    <button class="solid" type="submit">Keep it</button>
    <button class="plain" type="button" onclick={onclose}>leave it</button>
  </p>
</form>
