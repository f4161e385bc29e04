<script lang="ts">
  import { answerTo, asked } from '$lib/api/asked.svelte';
  import type { Schemas } from '$lib/api/client';
  import { settled } from '$lib/api/settled.svelte';
  import type { Staged } from '$lib/predict/staged';
  import Figure from '$lib/ui/Figure.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  /** The set-up in other rooms, side by side with today's; a room of one's own can be typed. */
  let { staged, onclose }: { staged: Staged; onclose: () => void } = $props();
  let own = $state({ pressure: '', temperature: '', gravity: '' });
  const stated = $derived(
    Object.fromEntries(
      [
        ['station_pressure', own.pressure],
        ['temperature', own.temperature],
        ['gravity', own.gravity],
      ].filter(([, text]) => text !== ''),
    ) as Record<string, string>,
  );
  const typed = settled(
    () => (Object.keys(stated).length > 0 ? JSON.stringify([{ name: 'Your own', room: stated }]) : ''),
    150,
  );
  const elsewhere = asked(() => {
    const document = JSON.stringify(staged.edited.document);
    const query = { ...staged.predictor.where, ...(typed.now ? { own: typed.now } : {}) };
    return {
      key: ['what-if', document, JSON.stringify(query)],
      ask: (signal) => answerTo<Schemas['WhatIfOut'][]>('what-if', document, query, signal),
    };
  });
</script>

<Sheet open title="What if it stood elsewhere?" {onclose}>
  {#if elsewhere.failure}<p class="wrong" role="alert">{elsewhere.failure.message}</p>{/if}
  <ul>
    {#each elsewhere.data ?? [] as room (room.key)}
      <li>
        <div class="head">
          {#if room.state}<span class="mark"><VerdictMark state={room.state} /></span>{/if}
          <div>
            <strong>{room.name}</strong>
            {#if room.room}
              <span class="note"
                ><Figure si={room.room.station_pressure ?? 0} sd={0} kind="pressure" shown="hPa" />,
                <Figure si={room.room.temperature ?? 0} sd={0} kind="temperature" shown="degC" />,
                <Figure si={room.room.gravity ?? 0} sd={0} kind="acceleration" shown="m/s^2" /></span
              >
            {/if}
            <p>{room.refused ? `It cannot be taken there. ${room.refused}.` : room.reason}</p>
            {#if room.sense}<p class="note">{room.sense}</p>{/if}
          </div>
        </div>
        <dl>
          {#each room.values as value (value.path)}
            <div>
              <dt>{value.label}</dt>
              <dd>
                {#if value.value === null}none{:else}<Figure
                    si={value.value}
                    sd={value.standard_uncertainty}
                    kind={value.kind}
                    shown={value.shown}
                  />{/if}
              </dd>
            </div>
          {/each}
        </dl>
      </li>
    {/each}
  </ul>
  <fieldset>
    <legend>A room of your own</legend>
    <label>pressure <input class="box figure" bind:value={own.pressure} placeholder="850 hPa" /></label>
    <label>temperature <input class="box figure" bind:value={own.temperature} placeholder="28 degC" /></label>
    <label>gravity <input class="box figure" bind:value={own.gravity} placeholder="9.81 m/s^2" /></label>
  </fieldset>
  <p class="mt-4"><button class="solid" type="button" onclick={onclose}>Back to the bench</button></p>
</Sheet>

<style>
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 17rem;
    gap: 16px;
    padding: 8px 0;
    border-top: 1px solid var(--c-hair);
  }

  .head {
    display: flex;
    gap: 10px;
  }

  .mark {
    flex: none;
    width: 28px;
  }

  p {
    margin: 2px 0 0;
    font-size: 0.9375rem;
    line-height: 1.3;
  }

  dl {
    margin: 0;
    font-size: 0.8125rem;
  }

  dl div {
    display: flex;
    justify-content: space-between;
    gap: 8px;
  }

  dd {
    margin: 0;
  }

  fieldset {
    display: flex;
    flex-wrap: wrap;
    gap: 12px;
    padding: 8px 0;
    border-top: 1px solid var(--c-ink);
  }

  label {
    display: grid;
    font-size: 0.875rem;
  }

  @media (max-width: 640px) {
    li {
      grid-template-columns: 1fr;
    }
  }
</style>
