<script lang="ts" generics="Row extends { id: number }">
  import type { Snippet } from 'svelte';
  import { WindowVirtualizer } from 'virtua/svelte';

  interface Props {
    rows: Row[];
    /** The last rows come into sight: more may be asked for. */
    onend: () => void;
    children: Snippet<[Row]>;
  }

  /** The rows of a long list that are in sight, and a few around them. */
  let { rows, onend, children }: Props = $props();
  const AHEAD = 4;
  let list = $state<WindowVirtualizer<Row>>();

  function scrolled(): void {
    if (!list) return;
    const last = list.findItemIndex(list.getScrollOffset() + list.getViewportSize());
    if (last >= rows.length - AHEAD) onend();
  }
</script>

<WindowVirtualizer bind:this={list} data={rows} getKey={(row) => row.id} onscroll={scrolled} {children} />
