<script lang="ts">
  import { doing } from '$lib/api/asked.svelte';
  import { ask, client, type SetupRow } from '$lib/api/client';
  import type { arranging } from '$lib/api/setups';
  import { download, fileName } from '$lib/ui/download';
  import LongList from '$lib/ui/LongList.svelte';
  import Menu from '$lib/ui/Menu.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import SmallSection from '$lib/section/SmallSection.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import { dateInWords } from '$lib/words/dates';
  import { words } from '$lib/words/words';
  import { untrack } from 'svelte';
  import { p } from '../../router';

  interface Props {
    rows: SetupRow[];
    department: string;
    /** What can be done to one. */
    work: ReturnType<typeof arranging>;
    /** The last rows have come into sight. */
    onend: () => void;
  }

  let { rows, department, work, onend }: Props = $props();
  let renaming = $state.raw<SetupRow | null>(null);
  let name = $state('');
  const { copying, rename, away, pin } = untrack(() => work);
  const filing = doing(async (row: SetupRow) => {
    const params = { path: { department, setup: row.id } };
    const setup = await ask(client.GET('/api/departments/{department}/setups/{setup}', { params }));
    download(`${fileName(row.name)}.setup.json`, `${setup.document}\n`, 'application/json');
  });

  async function named(): Promise<void> {
    if (renaming && (await rename.run({ setup: renaming.id, name }))) renaming = null;
  }

  function entries(row: SetupRow) {
    const copy = { label: 'Copy', onselect: () => void copying.run(row.id) };
    const save = { label: 'Save as a file', onselect: () => void filing.run(row) };
    if (row.archived) return [{ label: 'Bring back', onselect: () => void away.bringBack(row.id) }, copy, save];
    return [
      {
        label: 'To be shown next',
        checked: row.pinned,
        onselect: () => void pin.run({ setup: row.id, pinned: !row.pinned }),
      },
      copy,
      {
        label: 'Rename',
        onselect: () => {
          name = row.name;
          renaming = row;
        },
      },
      save,
      { label: 'Archive', onselect: () => void away.put(row) },
    ];
  }
</script>

<Problem failure={copying.failure ?? filing.failure ?? pin.failure} />
<div class="list border-t border-ink" role="list">
  <LongList {rows} {onend}>
    {#snippet children(row)}
      <div
        class="row grid grid-cols-[28px_6rem_minmax(0,1fr)_11rem_13rem_3.5rem] items-baseline gap-3 border-b border-hair py-2.5 max-[800px]:grid-cols-[26px_minmax(0,1fr)_3.5rem] max-[800px]:[&>:last-child]:col-3 max-[800px]:[&>:last-child]:row-1"
        role="listitem"
      >
        <span class="self-start pt-0.75"><VerdictMark state={row.state} doubt={row.doubt} size={20} /></span>
        <SmallSection {department} setup={row.id} class="self-center max-[800px]:hidden" />
        <a
          class="group grid no-underline"
          href={p('/d/:department/bench/:setup', { params: { department, setup: String(row.id) } })}
        >
          <span
            ><strong class="underline-offset-4 group-hover:underline">{row.name}</strong>{#if row.pinned}<small
                class="ml-2 text-second">to be shown next</small
              >{/if}</span
          >
          <span class="text-14 text-second">{row.verdict}</span>
        </a>
        <span class="note max-[800px]:col-2 max-[800px]:-mt-2.5"
          >{row.title}{words.countOfVariations(row.variations)}, {words.countOfRuns(row.runs, 'no runs yet')}</span
        >
        <span class="note max-[800px]:col-2 max-[800px]:-mt-2.5"
          >{row.archived ? `archived by ${row.archived_by}` : `saved by ${row.by}`}, {dateInWords(
            row.archived_at ?? row.at,
          )}</span
        >
        <Menu label="more for {row.name}" shown="more" entries={entries(row)} />
      </div>
    {/snippet}
  </LongList>
</div>

<Sheet open={renaming !== null} title="Rename" onclose={() => (renaming = null)}>
  <form
    class="flex gap-3"
    onsubmit={(event) => {
      event.preventDefault();
      void named();
    }}
  >
    <input class="box flex-1" aria-label="new name" bind:value={name} maxlength="120" />
    <button class="solid" type="submit">Rename</button>
  </form>
  <Problem failure={rename.failure} />
</Sheet>
