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
    /** Width of the drawing, within which the tag stays. */
    room?: number;
    /** A value is being held: how it is typed, and the handle's path. */
    onhold: (path: string, text: string) => void;
    onrelease: () => void;
    onremove: (path: string) => void;
    onfocus: (path: string) => void;
    onmove?: (path: string, by: number) => void;
    onfill?: (path: string) => void;
  }

  let { handle, room = Infinity, onhold, onrelease, onremove, onfocus, onmove, onfill }: Props = $props();

  let from = $state.raw<{ handle: HandleInfo; x: number; y: number; scale: number } | null>(null);
  let value = $state<number | null>(null);
  /** The second input, where the ring moves one across as well. */
  let second = $state<number | null>(null);
  let focused = $state(false);
  let keyTimer = 0;

  const base = $derived(from?.handle ?? handle);
  const shift = $derived.by(() => {
    const [x, y] = value === null ? [0, 0] : offset(base, value);
    const [dx, dy] = base.across && second !== null ? offset(base.across, second) : [0, 0];
    return [x + dx, y + dy] as const;
  });
  const said = $derived(
    [typed(base, value ?? base.si), ...(base.across ? [typed(base.across, second ?? base.across.si)] : [])]
      .join(', ')
      .replaceAll('+/-', '±'),
  );

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
    const [dx, dy] = [(event.clientX - from.x) / from.scale, (event.clientY - from.y) / from.scale];
    hold(moved(from.handle, dx, dy));
    if (from.handle.across) holdAcross(moved(from.handle.across, dx, dy));
  }

  function holdAcross(si: number): void {
    if (!base.across || si === (second ?? base.across.si)) return;
    second = si;
    onhold(base.across.path, typed(base.across, si));
  }

  function hold(si: number): void {
    if (si === (value ?? base.si)) return;
    value = si;
    onhold(handle.path, typed(base, si));
  }

  function release(): void {
    if (!from && value === null && second === null) return;
    from = null;
    value = null;
    second = null;
    onrelease();
  }

  const tagWidth = $derived(188 + (base.across ? 60 : 0));
  const hints = $derived([
    ...(handle.removes ? ['Delete removes it'] : []),
    ...(handle.removes && onmove ? ['alt ↑ ↓ moves it in the list'] : []),
    ...(handle.fills && onfill ? ['f fills in another liquid'] : []),
  ]);

  /** A finger that takes the ring does not scroll the page. */
  function holdsPage(node: SVGElement) {
    const held = (event: TouchEvent): void => event.preventDefault();
    node.addEventListener('touchstart', held, { passive: false });
    return { destroy: () => node.removeEventListener('touchstart', held) };
  }

  function key(event: KeyboardEvent): void {
    const steps = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1, PageUp: 10, PageDown: -10 }[event.key];
    if (steps && event.altKey && handle.removes && onmove) {
      onmove(handle.removes, Math.sign(steps));
      event.preventDefault();
    } else if (event.key.toLowerCase() === 'f' && handle.fills && onfill) {
      onfill(handle.fills);
      event.preventDefault();
      event.stopPropagation();
    } else if (steps) {
      from ??= { handle, x: 0, y: 0, scale: 1 };
      const many = steps * (event.shiftKey ? 10 : 1);
      const across = from.handle.across;
      if (across && (event.key === 'ArrowLeft' || event.key === 'ArrowRight'))
        holdAcross(keyed(across, second ?? across.si, many));
      else hold(keyed(from.handle, value ?? from.handle.si, many));
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
  <g
    class="tag"
    transform="translate({base.x + shift[0] + (base.x + tagWidth + 12 > room ? -tagWidth - 6 : 18)} {Math.max(
      base.y + shift[1] - 34,
      18,
    )})"
  >
    <rect
      x="-6"
      y="-16"
      width={tagWidth}
      height={38 + 16 * hints.length}
      fill="var(--c-ground)"
      stroke="var(--c-hair)"
    />
    <text class="figure big">{said}</text>
    <text class="figure" y="16">{base.across ? '↑ ↓ ← →' : `↑ ↓ ${stepWords(base)}`}, with ⇧ ten times</text>
    {#each hints as hint, i (hint)}<text class="figure" y={32 + 16 * i}>{hint}</text>{/each}
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
