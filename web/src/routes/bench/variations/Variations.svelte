<script lang="ts">
  import { takesOver } from '$lib/ui/focus';
  import { words } from '$lib/words/words';
  import { p } from '../../../router';
  import type { Bench } from '../bench.svelte';
  import type { GoesOn } from '../keeping';
  import type { Player } from '../playing/player.svelte';
  import { WholeRun } from './run.svelte';

  interface Props {
    bench: Bench;
    player: Player;
    /** Lets what stands here run from its start. */
    onplay: () => Promise<void>;
    /** After another of the run stands on the bench. */
    onswitched: () => void;
  }

  /** The run of variations: the same thing with one change, switched by a press or by the keys , and . or played as one. */
  let { bench, player, onplay, onswitched }: Props = $props();
  let naming = $state(false);
  let name = $state('');
  /** Where the variation that is being named begins, and what of it stays, in words. */
  let begins = $state.raw<(GoesOn & { words: string[] }) | null>(null);
  let hint = $state('');
  const run = $derived(bench.kept.setup?.run ?? []);
  const here = $derived(run.findIndex((one) => one.id === bench.kept.setup?.id));
  const other = $derived(run[here === 0 ? 1 : 0] ?? run[0]);
  const outdated = $derived(run[here]?.outdated === true && !bench.kept.anew);

  /** Number in the run of the one where another began; 0 where it began from its own measures, or that one is gone. */
  function before(follows: number | null | undefined): number {
    return follows ? run.findIndex((one) => one.id === follows) + 1 : 0;
  }

  async function open(id: number | undefined): Promise<void> {
    if (id === undefined || id === bench.kept.setup?.id) return;
    begins = null;
    naming = false;
    hint = '';
    await bench.switchTo(id);
    onswitched();
  }

  const whole = $derived(
    new WholeRun(
      player,
      async (one) => {
        player.reset();
        await open(one.id);
      },
      () => onplay(),
    ),
  );

  export function step(by: number): void {
    whole.stop();
    if (run.length > 1) void open(run[(here + by + run.length) % run.length]?.id);
  }

  /** Puts what stays of this one's end, or of the moment that stands, into the measures, and asks for a name. */
  async function goOn(): Promise<void> {
    hint = bench.dirty ? 'Save first: the next one begins where the saved one ends.' : '';
    if (hint) return;
    const moment = player.moment;
    const stays = await bench.stays(bench.edited.document, moment);
    if (!stays) return;
    if (stays.length === 0) hint = 'Here all is left as it was: a next one begins as this one did.';
    if (hint) return;
    player.reset();
    bench.edited.carryOut(stays);
    begins = { moment, words: stays.map((one) => one.words) };
    naming = true;
  }

  function giveUp(): void {
    if (begins) bench.discardDraft();
    begins = null;
    naming = false;
  }

  async function keep(): Promise<void> {
    if ((await bench.vary(name, begins)) === null) return;
    naming = false;
    begins = null;
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
              onclick={() => {
                whole.stop();
                void open(one.id);
              }}
              ><span class="figure">{i + 1}</span>
              {one.name}
              <small class="font-normal text-second"
                >{one.doubt || words.states[one.state]}{before(one.follows)
                  ? `, from ${one.moment == null ? 'the end' : 'a moment'} of ${before(one.follows)}`
                  : ''}</small
              ></button
            >
          </li>
        {/each}
      </ol>
      <p class="note my-0.5 flex flex-wrap items-baseline gap-x-2.5">
        <button class="plain" type="button" onclick={() => step(-1)}>earlier <span class="key">,</span></button>
        <button class="plain" type="button" onclick={() => step(1)}>later <span class="key">.</span></button>
        <button class="plain" type="button" onclick={() => (whole.playing ? whole.stop() : void whole.play(run))}
          >{whole.playing ? 'stop the run' : 'play as one run'}</button
        >
      </p>
    {/if}
    {#if outdated}
      <p class="note my-1">
        {run[before(run[here]?.follows) - 1]?.name ?? 'The one where it began'} was saved anew since this one began there.
        <button class="plain" type="button" onclick={() => void bench.carryAnew()}>carry over again</button>
      </p>
    {/if}
    {#if naming}
      {#if begins}
        <p class="my-1">
          Begins with {begins.words.join('; ')}. Change what is done next, then keep it.
        </p>
      {/if}
      <form
        use:takesOver
        class="flex flex-wrap items-baseline gap-1.5"
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
          placeholder={begins ? 'closed, then lifted' : 'wider tube'}
        />
        <button class="line" type="submit" disabled={name.trim() === '' || bench.predictor.refusal !== null}
          >Keep</button
        >
        <button class="plain" type="button" onclick={giveUp}>not now</button>
      </form>
    {:else}
      <p class="note my-0.5 flex flex-wrap items-baseline gap-x-2.5">
        {#if bench.predictor.answer?.carries}
          <button class="plain" type="button" onclick={() => void goOn()}
            >go on from {player.moment === null ? 'its end' : 'this moment'}</button
          >
        {/if}
        <button class="plain" type="button" onclick={() => (naming = true)}>keep as a variation</button>
        {#if other}<a
            class="underline decoration-1 underline-offset-4"
            href={p('/d/:department/compare/:setup/:other', {
              params: { department: bench.department, setup: String(other.id), other: String(bench.kept.setup.id) },
            })}>side by side</a
          >{/if}
      </p>
      {#if hint}<p class="note" role="status">{hint}</p>{/if}
    {/if}
  </section>
{/if}
