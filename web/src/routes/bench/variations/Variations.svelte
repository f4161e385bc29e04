<script lang="ts">
  import { takesOver } from '$lib/ui/focus';
  import { words } from '$lib/words/words';
  import { p } from '../../../router';
  import type { Bench } from '../bench.svelte';

  interface Props {
    bench: Bench;
    /** After another of the run stands on the bench. */
    onswitched: () => void;
  }

  /** The run of variations: the same thing with one change, switched by a press or by the keys , and . */
  let { bench, onswitched }: Props = $props();
  let naming = $state(false);
  let name = $state('');
  const run = $derived(bench.kept.setup?.run ?? []);
  const here = $derived(run.findIndex((one) => one.id === bench.kept.setup?.id));
  const other = $derived(run[here === 0 ? 1 : 0] ?? run[0]);

  async function open(id: number | undefined): Promise<void> {
    if (id === undefined || id === bench.kept.setup?.id) return;
    await bench.switchTo(id);
    onswitched();
  }

  export function step(by: number): void {
    if (run.length > 1) void open(run[(here + by + run.length) % run.length]?.id);
  }

  async function keep(): Promise<void> {
    if ((await bench.vary(name)) === null) return;
    naming = false;
    name = '';
    onswitched();
  }
</script>

{#if bench.kept.setup}
  <section class="mb-2 border-b border-ink pb-1.5 text-14" aria-label="variations">
    {#if run.length > 1}
      <ol>
        {#each run as one, i (one.id)}
          <li>
            <button
              class="min-h-6.5 w-full border-l-3 border-transparent pl-2 text-left aria-pressed:border-l-ink aria-pressed:font-semibold"
              type="button"
              aria-pressed={one.id === bench.kept.setup.id}
              title={one.verdict}
              onclick={() => void open(one.id)}
              ><span class="figure">{i + 1}</span>
              {one.name} <small class="font-normal text-second">{one.doubt || words.states[one.state]}</small></button
            >
          </li>
        {/each}
      </ol>
      <p class="note my-0.5 flex items-baseline gap-2.5">
        <button class="plain" type="button" onclick={() => step(-1)}>earlier <span class="key">,</span></button>
        <button class="plain" type="button" onclick={() => step(1)}>later <span class="key">.</span></button>
      </p>
    {/if}
    {#if naming}
      <form
        use:takesOver
        class="flex gap-1.5"
        onsubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
      >
        <input
          class="box min-w-0 flex-1"
          aria-label="name of the variation"
          bind:value={name}
          maxlength="120"
          placeholder="wider tube"
        />
        <button class="line" type="submit" disabled={name.trim() === '' || bench.predictor.refusal !== null}
          >Keep</button
        >
      </form>
    {:else}
      <p class="note my-0.5 flex items-baseline gap-2.5">
        <button class="plain" type="button" onclick={() => (naming = true)}>keep as a variation</button>
        {#if other}<a
            class="underline decoration-1 underline-offset-4"
            href={p('/d/:department/compare/:setup/:other', {
              params: { department: bench.department, setup: String(other.id), other: String(bench.kept.setup.id) },
            })}>side by side</a
          >{/if}
      </p>
    {/if}
  </section>
{/if}
