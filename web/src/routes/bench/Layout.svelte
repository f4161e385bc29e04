<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Step } from './steps';

  interface Props {
    step: Step;
    /** Why nothing can be opened; empty where something is. */
    failed: string;
    /** Whether the drawing is that of the last good answer. */
    stale: boolean;
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

  let { step, failed, stale, area = $bindable(), top, list, section, guide, column, playing, edge }: Props = $props();
  let beside = $state<HTMLElement>();
  $effect(() => {
    void step;
    beside?.scrollTo(0, 0);
  });
</script>

<div class="grid h-dvh grid-rows-[auto_minmax(0,1fr)_auto_auto] max-bench:block max-bench:h-auto max-bench:pb-16">
  {@render top()}
  {#if failed}
    <main class="px-6 py-12">
      <h1>This set-up cannot be opened</h1>
      <p>{failed}</p>
    </main>
  {:else}
    <main
      class="relative grid min-h-0 grid-cols-[296px_minmax(0,1fr)] max-bench:flex max-bench:flex-col max-bench:bg-none {step ===
      'prepare'
        ? ''
        : 'bg-[linear-gradient(var(--c-ground)_calc(100%_-_76px),var(--c-bench)_calc(100%_-_76px))]'}"
    >
      <section
        class="overflow-auto pt-3 pr-4 pb-4 pl-6 max-bench:h-auto max-bench:px-4 max-bench:py-3 {step === 'prepare'
          ? 'h-full'
          : 'h-[calc(100%_-_76px)]'} {ORDER[step].list}"
        aria-label="measures"
      >
        {@render list()}
      </section>
      <section
        class="{ORDER[step]
          .drawing} min-w-0 overflow-hidden max-bench:order-2 max-bench:h-93 max-bench:border-0 max-bench:bg-[linear-gradient(var(--c-ground)_296px,var(--c-bench)_296px)] {stale
          ? '[&>svg]:opacity-60'
          : ''}"
        bind:this={area}
        aria-label="section"
      >
        {@render section()}
      </section>
      {#if step === 'prepare'}<section
          class="absolute top-0 right-0 bottom-0 left-74 overflow-auto border-l border-hair bg-ground max-bench:static max-bench:order-1 max-bench:border-0"
          aria-label="guide"
        >
          {@render guide()}
        </section>{/if}
      <aside
        class="{ORDER[step]
          .column} absolute top-3.5 right-6 max-h-[calc(100%_-_76px_-_78px)] w-83 overflow-auto pr-1 max-bench:static max-bench:max-h-none max-bench:w-auto max-bench:px-4 max-bench:py-3"
        bind:this={beside}
        hidden={step === 'prepare'}
      >
        {@render column()}
      </aside>
    </main>
    {@render playing()}
  {/if}
  {@render edge()}
</div>
