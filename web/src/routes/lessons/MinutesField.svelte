<script lang="ts">
  import { quarters } from './lesson';

  interface Props {
    label: string;
    /** What it is called to who cannot see where it stands. */
    name: string;
    value: number;
    onset: (value: number) => void;
  }

  /** Minutes in quarters, in one line with its words; what is no time is not taken. */
  let { label, name, value, onset }: Props = $props();

  function take(text: string): void {
    const typed = quarters(text);
    if (typed !== undefined) onset(typed);
  }
</script>

<label class="flex items-baseline gap-1.5"
  ><span class="note">{label}</span>
  <input
    class="box figure w-[4.4rem]"
    type="number"
    min="0"
    max="240"
    step="0.25"
    {value}
    aria-label={name}
    onchange={(event) => take(event.currentTarget.value)}
  /><span class="note">min</span></label
>
