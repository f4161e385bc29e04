<script lang="ts">
  import type { Snippet } from 'svelte';
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
  }

  let { path, label, control, help = '', inUse = '', children }: Props = $props();
  const form = useForm();
  const wrong = $derived(form.wrong(path));
  const share = $derived(form.share(path));
  let row = $state<HTMLElement>();

  $effect(() => {
    if (form.focused === path && !row?.contains(document.activeElement)) row?.scrollIntoView({ block: 'nearest' });
  });
</script>

<div class="row" class:focused={form.focused === path} data-row={path} bind:this={row}>
  <div class="line-one">
    <label for={control}>{label}</label>
    {@render children?.()}
  </div>
  {#if inUse}<p class="note">{inUse}</p>{/if}
  {#if help && form.help}<p class="note">{help}</p>{/if}
  {#if wrong}<p class="wrong" id="{control}-wrong" role="alert">{wrong}</p>{/if}
  <span
    class="share"
    style="--share: {Math.round(share * 100)}%"
    title={share >= 0.005 ? `${Math.round(share * 100)} % of the verdict's ±` : undefined}
  ></span>
</div>

<style>
  .row {
    position: relative;
    padding: 4px 0 5px;
    border-bottom: 1px solid var(--c-hair);
  }

  .row.focused::before {
    content: '';
    position: absolute;
    left: -12px;
    top: 4px;
    bottom: 4px;
    width: 3px;
    background: var(--c-ink);
  }

  .line-one {
    display: flex;
    align-items: baseline;
    justify-content: space-between;
    gap: 8px;
  }

  label {
    font-size: 0.875rem;
    line-height: 1.2;
  }

  .note {
    margin: 0;
    font-size: 0.8125rem;
    line-height: 1.3;
  }

  .wrong {
    margin: 4px 0;
  }

  .share {
    position: absolute;
    left: 0;
    bottom: -2px;
    width: var(--share);
    height: 3px;
    background: var(--c-second);
  }
</style>
