<script lang="ts">
  import { asked, doing } from '$lib/api/asked.svelte';
  import { ask, client, type Schemas } from '$lib/api/client';
  import { session } from '$lib/session/session.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import { parameter } from '../../router';

  type Role = Schemas['MemberIn']['role'];

  const ROLES: Role[] = ['teacher', 'technician', 'head'];
  let username = $state('');
  let role = $state<Role>('teacher');
  let told = $state.raw<{ username: string; password: string } | null>(null);
  const department = $derived(parameter('department'));
  const mine = $derived(session.me?.departments.find((one) => one.slug === department));
  const head = $derived(mine?.role === 'head');
  const members = asked(() => {
    const path = { department };
    return {
      key: ['members', department],
      ask: (signal) => ask(client.GET('/api/departments/{department}/members', { params: { path }, signal })),
    };
  });
  const adding = doing(
    (body: Schemas['MemberIn']) =>
      ask(client.POST('/api/departments/{department}/members', { params: { path: { department } }, body })),
    () => [['members', department]],
  );
  const giving = doing(
    ({ member, role }: { member: number; role: Role }) => {
      const params = { path: { department, member } };
      return ask(client.PATCH('/api/departments/{department}/members/{member}', { params, body: { role } }));
    },
    () => [['members', department]],
  );
  const removing = doing(
    (member: number) =>
      ask(
        client.DELETE('/api/departments/{department}/members/{member}', { params: { path: { department, member } } }),
      ),
    () => [['members', department]],
  );

  async function add(): Promise<void> {
    removing.clear();
    giving.clear();
    const added = await adding.run({ username, role });
    if (!added) return;
    told = { username: added.member.username, password: added.first_password };
    username = '';
  }

  function remove(member: Schemas['MemberOut']): void {
    adding.clear();
    giving.clear();
    void removing.run(member.id);
  }

  /** Another role; where it is refused the one that stands is shown again. */
  async function give(member: Schemas['MemberOut'], chosen: HTMLSelectElement): Promise<void> {
    adding.clear();
    removing.clear();
    if (!(await giving.run({ member: member.id, role: chosen.value as Role }))) chosen.value = member.role;
    else if (member.username === session.me?.username) await session.refresh();
  }
</script>

<svelte:head><title>Members, Anchorage</title></svelte:head>

<TopLine />
<main class="mx-auto max-w-3xl px-6 py-8 max-phone:px-4">
  <h1>Members of {mine?.name ?? 'the department'}</h1>
  <p class="note mt-2">
    All members may change set-ups and runs. {head
      ? 'You, as head, add and remove members, and say who is head.'
      : 'The head adds and removes members.'}
  </p>
  <Problem failure={members.failure ?? adding.failure ?? giving.failure ?? removing.failure} />
  {#if told}
    <p class="told my-3 border-l-4 border-ink pl-2" role="status">
      {#if told.password}
        {told.username} signs in first with <b class="figure">{told.password}</b> and changes it then. It is shown this once.
      {:else}{told.username} signs in already and keeps their password.{/if}
    </p>
  {/if}
  <ul class="my-5 border-t border-ink">
    {#each members.data ?? [] as member (member.id)}
      <li class="grid min-h-10 grid-cols-[minmax(0,1fr)_8rem_5rem] items-baseline border-b border-hair py-1.5">
        <strong>{member.username}</strong>
        {#if head}<select
            class="min-h-7 border-b border-thin bg-ground text-14"
            aria-label="role of {member.username}"
            value={member.role}
            onchange={(event) => void give(member, event.currentTarget)}
          >
            {#each ROLES as one (one)}<option value={one}>{one}</option>{/each}
          </select>{:else}<span class="note">{member.role}</span>{/if}
        {#if head}<button class="plain" type="button" onclick={() => remove(member)}>remove</button>{/if}
      </li>
    {/each}
  </ul>
  {#if head}
    <form
      class="flex flex-wrap items-end gap-3"
      onsubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      <label class="grid gap-0.5 text-14"
        >Sign-in name<input class="box" bind:value={username} maxlength="60" autocomplete="off" /></label
      >
      <label class="grid gap-0.5 text-14"
        >Role
        <select class="box" bind:value={role}>
          {#each ROLES as one (one)}<option value={one}>{one}</option>{/each}
        </select>
      </label>
      <button class="solid" type="submit" disabled={username.trim() === ''}>Add</button>
    </form>
  {/if}
</main>
