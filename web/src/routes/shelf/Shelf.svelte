<script lang="ts">
  import { pages } from '$lib/api/asked.svelte';
  import { ask, client } from '$lib/api/client';
  import { puttingAway } from '$lib/api/putting-away.svelte';
  import { settled } from '$lib/api/settled.svelte';
  import { ofShelf, SORTS, type Item } from '$lib/shelf/shelf';
  import Problem from '$lib/ui/Problem.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import Undo from '$lib/ui/Undo.svelte';
  import { asPrinted } from '$lib/units/format';
  import { navigate, p, parameter } from '../../router';
  import ItemForm from './ItemForm.svelte';

  /** Everything on the shelf: found by a word, by its sort and its state; with its sizes as they were measured last. */
  let search = $state('');
  let sort = $state('');
  let which = $state<'there' | 'wanted' | 'worn' | 'broken' | 'archived'>('there');
  let adding = $state(false);
  let reading = $state(false);
  const department = $derived(parameter('department'));
  const typed = settled(() => search, 150);
  const list = pages(() => {
    const path = { department };
    const only = {
      there: { wanted: false },
      wanted: { wanted: true },
      worn: { state: 'worn' },
      broken: { state: 'broken' },
      archived: { archived: true },
    }[which];
    const query = { search: typed.now, sort, ...only };
    return {
      key: ['shelf', department, typed.now, sort, which],
      ask: (cursor, signal) =>
        ask(
          client.GET('/api/departments/{department}/shelf', {
            params: { path, query: { ...query, ...(cursor ? { cursor } : {}) } },
            signal,
          }),
        ),
      when: department !== '',
    };
  });
  const params = (item: number) => ({ params: { path: { department, item } } });
  const away = puttingAway(
    (item) => ask(client.POST('/api/departments/{department}/shelf/{item}/archive', params(item))),
    (item) => ask(client.POST('/api/departments/{department}/shelf/{item}/bring-back', params(item))),
    () => ofShelf(department),
  );

  function facts(item: Item): string {
    const many = (item.count ?? 1) > 1 ? `${item.count} of them` : '';
    const lent = item.lent_to ? `lent to ${item.lent_to}${item.lent_until ? ` until ${item.lent_until}` : ''}` : '';
    const lender = item.borrowed_from ? `borrowed from ${item.borrowed_from}` : '';
    return [item.place, many, item.state === 'good' ? '' : item.state, lent, lender]
      .filter((text) => text !== '')
      .join('; ');
  }

  /** The next page comes before one has scrolled to the end of this one. */
  function watched(node: HTMLElement): { destroy: () => void } {
    const watch = new IntersectionObserver((seen) => seen.some((one) => one.isIntersecting) && list.next(), {
      rootMargin: '400px',
    });
    watch.observe(node);
    return { destroy: () => watch.disconnect() };
  }
</script>

<svelte:head><title>Shelf, Anchorage</title></svelte:head>

<TopLine />
<main class="mx-auto max-w-6xl px-6 py-8 max-phone:px-4 max-phone:py-5">
  <div class="head mb-4 flex flex-wrap items-center gap-x-4 gap-y-3">
    <h1 class="mr-2">Shelf</h1>
    <button class="solid" type="button" onclick={() => (adding = true)}>A new thing</button>
    <button class="line" type="button" onclick={() => (reading = true)}>Read a file</button>
    <a class="plain" href={`/api/departments/${department}/shelf/file.csv`} download="shelf.csv">save as a file</a>
    <a
      class="plain"
      target="_blank"
      rel="noopener"
      href={`/api/departments/${department}/shelf/labels.pdf?search=${encodeURIComponent(typed.now)}&sort=${sort}`}
      >labels to print</a
    >
    <select class="min-h-9 border-b border-thin bg-ground" aria-label="which things" bind:value={which}>
      <option value="there">what is there</option>
      <option value="wanted">what is wanted</option>
      <option value="worn">what is worn</option>
      <option value="broken">what is broken</option>
      <option value="archived">what was taken off</option>
    </select>
    <select class="min-h-9 border-b border-thin bg-ground" aria-label="of which sort" bind:value={sort}>
      <option value="">of every sort</option>
      {#each SORTS as one (one)}<option value={one}>{one}s</option>{/each}
    </select>
    <input
      class="box ml-auto w-[16rem] max-phone:ml-0 max-phone:w-full"
      type="search"
      placeholder="search name, place, note"
      aria-label="search the shelf"
      bind:value={search}
    />
  </div>
  <Undo {away} />
  <Problem failure={list.failure} />
  {#if adding}
    <ItemForm
      {department}
      item={null}
      onclose={() => (adding = false)}
      onkept={(item) => navigate('/d/:department/shelf/:item', { params: { department, item: String(item.id) } })}
    />
  {/if}
  <ul aria-label="things on the shelf">
    {#each list.rows ?? [] as item (item.id)}
      <li
        class="grid grid-cols-[minmax(0,17rem)_minmax(0,1fr)_minmax(0,15rem)_auto] items-baseline gap-x-4 border-b border-hair py-2 max-phone:grid-cols-1 max-phone:gap-y-0.5"
      >
        <a
          class="font-semibold no-underline hover:underline"
          href={p('/d/:department/shelf/:item', { params: { department, item: String(item.id) } })}>{item.name}</a
        >
        <span class="flex flex-wrap gap-x-4">
          {#each item.sizes as size (size.id)}<span class="text-14"
              ><span class="note">{size.label.toLowerCase()}</span>
              <span class="figure whitespace-nowrap">{asPrinted(size.quantity)}</span></span
            >{:else}<span class="note">nothing measured yet</span>{/each}
        </span>
        <span class="note {item.state === 'good' ? '' : 'font-semibold text-ink'}">{facts(item)}</span>
        {#if item.archived}
          <button
            class="plain justify-self-start text-13"
            type="button"
            aria-label="bring back {item.name}"
            onclick={() => void away.bringBack(item.id)}>bring back</button
          >
        {:else}
          <button
            class="plain justify-self-start text-13"
            type="button"
            aria-label="archive {item.name}"
            onclick={() => void away.put(item)}>archive</button
          >
        {/if}
      </li>
    {:else}
      {#if list.rows}<li class="my-8 text-22">
          {search || sort || which !== 'there'
            ? 'Nothing of that on the shelf.'
            : 'Nothing stands here yet. Put the first thing on it, with what you measured of it.'}
        </li>{/if}
    {/each}
  </ul>
  {#key list.rows?.length}<span use:watched></span>{/key}
</main>
{#if reading}
  {#await import('./ReadFile.svelte') then { default: ReadFile }}
    <ReadFile {department} onclose={() => (reading = false)} />
  {/await}
{/if}
