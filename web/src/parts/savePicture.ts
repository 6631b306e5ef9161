import { handOver } from './handOver.ts';

/** What a drawing takes from the page's styles, and would lose outside of it. */
const STYLES = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-opacity',
  'stroke-dasharray',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
] as const;

/** What of its own plane a drawing shows: all of it where nothing else is said. */
function frameOf(svg: SVGSVGElement): Pick<DOMRect, 'x' | 'y' | 'width' | 'height'> {
  const box = svg.viewBox.baseVal;
  return box.width > 0 ? box : { x: 0, y: 0, width: svg.width.baseVal.value, height: svg.height.baseVal.value };
}

/** A drawing as a file of its own: what the page's styles gave it is written into it, on the page's ground. */
export function standalone(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const [from, to] = [[...svg.querySelectorAll<SVGElement>('*')], [...copy.querySelectorAll<SVGElement>('*')]];
  for (const [i, element] of from.entries()) {
    const style = getComputedStyle(element);
    for (const name of STYLES) {
      const value = style.getPropertyValue(name);
      if (value !== '' && !(name === 'fill' && element.getAttribute('fill')?.startsWith('url('))) to[i]!.style.setProperty(name, value);
    }
    for (const { name } of [...to[i]!.attributes]) if (name === 'class' || name.startsWith('data-v-')) to[i]!.removeAttribute(name);
  }
  // What is there only to be taken hold of is no part of the drawing.
  for (const held of copy.querySelectorAll('[data-screen-only]')) held.remove();
  const { width, height, x, y } = frameOf(svg);
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  for (const { name } of [...copy.attributes]) if (name === 'class' || name.startsWith('data-v-')) copy.removeAttribute(name);
  const ground = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  for (const [name, value] of Object.entries({ x, y, width, height })) ground.setAttribute(name, String(value));
  ground.setAttribute('fill', getComputedStyle(svg).getPropertyValue('--paper').trim());
  copy.prepend(ground);
  return new XMLSerializer().serializeToString(copy);
}

/** Hands a drawing over as an SVG file. */
export const saveSvg = (svg: SVGSVGElement, name: string) =>
  handOver(new Blob([standalone(svg)], { type: 'image/svg+xml' }), `${name}.svg`);

/** Pixels of a picture for one unit of its drawing: sharp on paper. */
const SCALE = 2;

/** Hands a drawing over as a PNG file. Throws an Error where the browser cannot draw it. */
export async function savePng(svg: SVGSVGElement, name: string): Promise<void> {
  const { width, height } = frameOf(svg);
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(standalone(svg))}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width * SCALE, height * SCALE];
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!blob) throw new Error('This browser cannot make the picture.');
  handOver(blob, `${name}.png`);
}
