<script module lang="ts">
  import { SPACE } from '$lib/units/format';

  function stepWords(handle: HandleInfo): string {
    return `${Number((handle.step / handle.factor).toPrecision(3))}${SPACE}${handle.unit}`;
  }
</script>

<script lang="ts">
  import type { HandleInfo } from '$lib/api/client';
  import { keyed, moved, offset, typed } from './held';

  interface Props {
    handle: HandleInfo;
    /** A value is being held: how it is typed, and the handle's path. */
    onhold: (path: string, text: string) => void;
    onrelease: () => void;
    onremove: (path: string) => void;
    onfocus: (path: string) => void;
  }

  let { handle, onhold, onrelease, onremove, onfocus }: Props = $props();

  let from = $state.raw<{ handle: HandleInfo; x: number; y: number; scale: number } | null>(null);
  let value = $state<number | null>(null);
  let focused = $state(false);
  let keyTimer = 0;

  const base = $derived(from?.handle ?? handle);
  const shift = $derived(value === null ? ([0, 0] as const) : offset(base, value));
  const said = $derived(typed(base, value ?? base.si).replace('+/-', '±'));

  function press(event: PointerEvent): void {
    if (event.button !== 0) return;
    const target = event.currentTarget as SVGGElement;
    target.setPointerCapture(event.pointerId);
    target.focus();
    const matrix = target.ownerSVGElement?.getScreenCTM();
    from = { handle, x: event.clientX, y: event.clientY, scale: matrix?.a || 1 };
    event.preventDefault();
  }

  function move(event: PointerEvent): void {
    if (!from) return;
    hold(moved(from.handle, (event.clientX - from.x) / from.scale, (event.clientY - from.y) / from.scale));
  }

  function hold(si: number): void {
    if (si === (value ?? base.si)) return;
    value = si;
    onhold(handle.path, typed(base, si));
  }

  function release(): void {
    if (!from && value === null) return;
    from = null;
    value = null;
    onrelease();
  }

  /** A finger that takes the ring does not scroll the page. */
  function holdsPage(node: SVGElement) {
    const held = (event: TouchEvent): void => event.preventDefault();
    node.addEventListener('touchstart', held, { passive: false });
    return { destroy: () => node.removeEventListener('touchstart', held) };
  }

  function key(event: KeyboardEvent): void {
    const steps = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1, PageUp: 10, PageDown: -10 }[event.key];
    if (steps) {
      from ??= { handle, x: 0, y: 0, scale: 1 };
      hold(keyed(from.handle, value ?? from.handle.si, steps * (event.shiftKey ? 10 : 1)));
      clearTimeout(keyTimer);
      keyTimer = window.setTimeout(release, 400);
      event.preventDefault();
    } else if ((event.key === 'Delete' || event.key === 'Backspace') && handle.removes) {
      onremove(handle.removes);
      event.preventDefault();
    }
  }
</script>

<g
  use:holdsPage
  class="ring"
  data-handle={handle.path}
  role="slider"
  tabindex="0"
  aria-label={handle.words}
  aria-valuenow={value ?? handle.si}
  aria-valuemin={handle.least}
  aria-valuemax={handle.most}
  aria-valuetext={said}
  aria-orientation={handle.axis[0] ? 'horizontal' : 'vertical'}
  transform="translate({base.x + shift[0]} {base.y + shift[1]})"
  onpointerdown={press}
  onpointermove={move}
  onpointerup={release}
  onpointercancel={release}
  onkeydown={key}
  onfocus={() => {
    focused = true;
    onfocus(handle.path);
  }}
  onblur={() => {
    focused = false;
    onfocus('');
    release();
  }}
>
  <circle r="15" fill="transparent" />
  <circle r="6.5" fill="var(--c-ground)" stroke="var(--c-ink)" stroke-width="1.75" />
  {#if focused || from}
    <circle r="11" fill="none" stroke="var(--c-ink)" stroke-width="2" />
  {/if}
</g>
{#if focused || from}
  <g class="tag" transform="translate({base.x + shift[0] + 18} {base.y + shift[1] - 34})">
    <rect x="-6" y="-16" width="188" height={handle.removes ? 54 : 38} fill="var(--c-ground)" stroke="var(--c-hair)" />
    <text class="figure big">{said}</text>
    <text class="figure" y="16">↑ ↓ {stepWords(base)}, with ⇧ ten times</text>
    {#if handle.removes}<text class="figure" y="32">Delete removes it</text>{/if}
  </g>
{/if}

<style>
  .ring {
    cursor: grab;
    outline: none;
    touch-action: none;
  }

  .ring:active {
    cursor: grabbing;
  }

  .tag {
    pointer-events: none;
  }

  .tag text {
    font-size: 12px;
    fill: var(--c-second);
  }

  .tag .big {
    font-size: 16px;
    font-weight: 600;
    fill: var(--c-ink);
  }
</style>
