import { expect, it } from 'vitest';
import { naming } from './naming';

it('calls the same alike when it is sent again, and otherwise once it was changed', () => {
  const nameOf = naming();
  const first = nameOf({ note: 'wet' });
  expect(first).toMatch(/^[0-9a-f]{32}$/);
  expect(nameOf({ note: 'wet' })).toBe(first);
  expect(nameOf({ note: 'dry' })).not.toBe(first);
  expect(naming()({ note: 'wet' })).not.toBe(first);
});
