<script lang="ts">
  import Pick from '$lib/ui/Pick.svelte';
  import { asked } from '$lib/api/asked.svelte';
  import { setups } from '$lib/api/setups';
  import type { Doc } from '$lib/document/paths';
  import Section from '$lib/section/Section.svelte';
  import { session } from '$lib/session/session.svelte';
  import Figure from '$lib/ui/Figure.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import { measured } from '$lib/units/format';
  import { navigate, p, parameter } from '../../router';
  import { differences, type Input } from './differences';
  import { walksOf } from './lines';
  import LineByLine from './LineByLine.svelte';
  import { MOST, sideBySide } from './side-by-side';

  const CELL = 'border-b border-hair py-1.25 pr-3';

  /** Set-ups of one kind side by side at the same scale, up to four, what differs called out. */
  const department = $derived(parameter('department'));
  const ids = $derived([parameter('setup'), ...parameter('other').split(',')].filter((id) => id !== ''));
  const beside = asked(() => {
    const asking = ids.map(Number);
    const where = session.roomQuery(department);
    const wide = globalThis.innerWidth;
    return {
      key: ['side-by-side', department, asking.join(), session.roomKey(department), wide],
      ask: (signal) => sideBySide(department, asking, where, wide, signal),
    };
  });
  const sides = $derived(beside.data ?? null);
  const kind = $derived(sides?.[0]?.setup.demonstration ?? '');
  const others = setups(() => ({ department, demonstration: kind, variations: true, when: kind !== '' }));
  $effect(() => {
    if (others.rows) others.next();
  });
  const offered = $derived(
    [
      ...new Map([
        ...(sides ?? []).map((side) => [side.setup.id, side.setup.name] as const),
        ...(others.rows ?? []).map((row) => [row.id, row.name] as const),
      ]),
    ].map(([id, name]) => ({ path: String(id), name })),
  );
  const found = $derived(
    sides
      ? differences(sides.map(({ answer, setup }) => ({ answer, document: JSON.parse(setup.document) as Doc })))
      : null,
  );

  function go(now: string[]): void {
    const [setup = '', ...rest] = now;
    void navigate('/d/:department/compare/:setup/:other', { params: { department, setup, other: rest.join(',') } });
  }

  function measure(input: Input | undefined): string {
    return input ? measured(input, session.unit(input.kind, input.unit)) : 'not stated';
  }
</script>

<svelte:head><title>Side by side, Anchorage</title></svelte:head>

<TopLine title="side by side" />
<main class="px-6 pt-4 pb-8 max-[900px]:px-4 max-[900px]:py-3">
  <Problem failure={beside.failure} />
  {#if sides}
    <div
      class="grid grid-cols-[repeat(var(--sides),minmax(0,1fr))] gap-x-4 gap-y-0 max-[900px]:grid-cols-1"
      style="--sides: {sides.length}"
    >
      {#each sides as side, i (i)}
        <section aria-label={side.setup.name}>
          <p class="head mb-2 flex items-baseline gap-4">
            <Pick
              label="set-up {i + 1}"
              place="min-w-0 flex-1"
              value={String(side.setup.id)}
              choices={offered}
              onpick={(id) => go(ids.with(i, id))}
            />
            <a
              class="whitespace-nowrap underline decoration-1 underline-offset-4"
              href={p('/d/:department/bench/:setup', { params: { department, setup: String(side.setup.id) } })}
              >to the bench</a
            >
            {#if sides.length > 2}<button
                class="plain text-14 whitespace-nowrap"
                type="button"
                aria-label="take {side.setup.name} away"
                onclick={() => go(ids.filter((_, k) => k !== i))}>take away</button
              >{/if}
          </p>
          <p class="verdict mb-2 flex min-h-18 gap-2.5 text-17 leading-[1.25]">
            <span class="w-7 flex-none"
              ><VerdictMark state={side.answer.verdict.state} doubt={side.answer.verdict.doubt} /></span
            >
            {side.answer.verdict.reason}
          </p>
          {#if side.answer.scene}<div
              class="overflow-hidden bg-[linear-gradient(var(--c-ground)_360px,var(--c-bench)_360px)]"
            >
              <Section drawing={side.answer.scene} title={side.answer.verdict.reason} />
            </div>{/if}
        </section>
      {/each}
    </div>
    {#if sides.length < MOST}
      <p class="mt-3 flex items-baseline gap-2 text-14">
        beside them also
        <Pick
          label="another set-up"
          empty="choose a set-up of this kind …"
          place="max-w-[20rem]"
          value=""
          choices={offered.filter((one) => !ids.includes(one.path))}
          onpick={(id) => go([...ids, id])}
        />
      </p>
    {/if}
    {#if found}
      <h1 class="mt-5 mb-1.5 text-22">What differs</h1>
      <div class="overflow-x-auto">
        <table class="w-full max-w-[70rem] text-15">
          <thead
            ><tr
              ><th class="{CELL} text-left font-normal text-second" scope="col"></th>
              {#each sides as side, i (i)}<th class="{CELL} text-left font-normal text-second" scope="col"
                  >{side.setup.name}</th
                >{/each}</tr
            ></thead
          >
          <tbody>
            {#each found.inputs as row (row.path)}
              <tr
                ><th class="{CELL} text-left font-normal first-letter:uppercase" scope="row">{row.label}</th>
                {#each row.values as value, k (k)}<td class="figure {CELL}">{measure(value)}</td>{/each}</tr
              >
            {/each}
            {#each found.stated as row (row.path)}
              <tr
                ><th class="{CELL} text-left font-normal first-letter:uppercase" scope="row">{row.label}</th>
                {#each row.values as value, k (k)}<td class={CELL}>{value ?? 'not stated'}</td>{/each}</tr
              >
            {/each}
            {#if found.inputs.length + found.stated.length === 0}
              <tr><td colspan={sides.length + 1} class="note {CELL}">Nothing that is stated differs.</td></tr>
            {/if}
            {#each found.results as row (row.path)}
              <tr>
                <th class="{CELL} text-left font-semibold first-letter:uppercase" scope="row">{row.label}</th>
                {#each row.values as result, k (k)}
                  <td class={CELL}
                    >{#if result}<Figure
                        si={result.value}
                        sd={result.shown_uncertainty}
                        kind={result.kind}
                        shown={result.shown}
                      />{:else}none{/if}</td
                  >
                {/each}
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
      {#if found.same.length > 0}
        <p class="my-2.5 max-w-[60rem]">
          <strong>The same in all, within their uncertainty:</strong>
          {found.same.join(', ')}.
        </p>
      {/if}
      {#each walksOf(sides.map((side) => side.answer)) as walks (walks.title)}
        <LineByLine {walks} names={sides.map((side) => side.setup.name)} />
      {/each}
    {/if}
  {/if}
</main>
