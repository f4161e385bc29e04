import '@testing-library/jest-dom/vitest';
import { afterEach, vi } from 'vitest';
import { answers } from './src/lib/api/answers';

class Observer {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}

// plain modules are tested without a document
if (typeof Element !== 'undefined') {
  Object.assign(globalThis, { IntersectionObserver: Observer, ResizeObserver: Observer });
  Element.prototype.scrollIntoView = () => {};
  Element.prototype.hasPointerCapture = () => false;
  Element.prototype.setPointerCapture = () => {};
  Element.prototype.releasePointerCapture = () => {};
}

// what one test asked, stored or put in a global's place is not known to the next
afterEach(() => {
  answers.clear();
  vi.unstubAllGlobals();
  if (typeof localStorage !== 'undefined') localStorage.clear();
});
