<script lang="ts">
  import { answers } from '$lib/api/answers';
  import type { Lesson } from './lesson';

  /** What goes out of a lesson: on paper, into a calendar, as a file; and which paper tells what does not hold any more. */
  let { department, lesson }: { department: string; lesson: Lesson } = $props();
  const at = $derived(`/api/departments/${department}/lessons/${lesson.id}`);
  const PAPER = [
    [
      'prep',
      'Prep sheet',
      'for who prepares it: the jobs with their times, what stands on the bench, what is put away',
    ],
    ['run', 'Run sheet', 'for who teaches it: sections, verdicts, questions, cautions, what hands over'],
    ['risk', 'Risk assessment', 'from the cautions, to look through, complete and sign; the school’s rules come first'],
  ] as const;
  /** A sheet that was fetched counts as printed: what is stale is asked anew once it is made. */
  function fetched(): void {
    setTimeout(() => void answers.invalidateQueries({ queryKey: ['lesson', department, lesson.id] }), 2500);
  }
</script>

<div class="max-w-3xl">
  <h2>On paper</h2>
  <ul>
    {#each PAPER as [kind, name, words] (kind)}
      <li class="border-b border-hair py-2">
        <a
          class="font-semibold underline decoration-1 underline-offset-4"
          target="_blank"
          rel="noopener"
          href="{at}/{kind}.pdf"
          onclick={fetched}>{name} (PDF)</a
        >
        <span class="note block">{words}</span>
        {#each lesson.stale.filter((one) => one.kind === kind) as one (one.kind)}
          <span class="mt-1 block border-l-4 border-ink pl-2 text-14" role="alert">{one.words} Print it again.</span>
        {/each}
      </li>
    {/each}
  </ul>
  <h2 class="mt-5">Elsewhere</h2>
  <ul>
    <li class="border-b border-hair py-2">
      <a class="font-semibold underline decoration-1 underline-offset-4" href="{at}/lesson.ics" download
        >Into a calendar</a
      >
      <span class="note block">the lesson and each job before it, with alarms (iCalendar)</span>
    </li>
    <li class="border-b border-hair py-2">
      <a class="font-semibold underline decoration-1 underline-offset-4" href="{at}/lesson.json" download>As a file</a>
      <span class="note block"
        >whole, with the sizes of its set-ups, for another department or another year; it is taken in on the page
        Lessons</span
      >
    </li>
  </ul>
</div>
