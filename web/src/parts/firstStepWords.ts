import type { FirstStepId } from '@pace-bend/core/record';
import { t } from '../words/parts.ts';

interface Way {
  readonly label: string;
  readonly to: string;
}

/** Each first step in words: what it is, what for, and where it is done. */
export const FIRST_STEP_WORDS: Readonly<
  Record<FirstStepId, { readonly title: string; readonly what: string; readonly ways: readonly Way[] }>
> = {
  sports: {
    title: t('sportSquads'),
    what: t('sportsYouServeSet'),
    ways: [
      { label: t('chooseSports'), to: '/practice/sports' },
      { label: t('makeSquad'), to: '/squad' },
    ],
  },
  scope: {
    title: t('scopeLocalRule'),
    what: t('whatYourLicenceLocal'),
    ways: [{ label: t('setScope'), to: '/practice/scope' }],
  },
  people: {
    title: t('people'),
    what: t('accountEverybodyWhoWorks'),
    ways: [{ label: t('addAccount'), to: '/practice/people' }],
  },
  events: {
    title: t('events'),
    what: t('raceMatchAheadChanges'),
    ways: [],
  },
  athlete: {
    title: t('firstAthlete'),
    what: t('addOneHandImport'),
    ways: [
      { label: t('addAthlete'), to: '/squad' },
      { label: t('importSquad'), to: '/squad/read-in' },
    ],
  },
  error: {
    title: t('yourOwnMeasuringError'),
    what: t('measureFewPeopleTwice'),
    ways: [{ label: t('planStudy'), to: '/practice/error' }],
  },
};
