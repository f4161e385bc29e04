<script lang="ts">
  import { Dialog } from 'bits-ui';
  import type { Snippet } from 'svelte';

  interface Props {
    open: boolean;
    title: string;
    onclose: () => void;
    /** Takes most of a wide screen. */
    wide?: boolean;
    children: Snippet;
  }

  let { open, title, onclose, wide = false, children }: Props = $props();
</script>

<Dialog.Root {open} onOpenChange={(now) => !now && onclose()}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-30 bg-front/55" />
    <Dialog.Content
      class="fixed top-[7vh] left-1/2 z-31 max-h-[84vh] {wide
        ? 'w-[min(62rem,calc(100vw-24px))]'
        : 'w-[min(46rem,calc(100vw-24px))]'} -translate-x-1/2 overflow-auto rounded-xs border border-ink bg-ground p-6 text-ink max-phone:p-4"
    >
      <Dialog.Title class="mb-3 text-22 font-semibold">{title}</Dialog.Title>
      {@render children()}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
