import { PATH_SCALE } from './path.ts';
import type { Box, Drawing, Tone } from './shapes.ts';

/** Colours for every tone a drawing can have. */
export type Palette = Readonly<Record<Tone, string>>;

/** On paper and on the light ground. */
export const LIGHT: Palette = {
  skin: '#EEDFC8',
  'skin-far': '#E6DDCD',
  hair: '#4A4F49',
  shorts: '#C3CEC6',
  muscle: '#1D5A4B',
  fibre: '#9CBFAF',
  deep: '#1D5A4B',
  hand: '#A9BFD4',
  'hand-hold': '#FFFCF6',
  sleeve: '#3C6480',
  'sleeve-hold': '#FFFCF6',
  'hand-ink': '#24435A',
  table: '#DCCFB6',
  'table-edge': '#93876E',
  leg: '#C3B693',
  cushion: '#FFFCF6',
  ink: '#1E2A26',
  'ink-far': '#8A877C',
  ghost: '#7C7B72',
  move: '#2C5674',
  athlete: '#B94E25',
  rock: '#74436B',
  point: '#1E2A26',
  joint: '#1D5A4B',
  stance: '#D9E0E2',
  ground: '#F5F0E6',
  band: '#CFDCC9',
  lock: '#24435A',
  left: '#1D5A4B',
  right: '#3C6480',
  low: '#B94E25',
  paper: '#FFFCF6',
};

const escape = (text: string): string => text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!);

/**
 * A drawing as a piece of SVG that stands alone: for paper, for files, for a page without the application. `prefix` keeps the names of
 * two drawings on one page apart.
 * @example svgText({ box: { x: 0, y: 0, width: 10, height: 10 }, shapes: [] }, LIGHT, 'a').startsWith('<svg') // → true
 */
export function svgText({ box, shapes, inset }: Drawing, palette: Palette, prefix: string): string {
  const k = PATH_SCALE;
  const round = (value: number) => Math.round(value * k * 100) / 100;
  const cuts = new Set(shapes.flatMap((shape) => (shape.cut ? [shape.cut] : [])));
  const defs = shapes
    .filter((shape) => shape.name !== undefined && cuts.has(shape.name))
    .map((shape) => `<clipPath id="${prefix}-${shape.name}"><path d="${shape.d}"/></clipPath>`)
    .join('');
  const step = box.height / 60;
  const hatch = shapes.some((shape) => shape.hatch)
    ? `<pattern id="${prefix}-hatch" width="${round(step)}" height="${round(step)}" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><path d="M0 0V${round(step)}" stroke="${palette.deep}" stroke-width="${round(step * 0.75)}"/></pattern>`
    : '';
  const body = shapes
    .map((shape) => {
      if (shape.text)
        return `<text x="${round(shape.text.at[0])}" y="${round(shape.text.at[1])}" font-size="${round(shape.text.size)}" font-weight="700" text-anchor="middle" dominant-baseline="central" fill="${palette[shape.fill ?? 'ink']}">${escape(shape.text.said)}</text>`;
      const fill = shape.hatch ? `url(#${prefix}-hatch)` : shape.fill ? palette[shape.fill] : 'none';
      const line = shape.line
        ? ` stroke="${palette[shape.line]}" stroke-width="${round(shape.width ?? 0.5)}" stroke-linejoin="round" stroke-linecap="${shape.dash ? 'butt' : 'round'}"${shape.fill && !shape.hatch ? ' paint-order="stroke"' : ''}`
        : '';
      const dash = shape.dash ? ` stroke-dasharray="${shape.dash.map(round).join(' ')}"` : '';
      const cut = shape.cut ? ` clip-path="url(#${prefix}-${shape.cut})"` : '';
      return `<path d="${shape.d}" fill="${fill}"${line}${dash}${cut}/>`;
    })
    .join('');
  const place = ({ x, y, width, height }: Box) => `x="${round(x)}" y="${round(y)}" width="${round(width)}" height="${round(height)}"`;
  const second = inset
    ? `<rect ${place(inset.at)} fill="${palette.paper}" stroke="${palette['table-edge']}" stroke-width="${round(step * 0.12)}"/>${svgText(inset.drawing, palette, `${prefix}i`).replace('<svg ', `<svg ${place(inset.at)} `)}`
    : '';
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${[box.x, box.y, box.width, box.height].map(round).join(' ')}"><defs>${defs}${hatch}</defs>${body}${second}</svg>`;
}
