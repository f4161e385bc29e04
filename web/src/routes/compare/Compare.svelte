<script lang="ts">
  import Pick from '$lib/ui/Pick.svelte';
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
<main class="px-6 pt-4 pb-8 max-[900px]:px-4 max-[900px]:py-3">
  <Problem failure={pair.failure} />
  {#if sides}
    <div class="grid grid-cols-2 gap-x-4 gap-y-0 max-[900px]:grid-cols-1">
      {#each sides as side, i (i)}
        <section aria-label={side.setup.name}>
          <p class="head mb-2 flex items-baseline gap-4">
            <Pick
              label={i === 0 ? 'at the left' : 'at the right'}
              place="max-w-[70%] min-w-0"
              value={String(side.setup.id)}
              choices={offered.map(([id, name]) => ({ path: String(id), name }))}
              onpick={(id) => choose(i as 0 | 1, id)}
            />
            <a
              class="underline decoration-1 underline-offset-4"
              href={p('/d/:department/bench/:setup', { params: { department, setup: String(side.setup.id) } })}
              >to the bench</a
            >
          </p>
          <p class="verdict mb-2 flex min-h-14 gap-2.5 text-17 leading-[1.25]">
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
    {#if found}
      <h1 class="mt-5 mb-1.5 text-22">What differs</h1>
      <table class="w-full max-w-[60rem] text-15">
        <thead
          ><tr
            ><th class="border-b border-hair py-1.25 pr-3 text-left font-normal text-second" scope="col"></th><th
              class="border-b border-hair py-1.25 pr-3 text-left font-normal text-second"
              scope="col">{sides[0].setup.name}</th
            ><th class="border-b border-hair py-1.25 pr-3 text-left font-normal text-second" scope="col"
              >{sides[1].setup.name}</th
            ></tr
          ></thead
        >
        <tbody>
          {#each found.inputs as row (row.path)}
            <tr
              ><th class="border-b border-hair py-1.25 pr-3 text-left font-normal" scope="row">{row.label}</th><td
                class="figure border-b border-hair py-1.25 pr-3">{measure(row.a)}</td
              ><td class="figure border-b border-hair py-1.25 pr-3">{measure(row.b)}</td></tr
            >
          {:else}
            <tr><td colspan="3" class="note border-b border-hair py-1.25 pr-3">No measure differs.</td></tr>
          {/each}
          {#each found.results as path (path)}
            {@const a = at(sides[0].answer, path)}
            {@const b = at(sides[1].answer, path)}
            <tr>
              <th class="border-b border-hair py-1.25 pr-3 text-left font-semibold" scope="row">{(a ?? b)?.name}</th>
              {#each [a, b] as result, k (k)}
                <td class="border-b border-hair py-1.25 pr-3"
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
      {#if found.same.length > 0}
        <p class="my-2.5 max-w-[60rem]">
          <strong>The same in both, within their uncertainty:</strong>
          {found.same.join(', ')}.
        </p>
      {/if}
    {/if}
  {/if}
</main>
