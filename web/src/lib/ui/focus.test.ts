import { expect, it } from 'vitest';
import { takesOver } from './focus';

const frame = (): Promise<unknown> => new Promise((done) => setTimeout(done, 5));

function place(html: string): HTMLElement {
  document.body.innerHTML = `<section>${html}</section>`;
  return document.querySelector('section') as HTMLElement;
}

it('takes the focus of the button in whose place it came, and gives it back to what stands there after it', async () => {
  const section = place('<button id="open">open</button>');
  document.getElementById('open')?.focus();
  section.innerHTML = '<form><input id="typed" /></form>';
  const action = takesOver(section.querySelector('form') as HTMLElement);
  await frame();
  expect(document.activeElement?.id).toBe('typed');
  section.innerHTML = '<button id="open">open</button>';
  action.destroy();
  await frame();
  expect(document.activeElement?.id).toBe('open');
});

it('leaves the focus where it is while that still stands', async () => {
  const section = place('<button id="other">other</button><form><input id="typed" /></form>');
  document.getElementById('other')?.focus();
  takesOver(section.querySelector('form') as HTMLElement);
  await frame();
  expect(document.activeElement?.id).toBe('other');
});

it('takes nothing on another page, to which what was pressed led', async () => {
  document.body.innerHTML = '<div id="app"><main><a id="there" href="#x">there</a></main></div>';
  document.getElementById('there')?.focus();
  const app = document.getElementById('app') as HTMLElement;
  app.innerHTML = '<section><form><input id="typed" /></form></section>';
  takesOver(app.querySelector('form') as HTMLElement);
  await frame();
  expect(document.activeElement).toBe(document.body);
});
