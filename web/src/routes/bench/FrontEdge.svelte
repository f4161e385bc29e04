<script lang="ts">
  import { STEPS, type Standing, type Step } from './steps';

  /** Each step in its lasting place of six, with how it stands. */
  let { step, standing, onstep }: { step: Step; standing: Standing; onstep: (step: Step) => void } = $props();
</script>

<nav
  class="grid grid-cols-6 gap-2 bg-front px-6 text-bench-second max-bench:fixed max-bench:top-auto max-bench:right-0 max-bench:bottom-0 max-bench:left-0 max-bench:z-10 max-bench:gap-1 max-bench:px-2 max-bench:py-0"
  aria-label="steps"
>
  {#each STEPS as place (place.step)}
    <button
      class="group col-[var(--place)] row-1 min-h-10 overflow-hidden border-t-3 border-thin text-left whitespace-nowrap max-bench:flex max-bench:min-h-13 max-bench:flex-col max-bench:items-center max-bench:text-12 [&[aria-current]]:border-t-bench-ink [&[aria-current]]:text-bench-ink"
      type="button"
      style="--place: {place.number}"
      aria-current={place.step === step ? 'step' : undefined}
      onclick={() => onstep(place.step)}
    >
      <span class="figure">{place.number}</span>
      <strong class="font-normal group-[[aria-current]]:font-semibold">{place.name}</strong>
      <small class="ml-1.5 text-13 max-bench:hidden">{place.told(standing)}</small>
    </button>
  {/each}
</nav>
