<script lang="ts">
  import { doing } from '$lib/api/asked.svelte';
  import { ask, client, type SetupRow } from '$lib/api/client';
  import { arranging } from '$lib/api/setups';
  import { download, fileName } from '$lib/ui/download';
  import LongList from '$lib/ui/LongList.svelte';
  import Menu from '$lib/ui/Menu.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import { dateInWords } from '$lib/words/dates';
  import { words } from '$lib/words/words';
  import { p } from '../../router';

  interface Props {
    rows: SetupRow[];
    department: string;
    /** The last rows have come into sight. */
    onend: () => void;
  }

  let { rows, department, onend }: Props = $props();
  let renaming = $state.raw<SetupRow | null>(null);
  let name = $state('');
  const { act, rename } = arranging(() => department);
  const filing = doing(async (row: SetupRow) => {
    const params = { path: { department, setup: row.id } };
    const setup = await ask(client.GET('/api/departments/{department}/setups/{setup}', { params }));
    download(`${fileName(row.name)}.setup.json`, `${setup.document}\n`, 'application/json');
  });

  async function named(): Promise<void> {
    if (renaming && (await rename.run({ setup: renaming.id, name }))) renaming = null;
  }

  function entries(row: SetupRow) {
    const doneTo = (what: Parameters<typeof act.run>[0]['what']) => () => void act.run({ setup: row.id, what });
    const copy = { label: 'Copy', onselect: doneTo('copy') };
    const save = { label: 'Save as a file', onselect: () => void filing.run(row) };
    if (row.archived) return [{ label: 'Bring back', onselect: doneTo('bring-back') }, copy, save];
    return [
      copy,
      {
        label: 'Rename',
        onselect: () => {
          name = row.name;
          renaming = row;
        },
      },
      save,
      { label: 'Archive', onselect: doneTo('archive') },
    ];
  }
</script>

<Problem failure={act.failure ?? filing.failure} />
<div class="list" role="list">
  <LongList {rows} {onend}>
    {#snippet children(row)}
      <div class="row" role="listitem">
        <span class="mark"><VerdictMark state={row.state} size={20} /></span>
        <a href={p('/d/:department/bench/:setup', { params: { department, setup: String(row.id) } })}>
          <strong>{row.name}</strong>
          <span>{row.verdict}</span>
        </a>
        <span class="note what"
          >{row.title}{words.countOfVariations(row.variations)}, {words.countOfRuns(row.runs, 'no runs yet')}</span
        >
        <span class="note who"
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
    onsubmit={(event) => {
      event.preventDefault();
      void named();
    }}
  >
    <input class="box name" aria-label="new name" bind:value={name} maxlength="120" />
    <button class="solid" type="submit">Rename</button>
  </form>
  <Problem failure={rename.failure} />
</Sheet>

<style>
  .list {
    border-top: 1px solid var(--c-ink);
  }

  .row {
    display: grid;
    grid-template-columns: 28px minmax(0, 1fr) 11rem 14rem 3.5rem;
    align-items: baseline;
    gap: 12px;
    padding: 10px 0;
    border-bottom: 1px solid var(--c-hair);
  }

  .mark {
    align-self: start;
    padding-top: 3px;
  }

  a {
    display: grid;
    text-decoration: none;
  }

  a:hover strong {
    text-decoration: underline;
    text-underline-offset: 4px;
  }

  a span {
    font-size: 0.875rem;
    color: var(--c-second);
  }

  form {
    display: flex;
    gap: 12px;
  }

  .name {
    flex: 1;
  }

  @media (max-width: 800px) {
    .row {
      grid-template-columns: 26px minmax(0, 1fr) 3.5rem;
    }

    .what,
    .who {
      grid-column: 2;
      margin-top: -10px;
    }

    .row > :global(:last-child) {
      grid-column: 3;
      grid-row: 1;
    }
  }
</style>
