<script lang="ts">
  import { setups } from '$lib/api/setups';
  import Pick from '$lib/ui/Pick.svelte';
  import Conflicts from './Conflicts.svelte';
  import { clock, moved, type Conflict, type Lesson } from './lesson';
  import MinutesField from './MinutesField.svelte';

  type Items = NonNullable<Lesson['items']>;
  interface Props {
    department: string;
    lesson: Lesson;
    onchange: (items: Items) => void;
    oncure: (changes: Conflict['cures'][number]['changes']) => void;
  }

  /** What is shown in which order, with its minutes; an item is moved by its buttons, by keys on them, or by dragging it. */
  let { department, lesson, onchange, oncure }: Props = $props();
  const items = $derived(lesson.items ?? []);
  const list = setups(() => ({ department, search: '', archived: false }));
  const choices = $derived((list.rows ?? []).map((one) => ({ path: String(one.id), name: one.name })));
  /** All of them, page by page. */
  $effect(() => {
    if (list.rows) list.next();
  });
  let dragged = $state<number | null>(null);
  const COLUMNS = [
    ['asking', 'asking'],
    ['minutes', 'showing'],
    ['reset', 'putting back'],
  ] as const;

  const VARIED = [
    ['minutes', 'showing'],
    ['reset', 'putting back'],
  ] as const;

  function change(k: number, changes: Partial<Items[number]>): void {
    onchange(items.map((one, i) => (i === k ? { ...one, ...changes } : one)));
  }

  function vary(k: number, i: number, changes: Partial<NonNullable<Items[number]['variations']>[number]>): void {
    const before = items[k]?.variations ?? [];
    change(k, { variations: before.map((one, j) => (j === i ? { ...one, ...changes } : one)) });
  }

  function drop(at: number): void {
    if (dragged !== null && dragged !== at) onchange(moved(items, dragged, at));
    dragged = null;
  }
</script>

<h2 class="mt-5 mb-1.5 border-t border-ink pt-1.5">Running order</h2>
<ol aria-label="running order">
  {#each lesson.rows as row, k (`${k} ${row.setup}`)}
    <li
      class="border-b border-hair py-2 {dragged === k ? 'opacity-50' : ''}"
      draggable="true"
      ondragstart={() => (dragged = k)}
      ondragover={(event) => event.preventDefault()}
      ondrop={() => drop(k)}
      ondragend={() => (dragged = null)}
    >
      <p class="flex items-baseline gap-3">
        <span class="figure text-14 whitespace-nowrap text-second"
          >{clock(row.begins, lesson.starts_at)}–{clock(row.ends, lesson.starts_at)}</span
        >
        <strong class="mr-auto {row.archived ? 'line-through' : ''}">{row.name}</strong>
        <button
          class="plain"
          type="button"
          disabled={k === 0}
          aria-label="{row.name} earlier"
          onclick={() => onchange(moved(items, k, k - 1))}>↑</button
        >
        <button
          class="plain"
          type="button"
          disabled={k === lesson.rows.length - 1}
          aria-label="{row.name} later"
          onclick={() => onchange(moved(items, k, k + 1))}>↓</button
        >
        <button
          class="plain text-14"
          type="button"
          aria-label="take {row.name} out"
          onclick={() => onchange(items.filter((_, i) => i !== k))}>take out</button
        >
      </p>
      <p class="mt-1 flex flex-wrap gap-x-5 gap-y-1 text-14">
        {#each COLUMNS as [key, label] (key)}
          <MinutesField
            {label}
            name="{row.name}, {label}, minutes"
            value={row[key] ?? 0}
            onset={(value) => change(k, { [key]: value })}
          />
        {/each}
      </p>
      {#each items[k]?.variations ?? [] as one, i (i)}
        <p class="mt-1 flex flex-wrap items-baseline gap-x-3 gap-y-1 pl-4 text-14">
          <span class="note">then</span>
          <input
            class="box min-w-40 flex-1"
            value={one.words}
            maxlength="200"
            aria-label="{row.name}, variation {i + 1}"
            onchange={(event) => vary(k, i, { words: event.currentTarget.value.trim() || one.words })}
          />
          {#each VARIED as [key, label] (key)}
            <MinutesField
              {label}
              name="{row.name}, variation {i + 1}, {label}, minutes"
              value={one[key] ?? 0}
              onset={(value) => vary(k, i, { [key]: value })}
            />
          {/each}
          <button
            class="plain text-14"
            type="button"
            aria-label="take variation {i + 1} of {row.name} out"
            onclick={() => change(k, { variations: (items[k]?.variations ?? []).filter((_, j) => j !== i) })}
            >take out</button
          >
        </p>
      {/each}
      <p class="mt-1 flex flex-wrap items-baseline gap-x-4 gap-y-1 text-14">
        <button
          class="plain text-14"
          type="button"
          aria-label="a variation of {row.name}"
          onclick={() =>
            change(k, {
              variations: [...(items[k]?.variations ?? []), { words: 'with one change', minutes: 3, reset: 1 }],
            })}>add a variation</button
        >
        <label class="flex items-center gap-1.5"
          ><input
            type="checkbox"
            class="size-4 accent-ink"
            checked={items[k]?.recall ?? false}
            onchange={(event) => change(k, { recall: event.currentTarget.checked })}
          /> back for half a minute before the end</label
        >
      </p>
      {#if k < lesson.rows.length - 1}
        <label class="mt-1 block text-14"
          ><span class="note">to the next</span>
          <textarea
            class="box w-full placeholder:text-second placeholder:opacity-100"
            rows="2"
            maxlength="400"
            aria-label="what hands over from {row.name}"
            placeholder={row.proposed}
            value={items[k]?.say ?? ''}
            onchange={(event) => change(k, { say: event.currentTarget.value.trim() })}></textarea></label
        >
      {:else if lesson.closing}
        <p class="note mt-1">To end on: {lesson.closing}</p>
      {/if}
      <Conflicts conflicts={lesson.conflicts.filter((one) => one.item === k)} {oncure} />
    </li>
  {:else}
    <li class="note py-2">Nothing is shown yet. Take set-ups in below.</li>
  {/each}
</ol>
<p class="mt-3 flex flex-wrap items-center gap-3">
  <Pick
    label="take a set-up in"
    {choices}
    value=""
    empty="take a set-up in"
    place="w-[19rem]"
    onpick={(id) => onchange([...items, { setup: Number(id), minutes: 8, asking: 2, reset: 1 }])}
  />
</p>
