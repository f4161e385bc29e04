<script lang="ts">
  import { words } from '$lib/words/words';

  /** The verdict's mark changes its shape with the state: a level disc, half a diamond, a cracked bowl with a drop; in doubt it stands in broken brackets. */
  let { state, doubt = '', size = 26 }: { state: string; doubt?: string; size?: number } = $props();
</script>

<svg
  width={size}
  height={size}
  viewBox="0 0 26 26"
  role="img"
  aria-label={doubt ? `${words.states[state]}, ${doubt}` : words.states[state]}
>
  <g transform={doubt ? 'translate(4.5 4.5) scale(0.654)' : undefined}>
    {#if state === 'works'}
      <circle cx="13" cy="13" r="11" fill="none" stroke="currentColor" stroke-width="2" />
      <path d="M2 13a11 11 0 0 0 22 0z" fill="currentColor" />
    {:else if state === 'marginal'}
      <path d="M13 1.5 24.5 13 13 24.5 1.5 13z" fill="none" stroke="currentColor" stroke-width="2" />
      <path d="M13 1.5V24.5L1.5 13z" fill="currentColor" />
    {:else}
      <path d="M2 6a11 11 0 0 0 22 0" fill="none" stroke="currentColor" stroke-width="2" />
      <path d="M2 6H24M12 6l-2 4 4 3-2 4" fill="none" stroke="currentColor" stroke-width="2" />
      <path d="M13 19c2 3 3 3.600 3 5a3 3 0 0 1-6 0c0-1.400 1-2 3-5z" fill="currentColor" />
    {/if}
  </g>
  {#if doubt}<path
      d="M4 1.500H1.500V9M1.500 17v7.500H4M22 1.500h2.500V9M24.500 17v7.500H22"
      fill="none"
      stroke="currentColor"
      stroke-width="2"
    />{/if}
</svg>
