<script lang="ts">
  import { doing } from '$lib/api/asked.svelte';
  import { fileOf, type Prediction } from '$lib/api/client';
  import Chart from '$lib/chart/Chart.svelte';
  import { provideForm } from '$lib/fields/context';
  import FormFields from '$lib/fields/FormFields.svelte';
  import { fieldsOf, type JsonSchema } from '$lib/fields/schema';
  import Ledger from '$lib/predict/Ledger.svelte';
  import OntoShelf from '$lib/shelf/OntoShelf.svelte';
  import Section from '$lib/section/Section.svelte';
  import { session } from '$lib/session/session.svelte';
  import { pathInWords } from '$lib/words/words';
  import { download } from '$lib/ui/download';
  import Problem from '$lib/ui/Problem.svelte';
  import { lowerFirst } from '$lib/results/results';
  import { SPACE } from '$lib/units/format';
  import { onDestroy, untrack } from 'svelte';
  import Cautions from './Cautions.svelte';
  import Found from './Found.svelte';
  import { aidSchema, type Aid, type TakenOver } from './aids';
  import { Measuring } from './measuring.svelte';

  interface Props {
    department: string;
    aid: Aid;
    /** What the measures are kept by. */
    where?: string;
    /** Name of the field that asked, empty where none did. */
    field?: string;
    ontake?: (taken: TakenOver) => void;
  }

  /** An aid at work: its steps, what is measured, what comes of it with its uncertainty, and taking it over. */
  let { department, aid, where = '', field = '', ontake = () => undefined }: Props = $props();
  const measuring = untrack(() => new Measuring(department, aid, where));
  const { edited, predictor } = measuring;
  const schema = aidSchema(() => aid.key);
  const fields = $derived.by(() => {
    const root = schema.data;
    if (!root) return [];
    return fieldsOf((root.properties as Record<string, JsonSchema>).measured ?? {}, root);
  });
  $effect(() => {
    const loaded = fields;
    if (loaded.length > 0) untrack(() => measuring.assume(loaded));
  });
  const answer = $derived(predictor.answer);
  const problem = $derived(predictor.problem);
  /** What is still to be typed is no mistake. */
  const wanted = $derived(problem?.problem.code === 'missing-key' ? problem : null);
  const takes = $derived(answer && !problem ? answer.takes_over.filter((one) => one.fields.includes(field)) : []);
  const about = $derived(answer?.results[answer.verdict.about.split('.')[1] ?? ''] as Result | undefined);
  type Result = { shares?: Record<string, number> };

  provideForm({
    stated: (path) => edited.stated(path),
    change: (path, value, mark) => edited.change(path, value, mark),
    wrong: (path) => (!wanted && problem?.problem.path === path ? problem.message : ''),
    inUse: (path) => answer?.inputs[path] as Prediction['inputs'][string] | undefined,
    share: (path) => about?.shares?.[path] ?? 0,
    focused: '',
    focus: () => undefined,
    help: true,
  });

  let room = session.roomKey(untrack(() => department));
  $effect(() => {
    const now = session.roomKey(department);
    if (now !== room) untrack(() => predictor.predict());
    room = now;
  });

  onDestroy(() => predictor.close());

  function save(): void {
    download(`${aid.key}.aid.json`, `${JSON.stringify(edited.document, null, 2)}\n`, 'application/json');
  }

  let line = $state('1 mm');
  const printing = doing(async () => {
    const query = { ...session.roomQuery(department), name: aid.title, line };
    const scale = await fileOf('scale.pdf', JSON.stringify(edited.document), query);
    download(`${aid.key}-scale.pdf`, scale, 'application/pdf');
  });

  /** A field by its label, else by its path. */
  function named(path: string): string {
    const [, key = '', ...rest] = path.split('.');
    const field = fields.flatMap((one) => (one.kind === 'one-of' ? one.fields : [one])).find((one) => one.key === key);
    return rest.length === 0 && field ? field.label : pathInWords(path.replace('measured.', ''));
  }

  /** A quantity as it is taken over, or that it is a whole list. */
  function short(taken: TakenOver): string {
    return typeof taken.quantity === 'string'
      ? taken.quantity.replace('+/-', '±').replaceAll('^2', '²').replaceAll('^3', '³')
      : 'the whole of it';
  }
