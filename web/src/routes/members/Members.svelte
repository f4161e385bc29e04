<script lang="ts">
  import { ApiError, ask, client, type Schemas } from '$lib/api/client';
  import { session } from '$lib/session/session.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import { parameter } from '../../router';

  type Role = Schemas['MemberIn']['role'];

  let members = $state.raw<Schemas['MemberOut'][]>([]);
  let failure = $state.raw<ApiError | null>(null);
  let username = $state('');
  let role = $state<Role>('teacher');
  let told = $state.raw<{ username: string; password: string } | null>(null);
  const department = $derived(parameter('department'));
  const mine = $derived(session.me?.departments.find((one) => one.slug === department));
  const head = $derived(mine?.role === 'head');

  $effect(() => {
    void department;
    void load();
  });

  async function load(): Promise<void> {
    await attempt(async () => {
      members = await ask(client.GET('/api/departments/{department}/members', { params: { path: { department } } }));
    });
  }

  async function attempt(work: () => Promise<void>): Promise<void> {
    try {
      await work();
      failure = null;
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      failure = error;
    }
  }

  function add(): Promise<void> {
    return attempt(async () => {
      const params = { path: { department } };
      const added = await ask(
        client.POST('/api/departments/{department}/members', { params, body: { username, role } }),
      );
      told = { username: added.member.username, password: added.first_password };
      username = '';
      members = [...members, added.member].sort((a, b) => a.username.localeCompare(b.username));
    });
  }

  function remove(member: Schemas['MemberOut']): Promise<void> {
    return attempt(async () => {
      await ask(
        client.DELETE('/api/departments/{department}/members/{member}', {
          params: { path: { department, member: member.id } },
        }),
      );
      members = members.filter((one) => one.id !== member.id);
    });
  }
</script>

<svelte:head><title>Members, Anchorage</title></svelte:head>

<TopLine />
<main class="mx-auto max-w-3xl px-6 py-8 max-sm:px-4">
  <h1>Members of {mine?.name ?? 'the department'}</h1>
  <p class="note mt-2">
    All members may change set-ups and runs. {head
      ? 'You, as head, add and remove members.'
      : 'The head adds and removes members.'}
  </p>
  {#if failure}<p class="wrong mt-3" role="alert">{failure.message}</p>{/if}
  {#if told}
    <p class="told" role="status">
      {#if told.password}
        {told.username} signs in first with <b class="figure">{told.password}</b> and changes it then. It is shown this once.
      {:else}{told.username} signs in already and keeps their password.{/if}
    </p>
  {/if}
  <ul>
    {#each members as member (member.id)}
      <li>
        <strong>{member.username}</strong>
        <span class="note">{member.role}</span>
        {#if head}<button class="plain" type="button" onclick={() => void remove(member)}>remove</button>{/if}
      </li>
    {/each}
  </ul>
  {#if head}
    <form
      onsubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      <label>Sign-in name<input class="box" bind:value={username} maxlength="60" autocomplete="off" /></label>
      <label
        >Role
        <select class="box" bind:value={role}>
          <option value="teacher">teacher</option>
          <option value="technician">technician</option>
          <option value="head">head</option>
        </select>
      </label>
      <button class="solid" type="submit" disabled={username.trim() === ''}>Add</button>
    </form>
  {/if}
</main>

<style>
  ul {
    margin: 20px 0;
    border-top: 1px solid var(--c-ink);
  }

  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 8rem 5rem;
    align-items: baseline;
    min-height: 40px;
    padding: 6px 0;
    border-bottom: 1px solid var(--c-hair);
  }

  form {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: 12px;
  }

  label {
    display: grid;
    gap: 2px;
    font-size: 0.875rem;
  }

  .told {
    margin: 12px 0;
    padding-left: 8px;
    border-left: 4px solid var(--c-ink);
  }
</style>
