<script lang="ts">
  import { asked } from '$lib/api/asked.svelte';
  import { settled } from '$lib/api/settled.svelte';
  import type { Prediction } from '$lib/api/client';
  import type { Doc } from '$lib/document/paths';
  import type { Staged } from '$lib/predict/staged';
  import { inputsFor, type NamedResult } from '$lib/results/results';
  import Figure from '$lib/ui/Figure.svelte';
  import Pick from '$lib/ui/Pick.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import { asPrinted } from '$lib/units/format';
  import { words } from '$lib/words/words';
  import { MOST, twoWay, valuesOf } from './two-way';

  interface Props {
    staged: Staged;
    answer: Prediction;
    results: NamedResult[];
  }

  /** A table of one result over two inputs, for instance four tubes by two bores. */
  let { staged, answer, results }: Props = $props();
  let result = $state('');
  let paths = $state(['', '']);
  let texts = $state(['', '']);
  const wanted = $derived(results.some((one) => one.path === result) ? result : answer.verdict.about);
  const inputs = $derived(inputsFor(answer, wanted));
  const chosen = $derived(
    paths.map((path, k) => (inputs.some((one) => one.path === path) ? path : (inputs[k]?.path ?? ''))),
  );
  const values = $derived(texts.map((text, k) => valuesOf(text, answer.inputs[chosen[k] ?? '']?.unit ?? '')));
  const typed = settled(
    () =>
      JSON.stringify({
        document: staged.edited.document,
        result: wanted,
        rows: { path: chosen[0], values: values[0] },
        columns: { path: chosen[1], values: values[1] },
      }),
    300,
  );
  const table = asked(() => {
    const now = JSON.parse(typed.now) as Omit<Parameters<typeof twoWay>[0], 'where'> & { document: Doc };
    const where = staged.predictor.where;
    return {
      key: ['two-way', typed.now, JSON.stringify(where)],
      ask: async (signal) => ({ ...now, cells: await twoWay({ ...now, where }, signal) }),
      when: now.rows.values.length > 0 && now.columns.values.length > 0 && now.rows.path !== now.columns.path,
    };
  });
  const CELL = 'border-b border-hair py-1 pr-3 text-left';
</script>

<div class="mt-1 mb-2 grid grid-cols-[5.5rem_minmax(0,1fr)] items-center gap-1.5 text-14">
  <span>Result</span>
  <Pick
    label="result of the table"
    place="w-full min-w-0"
    value={wanted}
    choices={results}
    onpick={(path) => (result = path)}
  />
  {#each ['down', 'across'] as way, k (way)}
    <span>{way}</span>
    <span class="grid gap-1">
      <Pick
        label="input {way}"
        place="w-full min-w-0"
        value={chosen[k] ?? ''}
        choices={inputs}
        onpick={(path) => (paths[k] = path)}
      />
      <input
        class="box figure w-full min-w-0"
        aria-label="values {way}"
        placeholder="8 mm; 12 mm; at most {MOST}"
        autocomplete="off"
        bind:value={texts[k]}
      />
    </span>
  {/each}
</div>
{#if chosen[0] === chosen[1]}<p class="note">Choose two different inputs.</p>{/if}
<Problem failure={table.failure} />
{#if table.data}
  {@const { rows, columns, cells } = table.data}
  <div class="overflow-x-auto">
    <table class="figure mb-2 text-14">
      <thead
        ><tr
          ><td class={CELL}></td>
          {#each columns.values as column (column)}<th class="{CELL} font-normal text-second" scope="col"
              >{asPrinted(column)}</th
            >{/each}</tr
        ></thead
      >
      <tbody>
        {#each rows.values as row, i (row)}
          <tr>
            <th class="{CELL} font-normal text-second" scope="row">{asPrinted(row)}</th>
            {#each cells[i] ?? [] as cell, k (k)}
              <td class={CELL} title={cell.refused || undefined}>
                {#if cell.result}<Figure
                    si={cell.result.value}
                    sd={cell.result.shown_uncertainty}
                    kind={cell.result.kind}
                    shown={cell.result.shown}
                  /><small class="block font-sentence text-second">{words.states[cell.state]}</small>{:else}<span
                    class="note">{cell.refused || 'none'}</span
                  >{/if}
              </td>
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
{/if}