</script>

<div class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-7 max-bench:grid-cols-1">
  <div>
    <details open>
      <summary class="cursor-pointer py-1 text-14 font-semibold">How it is done</summary>
      <ol class="list-decimal pl-5 text-14 leading-[1.35]">
        {#each aid.steps as step (step)}<li class="my-0.75">{step}</li>{/each}
      </ol>
      <ul class="mt-1.5 border-l-3 border-thin pl-2.5 text-14 leading-[1.35] text-second">
        {#each aid.watch as line (line)}<li class="my-0.75">{line}</li>{/each}
      </ul>
    </details>
    <p class="note mt-2">
      Several readings of one quantity stand in one line, with “;” between: 2.61{SPACE}m; 2.58{SPACE}m; 2.64{SPACE}m.
    </p>
    <FormFields {fields} path="measured" whole />
    <!-- below the fields, and so not before they stand: what comes late would push it away under the pointer -->
    <p class="mt-2.5 flex-wrap gap-3 {fields.length === 0 ? 'hidden' : 'flex'}">
      {#if !measuring.begun}<button class="plain" type="button" onclick={() => measuring.fillIn()}
          >fill in an example</button
        >{:else}<button class="plain" type="button" onclick={() => measuring.clear()}>begin anew</button>
        <button class="plain" type="button" disabled={!edited.canUndo} onclick={() => edited.undo()}>undo</button>
        <button class="plain" type="button" onclick={save}>save as a file</button>{/if}
    </p>
  </div>
  <div aria-live="polite">
    {#if wanted}
      <p class="note">Still to be stated: {lowerFirst(named(wanted.problem.path ?? ''))}.</p>
    {:else if problem}
      <p class="wrong" role="alert">{problem.message}</p>
    {/if}
    {#if answer && measuring.begun}
      <div class={problem ? 'opacity-60' : ''}>
        <Found {answer} />
        {#each takes as taken (taken.result)}
          <p class="my-2">
            <button class="solid" type="button" onclick={() => ontake(taken)}>Take over {short(taken)}</button>
            {#each Object.entries(taken.beside).filter(([, value]) => typeof value === 'string') as [name, value] (name)}
              <small class="note block">and {name.replaceAll('_', ' ')} {value} with it: they err together</small>
            {/each}
          </p>
        {/each}
        {#if !problem && answer.takes_over.length > 0}
          <OntoShelf {department} takes={answer.takes_over} how={lowerFirst(aid.title)} aid={edited.document} />
        {/if}
        {#if !problem && answer.scale}
          <p class="my-2 flex flex-wrap items-baseline gap-2 text-14">
            <label
              >its lines are apart by <input
                class="box figure w-24"
                value={line}
                maxlength="40"
                aria-invalid={printing.failure?.problem.path === 'line' ? true : undefined}
                onchange={(event) => {
                  line = event.currentTarget.value.trim();
                  printing.clear();
                }}
              /></label
            >
            <button class="line" type="button" onclick={() => void printing.run(undefined)}>its scale, to print</button>
          </p>
          <Problem failure={printing.failure} />
        {/if}
        <Cautions {answer} />
        {#if answer.scene}
          <div
            class="mt-4"
            style:background="linear-gradient(var(--c-ground) {(100 * answer.scene.horizon) / answer.scene.height}%,
            var(--c-bench) 0)"
          >
            <Section drawing={answer.scene} title="section: {lowerFirst(aid.title)}" />
          </div>
        {/if}
        {#each answer.views as view (view.title)}
          <p class="mt-4 text-14 font-semibold">{view.title}</p>
          {#if view.chart}<Chart chart={view.chart} title={view.title} />
          {:else}<Ledger {answer} {view} />{/if}
        {/each}
      </div>
    {:else if !problem}
      <p class="note">{field ? aid.purpose : 'What it comes to stands here once what you measured is typed.'}</p>
    {/if}
  </div>
</div>
