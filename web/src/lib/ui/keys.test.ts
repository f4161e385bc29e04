import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { onKeys } from './keys';

describe('single keys', () => {
  const act = vi.fn();
  const save = vi.fn();
  const undo = vi.fn();
  let alive = true;
  let off = (): void => undefined;

  beforeEach(() => {
    alive = true;
    off = onKeys(() => alive, { p: act, save, u: undo });
  });

  afterEach(() => {
    off();
    document.body.replaceChildren();
    vi.clearAllMocks();
  });

  function press(key: string, more: KeyboardEventInit = {}, target: EventTarget = document.body): KeyboardEvent {
    const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more });
    target.dispatchEvent(event);
    return event;
  }

  function put<K extends keyof HTMLElementTagNameMap>(tag: K): HTMLElementTagNameMap[K] {
    return document.body.appendChild(document.createElement(tag));
  }

  it('act, and no longer once nobody listens', () => {
    expect(press('p').defaultPrevented).toBe(true);
    off();
    press('p');
    expect(act).toHaveBeenCalledOnce();
  });

  it('rest while something is typed in, and where a person switched them off', () => {
    for (const tag of ['input', 'textarea', 'select'] as const) press('p', {}, put(tag));
    alive = false;
    press('p');
    press('p', { altKey: true });
    expect(act).not.toHaveBeenCalled();
  });

  it.each(['dialog', 'menu', 'listbox'])('rest while a %s is open', (role) => {
    const open = put('div');
    open.setAttribute('role', role);
    press('p');
    expect(act).not.toHaveBeenCalled();
    open.remove();
    press('p');
    expect(act).toHaveBeenCalledOnce();
  });

  it('leave a field at Escape and keep its text', () => {
    const field = put('input');
    field.value = '88 mm';
    field.focus();
    press('Escape', {}, field);
    expect(document.activeElement).not.toBe(field);
    expect(field.value).toBe('88 mm');
  });

  it('are not what saves: that is a command, which works from a field too, while undo leaves a field its own', () => {
    press('save');
    expect(save).not.toHaveBeenCalled();
    const field = put('input');
    press('s', { ctrlKey: true }, field);
    expect(save).toHaveBeenCalledOnce();
    press('z', { ctrlKey: true }, field);
    expect(undo).not.toHaveBeenCalled();
    press('z', { metaKey: true });
    expect(undo).toHaveBeenCalledOnce();
  });
});
