<script lang="ts">
  import type { Measured } from './aids';

  /** What to mind, what it rests on, the working and the sources. */
  let { answer }: { answer: Measured } = $props();
</script>

{#each answer.cautions as caution (caution)}
  <p class="my-2 border-l-3 border-ink pl-2.5 text-14"><strong>Caution.</strong> {caution}</p>
{/each}
<details class="mt-2 text-14">
  <summary class="cursor-pointer py-1">Working, what it rests on, sources</summary>
  <ul class="list-disc pl-5">
    {#each answer.working as line (line)}<li class="my-0.75">{line}</li>{/each}
    {#each answer.assumptions as line (line)}<li class="my-0.75 text-second">{line}</li>{/each}
    {#each answer.sources as line (line)}<li class="my-0.75 text-second">{line}</li>{/each}
  </ul>
</details>
