<script lang="ts">
  import { ApiError, type Schemas } from '$lib/api/client';
  import type { Json } from '$lib/document/paths';
  import { useForm } from './context';
  import type { Field } from './schema';

  /** A list typed or pasted as one line; what was understood is shown before it is taken. */
  let { field, path }: { field: Field; path: string } = $props();
  const form = useForm();
  let text = $state('');
  let read = $state.raw<Schemas['OneLineOut'] | null>(null);
  let wrong = $state('');
  const id = $derived(`line-${path}`);

  async function ask(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    wrong = '';
    try {
      read = (await form.readLine?.(path, text)) ?? null;
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      read = null;
      wrong = error.message;
    }
  }

  function take(): void {
    if (read) form.change(path, read.items as Json[]);
    read = null;
    text = '';
  }
</script>

<details class="my-1.5">
  <summary class="cursor-pointer text-14">type or paste all as one line</summary>
  <form class="mt-1" onsubmit={(event) => void ask(event)}>
    <label class="note" for={id}>{field.label} in one line, for example {field.line}</label>
    <textarea
      {id}
      class="mt-1 w-full border border-hair bg-ground p-1.5 text-14"
      rows="2"
      bind:value={text}
      oninput={() => ((read = null), (wrong = ''))}
      onkeydown={(event) => {
        if (event.key === 'Enter' && !event.shiftKey) {
          event.preventDefault();
          event.currentTarget.form?.requestSubmit();
        }
      }}></textarea>
    {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
    {#if read}
      <p class="note mt-1" role="status">Understood as:</p>
      <ol class="ml-5 list-decimal text-14">
        {#each read.words as words, i (i)}<li>{words}</li>{/each}
      </ol>
      <button class="line mt-1 text-14" type="button" onclick={take}
        >Take {read.items.length === 1 ? `this ${field.item}` : `these ${read.items.length} ${field.item}s`}</button
      >
    {:else}
      <button class="plain mt-1 text-14" type="submit" disabled={text.trim() === ''}>read it</button>
    {/if}
  </form>
</details>
