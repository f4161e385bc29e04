<script lang="ts">
  import { asked, doing } from '$lib/api/asked.svelte';
  import { answerTo, fileOf, type Prediction, type Schemas } from '$lib/api/client';
  import { settled } from '$lib/api/settled.svelte';
  import type { Staged } from '$lib/predict/staged';
  import { download, fileName } from '$lib/ui/download';
  import { asPrinted } from '$lib/units/format';
  import { readable } from '$lib/results/results';
  import Problem from '$lib/ui/Problem.svelte';
  import Coming from './Coming.svelte';
  import DryRun from './DryRun.svelte';
  import Site from './Site.svelte';

  /** The guide with this set-up's sizes in it, as a page of a lab manual. */
  type Pick = Schemas['PickOut'];
  interface Props {
    staged: Staged;
    /** The saved version that is shown as it is; 0 where it was never saved, or was changed since. */
    version?: number;
    /** What its sizes were taken from. */
    gear?: readonly Pick[];
    /** The saved set-up, 0 where it was never saved. */
    setup?: number;
    department: string;
    onrehearse: () => void;
  }

  let { staged, version = 0, gear = [], setup = 0, department, onrehearse }: Props = $props();
  const things = $derived([...new Map(gear.map((one) => [one.item, one])).values()]);

  /** Where a thing is, and what is in the way of its being there. */
  function standing(thing: Pick): string {
    if (thing.gone) return 'off the shelf';
    if (thing.wanted) return 'wanted, not there yet';
    if (thing.lent_to) return `lent to ${thing.lent_to}`;
    return [thing.place, thing.state === 'good' ? '' : thing.state].filter((one) => one !== '').join(', ');
  }
  const typed = settled(() => JSON.stringify(staged.edited.document), 300);
  const prepared = asked(() => {
    const document = typed.now;
    const query = { ...staged.predictor.where, guide: 'true' };
    return {
      key: ['guide', document, JSON.stringify(query)],
      ask: (signal) => answerTo<Prediction>('predict', document, query, signal),
    };
  });
  const guide = $derived(prepared.data?.guide ?? null);
  const printing = doing(async () => {
    const query = { ...staged.predictor.where, name: staged.name, version: String(version) };
    const strips = await fileOf('strips.pdf', typed.now, query);
    download(`${fileName(staged.name)}-strips.pdf`, strips, 'application/pdf');
  });
</script>

