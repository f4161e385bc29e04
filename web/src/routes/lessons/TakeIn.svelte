<script lang="ts">
  import { doing } from '$lib/api/asked.svelte';
  import { ApiError, ask, client, type Schemas } from '$lib/api/client';
  import Problem from '$lib/ui/Problem.svelte';
  import { navigate } from '../../router';

  /** A lesson from a file, with the set-ups that it needs. */
  let { department }: { department: string } = $props();
  const NO_FILE =
    'That is no file of a lesson: take one that was fetched here with “As a file”; it ends in .lesson.json.';
  let input = $state<HTMLInputElement>();
  const taking = doing(
    async (file: File) => {
      let body: Schemas['LessonFile'];
      try {
        body = JSON.parse(await file.text()) as Schemas['LessonFile'];
      } catch {
        throw new ApiError({ code: 'unreadable', status: 422, detail: NO_FILE, path: '', extra: {} });
      }
      return ask(client.POST('/api/departments/{department}/lessons/file', { params: { path: { department } }, body }));
    },
    () => [['lessons', department]],
  );

  async function take(): Promise<void> {
    const file = input?.files?.[0];
    if (!file) return;
    const made = await taking.run(file);
    if (input) input.value = '';
    if (made) navigate('/d/:department/lessons/:lesson', { params: { department, lesson: String(made.id) } });
  }
</script>

<label class="plain cursor-pointer text-14 focus-within:outline-2"
  >take one in from a file
  <input
    class="hidden-words"
    type="file"
    accept=".json,application/json"
    bind:this={input}
    onchange={() => void take()}
  /></label
>
{#if taking.failure}
  <div class="w-full">
    <Problem failure={taking.failure} />
    {#if taking.failure.problem.path}<p class="note">
        That is said of “{taking.failure.problem.path}” in the file, counted from 0 in lists. Nothing of it was taken
        in.
      </p>{/if}
  </div>
{/if}
