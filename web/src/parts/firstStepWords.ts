import type { FirstStepId } from '@pace-bend/core/record';

interface Way {
  readonly label: string;
  readonly to: string;
}

/** Each first step in words: what it is, what for, and where it is done. */
export const FIRST_STEP_WORDS: Readonly<
  Record<FirstStepId, { readonly title: string; readonly what: string; readonly ways: readonly Way[] }>
> = {
  sports: {
    title: 'Sport and squads',
    what: 'The sports you serve set what is measured first, what is trained and which demands a range is held against. Squads are how you find people.',
    ways: [
      { label: 'Choose the sports', to: '/practice/sports' },
      { label: 'Make a squad', to: '/squad' },
    ],
  },
  scope: {
    title: 'Scope and local rule',
    what: 'What your licence and local rule allow. Until you say otherwise no joint is mobilized and the front of the neck is left alone.',
    ways: [{ label: 'Set the scope', to: '/practice/scope' }],
  },
  people: {
    title: 'People',
    what: 'An account for everybody who works here. Coaches see ranges and readiness, never reasons.',
    ways: [{ label: 'Add an account', to: '/practice/people' }],
  },
  events: {
    title: 'Events',
    what: 'A race or match ahead changes what is proposed and what is cautioned.',
    ways: [],
  },
  athlete: {
    title: 'First athlete',
    what: 'Add one by hand, or import a whole squad from a table.',
    ways: [
      { label: 'Add an athlete', to: '/squad' },
      { label: 'Import a squad', to: '/squad/read-in' },
    ],
  },
  error: {
    title: 'Your own measuring error',
    what: 'Measure a few people twice. From then on a change is judged by your error instead of a default.',
    ways: [{ label: 'Plan a study', to: '/practice/error' }],
  },
};
