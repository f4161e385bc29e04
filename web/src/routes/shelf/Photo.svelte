<script lang="ts">
  import { doing } from '$lib/api/asked.svelte';
  import { ask, client, send } from '$lib/api/client';
  import { ofShelf, type ItemPage } from '$lib/shelf/shelf';
  import Problem from '$lib/ui/Problem.svelte';
  import { madeSmall, NoPicture } from './small-picture';

  /** What a thing looks like; a picture of a telephone is made small here, before it goes over the wire. */
  let { department, item }: { department: string; item: ItemPage } = $props();
  let refused = $state('');
  const keeping = doing(
    async (picture: Blob) => send(`departments/${department}/shelf/${item.id}/photo`, await picture.arrayBuffer(), {}),
    () => ofShelf(department),
  );
  const removing = doing(
    () =>
      ask(
        client.DELETE('/api/departments/{department}/shelf/{item}/photo', {
          params: { path: { department, item: item.id } },
        }),
      ),
    () => ofShelf(department),
  );

  async function take(input: HTMLInputElement): Promise<void> {
    const file = input.files?.[0];
    input.value = '';
    refused = '';
    if (!file) return;
    try {
      await keeping.run(await madeSmall(file));
    } catch (trouble) {
      if (!(trouble instanceof NoPicture)) throw trouble;
      refused = trouble.message;
    }
  }
</script>

{#if item.photo_at}
  <img
    class="my-3 max-h-[20rem] max-w-full"
    src="/api/departments/{department}/shelf/{item.id}/photo?of={encodeURIComponent(item.photo_at)}"
    alt={item.name}
  />
{/if}
<p class="my-2 flex flex-wrap items-baseline gap-3 text-14">
  <label class="line inline-flex cursor-pointer items-center focus-within:[outline:2px_solid_currentColor]"
    >{item.photo_at ? 'Another photo' : 'A photo of it'}<input
      class="absolute h-px w-px opacity-0"
      type="file"
      accept="image/*"
      disabled={keeping.busy}
      onchange={(event) => void take(event.currentTarget)}
    /></label
  >
  {#if item.photo_at}<button class="plain" type="button" onclick={() => void removing.run(undefined)}
      >take the photo away</button
    >{/if}
  {#if keeping.busy}<span class="note" role="status">taking it in …</span>{/if}
</p>
{#if refused}<p class="wrong" role="alert">{refused}</p>{/if}
<Problem failure={keeping.failure ?? removing.failure} />
