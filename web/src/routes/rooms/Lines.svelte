<script lang="ts" generics="Row extends Record<string, string>">
  interface Column {
    key: keyof Row & string;
    /** Above the first line; empty where the list says it itself. */
    heading?: string;
    /** What the field is, after the line's own name. */
    label?: string;
    placeholder?: string;
    most: number;
    figure?: boolean;
  }
  interface Props {
    rows: Row[];
    columns: readonly Column[];
    /** What one line is. */
    what: string;
    /** One with nothing in it. */
    empty: Row;
    /** How wide the columns are. */
    widths: string;
    wrong: (line: number, key: string) => true | undefined;
    onchange: () => void;
  }

  /** Lines of a few fields each, added and taken out one by one. */
  let { rows = $bindable(), columns, what, empty, widths, wrong, onchange }: Props = $props();
</script>

{#each rows as row, k (k)}
  <p class="my-1.5 grid {widths} items-end gap-2 text-14">
    {#each columns as one (one.key)}
      <label class="grid gap-0.5"
        >{k === 0 ? (one.heading ?? '') : ''}<input
          class="box w-full min-w-0 {one.figure ? 'figure' : ''}"
          bind:value={row[one.key]}
          maxlength={one.most}
          placeholder={one.placeholder}
          aria-label="{what} {k + 1}{one.label ? `, ${one.label}` : ''}"
          aria-invalid={wrong(k, one.key)}
        /></label
      >
    {/each}
    <button
      class="plain"
      type="button"
      aria-label="take {what} {k + 1} out"
      onclick={() => {
        rows = rows.filter((_, other) => other !== k);
        onchange();
      }}>×</button
    >
  </p>
{/each}
<p>
  <button
    class="plain text-14"
    type="button"
    onclick={() => {
      rows = [...rows, { ...empty }];
      onchange();
    }}>add a {what}</button
  >
</p>
