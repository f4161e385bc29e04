import '@testing-library/jest-dom/vitest';

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
