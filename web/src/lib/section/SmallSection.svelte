<script lang="ts">
  import { session } from '$lib/session/session.svelte';

  /** A set-up's or a demonstration's section in the room in use, drawn small; fetched as it comes into sight. */
  interface Props {
    department: string;
    setup?: number;
    demonstration?: string;
    class?: string;
  }

  let { department, setup = 0, demonstration = '', class: place = '' }: Props = $props();
  const address = $derived.by(() => {
    const { room = '' } = session.roomQuery(department) as { room?: string };
    const what = setup ? { setup: String(setup) } : { demonstration };
    const asked = Object.entries({ theme: session.theme, ...(room ? { room: String(room) } : {}), ...what });
    const query = asked.map(([key, value]) => `${key}=${encodeURIComponent(value)}`).join('&');
    return `/api/departments/${department}/choose/section.svg?${query}`;
  });
</script>

<img class="block bg-strip {place}" src={address} width="168" height="112" alt="" loading="lazy" decoding="async" />
