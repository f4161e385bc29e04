<script lang="ts">
  interface Props {
    label: string;
    /** Empty where nothing is stated. */
    value: number | null;
    least?: number;
    most: number;
    step?: number;
    wrong?: true | undefined;
    place?: string;
    /** Whether it may be left empty. */
    optional?: boolean;
    onset: (value: number | null) => void;
  }

  /** A number with its words over it; what is no number stays as it is typed and is not taken. */
  let { label, value, least = 0, most, step = 1, wrong, place = '', optional = false, onset }: Props = $props();

  function take(text: string): void {
    if (text.trim() === '') {
      if (optional) onset(null);
      return;
    }
    const typed = Number(text);
    if (Number.isFinite(typed)) onset(Math.round(typed / step) * step);
  }
</script>

<label class="grid gap-0.5 text-14 {place}"
  >{label}
  <input
    class="box figure w-full"
    type="number"
    min={least}
    max={most}
    {step}
    value={value ?? ''}
    aria-invalid={wrong}
    onchange={(event) => take(event.currentTarget.value)}
  /></label
>
