/**
 * In which pieces the program is sent. Left alone, whatever several pages share becomes a piece of its own: eighty for the first page, most of
 * them below two kilobytes, each asked for by itself. Here what always comes together is one piece: what opens the program; what signs in; the
 * frame around every page of who is signed in; and what signing in and the frame share. None of these holds anything that its page does not load
 * anyway. A fifth are the lists to choose from, which nearly every page has.
 */
interface Modules {
  getModuleInfo(id: string): { readonly importers: readonly string[] } | null;
}

const OPENINGS = [
  { piece: 'start', file: '/web/src/main.ts' },
  { piece: 'signIn', file: '/web/src/access/SignInView.vue' },
  { piece: 'frame', file: '/web/src/app/PageFrame.vue' },
  { piece: 'lists', file: '/web/src/parts/PickOne.vue' },
] as const;
type Piece = (typeof OPENINGS)[number]['piece'];

/** A folder of the core is reached by one door through which little of it is taken: what that is, the bundler knows and its imports do not. */
const isCore = (id: string) => id.includes('/core/src/');

/** Which of the openings load this module with themselves: by the imports above it, not by those made later. */
function openedBy(id: string, modules: Modules): ReadonlySet<Piece> {
  const found = new Set<Piece>();
  const seen = new Set([id]);
  for (const each of seen) {
    const opening = OPENINGS.find(({ file }) => each.endsWith(file));
    if (opening) found.add(opening.piece);
    for (const importer of modules.getModuleInfo(each)?.importers ?? []) if (!isCore(importer)) seen.add(importer);
  }
  return found;
}

const group = (name: string, fits: (by: ReadonlySet<Piece>) => boolean, priority: number) => ({
  name: (id: string, modules: Modules) => (!isCore(id) && fits(openedBy(id, modules)) ? name : null),
  priority,
});

export const PIECES = [
  group('start', (by) => by.has('start'), 4),
  group('parts', (by) => by.has('signIn') && by.has('frame'), 3),
  group('frame', (by) => by.has('frame'), 2),
  group('sign-in', (by) => by.has('signIn'), 1),
  group('lists', (by) => by.has('lists'), 0),
];
