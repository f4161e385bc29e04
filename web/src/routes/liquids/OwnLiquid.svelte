<script lang="ts">
  import { doing } from '$lib/api/asked.svelte';
  import { ask, client, type Schemas } from '$lib/api/client';
  import type { Doc } from '$lib/document/paths';
  import { session } from '$lib/session/session.svelte';
  import { takesOver } from '$lib/ui/focus';
  import Meanwhile from '$lib/ui/Meanwhile.svelte';
  import { untrack } from 'svelte';

  interface Props {
    department: string;
    liquid: Schemas['OwnLiquidOut'] | null;
    onclose: () => void;
  }

  /** A liquid of the department's own: its name, its density, and what else is known. */
  let { department, liquid, onclose }: Props = $props();
  let name = $state(untrack(() => liquid?.name ?? ''));
  let note = $state(untrack(() => liquid?.note ?? ''));
  let stated = $state<Record<string, string>>(
    untrack(() => Object.fromEntries(Object.entries(liquid?.stated ?? {}).map(([key, value]) => [key, String(value)]))),
  );
  /** The version that was seen. */
  let version = $state(untrack(() => liquid?.version ?? 0));
  const keeping = doing(
    ({ version: seen, ...given }: Schemas['OwnLiquidChangeIn']) => {
      const path = { department };
      if (!liquid) return ask(client.POST('/api/departments/{department}/liquids', { params: { path }, body: given }));
      const params = { path: { ...path, liquid: liquid.id } };
      const body = { ...given, version: seen };
      return ask(client.PUT('/api/departments/{department}/liquids/{liquid}', { params, body }));
    },
    () => [['own-liquids', department]],
  );

  /** The liquid as it stands here. */
  function mine() {
    return { name, note, stated: Object.fromEntries(Object.entries(stated).filter(([, text]) => text.trim() !== '')) };
  }

  async function keep(): Promise<void> {
    if (await keeping.run({ ...mine(), version })) onclose();
  }

  function takeTheirs(theirs: Doc, seen: number): void {
    name = String(theirs.name);
    note = String(theirs.note);
    stated = Object.fromEntries(Object.entries(theirs.stated as Doc).map(([key, value]) => [key, String(value)]));
    version = seen;
    keeping.clear();
  }

  function keepMine(seen: number): void {
    version = seen;
    void keep();
  }

  function wrong(path: string): string {
    return keeping.failure?.problem.path === path ? keeping.failure.message : '';
  }
</script>

<form
  use:takesOver
  class="my-3 grid max-w-[34rem] gap-2"
  onsubmit={(event) => {
    event.preventDefault();
    void keep();
  }}
>
  <label class="grid grid-cols-[9rem_minmax(0,1fr)] items-baseline gap-2 text-14"
    >name <input class="box" bind:value={name} maxlength="80" aria-invalid={wrong('name') ? true : undefined} /></label
  >
  {#if wrong('name')}<p class="wrong" role="alert">{wrong('name')}</p>{/if}
  {#each session.liquidProperties as { key, label, example }, i (key)}
    <label class="grid grid-cols-[9rem_minmax(0,1fr)] items-baseline gap-2 text-14"
      >{label}
      <input
        class="box figure"
        value={stated[key] ?? ''}
        placeholder={i === 0 ? example : `not known; for example ${example}`}
        aria-invalid={wrong(`stated.${key}`) ? true : undefined}
        oninput={(event) => (stated[key] = event.currentTarget.value)}
      /></label
    >
    {#if wrong(`stated.${key}`)}<p class="wrong" role="alert">{wrong(`stated.${key}`)}</p>{/if}
  {/each}
  <label class="grid grid-cols-[9rem_minmax(0,1fr)] items-baseline gap-2 text-14"
    >note <input class="box" bind:value={note} maxlength="400" placeholder="how and when it was measured" /></label
  >
  <Meanwhile failure={keeping.failure} mine={mine()} ontake={takeTheirs} onkeep={keepMine} />
  {#if keeping.failure && keeping.failure.problem.code !== 'conflict' && !keeping.failure.problem.path}<p
      class="wrong"
      role="alert"
    >
      {keeping.failure.message}
    </p>{/if}
  <p>
    <button class="solid" type="submit">Keep this liquid</button>
    <button class="plain" type="button" onclick={onclose}>leave it</button>
  </p>
</form>
