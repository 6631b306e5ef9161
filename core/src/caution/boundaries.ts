import { placeWords, regionName } from '../body/index.ts';
import type { Limits } from '../method/index.ts';
import { consentArea } from './consent.ts';
import { sameSide } from './grounds.ts';
import { NO_LIMITS } from './limits.ts';
import type { CandidateAction, Caution, CautionContext, DayLimit, Level } from './types.ts';

/** Consent, no-touch areas, the practice's scope, and what today holds back. */
export function boundaries(context: CautionContext, action: CandidateAction): Caution[] {
  const found: Caution[] = context.subject.noTouch
    .filter(
      (area) =>
        [...action.regions, ...action.presses.flatMap((press) => press.regions)].includes(area.region) && sameSide(area.side, action.side),
    )
    .map(noTouchCaution);
  // The first region is where the work is; the others are what moves along.
  const region = action.regions[0];
  if (context.consent === null)
    found.push(
      boundary(
        'consent-unasked',
        'consent',
        'note',
        'Consent',
        'Consent for today’s areas was not asked yet.',
        'Ask, and note it at Arrive.',
      ),
    );
  else if (region && !context.consent.some((agreed) => consentArea(agreed) === consentArea(region)))
    found.push(
      boundary(
        'consent-missing',
        'consent',
        'avoid',
        'Consent',
        `Not among the areas agreed to today: ${regionName(region)}.`,
        'Ask first; add it at Arrive.',
      ),
    );
  if (!context.scope.frontOfNeck && action.presses.length > 0 && action.regions.includes('front-of-neck'))
    found.push(
      boundary(
        'scope-front-of-neck',
        'scope',
        'avoid',
        'Scope',
        'Pressing or pinning at the front of the neck is not among what this practice does.',
        'Stretch it without a finger on it; the side and the back of the neck; or decide otherwise under Practice.',
      ),
    );
  if (action.techniques.includes('thrust'))
    found.push(boundary('scope-thrust', 'scope', 'avoid', 'Scope', 'Thrust is never offered here.', 'Lower grades, or refer.'));
  if (action.techniques.includes('mobilize') || (action.techniques.includes('traction') && action.grade !== null)) {
    const { scope } = context;
    const allowed = (region && scope.byRegion[region]) ?? scope.mobilizationGrade;
    const where = region ? ` of the ${regionName(region)}` : '';
    if (allowed === 0)
      found.push(
        boundary(
          'scope-mobilization',
          'scope',
          'avoid',
          'Scope',
          `Joint mobilization${where} is outside this practice’s scope.${scope.ruleText ? ` Local rule: ${scope.ruleText}` : ''}`,
          'Soft tissue, contract-relax, or refer.',
          { ...NO_LIMITS, grade: 0 },
        ),
      );
    else if (allowed < 4) {
      const over = action.grade !== null && action.grade > allowed;
      found.push(
        boundary(
          'scope-grade',
          'scope',
          over ? 'avoid' : 'modify',
          'Scope',
          `Joint mobilization${where} is within this practice’s scope to grade ${allowed}.`,
          `Grade ${allowed} at most.`,
          { ...NO_LIMITS, grade: allowed },
        ),
      );
    }
  }
  return [...found, ...context.today.filter((limit) => touchesToday(limit, action)).map(todayCaution)];
}

/**
 * What tells a work somebody has had from one they have not: the way alone, or the entry in that way.
 * @example workKey('work', { entryId: 'leg-pull', wayId: 'cr-breath' }) // → 'leg-pull/cr-breath'
 */
export const workKey = (what: 'way' | 'work', { entryId, wayId }: NonNullable<CandidateAction['work']>): string =>
  what === 'way' ? wayId : `${entryId}/${wayId}`;

function touchesToday({ muscles, side, onlyNew }: DayLimit, action: CandidateAction): boolean {
  if (action.moment !== 'work' || !sameSide(side, action.side)) return false;
  if (onlyNew && (action.work === null || onlyNew.had.includes(workKey(onlyNew.what, action.work)))) return false;
  return muscles === null || [...action.lengthens, ...action.contracts, ...action.under].some((muscle) => muscles.includes(muscle));
}

function todayCaution({ id, because, reason, instead, limits, onlyNew }: DayLimit): Caution {
  return boundary(`today-${id}`, 'today', onlyNew ? 'avoid' : 'modify', because, reason, instead, limits);
}

export function noTouchCaution(area: CautionContext['subject']['noTouch'][number]): Caution {
  return boundary(
    `no-touch-${area.region}`,
    'no-touch',
    'avoid',
    `Not to be touched: ${placeWords(area.region, area.side)}`,
    area.words ? `The athlete’s wish: ${area.words}` : 'The athlete does not want this area touched.',
    'Another area, or ask whether it has changed and note it in the file.',
  );
}

function boundary(
  ruleId: string,
  kind: Caution['kind'],
  level: Level,
  because: string,
  reason: string,
  instead: string,
  limits: Limits = NO_LIMITS,
): Caution {
  return {
    ruleId,
    kind,
    level,
    because,
    ground: kind,
    reason,
    instead,
    refer: '',
    source: kind === 'scope' ? 'practice scope, local rule' : kind === 'today' ? 'the day and the season, common practice' : 'the athlete',
    limits,
    canOverride: false,
  };
}
