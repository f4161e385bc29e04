/** Length of the longer side of a photo that is sent. */
const LONGEST_SIDE = 1600;
const QUALITY = 0.85;

/** A file that no browser can show as a picture. */
export class NoPicture extends Error {}

/** Sides no longer than the longest one that is sent, in the same proportion. */
export function shrunk(width: number, height: number): { width: number; height: number } {
  const part = Math.min(1, LONGEST_SIDE / Math.max(width, height));
  return { width: Math.round(width * part), height: Math.round(height * part) };
}

/** A picture as a small JPEG; throws NoPicture for a file that only claims to be one. */
export async function madeSmall(file: File): Promise<Blob> {
  let opened: ImageBitmap;
  try {
    opened = await createImageBitmap(file);
  } catch {
    throw new NoPicture(
      `“${file.name}” is no picture that can be shown here. Take a JPEG, PNG or WebP; a telephone can save one as JPEG.`,
    );
  }
  const canvas = document.createElement('canvas');
  Object.assign(canvas, shrunk(opened.width, opened.height));
  canvas.getContext('2d')?.drawImage(opened, 0, 0, canvas.width, canvas.height);
  opened.close();
  return new Promise((done, failed) =>
    canvas.toBlob(
      (blob) => (blob ? done(blob) : failed(new NoPicture(`“${file.name}” is too large to be opened here.`))),
      'image/jpeg',
      QUALITY,
    ),
  );
}
