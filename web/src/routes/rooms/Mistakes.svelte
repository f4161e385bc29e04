<script lang="ts">
  import type { Schemas } from '$lib/api/client';
  import Figure from '$lib/ui/Figure.svelte';

  /** Each demonstration's number here, and with a pressure that is not the room's. */
  let { mistakes }: { mistakes: Schemas['MistakeOut'][] } = $props();
</script>

<table>
  <thead><tr><th scope="col">demonstration</th><th scope="col">here</th><th scope="col">by mistake</th></tr></thead>
  <tbody>
    {#each mistakes as one (one.title)}
      <tr title={one.words}>
        <td>{one.title}, {one.label}</td>
        <td
          >{#if one.here !== null}<Figure si={one.here} sd={one.here_sd} kind={one.kind} shown={one.shown} />{/if}</td
        >
        <td
          >{#if one.mistaken !== null}<Figure
              si={one.mistaken}
              sd={one.mistaken_sd}
              kind={one.kind}
              shown={one.shown}
            />{/if}</td
        >
      </tr>
      <tr class="words"><td colspan="3">{one.words[0]?.toUpperCase()}{one.words.slice(1)}.</td></tr>
    {/each}
  </tbody>
</table>

<style>
  table {
    width: 100%;
    max-width: 46rem;
    margin-top: 8px;
    border-collapse: collapse;
    font-size: 0.875rem;
  }

  th {
    font-weight: 400;
    text-align: left;
    color: var(--c-second);
  }

  td {
    padding: 6px 8px 0 0;
    border-top: 1px solid var(--c-hair);
  }

  .words td {
    padding: 0 8px 6px 0;
    border: 0;
    color: var(--c-second);
    font-size: 0.8125rem;
  }
</style>
