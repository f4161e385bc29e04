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
  const ITEM =
    'flex min-h-9 items-center pr-4 pl-2 outline-none data-[highlighted]:bg-ink data-[highlighted]:text-ground';
</script>

<DropdownMenu.Root>
  <DropdownMenu.Trigger class="plain" aria-label={label}>{shown ?? label}</DropdownMenu.Trigger>
  <DropdownMenu.Portal>
    <DropdownMenu.Content
      class="z-20 min-w-[12rem] rounded-xs border border-ink bg-strip py-1 text-ink"
      align="end"
      sideOffset={4}
    >
      {#each entries as entry (entry.label)}
        {#if entry.checked === undefined}
          <DropdownMenu.Item class={ITEM} onSelect={entry.onselect}
            ><span class="w-4"></span>{entry.label}</DropdownMenu.Item
          >
        {:else}
          <DropdownMenu.CheckboxItem class={ITEM} checked={entry.checked} onCheckedChange={entry.onselect}>
            {#snippet children({ checked })}
              <span class="w-4" aria-hidden="true">{checked ? '•' : ''}</span>{entry.label}
            {/snippet}
          </DropdownMenu.CheckboxItem>
        {/if}
      {/each}
    </DropdownMenu.Content>
  </DropdownMenu.Portal>
</DropdownMenu.Root>
