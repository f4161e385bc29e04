<script lang="ts">
  import { asked } from '$lib/api/asked.svelte';
  import { ask, client } from '$lib/api/client';
  import { settled } from '$lib/api/settled.svelte';
  import { session } from '$lib/session/session.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';

  /** The quick line: one question of units, gauge or absolute, or columns; it answers while one types, in all usual units. */
  let { department, onclose }: { department: string; onclose: () => void } = $props();
  let text = $state('');
  let copied = $state('');
  let field = $state<HTMLInputElement>();
  const typed = settled(() => text.trim(), 150);
  /** What is half typed is not refused before one stops. */
  const stopped = settled(() => text.trim(), 700);
  const examples = [
    '38 m of water in bar',
    '2.4 bar gauge, absolute here',
    '71 cmHg as metres of salt water',
    '27 inHg vacuum',
    '12 ft in m',
    'air at 2900 m',
  ];

  const answering = asked(() => {
    const query = { text: typed.now, department, room: session.room(department)?.id ?? 0 };
    return {
      key: ['quick-line', query.text, department, query.room],
      ask: (signal) => ask(client.GET('/api/quick-line', { params: { query }, signal })),
      when: query.text !== '',
    };
  });
  /** An answer, and a refusal, is of what stands in the field now. */
  const here = $derived(typed.now === text.trim() && text.trim() !== '');
  const wrong = $derived(here ? answering.failure : null);
  const refused = $derived(stopped.now === text.trim() ? wrong : null);
  const said = $derived(text.trim() !== '' && !wrong ? (answering.data ?? null) : null);
  const line = $derived(said ? `${typed.now} = ${said.line}` : '');
  const nearest = $derived((refused?.problem.extra?.parts as { nearest?: string } | undefined)?.nearest ?? '');

  async function copy(): Promise<void> {
    if (!said) return;
    try {
      await navigator.clipboard.writeText(line);
      copied = line;
    } catch {
      // without a safe connection a browser lends no clipboard: the line stands selected, to be copied by hand
      field?.select();
    }
  }
</script>

<Sheet open title="Quick line" {onclose}>
  <input
    class="box figure w-full"
    aria-label="quantity, and in what"
    bind:value={text}
    placeholder="38 m of water in bar"
    maxlength="120"
    autocomplete="off"
    spellcheck="false"
  />
  <div aria-live="polite" class={here ? '' : 'opacity-60'}>
    {#if refused}
      <p class="wrong my-2">{refused.message}</p>
      {#if nearest}<p class="my-2">
          <button class="line figure" type="button" onclick={() => (text = nearest)}>{nearest}</button>
        </p>{/if}
    {/if}
    {#if said}
      <p class="figure my-2 text-22"><b>{said.answer}</b> {said.of}</p>
      <p class="figure my-2">{said.working}</p>
      <p class="note my-2">Rests on {said.rests_on}.</p>
      {#if said.caution}<p class="note my-2">{said.caution}</p>{/if}
      <table class="figure my-3 text-14">
        {#if said.columns.length > 1}
          <thead>
            <tr
              ><td></td>
              {#each said.columns as column (column)}<th class="pl-6 text-right font-normal text-second" scope="col"
                  >{column}</th
                >{/each}</tr
            >
          </thead>
        {/if}
        <tbody>
          {#each said.rows as row (row.unit)}
            <tr class="border-t border-hair">
              <th class="py-0.5 text-left font-normal text-second" scope="row">{row.unit}</th>
              {#each row.values as value, i (i)}<td
                  class="py-0.5 pl-6 text-right {row.asked === i ? 'font-semibold underline underline-offset-4' : ''}"
                  >{value}{#if row.asked === i}<span class="hidden-words">, as asked</span>{/if}</td
                >{/each}
            </tr>
          {/each}
        </tbody>
      </table>
      <p class="my-2 flex gap-2">
        <input
          class="box figure min-w-0 flex-1 text-13"
          readonly
          aria-label="the whole line"
          value={line}
          bind:this={field}
        />
        <button class="line whitespace-nowrap" type="button" onclick={() => void copy()}
          >{copied === line ? 'Copied' : 'Copy the line'}</button
        >
      </p>
    {/if}
  </div>
  <p class="note my-2">
    A number with its unit, “in” another unit, or nothing for all of them; add “gauge”, “absolute” or “vacuum”, “here”
    for this room, “of” a liquid or its density, “at” its temperature. For example
    {#each examples as one, i (one)}<button class="plain" type="button" onclick={() => (text = one)}>{one}</button>{i <
      examples.length - 1
        ? ', '
        : '.'}{/each}
  </p>
</Sheet>
