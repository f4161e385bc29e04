<script lang="ts">
  import { answerTo, asked } from '$lib/api/asked.svelte';
  import type { Prediction } from '$lib/api/client';
  import { settled } from '$lib/api/settled.svelte';
  import type { Staged } from '$lib/predict/staged';

  /** The guide with this set-up's sizes in it, as a page of a lab manual. */
  let { staged }: { staged: Staged } = $props();
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
</script>

<article aria-label="how to prepare it">
  {#if guide}
    <p class="first-words">“{guide.first_words}”</p>
    <div class="columns">
      <section>
        <h2>On the bench</h2>
        <ul>
          {#each guide.materials as line (line)}<li>{line}</li>{/each}
        </ul>
        <h2>Who does what</h2>
        <dl>
          {#each guide.people as one (one.who)}
            <dt>{one.who} <small>{one.pupil ? 'a pupil may' : 'an adult'}</small></dt>
            <dd>{one.job}</dd>
          {/each}
        </dl>
        <h2>Steps</h2>
        <ol>
          {#each guide.steps as step (step.do)}
            <li>
              {step.do}
              {#if step.caution}<p class="caution"><strong>Caution.</strong> {step.caution}</p>{/if}
            </li>
          {/each}
        </ol>
        <h2>What to look at</h2>
        <ul>
          {#each guide.look as one (one.what)}<li><strong>{one.what}</strong>, {one.when}, {one.where}</li>{/each}
        </ul>
        <h2>Clearing away</h2>
        <ul>
          {#each guide.clearing as line (line)}<li>{line}</li>{/each}
        </ul>
      </section>
      <section>
        <h2>Before and after</h2>
        <p>They know: {guide.knows}</p>
        <p>They can then: {guide.can}</p>
        <h2>The question</h2>
        <p><strong>{guide.question.ask}</strong></p>
        <ul class="choices">
          {#each guide.question.choices as choice (choice.answer)}
            <li class:right={choice.wrong === ''}>
              {choice.answer}
              {#if choice.wrong}<small>Behind it: {choice.wrong}.</small>{:else}<small>This one.</small>{/if}
            </li>
          {/each}
        </ul>
        <h2>If it does not work, and they are watching</h2>
        <ol>
          {#each guide.rescue.checks as line (line)}<li>{line}</li>{/each}
        </ol>
        <p>Say: “{guide.rescue.sentence}”</p>
        <p>Fall back on: {guide.rescue.fall_back}</p>
        <h2>Why</h2>
        <p>{guide.explanation.short}</p>
        <details>
          <summary>In more depth</summary>
          <p>{guide.explanation.deep}</p>
        </details>
        <h2>Words</h2>
        <p>Use: {guide.words.use.join('; ')}.</p>
        <p>Not: {guide.words.avoid.join('; ')}.</p>
        <h2>To vary</h2>
        <ul>
          {#each guide.variations as line (line)}<li>{line}</li>{/each}
        </ul>
        <p><strong>In life.</strong> {guide.life}</p>
        <p><strong>At home.</strong> {guide.home.do} Not for home: {guide.home.not_for_home}.</p>
        <p><strong>Left open.</strong> {guide.open.question}</p>
        <details>
          <summary>Its answer</summary>
          <p>{guide.open.answer}</p>
        </details>
        <p class="note">{guide.history.words} Source: {guide.history.source}.</p>
      </section>
    </div>
  {:else if prepared.failure}
    <p class="wrong" role="alert">{prepared.failure.message}</p>
  {:else if prepared.data}
    <p class="note">This demonstration has no guide.</p>
  {/if}
</article>

<style>
  article {
    padding: 16px 32px 32px;
    font-size: 0.9375rem;
    line-height: 1.4;
  }

  .first-words {
    max-width: 46rem;
    margin: 0 0 12px;
    font-size: 1.375rem;
    line-height: 1.25;
  }

  .columns {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 0 40px;
  }

  h2 {
    margin: 14px 0 4px;
    padding-top: 6px;
    border-top: 1px solid var(--c-hair);
  }

  section > h2:first-child {
    margin-top: 0;
  }

  ul,
  ol {
    margin: 0;
    padding-left: 20px;
    list-style: disc;
  }

  ol {
    list-style: decimal;
  }

  li {
    margin: 3px 0;
  }

  p {
    margin: 4px 0;
  }

  dd {
    margin: 0 0 4px 20px;
  }

  dt {
    font-weight: 600;
  }

  small {
    color: var(--c-second);
    font-size: 0.8125rem;
    font-weight: 400;
  }

  .choices small {
    display: block;
  }

  .choices .right {
    font-weight: 600;
  }

  .caution {
    margin: 4px 0 8px;
    padding-left: 8px;
    border-left: 4px solid var(--c-ink);
    font-size: 0.875rem;
  }

  summary {
    cursor: pointer;
  }

  @media (max-width: 936px) {
    article {
      padding: 12px 16px;
    }

    .columns {
      grid-template-columns: 1fr;
    }
  }
</style>
