<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import Figure from '$lib/ui/Figure.svelte';

  /** Each demonstration's number here, and with a pressure that is not the room's. */
  let { mistakes }: { mistakes: Schemas['MistakeOut'][] } = $props();
</script>

<table class="mt-2 w-full max-w-[46rem] text-14 [overflow-wrap:anywhere]">
  <thead
    ><tr
      ><th class="text-left font-normal text-second" scope="col">demonstration</th><th
        class="text-left font-normal text-second"
        scope="col">here</th
      ><th class="text-left font-normal text-second" scope="col">by mistake</th></tr
    ></thead
  >
  <tbody>
    {#each mistakes as one (one.title)}
      <tr title={one.words}>
        <td class="border-t border-hair pt-1.5 pr-2">{one.title}, {one.label}</td>
        <td class="border-t border-hair pt-1.5 pr-2"
          >{#if one.here !== null}<Figure si={one.here} sd={one.here_sd} kind={one.kind} shown={one.shown} />{/if}</td
        >
        <td class="border-t border-hair pt-1.5 pr-2"
          >{#if one.mistaken !== null}<Figure
              si={one.mistaken}
              sd={one.mistaken_sd}
              kind={one.kind}
              shown={one.shown}
            />{/if}</td
        >
      </tr>
      <tr
        ><td class="border-t-hair pr-2 pb-1.5 text-13 text-second" colspan="3"
          >{one.words[0]?.toUpperCase()}{one.words.slice(1)}.</td
        ></tr
      >
    {/each}
  </tbody>
</table>
