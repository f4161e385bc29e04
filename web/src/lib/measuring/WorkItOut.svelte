<script lang="ts">
  import Sheet from '$lib/ui/Sheet.svelte';
  import AidForm from './AidForm.svelte';
  import type { Aid, TakenOver } from './aids';

  interface Props {
    department: string;
    /** The aids that serve the field, at least one. */
    aids: Aid[];
    /** The field that asked: its path, name and label; the set-up it is of. */
    path: string;
    field: string;
    label: string;
    of: string;
    ontake: (taken: TakenOver) => void;
    onclose: () => void;
  }

  /** A field's value worked out from what can be weighed, poured, timed or read. */
  let { department, aids, path, field, label, of, ontake, onclose }: Props = $props();
  let chosen = $state('');
  const aid = $derived(aids.find((one) => one.key === chosen) ?? aids[0]);
</script>

<Sheet open title="{label}: worked out" {onclose} wide>
  {#if aids.length > 1}
    <p class="mb-3 flex flex-wrap gap-x-4 gap-y-1 text-14" role="group" aria-label="ways to work it out">
      {#each aids as one (one.key)}
        <button
          class="min-h-7 border-b-2 border-transparent aria-pressed:border-ink aria-pressed:font-semibold"
          type="button"
          aria-pressed={one.key === aid?.key}
          onclick={() => (chosen = one.key)}>{one.title}</button
        >
      {/each}
    </p>
  {/if}
  {#if aid}
    {#key aid.key}<AidForm {department} {aid} where="{of}:{path}" {field} {ontake} />{/key}
  {/if}
</Sheet>
