<script lang="ts">
  import { Select } from 'bits-ui';

  interface Props {
    /** What is chosen, said to who cannot see it. */
    label: string;
    /** The path of the chosen one; empty where none is. */
    value: string;
    choices: { path: string; name: string }[];
    onpick: (path: string) => void;
    /** What stands there while nothing is chosen. */
    empty?: string;
    /** Width and place, as utilities. */
    place?: string;
  }

  /** One of a long list: typed to, scrolled within the window; a short list stays the browser's own. */
  let { label, value, choices, onpick, empty = '', place = '' }: Props = $props();
  const shown = $derived(choices.find((one) => one.path === value)?.name ?? empty);
  const items = $derived(choices.map((one) => ({ value: one.path, label: one.name })));
</script>

<Select.Root type="single" {value} {items} onValueChange={(path) => path !== '' && onpick(path)}>
  <Select.Trigger class="box flex items-center justify-between gap-2 text-left {place}" aria-label="{label}: {shown}">
    <span class="truncate">{shown}</span><span class="flex-none" aria-hidden="true">▾</span>
  </Select.Trigger>
  <Select.Portal>
    <Select.Content
      class="z-20 flex max-h-[min(22rem,var(--bits-select-content-available-height))] max-w-[min(24rem,94vw)] min-w-[var(--bits-select-anchor-width)] flex-col rounded-xs border border-ink bg-strip text-ink"
      sideOffset={4}
      collisionPadding={8}
    >
      <Select.Viewport class="py-1">
        {#each choices as { path, name } (path)}
          <Select.Item
            class="flex min-h-8 items-center pr-4 pl-2 text-14 outline-none data-[highlighted]:bg-ink data-[highlighted]:text-ground"
            value={path}
            label={name}
          >
            {#snippet children({ selected })}
              <span class="w-4 flex-none" aria-hidden="true">{selected ? '•' : ''}</span>{name}
            {/snippet}
          </Select.Item>
        {/each}
      </Select.Viewport>
    </Select.Content>
  </Select.Portal>
</Select.Root>
