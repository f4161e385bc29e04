<script lang="ts">
  import Problem from '$lib/ui/Problem.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';
  import { asPrinted } from '$lib/units/format';
  import { dateInWords } from '$lib/words/dates';
  import { onShelf, type OnShelf } from './shelf';

  interface Props {
    department: string;
    /** Name of the size that is wanted, and what the field is called. */
    size: string;
    label: string;
    onpick: (chosen: OnShelf) => void;
    onclose: () => void;
  }

  /** What on the shelf has the size that a field asks for; one press takes it. */
  let { department, size, label, onpick, onclose }: Props = $props();
  const found = onShelf(() => ({ department, key: size }));

  function how(one: OnShelf): string {
    const lent = one.lent_to ? `lent to ${one.lent_to}` : '';
    return [one.place, one.state === 'good' ? '' : one.state, lent, one.how].filter((text) => text !== '').join('; ');
  }
</script>

<Sheet open title="{label}: from the shelf" {onclose}>
  <Problem failure={found.failure} />
  <ul>
    {#each found.data ?? [] as one (one.size)}
      <li class="border-b border-hair">
        <button
          class="grid min-h-11 w-full grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-4 py-1.5 text-left hover:bg-strip"
          type="button"
          onclick={() => onpick(one)}
        >
          <span><strong>{one.name}</strong></span>
          <span class="figure font-semibold">{asPrinted(one.quantity)}</span>
          <small class="note">{how(one)}</small>
          <small class="note">{one.by}, {dateInWords(one.at)}</small>
        </button>
      </li>
    {:else}
      {#if found.data}<li class="note">Nothing on the shelf has this size yet.</li>{/if}
    {/each}
  </ul>
</Sheet>
