<script lang="ts">
  import { ApiError, ask, client, send, type Prediction, type Setup, type SetupRow } from '$lib/api/client';
  import Section from '$lib/section/Section.svelte';
  import { session } from '$lib/session/session.svelte';
  import Number from '$lib/ui/Number.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import { SPACE, said } from '$lib/units/format';
  import { navigate, p, parameter } from '../../router';
  import { at } from '../bench/results';
  import { differences } from './differences';

  interface Side {
    setup: Setup;
    answer: Prediction;
  }

  /** Any two set-ups of one kind side by side at the same scale, what differs called out. */
  let sides = $state.raw<[Side, Side] | null>(null);
  let rows = $state.raw<SetupRow[]>([]);
  let failure = $state('');
  const department = $derived(parameter('department'));
  const ids = $derived([parameter('setup'), parameter('other')] as const);
  const kind = $derived(sides?.[0].setup.demonstration ?? '');
  const offered = $derived.by(() => {
    const run = sides?.flatMap((side) => side.setup.run.map((one) => [one.id, one.name] as const)) ?? [];
    const same = rows.filter((row) => row.demonstration === kind).map((row) => [row.id, row.name] as const);
    return [...new Map([...run, ...same])];
  });
  const found = $derived(sides ? differences(sides[0].answer, sides[1].answer) : null);

  $effect(() => {
    void load(ids[0], ids[1]);
  });

  function sheet(): Record<string, string> {
    const width =
      globalThis.innerWidth < 900
        ? Math.max(320, globalThis.innerWidth - 32)
        : Math.floor(globalThis.innerWidth / 2) - 24;
    return { scene: 'true', width: String(width), height: '436', horizon: '360', clear: '0' };
  }

  async function one(id: string): Promise<Setup> {
    return ask(
      client.GET('/api/departments/{department}/setups/{setup}', {
        params: { path: { department, setup: globalThis.Number(id) } },
      }),
    );
  }

  async function drawn(setup: Setup, window: object | null): Promise<Prediction> {
    const query = {
      ...sheet(),
      ...session.roomQuery(department),
      ...(window ? { window: JSON.stringify(window) } : {}),
    };
    return (await (await send('predict', setup.document, query)).json()) as Prediction;
  }

  async function load(first: string, second: string): Promise<void> {
    try {
      const setups = await Promise.all([one(first), one(second)]);
      if (setups[0]?.demonstration !== setups[1]?.demonstration) {
        failure = 'These two are not of one kind: choose two set-ups of the same demonstration.';
        sides = null;
        return;
      }
      const fitted = await Promise.all(setups.map((setup) => drawn(setup, null)));
      const scale = Math.min(...fitted.map((answer) => answer.scene?.window?.scale ?? Infinity));
      const same = await Promise.all(
        setups.map((setup, i) => drawn(setup, { ...fitted[i]?.scene?.window, scale, cut: null })),
      );
      const [a, b] = setups.map((setup, i) => ({ setup, answer: same[i] as Prediction }));
      if (a && b) sides = [a, b];
      failure = '';
      rows = await ask(client.GET('/api/departments/{department}/setups', { params: { path: { department } } }));
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      failure = error.message;
    }
  }

  function choose(place: 0 | 1, id: string): void {
    const [setup, other] = place === 0 ? [id, ids[1]] : [ids[0], id];
    void navigate('/d/:department/compare/:setup/:other', { params: { department, setup, other } });
  }

  function measure(input: { value: number; half_width: number; kind: string; unit: string } | undefined): string {
    if (!input) return 'not stated';
    const row = session.unit(input.kind, input.unit);
    const half = input.half_width > 0 ? ` ± ${globalThis.Number((input.half_width / row.factor).toPrecision(3))}` : '';
    const told = said(input.value, 0, row);
    return `${told.number}${half}${SPACE}${told.unit}`;
  }
</script>

<svelte:head><title>Side by side, Anchorage</title></svelte:head>

<TopLine title="side by side" />
<main>
  {#if failure}<p class="wrong" role="alert">{failure}</p>{/if}
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
              <th scope="row">{(a ?? b)?.label}</th>
              {#each [a, b] as result, k (k)}
                <td
                  >{#if result}<Number
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
