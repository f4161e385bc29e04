<script lang="ts">
  import { settled } from '$lib/api/settled.svelte';
  import { arranging, setups } from '$lib/api/setups';
  import { session } from '$lib/session/session.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import Undo from '$lib/ui/Undo.svelte';
  import { words } from '$lib/words/words';
  import { handOver } from '../bench/hand-over';
  import { navigate, p, parameter } from '../../router';
  import NewSheet from './NewSheet.svelte';
  import { readSetupFile } from './open-file';
  import Rows from './Rows.svelte';

  let search = $state('');
  let archived = $state(false);
  let choosing = $state(false);
  let fileProblem = $state('');
  let dragged = $state(false);

  const department = $derived(parameter('department'));
  const typed = settled(() => search, 150);
  const work = arranging(() => department);
  const list = setups(() => ({ department, search: typed.now, archived }));

  $effect(() => {
    const first = session.me?.departments[0]?.slug;
    if (!department && first) navigate('/d/:department/today', { params: { department: first }, replace: true });
  });

  async function open(file: File | undefined): Promise<void> {
    if (!file) return;
    const read = await readSetupFile(file);
    fileProblem = read.problem;
    if (!read.opened) return;
    handOver(read.opened);
    navigate('/d/:department/bench/:setup', { params: { department, setup: 'new' } });
  }
</script>

<svelte:head><title>Set-ups, Anchorage</title></svelte:head>

<svelte:window
  ondragover={(event) => {
    event.preventDefault();
    dragged = true;
  }}
  ondragleave={() => (dragged = false)}
  ondrop={(event) => {
    event.preventDefault();
    dragged = false;
    void open(event.dataTransfer?.files[0]);
  }}
/>

<TopLine />
<main class="mx-auto max-w-6xl px-6 py-8 max-phone:px-4 max-phone:py-5">
  <div class="head mb-5 flex flex-wrap items-center gap-x-4 gap-y-3">
    <h1 class="mr-2">{archived ? 'Archived set-ups' : 'Set-ups'}</h1>
    <button class="solid" type="button" onclick={() => (choosing = true)}>New set-up</button>
    <label
      class="line inline-flex cursor-pointer items-center focus-within:[outline:2px_solid_currentColor] focus-within:[outline-offset:2px]"
      >Open a file<input
        class="absolute h-px w-px opacity-0"
        type="file"
        accept=".json,application/json"
        onchange={(event) => void open(event.currentTarget.files?.[0])}
      /></label
    >
    <input
      class="box ml-auto w-[14rem]"
      type="search"
      placeholder="search"
      aria-label="search the set-ups"
      bind:value={search}
    />
    <button class="plain" type="button" onclick={() => (archived = !archived)}
      >{archived ? 'back to the set-ups in use' : 'archived ones'}</button
    >
  </div>
  {#if fileProblem}<p class="wrong" role="alert">{words.notASetup} {fileProblem}</p>{/if}
  <Undo away={work.away} />
  <Problem failure={list.failure} />
  {#if list.rows && list.rows.length > 0}
    <Rows rows={list.rows} {department} {work} onend={list.next} />
  {:else if list.rows}
    <p class="my-10 max-w-[34rem] text-22">
      {search ? words.nothingFound : archived ? words.emptyArchive : words.emptySetups}
      {#if !archived}<a href={p('/d/:department/choose', { params: { department } })}>Choose by what it shows</a>.{/if}
    </p>
  {/if}
  <p class="note mt-7 {dragged ? 'font-semibold text-ink' : ''}">A set-up file can be dropped anywhere on this page.</p>
</main>
<NewSheet open={choosing} {department} onclose={() => (choosing = false)} />
