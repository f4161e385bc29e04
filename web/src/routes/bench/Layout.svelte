<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Step } from './steps';

  interface Props {
    step: Step;
    /** Why nothing can be opened; empty where something is. */
    failed: string;
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
  let { step, failed, area = $bindable(), top, list, section, guide, column, playing, edge }: Props = $props();
</script>

<div class="page">
  {@render top()}
  {#if failed}
    <main class="failed">
      <h1>This set-up cannot be opened</h1>
      <p>{failed}</p>
    </main>
  {:else}
    <main class="middle step-{step}">
      <section class="list" aria-label="measures">{@render list()}</section>
      <section class="drawing" bind:this={area} aria-label="section">{@render section()}</section>
      {#if step === 'prepare'}<section class="guide" aria-label="guide">{@render guide()}</section>{/if}
      <aside class="column" hidden={step === 'prepare'}>{@render column()}</aside>
    </main>
    {@render playing()}
  {/if}
  {@render edge()}
</div>

<style>
  .page {
    display: grid;
    grid-template-rows: auto minmax(0, 1fr) auto auto;
    height: 100dvh;
  }

  .failed {
    padding: 48px 24px;
  }

  .middle {
    position: relative;
    display: grid;
    grid-template-columns: 296px minmax(0, 1fr);
    min-height: 0;
    background: linear-gradient(var(--c-ground) calc(100% - 76px), var(--c-bench) calc(100% - 76px));
  }

  .list {
    height: calc(100% - 76px);
    overflow: auto;
    padding: 12px 16px 16px 24px;
  }

  .drawing {
    min-width: 0;
    overflow: hidden;
  }

  .guide {
    position: absolute;
    inset: 0 0 0 296px;
    overflow: auto;
    border-left: 1px solid var(--c-hair);
    background: var(--c-ground);
  }

  .step-prepare {
    background: none;
  }

  .step-prepare .list {
    height: 100%;
  }

  .column {
    position: absolute;
    top: 14px;
    right: 24px;
    width: 332px;
    max-height: calc(100% - 76px - 78px);
    overflow: auto;
    padding-right: 4px;
  }

  @media (max-width: 936px) {
    .page {
      display: block;
      height: auto;
      padding-bottom: 64px;
    }

    .middle {
      display: flex;
      flex-direction: column;
      background: none;
    }

    .list {
      order: 4;
      height: auto;
      padding: 12px 16px;
    }

    .drawing {
      order: 2;
      height: 372px;
      border: 0;
      background: linear-gradient(var(--c-ground) 296px, var(--c-bench) 296px);
    }

    .column {
      position: static;
      order: 1;
      width: auto;
      max-height: none;
      padding: 12px 16px;
    }

    .guide {
      position: static;
      order: 1;
      border: 0;
    }

    .step-prepare .drawing,
    .step-prepare .list {
      display: none;
    }

    .step-predict .column {
      display: contents;
    }

    .step-predict .column > :global(*) {
      order: 1;
      margin-inline: 16px;
    }

    .step-predict .column > :global(.first) {
      padding-top: 12px;
    }

    .step-predict .column > :global(.rest) {
      order: 3;
      padding-top: 12px;
    }

    .step-measure .list {
      order: 1;
    }

    .step-measure .column {
      order: 3;
    }
  }
</style>
