<script lang="ts">
  import { asked, doing } from '$lib/api/asked.svelte';
  import { ask, client, type Schemas } from '$lib/api/client';
  import { settled } from '$lib/api/settled.svelte';
  import { put, at, type Doc, type Json } from '$lib/document/paths';
  import { provideForm } from '$lib/fields/context';
  import FormFields from '$lib/fields/FormFields.svelte';
  import { fieldsOf, type JsonSchema } from '$lib/fields/schema';
  import { session } from '$lib/session/session.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import { untrack } from 'svelte';
  import { parameter } from '../../router';
  import Account from './Account.svelte';

  type Room = Schemas['RoomDetailOut'];

  let open = $state<number | 'new' | null>(null);
  let name = $state('');
  let backRow = $state('');
  let document = $state.raw<Doc>({ room: {} });
  let questions = $state.raw<Schemas['QuestionOut'][]>([]);
  let kept = $state('');
  let focused = $state('');
  const department = $derived(parameter('department'));
  const inUse = $derived(session.room(department)?.id ?? null);

  const listed = asked(() => {
    const path = { department };
    return {
      key: ['rooms', department],
      ask: (signal) => ask(client.GET('/api/departments/{department}/rooms', { params: { path }, signal })),
    };
  });
  const rooms = $derived(listed.data ?? []);
  const schema = asked(() => ({
    key: ['room-schema'],
    ask: async (signal) => {
      const [first] = await ask(client.GET('/api/demonstrations', { signal }));
      const params = { path: { key: first?.key ?? '' } };
      return (await ask(client.GET('/api/demonstrations/{key}/schema', { params, signal }))) as JsonSchema;
    },
  }));
  const fields = $derived(
    schema.data ? fieldsOf((schema.data.properties as Record<string, JsonSchema>).room ?? {}, schema.data) : [],
  );

  /** The pressure that stood for the open room before what is typed now. */
  const before = $derived.by(() => {
    const room = rooms.find((one) => one.id === open);
    if (!room?.pressure_at) return {};
    const hours = (Date.now() - Date.parse(room.pressure_at)) / 3_600_000;
    const words = hours < 1 ? 'the pressure kept before' : `the pressure of ${Math.round(hours)} h ago`;
    return { stale: room.station_pressure, stale_words: words };
  });
  const typed = settled(() => JSON.stringify({ stated: document.room ?? {}, ...before }), 150);
  const account = asked(() => {
    const body = JSON.parse(typed.now) as Schemas['AccountIn'];
    return {
      key: ['room-account', typed.now],
      ask: (signal) => ask(client.POST('/api/room-account', { body, signal })),
      when: open !== null,
    };
  });
  const changed = () => [['rooms', department]];
  const saving = doing((body: Schemas['RoomIn']) => {
    const path = { department };
    return typeof open === 'number'
      ? ask(
          client.PUT('/api/departments/{department}/rooms/{room}', { params: { path: { ...path, room: open } }, body }),
        )
      : ask(client.POST('/api/departments/{department}/rooms', { params: { path }, body }));
  }, changed);
  const removing = doing((room: number) => {
    const path = { department, room };
    return ask(client.DELETE('/api/departments/{department}/rooms/{room}', { params: { path } }));
  }, changed);
  const refusal = $derived(saving.failure ?? account.failure);

  provideForm({
    stated: (path) => at(document, path),
    change: (path, value) => {
      document = put(document, path, value);
      questions = [];
      kept = '';
      saving.clear();
    },
    wrong: (path) => (refusal?.problem.path === path ? refusal.message : ''),
    inUse: () => undefined,
    share: () => 0,
    get focused() {
      return focused;
    },
    focus: (path) => (focused = path),
    get help() {
      return true;
    },
  });

  /** The room in use is open first. */
  $effect(() => {
    const first = rooms.find((one) => one.id === inUse) ?? rooms[0];
    if (first && untrack(() => open) === null) show(first);
  });

  function show(room: Room | null): void {
    open = room?.id ?? 'new';
    name = room?.name ?? '';
    backRow = room?.back_row ?? '';
    document = { room: (room?.stated ?? {}) as Json };
    questions = [];
    kept = '';
    saving.clear();
  }

  async function save(sure: boolean): Promise<void> {
    const body = { name, stated: (document.room ?? {}) as Record<string, unknown>, back_row: backRow, sure };
    const got = await saving.run(body);
    if (!got) return;
    questions = got.questions;
    if (!got.room) return;
    open = got.room.id;
    kept = 'Kept.';
    await session.refresh();
  }

  async function remove(room: Room): Promise<void> {
    if ((await removing.run(room.id)) === null) return;
    open = null;
    await session.refresh();
  }
