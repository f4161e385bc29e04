<script lang="ts">
  import { asked } from '$lib/api/asked.svelte';
  import { answerTo, type Schemas } from '$lib/api/client';
  import { lowerFirst } from '$lib/results/results';
  import type { Staged } from '$lib/predict/staged';
  import { onShelf } from '$lib/shelf/shelf';
  import Pick from '$lib/ui/Pick.svelte';
  import Problem from '$lib/ui/Problem.svelte';
  import { asPrinted, said } from '$lib/units/format';
  import { parameter } from '../../../router';

  /** What can be read, in the marks of a gauge of the shelf; off its scale and less than half a mark are said beforehand. */
  let { staged }: { staged: Staged } = $props();
  let chosen = $state('');
  const department = $derived(parameter('department'));
  const marked = onShelf(() => ({ department, key: 'smallest_mark' }));
  const scales = onShelf(() => ({ department, key: 'full_scale' }));
  const gauges = $derived((marked.data ?? []).map((one) => ({ path: String(one.item), name: one.name })));
  const gauge = $derived((marked.data ?? []).find((one) => String(one.item) === chosen));
  const full = $derived((scales.data ?? []).find((one) => String(one.item) === chosen)?.quantity ?? '');
  const read = asked(() => {
    const body = JSON.stringify(staged.edited.document);
    const query = { ...staged.predictor.where, smallest_mark: gauge?.quantity ?? '', full_scale: full };
    return {
      key: ['in-marks', body, JSON.stringify(query)],
      ask: (signal) => answerTo<Schemas['InMarksOut'][]>('in-marks', body, query, signal),
      when: gauge !== undefined,
    };
  });
  const PLAIN = { unit: '', printed: '', factor: 1, offset: 0 };
</script>

<Problem failure={marked.failure ?? read.failure} />
{#if marked.data && gauges.length === 0}
  <p class="note">No gauge, rule or balance on the shelf has its smallest mark stated yet.</p>
{:else if marked.data}
  <p class="my-1">
    <Pick
      label="gauge"
      value={chosen}
      choices={gauges}
      empty="choose what it is read on"
      place="w-full"
      onpick={(item) => (chosen = item)}
    />
  </p>
{/if}
{#if gauge}
  <p class="note">A mark is {asPrinted(gauge.quantity)}{full ? `, the full scale ${asPrinted(full)}` : ''}.</p>
  <ul class="text-14" aria-label="in marks">
    {#each read.data ?? [] as one (one.path)}
      {@const told = said(one.marks, one.standard_uncertainty, PLAIN)}
      <li class="border-b border-hair py-1">
        <span class="flex justify-between gap-3"
          ><span>{lowerFirst(one.name)}</span>
          <span class="figure whitespace-nowrap"
            ><b>{told.number}</b>{told.spread ? ` ± ${told.spread}` : ''} marks</span
          ></span
        >
        {#if one.words}<span class="block font-semibold">{one.words}</span>{/if}
      </li>
    {:else}{#if read.data}<li class="note">Nothing that is read here is of the kind that it shows.</li>{/if}{/each}
  </ul>
{/if}
