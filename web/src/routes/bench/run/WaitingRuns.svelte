<script lang="ts">
  import { shortMoment } from '$lib/words/dates';
  import { p } from '../../../router';
  import type { Outbox } from './outbox.svelte';

  interface Props {
    outbox: Outbox;
    /** Takes one back into the form of its set-up; left out where there is no form. */
    ontakeout?: ((sent: string) => void) | undefined;
    /** The set-up whose form that is. */
    setup?: number | null;
    /** Whether nothing stands in it that would be lost. */
    free?: boolean;
  }

  /** Runs that wait for a server, and the one that was sent last. */
  let { outbox, ontakeout, setup = null, free = false }: Props = $props();
</script>

<div class="waiting text-14" role="status">
  {#each outbox.waiting as one (one.body.sent)}
    <p class="my-2 border-l-4 border-ink pl-2">
      The run of “{one.setup_name}”, {shortMoment(one.at)},
      {#if one.refused}was not logged: {one.refused}.{:else}waits in this browser: no server answers. It is sent as soon
        as one does, once.{/if}
      {#if ontakeout && setup === one.body.setup}
        {#if free}<button class="plain" type="button" onclick={() => ontakeout(one.body.sent)}
            >back into the form</button
          >{:else}<span class="note">Log what stands in the form first, then it can go back there.</span>{/if}
      {:else if one.refused}
        <a
          href={p('/d/:department/bench/:setup', {
            params: { department: outbox.department, setup: String(one.body.setup) },
          })}>correct it on the bench, step 5</a
        >
      {/if}
    </p>
  {/each}
  {#if outbox.sent}
    <p class="my-2">
      The run of “{outbox.sent.setup_name}” that waited is logged:
      <a
        href={p('/d/:department/log/:run', {
          params: { department: outbox.department, run: String(outbox.sent.run) },
        })}>see it</a
      >.
    </p>
  {/if}
</div>
