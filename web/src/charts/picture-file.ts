/** Pixels of a saved picture for each of the page’s. */
const SHARPNESS = 2;

/** Colours of the page by their names, as they are on paper: a file of its own knows no names. */
function named(text: string): string {
  const onPaper = getComputedStyle(document.documentElement);
  return text.replace(/var\((--[\w-]+)\)/g, (_, name: string) => onPaper.getPropertyValue(name).trim());
}

/** A drawing of the page as a file of its own. */
export function svgTextOf(drawn: SVGSVGElement): string {
  const copy = drawn.cloneNode(true) as SVGSVGElement;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.removeAttribute('class');
  const paper = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  paper.setAttribute('width', '100%');
  paper.setAttribute('height', '100%');
  paper.setAttribute('fill', '#ffffff');
  copy.prepend(paper);
  return named(new XMLSerializer().serializeToString(copy));
}

/** The same as a picture of pixels. */
export async function pngOf(svgText: string, width: number, height: number): Promise<Blob> {
  const picture = new Image();
  picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svgText)}`;
  await picture.decode();
  const canvas = document.createElement('canvas');
  canvas.width = width * SHARPNESS;
  canvas.height = height * SHARPNESS;
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve, reject) => {
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('The picture could not be made.'))), 'image/png');
  });
}
