import type { Claim } from '@pace-bend/core/catalogue';

/** How sure a claim is, as it is said. */
export function sureWords(sure: Claim['sure']): string {
  return { shown: 'shown in trials', mixed: 'trials disagree', taught: 'taught, not tried' }[sure];
}
