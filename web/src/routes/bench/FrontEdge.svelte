<script lang="ts">
  import { STEPS, type Standing, type Step } from './steps';

  /** Each step in its lasting place of six, with how it stands. */
  let { step, standing, onstep }: { step: Step; standing: Standing; onstep: (step: Step) => void } = $props();
</script>

<nav aria-label="steps">
  {#each STEPS as place (place.step)}
    <button
      type="button"
      style="--place: {place.number}"
      aria-current={place.step === step ? 'step' : undefined}
      onclick={() => onstep(place.step)}
    >
      <span class="figure">{place.number}</span> <strong>{place.name}</strong> <small>{place.told(standing)}</small>
    </button>
  {/each}
</nav>

<style>
  nav {
    display: grid;
    grid-template-columns: repeat(6, minmax(0, 1fr));
    gap: 8px;
    padding: 0 24px;
    background: var(--c-front);
    color: var(--c-bench-second);
  }

  button {
    grid-column: var(--place);
    grid-row: 1;
    min-height: 40px;
    padding: 0;
    border: 0;
    border-top: 3px solid var(--c-thin);
    background: none;
    text-align: left;
    white-space: nowrap;
    overflow: hidden;
  }

  button[aria-current] {
    border-top-color: var(--c-bench-ink);
    color: var(--c-bench-ink);
  }

  strong {
    font-weight: 600;
  }

  button:not([aria-current]) strong {
    font-weight: 400;
  }

  small {
    margin-left: 6px;
    font-size: 0.8125rem;
  }

  @media (max-width: 936px) {
    nav {
      position: fixed;
      inset: auto 0 0;
      z-index: 10;
      gap: 4px;
      padding: 0 8px;
    }

    button {
      display: flex;
      flex-direction: column;
      align-items: center;
      min-height: 52px;
      font-size: 0.75rem;
    }

    small {
      display: none;
    }
  }
</style>
