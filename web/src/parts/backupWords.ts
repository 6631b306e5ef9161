import type { KeepingPage } from '@pace-bend/core/keeping';
import { t } from '../words/parts.ts';

type Backups = KeepingPage['backups'];

/** Where somebody who is erased today still stands, and until when. `who` begins the sentence. */
export function stillStandsIn(backups: Backups, dayWords: (day: string) => string, who = t('theyStillStand')): string {
  if (backups.length === 0) return t('noBackupNotedHere');
  const many = backups.length === 1 ? t('oneBackup') : t('backups', { count: backups.length });
  const ends = backups.flatMap(({ goesOn }) => goesOn ?? []).sort();
  const open = backups.length - ends.length;
  const last = ends.at(-1);
  const sentences = [
    t('notedHere', { who, many }),
    ...(open === 0 ? [t('lastThemGoesFirst', { day: dayWords(last!) })] : []),
    ...(open === 0 ? [] : [t('npmRunBackupDays', { what: open === backups.length ? t('noDaySetWhich') : t('themNoDaySet', { open }) })]),
  ];
  return t('copiesMadeOtherMeans', { sentences: sentences.join('; ') });
}
