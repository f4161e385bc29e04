<script lang="ts">
  import { DropdownMenu } from 'bits-ui';

  export interface MenuEntry {
    label: string;
    onselect: () => void;
    checked?: boolean;
  }

  interface Props {
    label: string;
    entries: MenuEntry[];
    /** What the button shows; the label where it is left out. */
    shown?: string;
  }

  let { label, entries, shown }: Props = $props();
</script>

<DropdownMenu.Root>
  <DropdownMenu.Trigger class="plain menu-trigger" aria-label={label}>{shown ?? label}</DropdownMenu.Trigger>
  <DropdownMenu.Portal>
    <DropdownMenu.Content class="menu" align="end" sideOffset={4}>
      {#each entries as entry (entry.label)}
        <DropdownMenu.Item class="menu-item" onSelect={entry.onselect}>
          <span class="menu-tick" aria-hidden="true">{entry.checked ? '•' : ''}</span>{entry.label}
          {#if entry.checked}<span class="hidden-words">, chosen</span>{/if}
        </DropdownMenu.Item>
      {/each}
    </DropdownMenu.Content>
  </DropdownMenu.Portal>
</DropdownMenu.Root>

<style>
  :global(.menu) {
    z-index: 20;
    min-width: 12rem;
    padding: 4px 0;
    border: 1px solid var(--c-ink);
    border-radius: 2px;
    background: var(--c-strip);
    color: var(--c-ink);
  }

  :global(.menu-item) {
    display: flex;
    align-items: center;
    min-height: 36px;
    padding: 0 16px 0 8px;
    outline: none;
  }

  :global(.menu-item[data-highlighted]) {
    background: var(--c-ink);
    color: var(--c-ground);
  }

  :global(.menu-tick) {
    width: 16px;
  }
</style>
