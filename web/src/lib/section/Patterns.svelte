<script lang="ts">
  const kinds = [
    { id: 'hatch-up', gap: 5, turn: 45, ink: 'ink', width: 1 },
    { id: 'hatch-down', gap: 14, turn: -45, ink: 'thin', width: 1 },
    { id: 'hatch-below', gap: 7, turn: 45, ink: 'hatch-below', width: 0.9 },
  ];
</script>

{#each kinds as { id, gap, turn, ink, width } (id)}
  <pattern {id} width={gap} height={gap} patternUnits="userSpaceOnUse" patternTransform="rotate({turn})">
    <path d="M0 0V{gap}" stroke="var(--c-{ink})" stroke-width={width} />
  </pattern>
{/each}
