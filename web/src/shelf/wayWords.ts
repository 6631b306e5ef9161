import type { Claim } from '@pace-bend/core/catalogue';
import { t } from '../words/shelf.ts';

/** How sure a claim is, as it is said. */
export function sureWords(sure: Claim['sure']): string {
  return { shown: t('shownTrials'), mixed: t('trialsDisagree'), taught: t('taughtNotTried') }[sure];
}
