<script lang="ts">
  import { untrack } from 'svelte';
  import Jobs from './Jobs.svelte';
  import type { Lesson } from './lesson';
  import { ticking as tickingOf } from './ticking.svelte';

  /** A lesson's jobs with their ticks, as its page has them. */
  let { lesson }: { lesson: Lesson } = $props();
  let told = $state(untrack(() => lesson.ticks));
  const ticking = tickingOf(
    () => ({ department: 'lakeside', lesson: lesson.id }),
    (ticks) => (told = { ...told, ...ticks }),
  );
</script>

<Jobs lesson={{ ...lesson, ticks: told }} {ticking} />
