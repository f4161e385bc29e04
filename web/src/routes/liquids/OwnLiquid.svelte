<script lang="ts">
  import { doing } from '$lib/api/asked.svelte';
  import { ask, client, type Schemas } from '$lib/api/client';
  import { session } from '$lib/session/session.svelte';
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
  const keeping = doing(
    (body: Schemas['OwnLiquidIn']) =>
      liquid
        ? ask(
            client.PUT('/api/departments/{department}/liquids/{liquid}', {
              params: { path: { department, liquid: liquid.id } },
              body,
            }),
          )
        : ask(client.POST('/api/departments/{department}/liquids', { params: { path: { department } }, body })),
    () => [['own-liquids', department]],
  );

  async function keep(): Promise<void> {
    const given = Object.fromEntries(Object.entries(stated).filter(([, text]) => text.trim() !== ''));
    if (await keeping.run({ name, note, stated: given })) onclose();
  }

  function wrong(path: string): string {
    return keeping.failure?.problem.path === path ? keeping.failure.message : '';
  }
</script>

<form
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
  {#if keeping.failure && !keeping.failure.problem.path}<p class="wrong" role="alert">{keeping.failure.message}</p>{/if}
  <p>
    <button class="solid" type="submit">Keep this liquid</button>
    <button class="plain" type="button" onclick={onclose}>leave it</button>
  </p>
</form>
