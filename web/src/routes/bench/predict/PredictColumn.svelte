<script lang="ts">
  import type { Prediction, Result } from '$lib/api/client';
  import Figure from '$lib/ui/Figure.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import { at as path } from '$lib/document/paths';
  import { asText } from '$lib/document/quantities';
  import { asPrinted } from '$lib/units/format';
  import { words } from '$lib/words/words';
  import type { Preview } from '$lib/predict/beside.svelte';
  import type { Staged } from '$lib/predict/staged';
  import { at, holdsLiquid, resultsOf, upperFirst } from '$lib/results/results';
  import Shares from './Shares.svelte';
  import Sentence from '$lib/predict/Sentence.svelte';
  import Schools from './Schools.svelte';
  import Views from './Views.svelte';
  import Works from './Works.svelte';

  /** Verdict first, then what would change it, then the numbers that matter, the rest one step behind. */
  interface Props {
    staged: Staged;
    answer: Prediction;
    /** What the first advice would do. */
    preview?: Preview | null;
  }

  let { staged, answer, preview = null }: Props = $props();
  const verdict = $derived(answer.verdict);
  /** A liquid this far [K] from a usual room's temperature is told: it scalds, or differs much. */
  const USUAL = 293.15;
  const FAR = 10;
  let everything = $state(false);
  /** The temperature that this set-up states for itself, where a liquid makes it matter. */
  const warmth = $derived.by(() => {
    const stated = path(staged.edited.document, 'room.temperature');
    const matters = Math.abs(answer.room.temperature.value - USUAL) > FAR;
    return stated !== undefined && matters && holdsLiquid(answer) ? asPrinted(asText(stated)) : '';
  });
  const pressed = $derived(verdict.changes.findIndex((one) => one !== null));
  const headline = $derived(
    verdict.headline
      .map((path) => ({ path, result: at(answer, path) }))
      .filter((one): one is { path: string; result: Result } => one.result !== null),
  );
</script>

<div class="first">
  <div class="verdict mb-3.5 flex gap-3" aria-live="polite">
    <span class="flex-none pt-1.25"><VerdictMark state={verdict.state} doubt={verdict.doubt} /></span>
    <Sentence runs={verdict.runs} />
  </div>

  {#if warmth}<p class="note mb-3">With liquid and gas at {warmth}.</p>{/if}

  {#each verdict.advice as advice, i (advice)}
    {@const changes = verdict.changes[i]}
    {#if changes}
      <div class="advice mb-3">
        <button class={i === pressed ? 'solid' : 'line'} type="button" onclick={() => staged.edited.carryOut(changes)}
          >{verdict.buttons[i]}</button
        >
        <p class="note mt-1">{i === pressed && preview ? preview.reason : advice}</p>
      </div>
    {/if}
  {/each}
</div>
<div class="rest">
  {#if headline.length > 0}
    <dl class="mb-2.5">
      {#each headline as { path, result } (path)}
        <div class="flex items-baseline justify-between gap-3 border-t border-hair py-0.75">
          <dt class="text-14">{upperFirst(result.label)}</dt>
          <dd>
            <Figure
              si={result.value}
              sd={result.shown_uncertainty}
              kind={result.kind}
              shown={result.shown}
              pressable
              big
            />
          </dd>
        </div>
      {/each}
    </dl>
  {/if}

  <Shares {answer} />

  {#each answer.cautions as caution (caution)}<p class="caution my-2.5 border-l-4 border-ink pl-2 text-14">
      <strong>Caution.</strong>
      {caution}
    </p>{/each}

  <Views {answer} {staged} />
  <details ontoggle={(event) => (everything = event.currentTarget.open)}>
    <summary class="cursor-pointer py-1 text-14">All results</summary>
    <dl class="mb-2.5 text-13">
      {#each everything ? resultsOf(answer) : [] as one (one.path)}
        <div class="flex items-baseline justify-between gap-3 border-t border-hair py-0.75">
          <dt class="text-14">{one.name}</dt>
          <dd>
            <Figure
              si={one.result.value}
              sd={one.result.shown_uncertainty}
              kind={one.result.kind}
              shown={one.result.shown}
            />
          </dd>
        </div>
      {/each}
    </dl>
  </details>
  <Schools {staged} {answer} />
  <Works {staged} {answer} />

  <details>
    <summary class="cursor-pointer py-1 text-14">What else to change, what is assumed</summary>
    <ul class="note mb-2 list-disc pl-4.5">
      {#each verdict.advice.filter((_, i) => verdict.changes[i] === null) as line (line)}<li>{line}</li>{/each}
      {#each answer.assumptions as line (line)}<li>Assumed: {line}.</li>{/each}
      {#each answer.room.how as line (line)}<li>{line}.</li>{/each}
    </ul>
  </details>
  <details>
    <summary class="cursor-pointer py-1 text-14">Sources</summary>
    <ul class="note mb-2 list-disc pl-4.5">
      {#each answer.sources as line (line)}<li>{line}</li>{/each}
    </ul>
  </details>
  <p class="note mt-2">{words.plusMinus}</p>
</div>
