<script lang="ts">
  import AidForm from '$lib/measuring/AidForm.svelte';
  import { aids } from '$lib/measuring/aids';
  import Problem from '$lib/ui/Problem.svelte';
  import TopLine from '$lib/ui/TopLine.svelte';
  import { p, parameter } from '../../router';

  /** Every measuring aid, whether a set-up asks for it or not. */
  const department = $derived(parameter('department'));
  const known = aids(() => true);
  const all = $derived(known.data ?? []);
  const aid = $derived(all.find((one) => one.key === parameter('aid')) ?? all[0]);
</script>

<svelte:head><title>{aid?.title ?? 'Measuring'}, Anchorage</title></svelte:head>
<TopLine title="measuring" />
<main class="grid grid-cols-[17rem_minmax(0,1fr)] gap-8 px-6 py-5 max-bench:grid-cols-1 max-phone:px-4">
  <nav aria-label="measuring aids">
    <Problem failure={known.failure} />
    <ul class="text-14">
      {#each all as one (one.key)}
        <li>
          <a
            class="block min-h-7 border-l-3 border-transparent py-0.75 pl-2.5 no-underline [&[aria-current]]:border-ink [&[aria-current]]:font-semibold"
            href={p('/d/:department/measuring/:aid', { params: { department, aid: one.key } })}
            aria-current={one === aid ? 'page' : undefined}>{one.title}</a
          >
        </li>
      {/each}
    </ul>
  </nav>
  {#if aid}
    <section aria-label={aid.title}>
      <h1 class="text-28 leading-[1.16] font-normal">{aid.title}</h1>
      <p class="note mb-3">{aid.purpose}</p>
      {#key aid.key}<AidForm {department} {aid} />{/key}
    </section>
  {/if}
</main>
