<script lang="ts">
  import WorkItOut from '$lib/measuring/WorkItOut.svelte';
  import FromShelf from '$lib/shelf/FromShelf.svelte';
  import type { Bench } from '../bench.svelte';
  import type { OtherWays } from './other-ways.svelte';

  /** The sheet in which a field's value is worked out, or chosen from the shelf. */
  let { ways, bench }: { ways: OtherWays; bench: Bench } = $props();
</script>

{#if ways.workingOut}
  {@const { path, field } = ways.workingOut}
  <WorkItOut
    department={bench.department}
    aids={ways.aidsFor(field.key)}
    {path}
    field={field.key}
    label={field.label}
    of={String(bench.kept.setup?.id ?? 'new')}
    ontake={(taken) => ways.takeOver(taken)}
    onclose={() => (ways.workingOut = null)}
  />
{:else if ways.fromShelf}
  {@const { field } = ways.fromShelf}
  <FromShelf
    department={bench.department}
    size={field.key}
    label={field.label}
    onpick={(one) => ways.pick(one)}
    onclose={() => (ways.fromShelf = null)}
  />
{/if}
