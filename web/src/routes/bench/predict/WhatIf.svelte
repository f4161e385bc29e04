<script lang="ts">
  import { asked } from '$lib/api/asked.svelte';
  import { answerTo, type Schemas } from '$lib/api/client';
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
  {#if elsewhere.failure}<p class="wrong mt-0.5 text-15 leading-[1.3]" role="alert">{elsewhere.failure.message}</p>{/if}
  <ul>
    {#each elsewhere.data ?? [] as room (room.key)}
      <li class="grid grid-cols-[minmax(0,1fr)_17rem] gap-4 border-t border-hair py-2 max-phone:grid-cols-1">
        <div class="head flex gap-2.5">
          {#if room.state}<span class="w-7 flex-none"><VerdictMark state={room.state} /></span>{/if}
          <div>
            <strong>{room.name}</strong>
            {#if room.room}
              <span class="note"
                ><Figure si={room.room.station_pressure ?? 0} sd={0} kind="pressure" shown="hPa" />,
                <Figure si={room.room.temperature ?? 0} sd={0} kind="temperature" shown="degC" />,
                <Figure si={room.room.gravity ?? 0} sd={0} kind="acceleration" shown="m/s^2" /></span
              >
            {/if}
            <p class="mt-0.5 text-15 leading-[1.3]">
              {room.refused ? `It cannot be taken there. ${room.refused}.` : room.reason}
            </p>
            {#if room.sense}<p class="note mt-0.5 text-15 leading-[1.3]">{room.sense}</p>{/if}
          </div>
        </div>
        <dl class="text-13">
          {#each room.values as value (value.path)}
            <div class="flex justify-between gap-2">
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
  <fieldset class="flex flex-wrap gap-3 border-t border-ink py-2">
    <legend>A room of your own</legend>
    <label class="grid text-14"
      >pressure <input class="box figure" bind:value={own.pressure} placeholder="850 hPa" /></label
    >
    <label class="grid text-14"
      >temperature <input class="box figure" bind:value={own.temperature} placeholder="28 degC" /></label
    >
    <label class="grid text-14"
      >gravity <input class="box figure" bind:value={own.gravity} placeholder="9.81 m/s^2" /></label
    >
  </fieldset>
  <p class="mt-0.5 mt-4 text-15 leading-[1.3]">
    <button class="solid" type="button" onclick={onclose}>Back to the bench</button>
  </p>
</Sheet>
