import '@testing-library/jest-dom/vitest';
import { afterEach } from 'vitest';
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

// what one test asked is not known to the next
afterEach(() => answers.clear());
