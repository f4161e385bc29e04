<script lang="ts">
  import { differences } from '$lib/document/paths';
  import { inputName } from '$lib/results/results';
  import Sheet from '$lib/ui/Sheet.svelte';
  import { navigate } from '../../router';
  import type { Bench } from './bench.svelte';

  /** Somebody saved in between: both versions side by side, theirs or mine as a copy. */
  let { bench }: { bench: Bench } = $props();
  const kept = $derived(bench.kept);
  const rows = $derived(kept.conflict ? differences(bench.edited.document, kept.conflict.document) : []);

  async function copy(): Promise<void> {
    const id = await bench.mineAsCopy();
    if (id !== null) navigate('/d/:department', { params: { department: bench.department } });
  }
</script>

<Sheet
  open={kept.conflict !== null}
  title="{kept.conflict?.by} saved this set-up after you opened it"
  onclose={() => (kept.conflict = null)}
>
  <p>Nothing was overwritten. {rows.length === 0 ? 'Both versions say the same.' : 'They differ here:'}</p>
  {#if rows.length > 0}
    <table class="my-3 w-full">
      <thead
        ><tr
          ><th class="border-b border-hair py-1 pr-2 text-left font-semibold" scope="col">measure</th><th
            class="border-b border-hair py-1 pr-2 text-left font-semibold"
            scope="col">yours</th
          ><th class="border-b border-hair py-1 pr-2 text-left font-semibold" scope="col">theirs</th></tr
        ></thead
      >
      <tbody>
        {#each rows as row (row.path)}
          <tr
            ><td class="border-b border-hair py-1 pr-2">{inputName(bench.predictor.answer, row.path)}</td><td
              class="figure border-b border-hair py-1 pr-2">{row.mine}</td
            ><td class="figure border-b border-hair py-1 pr-2">{row.theirs}</td></tr
          >
        {/each}
      </tbody>
    </table>
  {/if}
  <p class="mt-4 flex flex-wrap gap-3">
    <button class="solid" type="button" onclick={() => bench.takeTheirs()}>Take theirs</button>
    <button class="line" type="button" onclick={() => void copy()}>Save mine as a copy</button>
    <button class="plain" type="button" onclick={() => (kept.conflict = null)}>Look again first</button>
  </p>
</Sheet>
