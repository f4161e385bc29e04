<script lang="ts">
  import { asked } from '$lib/api/asked.svelte';
  import { answerTo, type Schemas } from '$lib/api/client';

  type Site = Schemas['SiteOut'] | null;

  /** Where a tall set-up is read on the site of the room in use; nothing where the room has no landings. */
  let { document, where }: { document: string; where: Record<string, string> } = $props();
  const room = $derived(where.room ?? '');
  const told = asked(() => {
    const body = document;
    const address = `departments/${where.department}/on-site`;
    const query = { room };
    return {
      key: ['on-site', body, address, room],
      ask: (signal) => answerTo<Site>(address, body, query, signal),
      when: room !== '',
    };
  });
  const site = $derived(told.data ?? null);
</script>

{#if site}
  <h2 class="mt-3.5 mb-1 border-t border-hair pt-1.5">On site, {site.room}</h2>
  {#each site.words as words (words)}<p class="my-1 font-semibold">{words}</p>{/each}
  <ul class="list-disc pl-5">
    {#each site.landings ?? [] as landing (landing.name)}
      <li class="my-0.75">
        {landing.name}, {landing.height} above the basin{landing.who ? `: ${landing.who}` : ''}
      </li>
    {/each}
  </ul>
  {#if site.path}<p class="my-1">The hose goes {site.path}.</p>{/if}
  {#if site.foot}<p class="my-1">{site.foot} keeps the foot clear.</p>{/if}
  {#each site.signals ?? [] as signal (signal.sign)}<p class="my-1">“{signal.sign}”: {signal.means}</p>{/each}
{/if}
