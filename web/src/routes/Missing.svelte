<script lang="ts">
  import { p } from '../router';
</script>

<main class="mx-auto max-w-2xl px-6 py-16">
  <h1>There is no such page</h1>
  <p class="mt-4"><a href={p('/')}>To the set-ups</a></p>
</main>
