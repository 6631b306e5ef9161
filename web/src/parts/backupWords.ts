import type { KeepingPage } from '@pace-bend/core/keeping';

type Backups = KeepingPage['backups'];

/** Where somebody who is erased today still stands, and until when. `who` begins the sentence. */
export function stillStandsIn(backups: Backups, dayWords: (day: string) => string, who = 'They still stand'): string {
  if (backups.length === 0) return 'No backup is noted here. Copies made by other means are not known here.';
  const many = backups.length === 1 ? 'one backup' : `${backups.length} backups`;
  const ends = backups.flatMap(({ goesOn }) => goesOn ?? []).sort();
  const open = backups.length - ends.length;
  const last = ends.at(-1);
  const sentences = [
    `${who} in ${many} noted here`,
    ...(open === 0 ? [`the last of them goes with the first backup made on ${dayWords(last!)} or after`] : []),
    ...(open === 0
      ? []
      : [
          `${open === backups.length ? 'no day is set on which they go' : `for ${open} of them no day is set on which they go`}: “npm run backup -- --days 30” sets one`,
        ]),
  ];
  return `${sentences.join('; ')}. Copies made by other means are not known here.`;
}
