/** Hands a text, or what is made already, to the browser as a file. */
export function download(name: string, text: string | Blob, type: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type }));
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}

/** A name as it can stand in a file name. */
export function fileName(name: string): string {
  const plain = name.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '');
  return plain.toLowerCase() || 'set-up';
}
