<script lang="ts">
  import { session } from '$lib/session/session.svelte';
  import { Router } from 'sv-router';
  import './router';

  void session.load();
</script>

{#if session.me}
  <Router />
{:else if session.failure}
  <main class="mx-auto max-w-xl px-6 py-16">
    <h1>{session.failure.signedOut ? 'You are signed out' : 'Anchorage cannot be reached'}</h1>
    <p class="mt-4">{session.failure.message}</p>
    <p class="mt-6">
      {#if session.failure.signedOut}
        <a href="/accounts/login/">Sign in</a>
      {:else}
        <button class="solid" type="button" onclick={() => session.load()}>Try again</button>
      {/if}
    </p>
  </main>
{/if}
