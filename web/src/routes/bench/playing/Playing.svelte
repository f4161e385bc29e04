<script lang="ts">
  import type { Prediction } from '$lib/api/client';
  import { session } from '$lib/session/session.svelte';
  import Figure from '$lib/ui/Figure.svelte';
  import { plainNumber, said } from '$lib/units/format';
  import type { Player } from './player.svelte';

  /** Plays what moves: at true speed, half, double; scrubbed; each moment's values and the events on its line. */
  let { player, answer, onplay }: { player: Player; answer: Prediction | null; onplay: () => void } = $props();
  const speeds: [number, string][] = [
    [0.5, 'half'],
    [1, 'true speed'],
    [2, 'double'],
  ];

  /** A clock's time with as many decimals as its length asks for. */
  function clock(seconds: number): string {
    const minutes = Math.floor(seconds / 60);
    return minutes > 0 ? `${minutes} min ${plainNumber(seconds - 60 * minutes, 0)} s` : `${plainNumber(seconds, 1)} s`;
  }

  const over = $derived(player.movedOver);

  /** A moment in words: its time, or the quantity that is moved. */
  function told(at: number): string {
    const playback = player.playback;
    if (!playback?.over) return clock(at);
    const { number, unit } = said(at, 0, session.unit(playback.over.kind, playback.over.unit));
    return `${number} ${unit}`;
  }

  const marks = $derived((player.playback?.marks ?? []).map((mark) => ({ ...mark, part: player.part(mark.time) })));
  /** Width of the moment's line [px], and of a letter of its marks. */
  let wide = $state(0);
  const LETTER = 6.2;
  /** Marks whose words do not run into those before. */
  const lettered = $derived.by(() => {
    let end = -Infinity;
    return marks.filter((mark) => {
      const width = LETTER * `${told(mark.time)}, ${mark.words}`.length;
      const left = mark.part * wide - (mark.part > 0.8 ? width : 0);
      if (wide > 0 && left < end) return false;
      end = left + width;
      return true;
    });
  });
  const now = $derived(over ? told(over.si) : clock(player.time));
</script>

<section
  class="flex h-14 items-center gap-4 bg-bench px-6 text-bench-ink max-bench:order-2 max-bench:h-auto max-bench:min-h-14 max-bench:flex-wrap max-bench:px-4 max-bench:py-2"
  aria-label="playback"
>
  {#if answer && !answer.moves}
    <span class="text-14 text-bench-second max-bench:hidden">Nothing moves in this demonstration.</span>
  {:else}
    <button class="line" type="button" disabled={!answer} onclick={onplay}
      >{player.running ? 'Pause' : 'Let it run'} <span class="key">p</span></button
    >
    {#if player.playback && !over}
      <span class="flex gap-2.5" role="group" aria-label="pace">
        {#each speeds as [speed, name] (speed)}
          <button
            class="min-h-7 px-0.5 whitespace-nowrap text-bench-second aria-pressed:text-bench-ink aria-pressed:shadow-[inset_0_-2px_0_var(--c-bench-ink)]"
            type="button"
            aria-pressed={player.pace === speed}
            onclick={() => (player.pace = speed)}>{name}</button
          >
        {/each}
      </span>
    {/if}
    {#if player.playback}
      <div class="relative h-10 min-w-30 flex-1 max-bench:basis-full" bind:clientWidth={wide}>
        <input
          class="w-full accent-bench-ink"
          type="range"
          min="0"
          max={player.length}
          step={player.length / 1000}
          value={player.time}
          aria-label="moment"
          aria-valuetext={now}
          oninput={(event) => player.scrub(event.currentTarget.valueAsNumber)}
        />
        {#each lettered as mark (mark.words)}
          <span
            class="figure absolute top-5.5 text-12 whitespace-nowrap text-bench-second {mark.part > 0.8
              ? 'right-[calc((1_-_var(--at))_*_100%)] left-auto'
              : 'left-[calc(var(--at)_*_100%)]'}"
            style="--at: {mark.part}">{told(mark.time)}, {mark.words}</span
          >
        {/each}
      </div>
      <p class="values flex max-w-[28rem] flex-wrap gap-x-3.5 gap-y-0.5 text-13 [&_small]:text-bench-second">
        {#if over}<span>{over.label} <b class="figure">{now}</b></span>{:else}<span
            class="figure min-w-[4.5rem] font-semibold">{now}</span
          >{/if}
        {#each player.values as value (value.label)}
          <span
            >{value.label}
            <Figure si={value.si} sd={0} kind={value.kind} shown={session.unit(value.kind, '').unit} /></span
          >
        {/each}
      </p>
    {:else}
      <span class="text-14 text-bench-second max-bench:hidden"
        >{player.still ? 'Nothing moves in this set-up.' : 'Shows what moves, from now on.'}</span
      >
    {/if}
  {/if}
</section>
