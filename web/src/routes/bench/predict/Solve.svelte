<script lang="ts">
  import { doing } from '$lib/api/asked.svelte';
  import { answerTo, type Prediction, type Schemas } from '$lib/api/client';
  import type { Staged } from '$lib/predict/staged';
  import { inputsFor, type NamedResult } from '$lib/results/results';
  import { session } from '$lib/session/session.svelte';
  import Pick from '$lib/ui/Pick.svelte';
  import { asPrinted, said, withUnit } from '$lib/units/format';
  import { words } from '$lib/words/words';

  interface Props {
    staged: Staged;
    answer: Prediction;
    results: NamedResult[];
    about: string;
  }

  /** "Make the lowest jet land at 45 cm by changing …": every answer in the range, each as a button. */
  let { staged, answer, results, about }: Props = $props();
  let result = $state('');
  let input = $state('');
  let target = $state('');
  let solved = $state.raw<Schemas['SolvedOut'] | null>(null);
  const wanted = $derived(results.some((one) => one.path === result) ? result : about);
  const inputs = $derived(inputsFor(answer, wanted));
  const changed = $derived(
    inputs.some((one) => one.path === input)
      ? input
      : (inputs.find((one) => one.path.startsWith('setup.'))?.path ?? ''),
  );
  const now = $derived(results.find((one) => one.path === wanted)?.result);
  /** The unit of a target that is typed without one. */
  const unit = $derived(now ? session.unit(now.kind, now.shown).unit : '');
  const example = $derived(now ? inWords(now.value, now.kind, now.shown) : '');

  function inWords(si: number, kind: string, shown: string): string {
    const told = said(si, 0, session.unit(kind, shown));
    return `${told.number} ${told.unit}`.trim();
  }

  /** A quantity as typed, without its tolerance, for a button. */
  function short(quantity: string): string {
    return quantity.replace(/ \+\/- \S+/, '');
  }

  const solving = doing((query: Record<string, string>) =>
    answerTo<Schemas['SolvedOut']>('solve', JSON.stringify(staged.edited.document), query),
  );

  async function solve(): Promise<void> {
    solved = await solving.run({
      ...staged.predictor.where,
      input: changed,
      result: wanted,
      target: withUnit(target.trim(), unit),
    });
  }
</script>

<form
  class="mt-1 mb-2 grid gap-1"
  onsubmit={(event) => {
    event.preventDefault();
    void solve();
  }}
>
  <p class="grid grid-cols-[5.5rem_minmax(0,1fr)] items-center gap-1.5 text-14">
    Make
    <Pick
      label="result to come out"
      place="w-full min-w-0"
      value={wanted}
      choices={results}
      onpick={(path) => ((result = path), (solved = null))}
    />
  </p>
  <label class="grid grid-cols-[5.5rem_minmax(0,1fr)] items-center gap-1.5 text-14"
    >come to <input
      class="box figure w-full min-w-0"
      bind:value={target}
      placeholder="now {example}"
      autocomplete="off"
    /></label
  >
  <p class="grid grid-cols-[5.5rem_minmax(0,1fr)] items-center gap-1.5 text-14">
    by changing
    <Pick
      label="input to change"
      place="w-full min-w-0"
      value={changed}
      choices={inputs}
      onpick={(path) => ((input = path), (solved = null))}
    />
  </p>
  <button class="line justify-self-start" type="submit" disabled={target.trim() === ''}>Work it out</button>
</form>
{#if solving.failure}<p class="wrong my-1" role="alert">{solving.failure.message}</p>{/if}
{#if solved}
  {#each solved.found as root (root.value)}
    <p class="my-1">
      <button class="line" type="button" onclick={() => staged.edited.change(solved?.input.path ?? '', root.quantity)}
        >Take {asPrinted(short(root.quantity))}</button
      >
      {#if root.upto}<span class="note">up to {asPrinted(root.upto)}: all of it,</span>{/if}
      <span class="note">{words.states[root.state]}</span>
    </p>
  {:else}
    <p class="note my-1" role="status">
      Nothing from {inWords(solved.low, solved.input.kind, solved.input.unit)} to {inWords(
        solved.high,
        solved.input.kind,
        solved.input.unit,
      )} does it.
      {#if solved.nearest}Nearest: {inWords(solved.nearest.result, solved.result.kind, now?.shown ?? '')}, at {asPrinted(
          solved.nearest.quantity,
        ).replace(/^-/, '−')}.{/if}
    </p>
  {/each}
{/if}
