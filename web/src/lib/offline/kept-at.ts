/** The header by which the worker says when the server told what it hands out in its stead. */
export const KEPT_AT = 'X-Kept-At';
