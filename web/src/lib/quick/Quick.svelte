<script lang="ts">
  import { doing } from '$lib/api/asked.svelte';
  import { ask, client, type Schemas } from '$lib/api/client';
  import { session } from '$lib/session/session.svelte';
  import Sheet from '$lib/ui/Sheet.svelte';

  /** The quick line: one question of units, gauge or absolute, or columns; its answer and working, to be copied. */
  let { department, onclose }: { department: string; onclose: () => void } = $props();
  let text = $state('');
  let said = $state.raw<Schemas['QuickLineOut'] | null>(null);
  let copied = $state(false);
  let field = $state<HTMLInputElement>();
  const line = $derived(said ? `${text} = ${said.line}` : '');
  const examples = [
    '38 m of water in bar',
    '2.4 bar gauge, absolute here',
    '71 cmHg as metres of salt water',
    '12 ft in m',
  ];

  const asking = doing((query: { text: string; department: string; room: number }) =>
    ask(client.GET('/api/quick-line', { params: { query } })),
  );

  async function work(): Promise<void> {
    copied = false;
    said = await asking.run({ text, department, room: session.room(department)?.id ?? 0 });
  }

  async function copy(): Promise<void> {
    if (!said) return;
    try {
      await navigator.clipboard.writeText(line);
      copied = true;
    } catch {
      // without a safe connection a browser lends no clipboard: the line stands selected, to be copied by hand
      field?.select();
    }
  }
</script>

<Sheet open title="Quick line" {onclose}>
  <form
    class="flex gap-2"
    onsubmit={(event) => {
      event.preventDefault();
      void work();
    }}
  >
    <input
      class="box figure min-w-0 flex-1"
      aria-label="quantity, and in what"
      bind:value={text}
      placeholder="38 m of water in bar"
      maxlength="120"
      autocomplete="off"
      spellcheck="false"
    />
    <button class="solid" type="submit" disabled={text.trim() === ''}>Answer</button>
  </form>
  <div aria-live="polite">
    {#if asking.failure}<p class="wrong my-2">{asking.failure.message}</p>{/if}
    {#if said}
      <p class="figure my-2 text-22"><b>{said.answer}</b> {said.of}</p>
      <p class="figure my-2">{said.working}</p>
      <p class="note my-2">Rests on {said.rests_on}.</p>
      {#if said.caution}<p class="note my-2">{said.caution}</p>{/if}
      <input
        class="box figure w-full min-w-0 flex-1 text-13"
        readonly
        aria-label="the whole line"
        value={line}
        bind:this={field}
      />
      <p class="my-2">
        <button class="line" type="button" onclick={() => void copy()}>{copied ? 'Copied' : 'Copy the line'}</button>
      </p>
    {/if}
  </div>
  <p class="note my-2">
    A number with its unit, “in” another unit; add “gauge” or “absolute”, “here” for this room, “of” a liquid. For
    example
    {#each examples as one, i (one)}<button
        class="plain"
        type="button"
        onclick={() => {
          text = one;
          void work();
        }}>{one}</button
      >{i < examples.length - 1 ? ', ' : '.'}{/each}
  </p>
</Sheet>
