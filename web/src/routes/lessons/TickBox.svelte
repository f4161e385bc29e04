<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Standing } from './ticking.svelte';

  interface Props {
    /** What is ticked, said to who cannot see it. */
    name: string;
    standing: Standing | undefined;
    ontick: (done: boolean) => void;
    children: Snippet;
  }

  /** One thing to do, with a box that a thumb can meet. */
  let { name, standing, ontick, children }: Props = $props();
  const done = $derived(standing?.done ?? false);
</script>

<label class="flex min-h-11 items-start gap-3 py-1.5 {done ? 'text-second' : ''}">
  <input
    class="mt-0.5 size-5 flex-none accent-ink"
    type="checkbox"
    checked={done}
    aria-label={name}
    onchange={(event) => ontick(event.currentTarget.checked)}
  />
  <span class="min-w-0 flex-1 {done ? 'line-through decoration-1' : ''}">{@render children()}</span>
</label>
