<script lang="ts">
  import { asked, doing } from '$lib/api/asked.svelte';
  import { ask, client, type Schemas } from '$lib/api/client';
  import { ofShelf } from '$lib/shelf/shelf';
  import Problem from '$lib/ui/Problem.svelte';
  import { asPrinted } from '$lib/units/format';
  import { pathInWords, words } from '$lib/words/words';
  import { p } from '../../router';

  type Use = Schemas['UseOut'];

  /** The set-ups that took a size from a thing, and what its newest size would change in each; nothing changes by itself. */
  let { department, item }: { department: string; item: number } = $props();
  const uses = asked(() => {
    const path = { department, item };
    return {
      key: ['shelf-uses', department, item],
      ask: (signal) => ask(client.GET('/api/departments/{department}/shelf/{item}/uses', { params: { path }, signal })),
    };
  });
  const taking = doing(
    (use: Use) => {
      const params = { path: { department, setup: use.setup } };
      const body = { path: use.path, size: use.newer ?? 0, version: use.version };
      return ask(client.POST('/api/departments/{department}/setups/{setup}/take-size', { params, body }));
    },
    () => [...ofShelf(department), ['setups', department]],
  );
</script>

<Problem failure={uses.failure ?? taking.failure} />
<ul aria-label="set-ups that use it">
  {#each uses.data ?? [] as use (`${use.setup} ${use.path}`)}
    <li class="border-b border-hair py-2">
      <p>
        <a
          class="font-semibold"
          href={p('/d/:department/bench/:setup', { params: { department, setup: String(use.setup) } })}>{use.name}</a
        >
        <span class="note">{pathInWords(use.path.replace('setup.', ''))} {asPrinted(use.quantity)}</span>
      </p>
      <p class="text-14">
        {#if use.newer}<span class="note">now:</span>{/if}
        {use.verdict}
        <small class="text-second">{use.doubt || words.states[use.state]}</small>
      </p>
      {#if use.newer}
        <p class="text-14">
          <span class="note">with {asPrinted(use.newer_quantity)}:</span>
          {use.refused || (use.then_verdict === use.verdict ? 'the same.' : use.then_verdict)}
          {#if !use.refused}<small class="text-second">{use.then_doubt || words.states[use.then_state]}</small>{/if}
        </p>
        <p class="mt-1">
          <button
            class="line"
            type="button"
            disabled={use.refused !== '' || taking.busy}
            onclick={() => void taking.run(use)}>Take {asPrinted(use.newer_quantity)} there</button
          >
        </p>
      {/if}
    </li>
  {:else}
    {#if uses.data}<li class="note py-1.5">No set-up has taken a size from it.</li>{/if}
  {/each}
</ul>
