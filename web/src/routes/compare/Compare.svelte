<script lang="ts">
  import { asked } from '$lib/api/asked.svelte';
  import { setups } from '$lib/api/setups';
  import { at } from '$lib/results/results';
  import Section from '$lib/section/Section.svelte';
  import { session } from '$lib/session/session.svelte';
  import Figure from '$lib/ui/Figure.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import { measured } from '$lib/units/format';
  import { navigate, p, parameter } from '../../router';
  import { differences, type Input } from './differences';
  import { sideBySide } from './side-by-side';

  /** Any two set-ups of one kind side by side at the same scale, what differs called out. */
  const department = $derived(parameter('department'));
  const ids = $derived([parameter('setup'), parameter('other')] as const);
  const pair = asked(() => {
    const [first, second] = ids;
    const where = session.roomQuery(department);
    const wide = globalThis.innerWidth;
    return {
      key: ['side-by-side', department, first, second, session.roomKey(department), wide],
      ask: (signal) => sideBySide(department, [Number(first), Number(second)], where, wide, signal),
    };
  });
  const sides = $derived(pair.data ?? null);
  const kind = $derived(sides?.[0].setup.demonstration ?? '');
  const others = setups(() => ({ department, demonstration: kind, when: kind !== '' }));
  const offered = $derived.by(() => {
    const run = sides?.flatMap((side) => side.setup.run.map((one) => [one.id, one.name] as const)) ?? [];
    const same = (others.rows ?? []).map((row) => [row.id, row.name] as const);
    return [...new Map([...run, ...same])];
  });
  const found = $derived(sides ? differences(sides[0].answer, sides[1].answer) : null);

  function choose(place: 0 | 1, id: string): void {
    const [setup, other] = place === 0 ? [id, ids[1]] : [ids[0], id];
    void navigate('/d/:department/compare/:setup/:other', { params: { department, setup, other } });
  }

  function measure(input: Input | undefined): string {
    return input ? measured(input, session.unit(input.kind, input.unit)) : 'not stated';
  }
</script>

<svelte:head><title>Side by side, Anchorage</title></svelte:head>

<TopLine title="side by side" />
<main>
  <Problem failure={pair.failure} />
  {#if sides}
    <div class="pair">
      {#each sides as side, i (i)}
        <section aria-label={side.setup.name}>
          <p class="head">
            <select
              class="box"
              aria-label={i === 0 ? 'at the left' : 'at the right'}
              value={String(side.setup.id)}
              onchange={(event) => choose(i as 0 | 1, event.currentTarget.value)}
            >
              {#each offered as [id, name] (id)}<option value={String(id)}>{name}</option>{/each}
            </select>
            <a href={p('/d/:department/bench/:setup', { params: { department, setup: String(side.setup.id) } })}
              >to the bench</a
            >
          </p>
          <p class="verdict">
            <span class="mark"><VerdictMark state={side.answer.verdict.state} /></span>
            {side.answer.verdict.reason}
          </p>
          {#if side.answer.scene}<div class="ground">
              <Section drawing={side.answer.scene} title={side.answer.verdict.reason} />
            </div>{/if}
        </section>
      {/each}
    </div>
    {#if found}
      <h1>What differs</h1>
      <table>
        <thead
          ><tr
            ><th scope="col"></th><th scope="col">{sides[0].setup.name}</th><th scope="col">{sides[1].setup.name}</th
            ></tr
          ></thead
        >
        <tbody>
          {#each found.inputs as row (row.path)}
            <tr
              ><th scope="row">{row.label}</th><td class="figure">{measure(row.a)}</td><td class="figure"
                >{measure(row.b)}</td
              ></tr
            >
          {:else}
            <tr><td colspan="3" class="note">No measure differs.</td></tr>
          {/each}
          {#each found.results as path (path)}
            {@const a = at(sides[0].answer, path)}
            {@const b = at(sides[1].answer, path)}
            <tr class="result">
              <th scope="row">{(a ?? b)?.name}</th>
              {#each [a, b] as result, k (k)}
                <td
                  >{#if result}<Figure
                      si={result.value}
                      sd={result.standard_uncertainty}
                      kind={result.kind}
                      shown={result.shown}
                    />{:else}none{/if}</td
                >
              {/each}
            </tr>
          {/each}
        </tbody>
      </table>
      {#if found.same.length > 0}
        <p class="same"><strong>The same in both, within their uncertainty:</strong> {found.same.join(', ')}.</p>
      {/if}
    {/if}
  {/if}
</main>

<style>
  main {
    padding: 16px 24px 32px;
  }

  .pair {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 0 16px;
  }

  .head {
    display: flex;
    align-items: baseline;
    gap: 16px;
    margin: 0 0 8px;
  }

  .head a {
    text-underline-offset: 4px;
    text-decoration: underline 1px;
  }

  .head select {
    max-width: 70%;
  }

  .verdict {
    display: flex;
    gap: 10px;
    min-height: 56px;
    margin: 0 0 8px;
    font-size: 1.0625rem;
    line-height: 1.25;
  }

  .mark {
    flex: none;
    width: 28px;
  }

  .ground {
    overflow: hidden;
    background: linear-gradient(var(--c-ground) 360px, var(--c-bench) 360px);
  }

  h1 {
    margin: 20px 0 6px;
    font-size: 1.375rem;
  }

  table {
    width: 100%;
    max-width: 60rem;
    border-collapse: collapse;
    font-size: 0.9375rem;
  }

  th {
    font-weight: 400;
    text-align: left;
  }

  thead th {
    color: var(--c-second);
  }

  td,
  th {
    padding: 5px 12px 5px 0;
    border-bottom: 1px solid var(--c-hair);
  }

  .result th {
    font-weight: 600;
  }

  .same {
    max-width: 60rem;
    margin: 10px 0;
  }

  @media (max-width: 900px) {
    main {
      padding: 12px 16px;
    }

    .pair {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
