<script lang="ts">
  import Pick from '$lib/ui/Pick.svelte';
  import { asked, doing } from '$lib/api/asked.svelte';
  import { ask, ApiError, client, type Schemas } from '$lib/api/client';
  import { naming } from '$lib/api/naming';
  import { readable } from '$lib/results/results';
  import { session } from '$lib/session/session.svelte';
  import Figure from '$lib/ui/Figure.svelte';
  import { dateInWords } from '$lib/words/dates';
  import { withUnit } from '$lib/units/format';
  import { words } from '$lib/words/words';
  import { navigate, p } from '../../../router';
  import type { Bench } from '../bench.svelte';
  import { asSeen } from '../keeping';
  import { onMount, untrack } from 'svelte';
  import { logRun, Outbox } from './outbox.svelte';
  import {
    forSending,
    instrumentFor,
    instrumentKinds,
    isEmpty,
    newRun,
    rememberInstrument,
    typedRuns,
    type RunForm,
  } from './run-form';
  import WaitingRuns from './WaitingRuns.svelte';

  /** What happened: readings beside their prediction, how it went, a note. */
  let { bench }: { bench: Bench } = $props();
  const place = $derived(`${bench.department}:${bench.kept.setup?.id ?? ''}`);
  let form = $state(untrack(() => typedRuns.read(place) ?? newRun()));
  let nameOf = naming();
  const outbox = new Outbox(untrack(() => bench.department));
  onMount(() => outbox.start());

  /** Another set-up, another form; what is typed is kept as it is typed. */
  let here = untrack(() => place);
  $effect.pre(() => {
    if (place === here) return;
    here = place;
    form = typedRuns.read(place) ?? newRun();
  });
  $effect(() => {
    const typed = $state.snapshot(form) as RunForm;
    if (isEmpty(typed)) typedRuns.drop(here);
    else typedRuns.keep(here, typed);
  });
  const answer = $derived(bench.predictor.answer);
  const setup = $derived(bench.kept.setup);
  const can = $derived(answer ? readable(answer) : []);
  const marked = $derived(new Set(answer?.scene?.marks.map((mark) => mark.path) ?? []));
  const shown = $derived(can.filter((one) => marked.has(one.path) || form.readings[one.path]));
  const others = $derived(can.filter((one) => !shown.includes(one)));
  const kinds = $derived(instrumentKinds(form, can));
  const EARLIER = 5;
  const earlier = asked(() => {
    const id = setup?.id ?? 0;
    const params = { path: { department: bench.department }, query: { setup: id, page_size: EARLIER } };
    return {
      key: ['runs', bench.department, 'of', id],
      ask: (signal) => ask(client.GET('/api/departments/{department}/runs', { params, signal })),
      when: setup !== null,
    };
  });
  /** The run that was logged, or that no server answered. */
  const logging = doing(
    (body: Schemas['RunIn']) =>
      logRun(bench.department, body).catch((error: unknown) => {
        if (error instanceof ApiError && error.lost) return 'waits' as const;
        throw error;
      }),
    () => [['runs', bench.department]],
  );

  function unit(kind: string, said: string): string {
    return session.unit(kind, said).unit;
  }

  function type(path: string, i: number, text: string): void {
    const list = [...(form.readings[path] ?? [''])];
    list[i] = text;
    while (list.length > 1 && list.at(-1) === '' && list.at(-2) === '') list.pop();
    if (list.at(-1) !== '') list.push('');
    form.readings = { ...form.readings, [path]: list };
  }

  async function save(sure = false): Promise<void> {
    if (!setup) return;
    const seen = asSeen(bench.department, bench.edited.document);
    const unnamed = { ...forSending(form, can), setup: setup.id, ...seen, sure };
    const body = { ...unnamed, sent: nameOf(unnamed) };
    const run = await logging.run(body);
    if (!run) return;
    kinds.forEach((kind) => rememberInstrument(kind, instrumentFor(form, kind)));
    if (run === 'waits') {
      const typed = $state.snapshot(form) as RunForm;
      outbox.add({ body, form: typed, setup_name: setup.name, at: new Date().toISOString(), refused: '' });
    }
    form = newRun();
    nameOf = naming();
    if (run === 'waits') return;
    typedRuns.drop(here);
    navigate('/d/:department/log/:run', { params: { department: bench.department, run: String(run.id) } });
  }
</script>

