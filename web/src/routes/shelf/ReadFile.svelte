<script lang="ts">
  import { doing } from '$lib/api/asked.svelte';
  import { answerTo, type Schemas } from '$lib/api/client';
  import { ofShelf } from '$lib/shelf/shelf';
  import Problem from '$lib/ui/Problem.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';

  /** A CSV file onto the shelf: first what each line comes to, then, on a press, what is sound of it. */
  let { department, onclose }: { department: string; onclose: () => void } = $props();
  let file = $state.raw<File | null>(null);
  let told = $state.raw<Schemas['ImportOut'] | null>(null);
  let only = $state('');
  const SEPARATORS: Record<string, string> = { ',': 'commas', ';': 'semicolons', '\t': 'tabs' };
  const FATES = ['new', 'changed', 'as it is', 'refused'] as const;

  async function sent(chosen: File, keep: boolean): Promise<Schemas['ImportOut']> {
    const address = `departments/${department}/shelf/file`;
    return answerTo(address, await chosen.arrayBuffer(), { keep: String(keep) });
  }

  const looking = doing((chosen: File) => sent(chosen, false));
  const keeping = doing(
    (chosen: File) => sent(chosen, true),
    () => ofShelf(department),
  );
  const busy = $derived(looking.busy || keeping.busy);

  async function look(chosen: File | undefined): Promise<void> {
    if (!chosen) return;
    file = chosen;
    told = null;
    keeping.clear();
    told = await looking.run(chosen);
  }

  async function keep(): Promise<void> {
    const kept = file && (await keeping.run(file));
    if (kept) told = kept;
  }

  const counts = $derived(
    FATES.map((fate) => [fate, (told?.rows ?? []).filter((row) => row.fate === fate).length] as const),
  );
  const sound = $derived((told?.rows ?? []).filter((row) => row.fate === 'new' || row.fate === 'changed').length);
  const shown = $derived((told?.rows ?? []).filter((row) => only === '' || row.fate === only));
</script>

<Sheet open title="A file onto the shelf" {onclose} wide>
  <p class="note max-w-[44rem]">
    A table as a spreadsheet saves it (CSV): a line for each thing, with the headings that “save as a file” writes, and
    a column for each size, called as it is called here. Nothing is kept before you have seen what each line comes to.
  </p>
  <p class="my-3">
    <label class="line inline-flex cursor-pointer items-center focus-within:[outline:2px_solid_currentColor]"
      >Choose a file<input
        class="absolute h-px w-px opacity-0"
        type="file"
        accept=".csv,text/csv,text/plain"
        onchange={(event) => void look(event.currentTarget.files?.[0])}
      /></label
    >
    {#if busy}<span class="note ml-3" role="status">{file?.name} is being read …</span>{/if}
  </p>
  <Problem failure={looking.failure ?? keeping.failure} />
  {#if told}
    <p class="note">{file?.name}: {told.encoding}, separated by {SEPARATORS[told.separator] ?? told.separator}.</p>
    <p class="my-2 flex flex-wrap gap-x-4" role="group" aria-label="lines by what they come to">
      {#each counts as [fate, count] (fate)}
        <button
          class="min-h-7 border-b-2 border-transparent text-14 aria-pressed:border-ink"
          type="button"
          aria-pressed={only === fate}
          disabled={count === 0}
          onclick={() => (only = only === fate ? '' : fate)}><b class="figure">{count}</b> {fate}</button
        >
      {/each}
    </p>
    {#if told.kept}
      <p class="my-2 font-semibold" role="status">
        {sound === 1 ? 'One line stands' : `${sound} lines stand`} on the shelf now.
      </p>
    {:else}
      <p class="my-2">
        <button class="solid" type="button" disabled={sound === 0 || busy} onclick={() => void keep()}
          >{sound === 0 ? 'Nothing to keep' : `Keep ${sound === 1 ? 'one line' : `${sound} lines`}`}</button
        >
      </p>
    {/if}
    <ul class="max-h-[40vh] overflow-auto text-14" aria-label="lines of the file">
      {#each shown.slice(0, 500) as row (row.line)}
        <li
          class="grid grid-cols-[3rem_minmax(0,14rem)_5rem_minmax(0,1fr)] gap-x-3 border-b border-hair py-1 max-phone:grid-cols-[3rem_minmax(0,1fr)]"
        >
          <span class="figure text-second">{row.line}</span>
          <span>{row.name}</span>
          <span class={row.fate === 'refused' ? 'font-semibold' : 'text-second'}>{row.fate}</span>
          <span>{row.column ? `${row.column}: ` : ''}{row.words}</span>
        </li>
      {/each}
      {#if shown.length > 500}<li class="note">and {shown.length - 500} more</li>{/if}
    </ul>
  {/if}
</Sheet>
