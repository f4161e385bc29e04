<script lang="ts">
  import { doing } from '$lib/api/asked.svelte';
  import { ask, client } from '$lib/api/client';
  import { session } from '$lib/session/session.svelte';
  import { takesOver } from '$lib/ui/focus';
  import Problem from '$lib/ui/Problem.svelte';

  interface Props {
    department: string;
    room: number;
    onclose: () => void;
  }

  /** What a barometer in the room reads now, typed in one line. */
  let { department, room, onclose }: Props = $props();
  let text = $state('');

  /** A key opened it, wherever the focus was: what is typed next goes in. */
  function begun(field: HTMLInputElement): void {
    field.focus();
  }
  const keeping = doing(
    (sure: boolean) =>
      ask(
        client.POST('/api/departments/{department}/rooms/{room}/pressure', {
          params: { path: { department, room } },
          body: { text, sure },
        }),
      ),
    () => [
      ['rooms', department],
      ['air', department],
      ['today', department],
    ],
  );
  let questions = $state.raw<{ words: string }[]>([]);

  async function keep(): Promise<void> {
    const got = await keeping.run(questions.length > 0);
    if (!got) return;
    questions = got.questions;
    if (!got.room) return;
    await session.refresh();
    onclose();
  }
</script>

<form
  use:takesOver
  class="my-2 grid gap-1.5"
  onsubmit={(event) => {
    event.preventDefault();
    void keep();
  }}
>
  <label class="grid text-14"
    >What the barometer in the room reads now
    <input
      {@attach begun}
      class="box figure"
      bind:value={text}
      oninput={() => (questions = [])}
      maxlength="80"
      placeholder="for example 941.7 ± 0.5 hPa"
      autocomplete="off"
      aria-invalid={keeping.failure ? true : undefined}
    /></label
  >
  {#each questions as question (question.words)}
    <p class="border-l-4 border-ink pl-2 text-14" role="alert">{question.words}</p>
  {/each}
  <Problem failure={keeping.failure} />
  <p class="flex items-baseline gap-3">
    <button class="solid" type="submit" disabled={text.trim() === ''}
      >{questions.length > 0 ? 'Yes, keep it so' : 'Keep it'}</button
    >
    <button class="plain" type="button" onclick={onclose}>leave it</button>
  </p>
</form>
