import { MOTIONS } from '@pace-bend/core/body';
import { ENTRIES, entryScene, SECTIONS } from '@pace-bend/core/catalogue';
import { drawMotion, drawScene, LIGHT, MARK_NAMES, MARK_WORDS, markSample, svgText, type Drawing } from '@pace-bend/core/figure';
import { recognitionPage } from './recognition.ts';

/** Contact sheets as pages: every entry by region and every motion by joint, at 96 and 400 pixels, the legend, and a page that asks what is seen. Written as JSON. */
const SIZES = [96, 400] as const;
const SHAPE = 1.25;
const STYLE = `body{margin:16px;background:#f5f0e6;color:#1e2a26;font:13px/1.3 sans-serif}h1{font-size:18px}ul{display:grid;gap:8px;margin:0;padding:0;list-style:none}
li{background:#f5f0e6;border:1px solid #ddd3c0}svg{display:block;width:100%}p{margin:4px 6px}`;

const escape = (text: string): string => text.replace(/[&<>]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;' })[c]!);

function page(title: string, size: number, pictures: readonly { readonly name: string; readonly drawing: Drawing }[]): string {
  const items = pictures.map(({ name, drawing }, i) => `<li>${svgText(drawing, LIGHT, `f${i}`)}<p>${escape(name)}</p></li>`).join('');
  return `<!doctype html><html lang="en"><meta charset="utf-8"><title>${escape(title)}</title><style>${STYLE}ul{grid-template-columns:repeat(auto-fill,${Math.round(size * SHAPE)}px)}</style><h1>${escape(title)}, ${size} px</h1><ul>${items}</ul></html>`;
}

const sheets: { file: string; html: string }[] = [];
for (const size of SIZES) {
  for (const section of SECTIONS)
    sheets.push({
      file: `entries-${section.toLowerCase().replace(/\W+/g, '-')}-${size}`,
      html: page(
        section,
        size,
        ENTRIES.filter((entry) => entry.section === section).flatMap((entry) =>
          entry.positions
            .filter((position, i) => i === 0 || entryScene(entry, position) !== entryScene(entry))
            .map((position, i) => ({
              name: i === 0 ? entry.name : `${entry.name}, ${position}`,
              drawing: drawScene(entryScene(entry, position), { size, shape: SHAPE }),
            })),
        ),
      ),
    });
  for (const joint of [...new Set(MOTIONS.map((motion) => motion.joint))])
    sheets.push({
      file: `motions-${joint.replace(/\W+/g, '-')}-${size}`,
      html: page(
        joint,
        size,
        MOTIONS.filter((motion) => motion.joint === joint).map((motion) => ({
          name: `${motion.name}, ${motion.testPosition}`,
          drawing: drawMotion(motion, { values: {}, size, shape: SHAPE }),
        })),
      ),
    });
}
sheets.push({
  file: 'legend',
  html: page(
    'Marks',
    96,
    MARK_NAMES.map((name) => ({ name: MARK_WORDS[name], drawing: markSample(name, 96) })),
  ),
});
sheets.push({ file: 'recognition', html: recognitionPage(Number(process.argv[2] ?? 1)) });
process.stdout.write(JSON.stringify(sheets));
