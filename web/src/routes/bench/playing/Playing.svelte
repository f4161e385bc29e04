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
  const now = $derived(over ? told(over.si) : clock(player.time));
</script>

<section aria-label="playback">
  {#if answer && !answer.moves}
    <span class="silent">Nothing moves in this demonstration.</span>
  {:else}
    <button class="line" type="button" disabled={!answer} onclick={onplay}
      >{player.running ? 'Pause' : 'Let it run'} <span class="key">p</span></button
    >
    {#if player.playback && !over}
      <span class="speeds" role="group" aria-label="pace">
        {#each speeds as [speed, name] (speed)}
          <button type="button" aria-pressed={player.pace === speed} onclick={() => (player.pace = speed)}
            >{name}</button
          >
        {/each}
      </span>
    {/if}
    {#if player.playback}
      <div class="line-of-time">
        <input
          type="range"
          min="0"
          max={player.length}
          step={player.length / 1000}
          value={player.time}
          aria-label="moment"
          aria-valuetext={now}
          oninput={(event) => player.scrub(event.currentTarget.valueAsNumber)}
        />
        {#each marks as mark (mark.words)}
          <span class="mark figure" class:end={mark.part > 0.8} style="--at: {mark.part}"
            >{told(mark.time)}, {mark.words}</span
          >
        {/each}
      </div>
      <p class="values">
        {#if over}<span>{over.label} <b class="figure">{now}</b></span>{:else}<span class="figure now">{now}</span>{/if}
        {#each player.values as value (value.label)}
          <span
            >{value.label}
            <Figure si={value.si} sd={0} kind={value.kind} shown={session.unit(value.kind, '').unit} /></span
          >
        {/each}
      </p>
    {:else}
      <span class="silent">{player.still ? 'Nothing moves in this set-up.' : 'Shows what moves, from now on.'}</span>
    {/if}
  {/if}
</section>

<style>
  section {
    display: flex;
    align-items: center;
    gap: 16px;
    height: 56px;
    padding: 0 24px;
    background: var(--c-bench);
    color: var(--c-bench-ink);
  }

  .speeds {
    display: flex;
    gap: 10px;
  }

  .speeds button {
    min-height: 28px;
    padding: 0 2px;
    border: 0;
    background: none;
    color: var(--c-bench-second);
    white-space: nowrap;
  }

  .speeds button[aria-pressed='true'] {
    color: var(--c-bench-ink);
    box-shadow: inset 0 -2px 0 var(--c-bench-ink);
  }

  .line-of-time {
    position: relative;
    flex: 1;
    min-width: 120px;
    height: 40px;
  }

  input {
    width: 100%;
    accent-color: var(--c-bench-ink);
  }

  .mark {
    position: absolute;
    top: 22px;
    left: calc(var(--at) * 100%);
    font-size: 0.75rem;
    color: var(--c-bench-second);
    white-space: nowrap;
  }

  .mark.end {
    left: auto;
    right: calc((1 - var(--at)) * 100%);
  }

  .values {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 14px;
    max-width: 22rem;
    margin: 0;
    font-size: 0.8125rem;
  }

  .values :global(small) {
    color: var(--c-bench-second);
  }

  .now {
    min-width: 4.5rem;
    font-weight: 600;
  }

  .silent {
    color: var(--c-bench-second);
    font-size: 0.875rem;
  }

  @media (max-width: 936px) {
    section {
      flex-wrap: wrap;
      height: auto;
      min-height: 56px;
      padding: 8px 16px;
    }

    .line-of-time {
      flex-basis: 100%;
    }

    .silent {
      display: none;
    }
  }
</style>