</script>

<svelte:head><title>Rooms, Anchorage</title></svelte:head>

<TopLine />
<main
  class="grid grid-cols-[14rem_22rem_minmax(0,1fr)] gap-x-10 gap-y-0 p-6 max-bench:grid-cols-1 max-bench:gap-5 max-bench:p-4"
>
  <section class="rooms" aria-label="rooms">
    <h1 class="mb-2">Rooms</h1>
    <ul>
      {#each rooms as room (room.id)}
        <li class="flex items-baseline gap-2 border-b border-hair py-1">
          <button
            class="plain mr-auto text-left {room.id === open ? 'font-semibold' : ''}"
            type="button"
            onclick={() => show(room)}>{room.name}</button
          >
          {#if room.id === inUse}<span class="note first:mr-auto first:text-left">in use</span>
          {:else}<button
              class="plain text-13 first:mr-auto first:text-left"
              type="button"
              onclick={() => void session.useRoom(department, room.id)}>use</button
            >{/if}
          <button
            class="plain text-13 first:mr-auto first:text-left"
            type="button"
            aria-label="remove {room.name}"
            onclick={() => void remove(room)}>remove</button
          >
        </li>
      {:else}
        <li class="note flex items-baseline gap-2 border-b border-hair py-1">
          No room yet. With one, set-ups need not state pressure, temperature and height each time.
        </li>
      {/each}
    </ul>
    <Problem failure={listed.failure ?? schema.failure ?? removing.failure} />
    <p class="my-3"><button class="line" type="button" onclick={() => show(null)}>Another room</button></p>
  </section>

  {#if open !== null}
    <form
      onsubmit={(event) => {
        event.preventDefault();
        void save(false);
      }}
    >
      <label class="mb-2 grid gap-0.5 text-14">Name <input class="box" bind:value={name} maxlength="80" /></label>
      {#if refusal && (refusal.problem.path === 'name' || refusal.problem.path === '')}<p
          class="wrong my-3"
          role="alert"
        >
          {refusal.message}
        </p>{/if}
      <FormFields {fields} path="room" />
      <label class="mb-2 grid gap-0.5 text-14"
        >Back row, from the bench
        <input
          class="box figure"
          bind:value={backRow}
          maxlength="40"
          placeholder="for example 9 m"
          autocomplete="off"
        /></label
      >
      {#if refusal?.problem.path === 'back_row'}<p class="wrong my-3" role="alert">{refusal.message}</p>{/if}
      {#each questions as question (question.words)}
        <p class="my-2.5 border-l-4 border-ink pl-2" role="alert">{question.words}</p>
      {/each}
      <p class="my-3.5 flex items-baseline gap-3">
        {#if questions.length > 0}
          <button class="solid" type="button" onclick={() => void save(true)}>Yes, keep it so</button>
          <span class="note">or correct it above</span>
        {:else}
          <button class="solid" type="submit">Keep this room</button>
        {/if}
        <span class="note" role="status">{kept}</span>
      </p>
    </form>
    {#if account.data}<Account account={account.data} />{/if}
  {/if}
</main>
