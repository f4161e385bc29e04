<script lang="ts">
  import { Dialog } from 'bits-ui';
  import type { Snippet } from 'svelte';

  interface Props {
    open: boolean;
    title: string;
    onclose: () => void;
    children: Snippet;
  }

  let { open, title, onclose, children }: Props = $props();
</script>

<Dialog.Root {open} onOpenChange={(now) => !now && onclose()}>
  <Dialog.Portal>
    <Dialog.Overlay class="sheet-over" />
    <Dialog.Content class="sheet">
      <Dialog.Title class="sheet-title">{title}</Dialog.Title>
      {@render children()}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>

<style>
  :global(.sheet-over) {
    position: fixed;
    inset: 0;
    z-index: 30;
    background: color-mix(in srgb, var(--c-front) 55%, transparent);
  }

  :global(.sheet) {
    position: fixed;
    z-index: 31;
    inset: 0 auto auto 50%;
    transform: translateX(-50%);
    top: 7vh;
    width: min(46rem, calc(100vw - 24px));
    max-height: 84vh;
    overflow: auto;
    padding: 24px;
    border: 1px solid var(--c-ink);
    border-radius: 2px;
    background: var(--c-ground);
    color: var(--c-ink);
  }

  :global(.sheet-title) {
    font-size: 1.375rem;
    font-weight: 600;
    margin-bottom: 12px;
  }
</style>
