<script lang="ts">
  import type { Prediction, Result } from '$lib/api/client';
  import Figure from '$lib/ui/Figure.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import { words } from '$lib/words/words';
  import type { Preview } from '$lib/predict/beside.svelte';
  import type { Staged } from '$lib/predict/staged';
  import { at, resultsOf, upperFirst } from '$lib/results/results';
  import Shares from './Shares.svelte';
  import Sentence from './Sentence.svelte';
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
  let everything = $state(false);
  const pressed = $derived(verdict.changes.findIndex((one) => one !== null));
  const headline = $derived(
    verdict.headline
      .map((path) => ({ path, result: at(answer, path) }))
      .filter((one): one is { path: string; result: Result } => one.result !== null),
  );
</script>

<div class="first">
  <div class="verdict" aria-live="polite">
    <span class="mark"><VerdictMark state={verdict.state} /></span>
    <Sentence runs={verdict.runs} />
  </div>

  {#each verdict.advice as advice, i (advice)}
    {@const changes = verdict.changes[i]}
    {#if changes}
      <div class="advice">
        <button class={i === pressed ? 'solid' : 'line'} type="button" onclick={() => staged.edited.carryOut(changes)}
          >{verdict.buttons[i]}</button
        >
        <p class="note">{i === pressed && preview ? preview.reason : advice}</p>
      </div>
    {/if}
  {/each}
</div>
<div class="rest">
  {#if headline.length > 0}
    <dl>
      {#each headline as { path, result } (path)}
        <div>
          <dt>{upperFirst(result.label)}</dt>
          <dd>
            <Figure
              si={result.value}
              sd={result.standard_uncertainty}
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

  {#each answer.cautions as caution (caution)}<p class="caution"><strong>Caution.</strong> {caution}</p>{/each}

  <Views {answer} />
  <details ontoggle={(event) => (everything = event.currentTarget.open)}>
    <summary>All results</summary>
    <dl class="all">
      {#each everything ? resultsOf(answer) : [] as one (one.path)}
        <div>
          <dt>{one.name}</dt>
          <dd>
            <Figure
              si={one.result.value}
              sd={one.result.standard_uncertainty}
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
    <summary>What else to change, what is assumed</summary>
    <ul class="note">
      {#each verdict.advice.filter((_, i) => verdict.changes[i] === null) as line (line)}<li>{line}</li>{/each}
      {#each answer.assumptions as line (line)}<li>Assumed: {line}.</li>{/each}
      {#each answer.room.how as line (line)}<li>{line}.</li>{/each}
    </ul>
  </details>
  <details>
    <summary>Sources</summary>
    <ul class="note">
      {#each answer.sources as line (line)}<li>{line}</li>{/each}
    </ul>
  </details>
  <p class="note">{words.plusMinus}</p>
</div>

<style>
  .verdict {
    display: flex;
    gap: 12px;
    margin-bottom: 14px;
  }

  .mark {
    flex: none;
    padding-top: 5px;
  }

  .advice {
    margin-bottom: 12px;
  }

  .advice .note {
    margin: 4px 0 0;
  }

  dl {
    margin: 0 0 10px;
  }

  dl div {
    display: flex;
    align-items: baseline;
    justify-content: space-between;
    gap: 12px;
    padding: 3px 0;
    border-top: 1px solid var(--c-hair);
  }

  .all {
    font-size: 0.8125rem;
  }

  dt {
    font-size: 0.875rem;
  }

  dd {
    margin: 0;
  }

  .caution {
    margin: 10px 0;
    padding-left: 8px;
    border-left: 4px solid var(--c-ink);
    font-size: 0.875rem;
  }

  summary {
    padding: 4px 0;
    font-size: 0.875rem;
    cursor: pointer;
  }

  ul {
    margin: 0 0 8px;
    padding-left: 18px;
    list-style: disc;
  }

  p.note {
    margin: 8px 0 0;
  }
</style>
