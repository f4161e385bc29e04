<script lang="ts">
  import { fileOf } from '$lib/api/client';
  import { session } from '$lib/session/session.svelte';
  import { download, fileName } from '$lib/ui/download';
  import { p } from '../../router';
  import type { Bench } from './bench.svelte';

  interface Props {
    bench: Bench;
    title: string;
    onsave: () => Promise<void>;
    /** Prints guide, gear, numbers and section as a page. */
    onprint: () => void;
  }

  /** Name, whether it is saved, undo and redo, the file, the drawing, the page. */
  let { bench, title, onsave, onprint }: Props = $props();
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
      const drawn = await fileOf('section.svg', JSON.stringify(edited.document), {
        ...predictor.query(true),
        theme: session.theme,
      });
      download(`${fileName(bench.name)}.svg`, drawn, 'image/svg+xml');
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
  </p>
  <p class="note -mt-1 mb-2 flex flex-wrap items-baseline gap-x-1.5 print:hidden">
    <button class="plain text-13" type="button" onclick={file}>save as a file</button>
    {#if predictor.answer}<a
        class="plain text-13"
        href="{p('/d/:department/choose', { params: { department: bench.department } })}?like={predictor.answer
          .demonstration}">what shows the same?</a
      >{/if}
    <button class="plain text-13" type="button" disabled={predictor.refusal !== null} onclick={() => void section()}
      >save the drawing</button
    >
    <button class="plain text-13" type="button" onclick={onprint}>print</button>
  </p>
  {#if predictor.refusal && bench.dirty}<p class="note mt-0.5">
      It can be saved once what is marked below is right; until then it is kept here as a draft.
    </p>{/if}
</div>
