<script lang="ts">
  import { asked, doing } from '$lib/api/asked.svelte';
  import { ask, client, type Schemas } from '$lib/api/client';
  import { settled } from '$lib/api/settled.svelte';
  import { puttingAway } from '$lib/api/putting-away.svelte';
  import { put, at, type Doc, type Json } from '$lib/document/paths';
  import { provideForm } from '$lib/fields/context';
  import FormFields from '$lib/fields/FormFields.svelte';
  import { fieldsOf, type JsonSchema } from '$lib/fields/schema';
  import { session } from '$lib/session/session.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import Meanwhile from '$lib/ui/Meanwhile.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import Undo from '$lib/ui/Undo.svelte';
  import { dateInWords } from '$lib/words/dates';
  import { untrack } from 'svelte';
  import { parameter } from '../../router';
  import Account from './Account.svelte';
  import SiteForm from './SiteForm.svelte';
  import Sources from './Sources.svelte';

  type Room = Schemas['RoomDetailOut'];

  let open = $state<number | 'new' | null>(null);
  /** The version of the open room that was seen. */
  let version = $state(0);
  let showArchived = $state(false);
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
  const archived = asked(() => {
    const path = { department };
    return {
      key: ['rooms', department, 'archived'],
      ask: (signal) =>
        ask(client.GET('/api/departments/{department}/rooms', { params: { path, query: { archived: true } }, signal })),
      when: showArchived,
    };
  });
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
  const params = (room: number) => ({ params: { path: { department, room } } });
  const saving = doing(({ version: seen, ...room }: Schemas['RoomChangeIn']) => {
    if (typeof open !== 'number') {
      const path = { department };
      return ask(client.POST('/api/departments/{department}/rooms', { params: { path }, body: room }));
    }
    const body = { ...room, version: seen };
    return ask(client.PUT('/api/departments/{department}/rooms/{room}', { ...params(open), body }));
  }, changed);
  const away = puttingAway(
    (room) => ask(client.POST('/api/departments/{department}/rooms/{room}/archive', params(room))),
    (room) => ask(client.POST('/api/departments/{department}/rooms/{room}/bring-back', params(room))),
    changed,
    () => session.refresh(),
  );
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
    version = room?.version ?? 0;
    name = room?.name ?? '';
    backRow = room?.back_row ?? '';
    document = { room: (room?.stated ?? {}) as Json };
    questions = [];
    kept = '';
    saving.clear();
  }

  async function save(sure: boolean): Promise<void> {
    const body = { ...mine(), sure, version };
    const got = await saving.run(body);
    if (!got) return;
    questions = got.questions;
    if (!got.room) return;
    open = got.room.id;
    version = got.room.version;
    kept = 'Kept.';
    await session.refresh();
  }

  /** The open room as it stands here. */
  function mine() {
    return { name, stated: (document.room ?? {}) as Doc, back_row: backRow };
  }

  function takeTheirs(theirs: Doc, seen: number): void {
    name = String(theirs.name);
    backRow = String(theirs.back_row);
    document = { room: theirs.stated as Json };
    version = seen;
    saving.clear();
  }

  async function keepMine(seen: number): Promise<void> {
    version = seen;
    await save(questions.length > 0);
  }

  async function remove(room: Room): Promise<void> {
    if ((await away.put(room)) && open === room.id) open = null;
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
              class="plain shrink-0 text-13 first:mr-auto first:text-left"
              type="button"
              onclick={() => void session.useRoom(department, room.id)}>use</button
            >{/if}
          <button
            class="plain shrink-0 text-13 first:mr-auto first:text-left"
            type="button"
            aria-label="archive {room.name}"
            onclick={() => void remove(room)}>archive</button
          >
        </li>
      {:else}
        {#if listed.data && !listed.failure}<li class="note flex items-baseline gap-2 border-b border-hair py-1">
            No room yet. With one, set-ups need not state pressure, temperature and height each time.
          </li>{/if}
      {/each}
    </ul>
    <Undo {away} />
    <Problem failure={listed.failure ?? schema.failure ?? archived.failure} />
    {#if listed.data || listed.failure}<p class="my-3">
        <button class="line" type="button" onclick={() => show(null)}>Another room</button>
      </p>{/if}
    <button
      class="plain text-14"
      type="button"
      aria-expanded={showArchived}
      onclick={() => (showArchived = !showArchived)}>archived ones</button
    >
    {#if showArchived && archived.data}
      <ul>
        {#each archived.data as room (room.id)}
          <li class="note flex items-baseline gap-2 border-b border-hair py-1">
            <span class="mr-auto">{room.name}, by {room.archived_by}, {dateInWords(room.archived_at ?? room.at)}</span>
            <button
              class="plain text-13"
              type="button"
              aria-label="bring back {room.name}"
              onclick={() => void away.bringBack(room.id)}>bring back</button
            >
          </li>
        {:else}<li class="note">None is archived.</li>{/each}
      </ul>
    {/if}
  </section>

  {#if open !== null}
    <div>
      <form
        onsubmit={(event) => {
          event.preventDefault();
          void save(false);
        }}
      >
        <label class="mb-2 grid gap-0.5 text-14">Name <input class="box" bind:value={name} maxlength="80" /></label>
        {#if refusal && refusal.problem.code !== 'conflict' && ['name', ''].includes(refusal.problem.path ?? '')}<p
            class="wrong my-3"
            role="alert"
          >
            {refusal.message}
          </p>{/if}
        <FormFields {fields} path="room" whole />
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
        <Meanwhile failure={saving.failure} mine={mine()} ontake={takeTheirs} onkeep={(seen) => void keepMine(seen)} />
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
      {#if typeof open === 'number'}
        {@const named = rooms.find((one) => one.id === open)?.name ?? ''}
        {#key open}
          <Sources {department} room={open} name={named} />
          <SiteForm {department} room={open} name={named} />
        {/key}
      {/if}
    </div>
    {#if account.data}<Account account={account.data} />{/if}
  {/if}
</main>
