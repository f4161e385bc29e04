<script lang="ts">
  import { ApiError, ask, client, type SetupRow } from '$lib/api/client';
  import { download, fileName } from '$lib/ui/download';
  import Menu from '$lib/ui/Menu.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import { p } from '../../router';

  interface Props {
    rows: SetupRow[];
    department: string;
    onchanged: () => void;
    onfailed: (error: ApiError) => void;
  }

  let { rows, department, onchanged, onfailed }: Props = $props();
  let renaming = $state.raw<SetupRow | null>(null);
  let name = $state('');

  function path(row: SetupRow): { path: { department: string; setup: number } } {
    return { path: { department, setup: row.id } };
  }

  async function doing(work: Promise<unknown>): Promise<void> {
    try {
      await work;
      renaming = null;
      onchanged();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      onfailed(error);
    }
  }

  async function file(row: SetupRow): Promise<void> {
    const setup = await ask(client.GET('/api/departments/{department}/setups/{setup}', { params: path(row) }));
    download(`${fileName(row.name)}.setup.json`, `${setup.document}\n`, 'application/json');
  }

  function entries(row: SetupRow) {
    const params = path(row);
    const base = '/api/departments/{department}/setups/{setup}' as const;
    const copy = { label: 'Copy', onselect: () => void doing(ask(client.POST(`${base}/copy`, { params }))) };
    const save = { label: 'Save as a file', onselect: () => void doing(file(row)) };
    if (row.archived)
      return [
        { label: 'Bring back', onselect: () => void doing(ask(client.POST(`${base}/bring-back`, { params }))) },
        copy,
        save,
      ];
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
      { label: 'Archive', onselect: () => void doing(ask(client.POST(`${base}/archive`, { params }))) },
    ];
  }

  function when(text: string): string {
    return new Date(text).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
  }
</script>

<ul>
  {#each rows as row (row.id)}
    <li>
      <span class="mark"><VerdictMark state={row.state} size={20} /></span>
      <a href={p('/d/:department/bench/:setup', { params: { department, setup: String(row.id) } })}>
        <strong>{row.name}</strong>
        <span>{row.verdict}</span>
      </a>
      <span class="note what"
        >{row.title}{row.variations > 0
          ? `, ${row.variations === 1 ? 'one variation' : `${row.variations} variations`}`
          : ''}, {row.runs === 0 ? 'no runs yet' : row.runs === 1 ? 'one run' : `${row.runs} runs`}</span
      >
      <span class="note who"
        >{row.archived ? `archived by ${row.archived_by}` : `saved by ${row.by}`}, {when(
          row.archived_at ?? row.at,
        )}</span
      >
      <Menu label="more for {row.name}" shown="more" entries={entries(row)} />
    </li>
  {/each}
</ul>

<Sheet open={renaming !== null} title="Rename" onclose={() => (renaming = null)}>
  <form
    onsubmit={(event) => {
      event.preventDefault();
      if (renaming)
        void doing(
          ask(client.PATCH('/api/departments/{department}/setups/{setup}', { params: path(renaming), body: { name } })),
        );
    }}
  >
    <input class="box name" aria-label="new name" bind:value={name} maxlength="120" />
    <button class="solid" type="submit">Rename</button>
  </form>
</Sheet>

<style>
  ul {
    border-top: 1px solid var(--c-ink);
  }

  li {
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
    li {
      grid-template-columns: 26px minmax(0, 1fr) 3.5rem;
    }

    .what,
    .who {
      grid-column: 2;
      margin-top: -10px;
    }

    li > :global(:last-child) {
      grid-column: 3;
      grid-row: 1;
    }
  }
</style>
