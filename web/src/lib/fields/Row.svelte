<script lang="ts">
  import { tick, type Snippet } from 'svelte';
  import { useForm } from './context';

  interface Props {
    path: string;
    label: string;
    /** Id of the control that the label names. */
    control: string;
    help?: string;
    /** What is in use where nothing is stated. */
    inUse?: string;
    children?: Snippet;
    /** What stands under the control. */
    below?: Snippet;
  }

  let { path, label, control, help = '', inUse = '', children, below }: Props = $props();
  const form = useForm();
  const wrong = $derived(form.wrong(path));
  const share = $derived(form.share(path));
  let row = $state<HTMLElement>();
  /** What tells it from others of its label: the number of its list's item. */
  const which = $derived.by(() => {
    const name = form.inUse(path)?.name ?? '';
    return name.toLowerCase().startsWith(label.toLowerCase()) ? name.slice(label.length) : '';
  });

  $effect(() => {
    if (wrong !== '' && row?.contains(document.activeElement))
      void tick().then(() => row?.scrollIntoView({ block: 'nearest' }));
  });

  $effect(() => {
    // within its list alone: where the page itself scrolls, taking a ring leaves it where it is
    const list = row?.closest('section');
    if (form.focused !== path || !list || list.scrollHeight <= list.clientHeight) return;
    if (!row?.contains(document.activeElement)) row?.scrollIntoView({ block: 'nearest' });
  });
</script>

<div
  class="row relative border-b border-hair pt-1 pb-1.25 {form.focused === path
    ? 'before:absolute before:top-1 before:bottom-1 before:-left-3 before:w-0.75 before:bg-ink'
    : ''}"
  data-row={path}
  bind:this={row}
>
  <div class="flex items-baseline justify-between gap-2">
    <label class="text-14 leading-[1.2]" for={control}
      >{label}{#if which}<span class="hidden-words">{which}</span>{/if}</label
    >
    {@render children?.()}
  </div>
  {@render below?.()}
  {#if inUse}<p class="note text-13 leading-[1.3]">{inUse}</p>{/if}
  {#if help && form.help}<p class="note text-13 leading-[1.3]">{help}</p>{/if}
  {#if wrong}<p class="wrong my-1" id="{control}-wrong" role="alert">{wrong}</p>{/if}
  <span
    class="absolute -bottom-0.5 left-0 h-0.75 w-[var(--share)] bg-second"
    style="--share: {Math.round(share * 100)}%"
    title={share >= 0.005 ? `${Math.round(share * 100)} % of the verdict's ±` : undefined}
  ></span>
</div>
