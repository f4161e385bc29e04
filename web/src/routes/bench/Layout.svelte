<script lang="ts">
  import { untrack, type Snippet } from 'svelte';
  import type { Step } from './steps';

  interface Props {
    step: Step;
    /** Why nothing can be opened; empty where something is. */
    failed: string;
    /** Whether the drawing is that of the last good answer. */
    stale: boolean;
    /** Whether the page is being printed: guide and numbers then stand under each other. */
    printing: boolean;
    /** Where the section is drawn. */
    area: HTMLElement | undefined;
    top: Snippet;
    list: Snippet;
    section: Snippet;
    guide: Snippet;
    column: Snippet;
    playing: Snippet;
    edge: Snippet;
  }

  /** The bench's places: measures at the left, section, the step's column or the guide over it, playback, front edge. */
  /** On a phone each step has its places in another order; while preparing, the guide stands alone. */
  const ORDER = {
    measure: { list: 'max-bench:order-1', drawing: '', column: 'max-bench:order-3' },
    predict: {
      list: 'max-bench:order-4',
      drawing: '',
      column:
        'max-bench:contents max-bench:[&>*]:order-1 max-bench:[&>*]:mx-4 max-bench:[&>.first]:pt-3 max-bench:[&>.rest]:order-3 max-bench:[&>.rest]:pt-3',
    },
    prepare: { list: 'max-bench:hidden', drawing: 'max-bench:hidden', column: '' },
    run: { list: 'max-bench:order-4', drawing: '', column: 'max-bench:order-1' },
  } as const;

  let {
    step,
    failed,
    stale,
    printing,
    area = $bindable(),
    top,
    list,
    section,
    guide,
    column,
    playing,
    edge,
  }: Props = $props();
  let beside = $state<HTMLElement>();
  /** Whether more of the column lies below. */
  let more = $state(false);
  let end = $state<HTMLElement>();

  let last = untrack(() => step);
  $effect(() => {
    if (step === last) return;
    last = step;
    beside?.scrollTo(0, 0);
  });
  $effect(() => {
    if (!beside || !end) return;
    // whether its end is in sight, as the browser finds anyway: measuring it at every change would lay the page out each time
    const watch = new IntersectionObserver((seen) => (more = !seen.at(-1)?.isIntersecting), {
      root: beside,
      rootMargin: '0px 0px 4px',
    });
    watch.observe(end);
    return () => watch.disconnect();
  });
</script>

<div
  class="grid h-dvh grid-rows-[auto_minmax(0,1fr)_auto_auto] max-bench:flex max-bench:h-auto max-bench:flex-col max-bench:pb-16 print:block print:h-auto"
>
  {@render top()}
  {#if failed}
    <main class="px-6 py-12">
      <h1>This set-up cannot be opened</h1>
      <p>{failed}</p>
    </main>
  {:else}
    <main
      class="relative grid min-h-0 grid-cols-[296px_minmax(0,1fr)] max-bench:contents print:block print:bg-none {step ===
      'prepare'
        ? ''
        : 'bg-[linear-gradient(var(--c-ground)_calc(100%_-_76px),var(--c-bench)_calc(100%_-_76px))]'}"
    >
      <section
        class="overflow-auto pt-3 pr-4 pb-4 pl-6 max-bench:h-auto max-bench:px-4 max-bench:py-3 print:h-auto print:columns-2 print:overflow-visible {step ===
        'prepare'
          ? 'h-full'
          : 'h-[calc(100%_-_76px)]'} {ORDER[step].list}"
        aria-label="measures"
      >
        {@render list()}
      </section>
      <section
        class="{ORDER[step]
          .drawing} min-w-0 overflow-hidden max-bench:order-2 max-bench:h-93 max-bench:border-0 max-bench:bg-[linear-gradient(var(--c-ground)_296px,var(--c-bench)_296px)] print:break-inside-avoid print:overflow-visible print:bg-[linear-gradient(transparent_calc(100%_-_76px),var(--c-bench)_calc(100%_-_76px))] print:[print-color-adjust:exact] {stale
          ? '[&>svg]:opacity-60'
          : ''}"
        bind:this={area}
        aria-label="section"
      >
        {@render section()}
      </section>
      {#if step === 'prepare' || printing}<section
          class="absolute top-0 right-0 bottom-0 left-74 overflow-auto border-l border-hair bg-ground max-bench:static max-bench:order-1 max-bench:border-0 print:static print:overflow-visible print:border-0 print:bg-transparent"
          aria-label="guide"
        >
          {@render guide()}
        </section>{/if}
      <aside
        class="{ORDER[step]
          .column} absolute top-3.5 right-6 max-h-[calc(100%_-_76px_-_78px)] w-83 overflow-auto [mask-image:var(--more,none)] pr-1 max-bench:static max-bench:max-h-none max-bench:w-auto max-bench:[mask-image:none] max-bench:px-4 max-bench:py-3 print:static print:max-h-none print:w-auto print:overflow-visible print:[mask-image:none] print:px-6"
        style={more ? '--more: linear-gradient(#000 calc(100% - 22px), transparent)' : ''}
        bind:this={beside}
        hidden={step === 'prepare' && !printing}
      >
        {@render column()}
        <div bind:this={end}></div>
      </aside>
      {#if more && step !== 'prepare'}<p
          class="absolute right-66 bottom-[calc(76px_+_28px)] max-bench:hidden print:hidden"
        >
          <button
            class="plain text-14"
            type="button"
            onclick={() => beside?.scrollBy({ top: beside.clientHeight - 40, behavior: 'smooth' })}>more below ↓</button
          >
        </p>{/if}
    </main>
    <div class="contents print:hidden">{@render playing()}</div>
  {/if}
  <div class="contents print:hidden">{@render edge()}</div>
</div>
