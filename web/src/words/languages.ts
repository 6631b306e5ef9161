import { speak, type Catalogue } from './language.ts';
import { chosen } from './chosen.ts';

/** The catalogues of other languages than English, each a folder beside `en` with a file for each area. */
const files = import.meta.glob<Catalogue>(['./*/*.json', '!./en/*.json'], { import: 'default' });
const partsOf = (path: string) => /^\.\/([^/]+)\/([^/]+)\.json$/.exec(path)!.slice(1) as [language: string, area: string];

/** Speaks the first language somebody reads that there are catalogues of; English where there are none. */
export async function speakTheirs(wanted: readonly string[]): Promise<void> {
  const paths = Object.keys(files);
  const language = chosen(wanted, [...new Set(paths.map((path) => partsOf(path)[0]))]);
  if (language === 'en') return;
  try {
    const catalogues = await Promise.all(
      paths.filter((path) => partsOf(path)[0] === language).map(async (path) => [partsOf(path)[1], await files[path]!()] as const),
    );
    speak(language, Object.fromEntries(catalogues));
    document.documentElement.lang = language;
  } catch {
    // A file that does not come is no reason not to begin: what is said is said in English.
  }
}