<article class="px-8 pt-4 pb-8 text-15 leading-[1.4] max-bench:px-4 max-bench:py-3" aria-label="how to prepare it">
  <p class="mb-3 flex flex-wrap items-baseline gap-3 text-14 print:hidden">
    <button class="line" type="button" onclick={() => void printing.run(undefined)}>Strips at true scale</button>
    <span class="note">to wrap round it or lay on the tray: holes, levels, landings; a PDF for A4</span>
    {#if setup > 0}<a
        class="plain"
        target="_blank"
        rel="noopener"
        href="/api/departments/{department}/setups/{setup}/home.pdf">sheet to try at home (PDF)</a
      >{/if}
  </p>
  <Problem failure={printing.failure} />
  {#if guide}
    <p class="mb-3 max-w-[46rem] text-22 leading-[1.25]">“{guide.first_words}”</p>
    <div class="grid grid-cols-2 gap-x-10 gap-y-0 max-bench:grid-cols-1">
      <section>
        <h2 class="mt-3.5 mb-1 border-t border-hair pt-1.5 first:mt-0">On the bench</h2>
        <ul class="list-disc pl-5">
          {#each guide.materials as line (line)}<li class="my-0.75">{line}</li>{/each}
          {#if guide.to_fill}<li class="my-0.75">{guide.to_fill}</li>{/if}
        </ul>
        {#if guide.to_make.length > 0}
          <p class="mt-1.5 text-14 font-semibold">To be made, height of the centre and width</p>
          <ul class="list-disc pl-5 text-14">
            {#each guide.to_make as line (line)}<li class="my-0.75">{line}</li>{/each}
          </ul>
        {/if}
        {#if things.length > 0}
          <p class="mt-1.5 text-14 font-semibold">From the shelf</p>
          <ul class="list-disc pl-5 text-14">
            {#each things as thing (thing.item)}
              <li class="my-0.75">
                {thing.name}, {asPrinted(thing.quantity)}; <span class="note">{standing(thing)}</span>
              </li>
            {/each}
          </ul>
        {/if}
        {#if setup > 0}<Coming {department} {setup} />{/if}
        {#if guide.preparing.length > 0}
          <h2 class="mt-3.5 mb-1 border-t border-hair pt-1.5 first:mt-0">Beforehand</h2>
          <ol class="list-decimal pl-5">
            {#each guide.preparing as task (task.name)}
              <li class="my-0.75">
                {task.do}
                <small class="text-13 whitespace-nowrap text-second"
                  >{task.cools ? 'until it is cool' : `${task.minutes} min`}</small
                >
              </li>
            {/each}
          </ol>
        {/if}
        <Site document={typed.now} where={staged.predictor.where} />
        <h2 class="mt-3.5 mb-1 border-t border-hair pt-1.5 first:mt-0">Who does what</h2>
        <dl>
          {#each guide.people as one (one.who)}
            <dt class="font-semibold">
              {one.who} <small class="text-13 font-normal text-second">{one.pupil ? 'a pupil may' : 'an adult'}</small>
            </dt>
            <dd class="mb-1 ml-5">{one.job}</dd>
          {/each}
        </dl>
        <h2 class="mt-3.5 mb-1 border-t border-hair pt-1.5 first:mt-0">
          Steps{#if guide.minutes > 0}<small class="ml-2 text-13 font-normal text-second"
              >about {guide.minutes} min at the bench</small
            >{/if}
        </h2>
        <ol class="list-decimal pl-5">
          {#each guide.steps as step (step.do)}
            <li class="my-0.75">
              {step.do}
              <small class="text-13 whitespace-nowrap text-second"
                >{step.minutes > 0 ? `${step.minutes} min` : 'beforehand'}</small
              >
              <p class="note text-14">May happen: {step.amiss}</p>
              {#if step.caution}<p class="caution mt-1 mb-2 border-l-4 border-ink pl-2 text-14">
                  <strong>Caution.</strong>
                  {step.caution}
                </p>{/if}
            </li>
          {/each}
        </ol>
        {#if prepared.data}<DryRun
            place="{department}:{setup || ''}"
            can={readable(prepared.data)}
            onlog={onrehearse}
          />{/if}
        <h2 class="mt-3.5 mb-1 border-t border-hair pt-1.5 first:mt-0">What to look at</h2>
        <ul class="list-disc pl-5">
          {#each guide.look as one (one.what)}<li class="my-0.75">
              <strong>{one.what}</strong>, {one.when}, {one.where}
            </li>{/each}
        </ul>
        <h2 class="mt-3.5 mb-1 border-t border-hair pt-1.5 first:mt-0">Clearing away</h2>
        <ul class="list-disc pl-5">
          {#each guide.clearing as line (line)}<li class="my-0.75">{line}</li>{/each}
        </ul>
      </section>
      <section>
        <h2 class="mt-3.5 mb-1 border-t border-hair pt-1.5 first:mt-0">Before and after</h2>
        <p class="my-1">They know: {guide.knows}</p>
        <p class="my-1">They can then: {guide.can}</p>
        <h2 class="mt-3.5 mb-1 border-t border-hair pt-1.5 first:mt-0">The question</h2>
        <p class="my-1"><strong>{guide.question.ask}</strong></p>
        <ul class="list-disc pl-5">
          {#each guide.question.choices as choice (choice.answer)}
            <li class="my-0.75 {choice.wrong === '' ? 'font-semibold' : ''}">
              {choice.answer}
              {#if choice.wrong}<small class="block text-13 font-normal text-second">Behind it: {choice.wrong}.</small
                >{:else}<small class="block text-13 font-normal text-second">This one.</small>{/if}
            </li>
          {/each}
        </ul>
        <h2 class="mt-3.5 mb-1 border-t border-hair pt-1.5 first:mt-0">If it does not work, and they are watching</h2>
        <ol class="list-decimal pl-5">
          {#each guide.rescue.checks as line (line)}<li class="my-0.75">{line}</li>{/each}
        </ol>
        <p class="my-1">Say: “{guide.rescue.sentence}”</p>
        <p class="my-1">Fall back on: {guide.rescue.fall_back}</p>
        <h2 class="mt-3.5 mb-1 border-t border-hair pt-1.5 first:mt-0">Why</h2>
        <p class="my-1">{guide.explanation.short}</p>
        <details>
          <summary class="cursor-pointer">In more depth</summary>
          <p class="my-1">{guide.explanation.deep}</p>
        </details>
        <h2 class="mt-3.5 mb-1 border-t border-hair pt-1.5 first:mt-0">Words</h2>
        <p class="my-1">Use: {guide.words.use.join('; ')}.</p>
        <p class="my-1">Not: {guide.words.avoid.join('; ')}.</p>
        <h2 class="mt-3.5 mb-1 border-t border-hair pt-1.5 first:mt-0">To vary</h2>
        <ul class="list-disc pl-5">
          {#each guide.variations as line (line)}<li class="my-0.75">{line}</li>{/each}
        </ul>
        <p class="my-1"><strong>In life.</strong> {guide.life}</p>
        <p class="my-1"><strong>At home.</strong> {guide.home.do} Not for home: {guide.home.not_for_home}.</p>
        <p class="my-1"><strong>Left open.</strong> {guide.open.question}</p>
        <details>
          <summary class="cursor-pointer">Its answer</summary>
          <p class="my-1">{guide.open.answer}</p>
        </details>
        <p class="note my-1">{guide.history.words} Source: {guide.history.source}.</p>
      </section>
    </div>
  {:else if prepared.failure}
    <p class="wrong my-1" role="alert">{prepared.failure.message}</p>
  {:else if prepared.data}
    <p class="note my-1">This demonstration has no guide.</p>
  {/if}
</article>
