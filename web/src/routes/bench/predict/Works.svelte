<script lang="ts">
  import type { Prediction } from '$lib/api/client';
  import type { Staged } from '$lib/predict/staged';
  import Curve from './Curve.svelte';
  import { inputsFor, resultsOf } from '$lib/results/results';
  import OnAGauge from './OnAGauge.svelte';
  import Pick from '$lib/ui/Pick.svelte';
  import Solve from './Solve.svelte';
  import TwoWay from './TwoWay.svelte';

  /** One step behind the numbers: make a result come out, see it over an input, take it to other rooms. */
  let { staged, answer }: { staged: Staged; answer: Prediction } = $props();
  const results = $derived(resultsOf(answer));
  let input = $state('');
  let result = $state('');
  let curves = $state(false);
  let elsewhere = $state(false);
  let gauged = $state(false);
  const chosenResult = $derived(
    results.some((one) => one.path === result) ? result : (answer.curve?.result ?? answer.verdict.about),
  );
  const inputs = $derived(inputsFor(answer, chosenResult));
  const usual = $derived(
    [answer.curve?.input, inputs.find((one) => one.path.startsWith('setup.'))?.path, inputs[0]?.path].find((path) =>
      inputs.some((one) => one.path === path),
    ) ?? '',
  );
  const chosenInput = $derived(inputs.some((one) => one.path === input) ? input : usual);
</script>

<details>
  <summary class="cursor-pointer py-1 text-14">Make it come out as wanted</summary>
  <Solve {staged} {answer} {results} about={answer.verdict.about} />
</details>
<details ontoggle={(event) => (curves = event.currentTarget.open)}>
  <summary class="cursor-pointer py-1 text-14">A curve over one input</summary>
  <p class="my-1 grid grid-cols-[minmax(0,1fr)_auto_minmax(0,1fr)] items-center gap-1.5 text-14">
    <Pick
      label="result of the curve"
      place="w-full min-w-0"
      value={chosenResult}
      choices={results}
      onpick={(path) => (result = path)}
    />
    over
    <Pick
      label="input of the curve"
      place="w-full min-w-0"
      value={chosenInput}
      choices={inputs}
      onpick={(path) => (input = path)}
    />
  </p>
  {#if curves && chosenInput && chosenResult}
    <Curve {staged} input={chosenInput} result={chosenResult} savable />
    <p class="note my-2">
      The dot is today, the band holds 95 %. Under the axis: hatched where doubtful, solid where it fails.
    </p>
  {/if}
</details>
<details ontoggle={(event) => (gauged = event.currentTarget.open)}>
  <summary class="cursor-pointer py-1 text-14">Read on a gauge of the shelf</summary>
  {#if gauged}<OnAGauge {staged} />{/if}
</details>
<details>
  <summary class="cursor-pointer py-1 text-14">A table over two inputs</summary>
  <TwoWay {staged} {answer} {results} />
</details>
<p class="my-2">
  <button class="line" type="button" onclick={() => (elsewhere = true)}>What if it stood elsewhere?</button>
</p>
{#if elsewhere}
  {#await import('./WhatIf.svelte') then { default: WhatIf }}
    <WhatIf {staged} onclose={() => (elsewhere = false)} />
  {/await}
{/if}
