<script lang="ts">
  import type { ApiError } from '$lib/api/client';

  /** What stands in the way, with the way in where one is signed out. */
  let { failure }: { failure: ApiError | null } = $props();
</script>

{#if failure}
  <p class="wrong" role="alert">
    {failure.message}
    {#if failure.signedOut}<a href="/accounts/login/" target="_blank" rel="noopener">Sign in</a>{/if}
  </p>
{/if}
