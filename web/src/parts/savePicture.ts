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

/** What stands above and beneath a drawing that leaves the page: what it is, and where it comes from. */
export interface Caption {
  readonly title: string;
  readonly source: string;
}

/** Letters of the title over the width of a drawing, and how much smaller the source is set. */
const ACROSS = 80;
const SOURCE_SHARE = 0.75;

/** Words in lines of so many letters at the most. */
function inLines(text: string, most: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= most) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

const SVG_NAMES = 'http://www.w3.org/2000/svg';

/** A drawing as a file of its own: what the page's styles gave it is written into it, on the page's ground, its title above and its source beneath where it has them. */
export function standalone(svg: SVGSVGElement, caption: Caption | null): string {
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
  const frame = frameOf(svg);
  const { x, width } = frame;
  const style = getComputedStyle(svg);
  // A letter is a little more than half as wide as it is high.
  const size = width / (ACROSS * 0.55);
  const above = inLines(caption?.title ?? '', ACROSS);
  const beneath = inLines(caption?.source ?? '', Math.floor(ACROSS / SOURCE_SHARE));
  const room = (lines: readonly string[], fontSize: number) => (lines.length === 0 ? 0 : (lines.length + 0.6) * fontSize * 1.3);
  const y = frame.y - room(above, size);
  const height = frame.y + frame.height + room(beneath, size * SOURCE_SHARE) - y;
  copy.setAttribute('xmlns', SVG_NAMES);
  copy.setAttribute('viewBox', [x, y, width, height].join(' '));
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  for (const { name } of [...copy.attributes]) if (name === 'class' || name.startsWith('data-v-')) copy.removeAttribute(name);
  const put = (name: string, attributes: Readonly<Record<string, string | number>>, text = '') => {
    const element = document.createElementNS(SVG_NAMES, name);
    for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, String(value));
    element.textContent = text;
    return element;
  };
  const words = (lines: readonly string[], fontSize: number, top: number, weight: number) =>
    lines.map((line, n) =>
      put(
        'text',
        {
          x: x + size / 2,
          y: top + (n + 1) * fontSize * 1.3,
          'font-size': fontSize,
          'font-weight': weight,
          'font-family': style.fontFamily,
          fill: style.color,
        },
        line,
      ),
    );
  copy.prepend(put('rect', { x, y, width, height, fill: style.getPropertyValue('--paper').trim() }));
  copy.append(...words(above, size, y, 600), ...words(beneath, size * SOURCE_SHARE, frame.y + frame.height, 400));
  // Programs that read it name it by this.
  if (caption) copy.prepend(put('title', {}, caption.title));
  return new XMLSerializer().serializeToString(copy);
}

/** Hands a drawing over as an SVG file. */
export const saveSvg = (svg: SVGSVGElement, name: string, caption: Caption) =>
  handOver(new Blob([standalone(svg, caption)], { type: 'image/svg+xml' }), `${name}.svg`);

/** Pixels across: 180 mm on paper at 300 to the inch; and the most of either side that a browser draws for certain. */
const PRINT_PX = 2126;
const MOST_PX = 8192;

/** Hands a drawing over as a PNG file, sharp on paper. Throws an Error where the browser cannot draw it. */
export async function savePng(svg: SVGSVGElement, name: string, caption: Caption): Promise<void> {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(standalone(svg, caption))}`;
  await image.decode();
  const scale = Math.min(PRINT_PX / image.width, MOST_PX / image.height);
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [Math.round(image.width * scale), Math.round(image.height * scale)];
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!blob) throw new Error('This browser cannot make the picture.');
  handOver(blob, `${name}.png`);
}
