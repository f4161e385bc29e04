<script lang="ts">
  import { asked } from '$lib/api/asked.svelte';
  import { ask, client } from '$lib/api/client';
  import Problem from '$lib/ui/Problem.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import { asPrinted } from '$lib/units/format';
  import { fileName } from '$lib/ui/download';
  import { dateInWords } from '$lib/words/dates';
  import { p, parameter } from '../../router';
  import ItemForm from './ItemForm.svelte';
  import Photo from './Photo.svelte';
  import SizeForm from './SizeForm.svelte';
  import Uses from './Uses.svelte';

  /** One thing: what it is, its sizes and how they were measured, what can be shown with it, which set-ups use it. */
  let editing = $state(false);
  const department = $derived(parameter('department'));
  const id = $derived(Number(parameter('item')));
  const found = asked(() => {
    const path = { department, item: id };
    return {
      key: ['shelf-item', department, id],
      ask: (signal) => ask(client.GET('/api/departments/{department}/shelf/{item}', { params: { path }, signal })),
    };
  });
  const item = $derived(found.data);
  const newest = $derived(new Set((item?.sizes ?? []).map((one) => one.id)));
  const facts = $derived.by(() => {
    if (!item) return '';
    const lent = item.lent_to ? `lent to ${item.lent_to}${item.lent_until ? ` until ${item.lent_until}` : ''}` : '';
    return [
      item.wanted ? `${item.sort}, wanted` : item.sort,
      item.place,
      (item.count ?? 1) > 1 ? `${item.count} of them` : '',
      item.state === 'good' ? 'in good order' : item.state,
      lent,
      item.borrowed_from ? `borrowed from ${item.borrowed_from}` : '',
      item.archived ? 'off the shelf' : '',
      item.note,
    ]
      .filter((text) => text !== '')
      .join('; ');
  });
</script>

<svelte:head><title>{item?.name ?? 'Shelf'}, Anchorage</title></svelte:head>

<TopLine title={item?.name ?? ''} />
<main class="mx-auto max-w-5xl px-6 py-6 max-phone:px-4">
  <Problem failure={found.failure} />
  {#if item}
    <p class="note"><a href={p('/d/:department/shelf', { params: { department } })}>Shelf</a></p>
    <h1>{item.name}</h1>
    {#if editing}
      <ItemForm {department} {item} onclose={() => (editing = false)} onkept={() => undefined} />
    {:else}
      <p class="mt-1">
        {facts}. <button class="plain text-14" type="button" onclick={() => (editing = true)}>change</button>
        <a
          class="plain ml-2 text-14"
          target="_blank"
          rel="noopener"
          href={`/api/departments/${department}/shelf/labels.pdf?item=${item.id}`}>label to print</a
        >
      </p>
      <p class="note">last changed by {item.by}, {dateInWords(item.at)}</p>
      <Photo {department} {item} />
    {/if}

    <h2 class="mt-6 mb-1.5 border-t border-ink pt-1.5">Sizes</h2>
    <ul aria-label="sizes">
      {#each item.history as size (size.id)}
        <li
          class="grid grid-cols-[12rem_11rem_minmax(0,1fr)_12rem] items-baseline gap-x-4 border-b border-hair py-1.5 max-phone:grid-cols-1 {newest.has(
            size.id,
          )
            ? ''
            : 'text-second'}"
        >
          <span>{size.label}</span>
          <span class="figure {newest.has(size.id) ? 'font-semibold' : ''}">{asPrinted(size.quantity)}</span>
          <span class="note"
            >{newest.has(size.id) ? '' : 'before: '}{size.how}
            {#if size.measured}<a
                href={`/api/departments/${department}/shelf/${item.id}/sizes/${size.id}`}
                download={`${fileName(item.name)}.aid.json`}>as measured</a
              >{/if}</span
          >
          <span class="note">{size.by}, {dateInWords(size.at)}</span>
        </li>
      {:else}<li class="note py-1.5">Nothing is measured of it yet.</li>{/each}
    </ul>
    {#key item.id}<SizeForm {department} item={item.id} />{/key}

    <h2 class="mt-6 mb-1.5 border-t border-ink pt-1.5">Used in</h2>
    <Uses {department} item={item.id} />

    <h2 class="mt-6 mb-1.5 border-t border-ink pt-1.5">What can be shown with it</h2>
    <p>{item.shows.length > 0 ? item.shows.join(', ') : 'Nothing asks for what is measured of it so far.'}</p>
  {/if}
</main>
