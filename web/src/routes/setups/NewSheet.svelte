<script lang="ts">
  import { asked } from '$lib/api/asked.svelte';
  import { ask, client, type Schemas } from '$lib/api/client';
  import type { Doc } from '$lib/document/paths';
  import { dropDraft } from '$lib/document/drafts';
  import Problem from '$lib/ui/Problem.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import { handOver } from '../bench/hand-over';
  import { navigate, p } from '../../router';

  interface Props {
    open: boolean;
    department: string;
    onclose: () => void;
  }

  let { open, department, onclose }: Props = $props();
  const catalogue = asked(() => ({
    key: ['demonstrations'],
    ask: (signal) => ask(client.GET('/api/demonstrations', { signal })),
    when: open,
  }));

  /** The first start has the focus as soon as it is there. */
  function focusFirst(list: HTMLElement, there: number | undefined) {
    void there;
    const now = () => requestAnimationFrame(() => list.querySelector('button')?.focus());
    now();
    return { update: now };
  }

  function begin(start: Schemas['StartOut']): void {
    dropDraft(department, 'new');
    handOver({ name: start.name, document: start.document as Doc });
    onclose();
    navigate('/d/:department/bench/:setup', { params: { department, setup: 'new' } });
  }
</script>

<Sheet {open} title="Start from" {onclose}>
  <p class="mb-4">
    <a
      class="line inline-block no-underline"
      href={p('/d/:department/choose', { params: { department } })}
      onclick={onclose}>Choose by what it shows</a
    >
  </p>
  <Problem failure={catalogue.failure} />
  <div use:focusFirst={catalogue.data?.length}>
    {#each catalogue.data ?? [] as one (one.key)}
      <h2>{one.title}</h2>
      <p class="note">{one.sees}</p>
      <ul class="mt-2 mb-5 border-t border-hair">
        {#each one.starts as start (start.name)}
          <li>
            <button
              class="grid w-full gap-0.5 border-b border-hair px-2 py-2.5 text-left hover:bg-strip"
              type="button"
              onclick={() => begin(start)}><strong>{start.name}</strong><span class="note">{start.words}</span></button
            >
          </li>
        {/each}
      </ul>
    {/each}
  </div>
  <p><button class="plain" type="button" onclick={onclose}>Back</button></p>
</Sheet>
