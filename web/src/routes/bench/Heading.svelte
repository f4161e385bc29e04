<script lang="ts">
  import { send } from '$lib/api/client';
  import { session } from '$lib/session/session.svelte';
  import { download, fileName } from '$lib/ui/download';
  import type { Bench } from './bench.svelte';

  /** Name, whether it is saved, undo and redo, and the file. */
  let { bench, title, onsave }: { bench: Bench; title: string; onsave: () => Promise<void> } = $props();
  const { edited, predictor } = $derived(bench);
  const state = $derived(
    bench.kept.saving
      ? 'saving …'
      : bench.kept.setup === null
        ? 'not saved yet'
        : bench.dirty
          ? 'changes not saved'
          : `saved by ${bench.kept.setup.by}`,
  );

  function file(): void {
    download(`${fileName(bench.name)}.setup.json`, `${JSON.stringify(edited.document, null, 2)}\n`, 'application/json');
  }

  async function section(): Promise<void> {
    try {
      const response = await send('section.svg', JSON.stringify(edited.document), {
        ...predictor.query(true),
        theme: session.preferences.theme,
      });
      download(`${fileName(bench.name)}.svg`, await response.text(), 'image/svg+xml');
    } catch (error) {
      predictor.failed(error);
    }
  }
</script>

<div class="heading">
  {#if bench.kept.setup === null}
    <input
      class="w-full border-b border-thin text-22 leading-[1.2] font-semibold"
      aria-label="name of the set-up"
      bind:value={bench.kept.name}
      maxlength="120"
    />
  {:else}
    <h1 class="text-22 leading-[1.2] font-semibold">{bench.name}</h1>
  {/if}
  <p class="note mt-0.5">{title ? `${title}; ${state}` : state}</p>
  <p class="my-2 flex items-center gap-1.5">
    <button
      class={bench.dirty ? 'solid' : 'line'}
      type="button"
      disabled={!bench.dirty || predictor.refusal !== null || bench.kept.saving}
      onclick={() => void onsave()}>Save</button
    >
    <button class="plain" type="button" disabled={!edited.canUndo} onclick={() => edited.undo()}>undo</button>
    <button class="plain" type="button" disabled={!edited.canRedo} onclick={() => edited.redo()}>redo</button>
    <button class="plain" type="button" title="save the set-up as a file" onclick={file}>file</button>
    <button
      class="plain"
      type="button"
      title="save the section as SVG"
      disabled={predictor.refusal !== null}
      onclick={() => void section()}>drawing</button
    >
  </p>
  {#if predictor.refusal && bench.dirty}<p class="note mt-0.5">
      It can be saved once what is marked below is right; until then it is kept here as a draft.
    </p>{/if}
</div>