<h2 class="mt-1">What happened?</h2>
<WaitingRuns
  {outbox}
  setup={setup?.id ?? null}
  free={isEmpty(form)}
  ontakeout={(sent) => (form = outbox.takeOut(sent) ?? form)}
/>
{#if !setup}
  <p class="note">Save the set-up first: a run is logged under its name.</p>
{:else}
  {#each shown as one (one.path)}
    {@const list = form.readings[one.path] ?? ['']}
    <fieldset class="mt-2">
      <legend class="text-14 font-semibold first-letter:uppercase"
        >{one.name}
        <span class="note font-normal"
          >predicted <Figure
            si={one.result.value}
            sd={one.result.shown_uncertainty}
            kind={one.result.kind}
            shown={one.result.shown}
          /></span
        ></legend
      >
      <span class="flex flex-wrap gap-1.5">
        {#each list as text, i (i)}
          <input
            class="box figure w-[6.2rem]"
            type="text"
            aria-label="reading {i + 1} of {one.name}"
            placeholder={i === 0 ? `in ${unit(one.result.kind, one.result.shown)}` : 'one more'}
            value={text}
            oninput={(event) => type(one.path, i, event.currentTarget.value)}
            onblur={(event) =>
              type(one.path, i, withUnit(event.currentTarget.value, unit(one.result.kind, one.result.shown)))}
          />
        {/each}
      </span>
    </fieldset>
  {/each}
  {#if others.length > 0}
    <p>
      <Pick
        label="read something else"
        empty="read something else …"
        place="mt-2.5"
        value=""
        choices={others}
        onpick={(path) => type(path, 0, '')}
      />
    </p>
  {/if}
  {#each kinds as kind (kind)}
    <p class="my-2.5 flex flex-col gap-0.5 text-14">
      <label class="first-letter:uppercase" for="instrument-{kind}">Half of the finest division you read ({kind})</label
      >
      <input
        id="instrument-{kind}"
        class="box figure w-[8rem]"
        type="text"
        placeholder="0.5 mm"
        value={instrumentFor(form, kind)}
        oninput={(event) => (form.instruments = { ...form.instruments, [kind]: event.currentTarget.value })}
      />
    </p>
  {/each}
  <fieldset class="mt-2 flex flex-wrap gap-x-4 gap-y-0.5">
    <legend class="float-left w-full text-14 font-semibold first-letter:uppercase">How did it go?</legend>
    {#each Object.entries(words.outcomes) as [value, said] (value)}
      <label class="inline-flex min-h-7 items-center gap-1.5 text-14 first-letter:uppercase"
        ><input type="radio" name="outcome" {value} bind:group={form.outcome} /> {said}</label
      >
    {/each}
    <label class="inline-flex min-h-7 items-center gap-1.5 text-14 first-letter:uppercase"
      ><input type="checkbox" bind:checked={form.rehearsal} /> a rehearsal</label
    >
  </fieldset>
  <p class="my-2.5 flex flex-col gap-0.5 text-14">
    <label class="first-letter:uppercase" for="run-note">Note for next time</label>
    <textarea id="run-note" class="box" rows="2" maxlength="4000" bind:value={form.note}></textarea>
  </p>
  {#if logging.failure}<p class="wrong" role="alert">
      {logging.failure.message}{#if logging.failure.signedOut}&nbsp;<a
          href="/accounts/login/"
          target="_blank"
          rel="noopener">Sign in</a
        >{/if}
    </p>{/if}
  {#if logging.failure?.problem.code === 'unlikely'}
    <p class="my-2">
      <button class="line" type="button" onclick={() => void save(true)}>Yes, log it so</button>
      <span class="note">or correct it above</span>
    </p>
  {/if}
  <p>
    <button
      class="solid"
      type="button"
      disabled={logging.busy || form.outcome === '' || bench.predictor.refusal !== null}
      onclick={() => void save()}>Log this run</button
    >
    {#if form.outcome === ''}<span class="note">mark how it went first</span>{/if}
  </p>
  {#if earlier.data && earlier.data.results.length > 0}
    <h2 class="mt-1">Earlier runs</h2>
    <ul class="note list-disc pl-4.5">
      {#each earlier.data.results as run (run.id)}
        <li>
          <a href={p('/d/:department/log/:run', { params: { department: bench.department, run: String(run.id) } })}
            >{dateInWords(run.at)}</a
          >: {words.outcomes[run.outcome]}{run.note ? `. ${run.note}` : ''}
        </li>
      {/each}
    </ul>
  {/if}
{/if}
