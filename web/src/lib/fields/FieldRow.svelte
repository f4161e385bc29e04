<script lang="ts">
  import ChoiceField from './ChoiceField.svelte';
  import FlagField from './FlagField.svelte';
  import GroupField from './GroupField.svelte';
  import LiquidField from './LiquidField.svelte';
  import ListField from './ListField.svelte';
  import OneOfField from './OneOfField.svelte';
  import QuantityField from './QuantityField.svelte';
  import ReportField from './ReportField.svelte';
  import type { Field } from './schema';

  /** One field of the closed list. */
  let { field, path }: { field: Field; path: string } = $props();
  const own = $derived(field.kind === 'one-of' ? path : `${path}.${field.key}`);
</script>

{#if field.kind === 'quantity' || field.kind === 'number' || field.kind === 'quantity-or-unknown'}
  <QuantityField {field} path={own} />
{:else if field.kind === 'choice'}
  <ChoiceField {field} path={own} />
{:else if field.kind === 'flag'}
  <FlagField {field} path={own} />
{:else if field.kind === 'liquid'}
  <LiquidField {field} path={own} />
{:else if field.kind === 'report'}
  <ReportField {field} path={own} />
{:else if field.kind === 'list'}
  <ListField {field} path={own} />
{:else if field.kind === 'one-of'}
  <OneOfField {field} path={own} />
{:else}
  <GroupField {field} path={own} />
{/if}
