<script lang="ts">
  import { ApiError, ask, client, type Schemas } from '$lib/api/client';
  import { shelf } from '$lib/liquids/shelf.svelte';
  import { untrack } from 'svelte';

  interface Props {
    department: string;
    liquid: Schemas['OwnLiquidOut'] | null;
    onclose: () => void;
  }

  /** A liquid of the department's own: its name, its density, and what else is known. */
  let { department, liquid, onclose }: Props = $props();
  const KNOWN: [string, string, string][] = [
    ['density', 'density', '921 +/- 2 kg/m^3'],
    ['surface_tension', 'surface tension', '33 mN/m'],
    ['viscosity', 'viscosity', '60 mPa*s'],
    ['vapour_pressure', 'vapour pressure', '0 Pa'],
    ['contact_angle', 'contact angle', '20 deg'],
  ];
  let name = $state(untrack(() => liquid?.name ?? ''));
  let note = $state(untrack(() => liquid?.note ?? ''));
  let stated = $state<Record<string, string>>(
    untrack(() => Object.fromEntries(Object.entries(liquid?.stated ?? {}).map(([key, value]) => [key, String(value)]))),
  );
  let failure = $state.raw<ApiError | null>(null);

  async function keep(): Promise<void> {
    const given = Object.fromEntries(Object.entries(stated).filter(([, text]) => text.trim() !== ''));
    const body = { name, note, stated: given };
    try {
      if (liquid) {
        const path = { department, liquid: liquid.id };
        await ask(client.PUT('/api/departments/{department}/liquids/{liquid}', { params: { path }, body }));
      } else
        await ask(client.POST('/api/departments/{department}/liquids', { params: { path: { department } }, body }));
      await shelf.load(department, true);
      onclose();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      failure = error;
    }
  }

  function wrong(path: string): string {
    return failure?.problem.path === path ? failure.message : '';
  }
</script>

<form
  onsubmit={(event) => {
    event.preventDefault();
    void keep();
  }}
>
  <label
    >name <input class="box" bind:value={name} maxlength="80" aria-invalid={wrong('name') ? true : undefined} /></label
  >
  {#if wrong('name')}<p class="wrong" role="alert">{wrong('name')}</p>{/if}
  {#each KNOWN as [key, label, example] (key)}
    <label
      >{label}
      <input
        class="box figure"
        value={stated[key] ?? ''}
        placeholder={key === 'density' ? example : `not known; for example ${example}`}
        aria-invalid={wrong(`stated.${key}`) ? true : undefined}
        oninput={(event) => (stated[key] = event.currentTarget.value)}
      /></label
    >
    {#if wrong(`stated.${key}`)}<p class="wrong" role="alert">{wrong(`stated.${key}`)}</p>{/if}
  {/each}
  <label>note <input class="box" bind:value={note} maxlength="400" placeholder="how and when it was measured" /></label>
  {#if failure && !failure.problem.path}<p class="wrong" role="alert">{failure.message}</p>{/if}
  <p>
    <button class="solid" type="submit">Keep this liquid</button>
    <button class="plain" type="button" onclick={onclose}>leave it</button>
  </p>
</form>

<style>
  form {
    display: grid;
    gap: 8px;
    max-width: 34rem;
    margin: 12px 0;
  }

  label {
    display: grid;
    grid-template-columns: 9rem minmax(0, 1fr);
    align-items: baseline;
    gap: 8px;
    font-size: 0.875rem;
  }
</style>
