<script lang="ts">
  import type { NamedResult } from '$lib/results/results';
  import Figure from '$lib/ui/Figure.svelte';
  import { withUnit } from '$lib/units/format';
  import { session } from '$lib/session/session.svelte';
  import { untrack } from 'svelte';
  import { newRun, typedRuns, type RunForm } from '../run/run-form';

  interface Props {
    /** Of the set-up whose run is being typed. */
    place: string;
    /** What can be read. */
    can: readonly NamedResult[];
    onlog: () => void;
  }

  /** The dry run: what is read is ticked off here, stands in the run's form as a rehearsal, and is logged from there. */
  let { place, can, onlog }: Props = $props();
  const MOST = 6;
  let form = $state<RunForm>(untrack(() => typedRuns.read(place) ?? newRun()));
  const read = $derived(can.slice(0, MOST));
  const ticked = (path: string): boolean => (form.readings[path]?.[0] ?? '').trim() !== '';

  function type(path: string, text: string): void {
    form.readings = { ...form.readings, [path]: [text, ...(form.readings[path] ?? []).slice(1)] };
    form.rehearsal = true;
    typedRuns.keep(place, $state.snapshot(form) as RunForm);
  }
</script>

{#if read.length > 0}
  <h2 class="mt-3.5 mb-1 border-t border-hair pt-1.5">Dry run</h2>
  <p class="note my-1">Do it once alone, with what will be used, and read it.</p>
  <ul>
    {#each read as one (one.path)}
      <li class="flex flex-wrap items-center gap-x-3 border-b border-hair py-1">
        <input
          class="size-4 accent-ink"
          type="checkbox"
          checked={ticked(one.path)}
          disabled
          aria-label="{one.name} is read"
        />
        <span class="min-w-0 flex-1"
          >{one.name}
          <span class="note"
            >predicted <Figure
              si={one.result.value}
              sd={one.result.shown_uncertainty}
              kind={one.result.kind}
              shown={one.result.shown}
            /></span
          ></span
        >
        <input
          class="box figure w-[8rem]"
          value={form.readings[one.path]?.[0] ?? ''}
          maxlength="60"
          placeholder="read"
          aria-label="{one.name}, read at the dry run"
          onchange={(event) =>
            type(one.path, withUnit(event.currentTarget.value, session.unit(one.result.kind, one.result.shown).unit))}
        />
      </li>
    {/each}
  </ul>
  <p class="mt-1.5 print:hidden">
    <button class="line" type="button" disabled={!read.some((one) => ticked(one.path))} onclick={onlog}
      >Log it as a rehearsal</button
    >
  </p>
{/if}
