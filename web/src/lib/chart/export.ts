import face from '@fontsource-variable/encode-sans/files/encode-sans-latin-wdth-normal.woff2?url';

const FAMILY = 'Encode Sans Variable';
const ENLARGED = 3;

/** The chart as an SVG file that stands alone: colours written out, its type within. */
export async function asSvg(chart: SVGSVGElement): Promise<string> {
  const colours = getComputedStyle(chart);
  const copy = chart.cloneNode(true) as SVGSVGElement;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.style.background = colours.getPropertyValue('--c-ground');
  copy.style.fontFamily = `'${FAMILY}', sans-serif`;
  const style = document.createElementNS(copy.namespaceURI, 'style');
  style.textContent = `@font-face{font-family:'${FAMILY}';src:url(${await dataUrl(face)}) format('woff2');font-weight:100 900}`;
  copy.prepend(style);
  return new XMLSerializer()
    .serializeToString(copy)
    .replace(/var\((--[\w-]+)\)/g, (_, name: string) => colours.getPropertyValue(name).trim());
}

/** The SVG painted at three times its size. */
export async function asPng(chart: SVGSVGElement): Promise<Blob> {
  const image = new Image();
  image.src = URL.createObjectURL(new Blob([await asSvg(chart)], { type: 'image/svg+xml' }));
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = image.width * ENLARGED;
  canvas.height = image.height * ENLARGED;
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  URL.revokeObjectURL(image.src);
  return new Promise((done, failed) =>
    canvas.toBlob((blob) => (blob ? done(blob) : failed(new Error('the picture is empty'))), 'image/png'),
  );
}

async function dataUrl(address: string): Promise<string> {
  const file = await (await fetch(address)).blob();
  return new Promise((done, failed) => {
    const reader = new FileReader();
    reader.onload = () => done(reader.result as string);
    reader.onerror = () => failed(reader.error ?? new Error('the type cannot be read'));
    reader.readAsDataURL(file);
  });
}
