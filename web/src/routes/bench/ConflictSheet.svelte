<script lang="ts">
  import { differences } from '$lib/document/paths';
  import { inputName } from '$lib/results/results';
  import Differences from '$lib/ui/Differences.svelte';
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
  <Differences {rows} name={(path) => inputName(bench.predictor.answer, path)} />
  <p class="mt-4 flex flex-wrap gap-3">
    <button class="solid" type="button" onclick={() => bench.takeTheirs()}>Take theirs</button>
    <button class="line" type="button" onclick={() => void copy()}>Save mine as a copy</button>
    <button class="plain" type="button" onclick={() => (kept.conflict = null)}>Look again first</button>
  </p>
</Sheet>
