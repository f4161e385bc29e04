<script lang="ts">
  import { ApiError, send, type Schemas } from '$lib/api/client';
  import Number from '$lib/ui/Number.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';
  import type { Bench } from './bench.svelte';

  /** The set-up in other rooms, side by side with today's; a room of one's own can be typed. */
  let { bench, onclose }: { bench: Bench; onclose: () => void } = $props();
  let rooms = $state.raw<Schemas['WhatIfOut'][]>([]);
  let failure = $state('');
  let own = $state({ pressure: '', temperature: '', gravity: '' });

  $effect(() => {
    const stated = Object.fromEntries(
      [
        ['station_pressure', own.pressure],
        ['temperature', own.temperature],
        ['gravity', own.gravity],
      ].filter(([, text]) => text !== ''),
    ) as Record<string, string>;
    const query = Object.keys(stated).length > 0 ? { own: JSON.stringify([{ name: 'Your own', room: stated }]) } : {};
    const timer = setTimeout(() => void load(query as Record<string, string>), 150);
    return () => clearTimeout(timer);
  });

  async function load(query: Record<string, string>): Promise<void> {
    try {
      const response = await send('what-if', JSON.stringify(bench.document), { ...bench.where, ...query });
      rooms = (await response.json()) as Schemas['WhatIfOut'][];
      failure = '';
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      failure = error.message;
    }
  }
</script>

<Sheet open title="What if it stood elsewhere?" {onclose}>
  {#if failure}<p class="wrong" role="alert">{failure}</p>{/if}
  <ul>
    {#each rooms as room (room.key)}
      <li>
        <div class="head">
          {#if room.state}<span class="mark"><VerdictMark state={room.state} /></span>{/if}
          <div>
            <strong>{room.name}</strong>
            {#if room.room}
              <span class="note"
                ><Number si={room.room.station_pressure ?? 0} sd={0} kind="pressure" shown="hPa" />,
                <Number si={room.room.temperature ?? 0} sd={0} kind="temperature" shown="degC" />,
                <Number si={room.room.gravity ?? 0} sd={0} kind="acceleration" shown="m/s^2" /></span
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
                {#if value.value === null}none{:else}<Number
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
