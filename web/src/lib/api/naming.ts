/** A name that no other sending has. */
export function ownName(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, '0')).join('');
}

/** Calls each sending by a name of its own, and the same sent once more by the same: an answer that was lost on the way does not do it twice, and what was changed since is not lost. */
export function naming(): (body: object) => string {
  let before = '';
  let name = '';
  return (body) => {
    const now = JSON.stringify(body);
    if (now !== before || name === '') {
      before = now;
      name = ownName();
    }
    return name;
  };
}
