<script lang="ts">
  import { at, put, type Doc, type Json } from '$lib/document/paths';
  import { untrack } from 'svelte';
  import { provideForm } from './context';
  import FormFields from './FormFields.svelte';
  import { fieldsOf, type JsonSchema } from './schema';

  interface Props {
    schema: JsonSchema;
    start: Doc;
    wrong: Record<string, string>;
    onchange: (path: string, value: Json | undefined) => void;
  }

  let { schema, start, wrong, onchange }: Props = $props();
  let document = $state.raw(untrack(() => start));

  provideForm({
    stated: (path) => at(document, path),
    change: (path, value) => {
      document = put(document, path, value);
      onchange(path, value);
    },
    wrong: (path) => wrong[path] ?? '',
    inUse: () => undefined,
    share: () => 0,
    focused: '',
    focus: () => undefined,
    help: false,
  });
</script>

<FormFields fields={fieldsOf(schema, schema)} path="setup" />
