<script lang="ts">
  import { measuring, shelfSizes } from '$lib/shelf/shelf';
  import Pick from '$lib/ui/Pick.svelte';

  interface Props {
    department: string;
    item: number;
  }

  /** A size as it was measured now. */
  let { department, item }: Props = $props();
  let key = $state('');
  let quantity = $state('');
  let how = $state('');
  const sizes = shelfSizes(() => department);
  const keeping = measuring(() => department);
  const names = $derived((sizes.data?.names ?? []).map((one) => ({ path: one.key, name: one.label })));

  async function keep(): Promise<void> {
    if (!(await keeping.run({ item, key, quantity, how }))) return;
    key = quantity = how = '';
  }
</script>

<form
  class="mt-3 flex flex-wrap items-end gap-3 text-14"
  onsubmit={(event) => {
    event.preventDefault();
    void keep();
  }}
>
  <Pick label="size" choices={names} value={key} empty="which size" place="w-[15rem]" onpick={(next) => (key = next)} />
  <label class="grid"
    ><span class="note">measured</span><input
      class="box figure w-[12rem]"
      bind:value={quantity}
      maxlength="80"
      placeholder="12.4 ± 0.1 mm"
      aria-invalid={keeping.failure?.problem.path === 'quantity' ? true : undefined}
    /></label
  >
  <label class="grid"
    ><span class="note">how</span><input
      class="box w-[14rem]"
      bind:value={how}
      maxlength="200"
      placeholder="weighed full and empty"
    /></label
  >
  <button class="line" type="submit" disabled={key === '' || quantity.trim() === ''}>Keep this size</button>
</form>
{#if keeping.failure}<p class="wrong mt-1" role="alert">{keeping.failure.message}</p>{/if}
