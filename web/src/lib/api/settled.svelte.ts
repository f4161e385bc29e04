/** A value that follows another once that has stood still for a while; the first is taken at once. */
import { untrack } from 'svelte';

export function settled<T>(value: () => T, while_: number): { readonly now: T } {
  let now = $state.raw(untrack(value));
  $effect(() => {
    const next = value();
    if (
      Object.is(
        next,
        untrack(() => now),
      )
    )
      return;
    const timer = setTimeout(() => (now = next), while_);
    return () => clearTimeout(timer);
  });
  return {
    get now() {
      return now;
    },
  };
}
