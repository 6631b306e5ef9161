import { MOTIONS } from '@pace-bend/core/body';
import { NO_LIMITS, type CautionContext, type ConditionFields } from '@pace-bend/core/caution';
import { LIMIT_WAYS, limitRows } from './limitRows.ts';

const knee: ConditionFields = {
  code: 'knee-operation', region: null, side: 'left', onset: null, surgeryOn: '2026-10-07', muscle: null, grade: null, words: '', resolvedOn: null,
  clearance: { by: 'Dr Example', on: '2026-11-20', text: '', limits: [{ kind: 'bend', movement: 'knee flexion', deg: 110 }] },
};
const context = (conditions: ConditionFields[], mobilizationGrade = 0): CautionContext => ({
  subject: { birthDate: '1996-01-01', conditions, medications: [], beighton: null, noTouch: [], historyTaken: true }, onDay: '2026-11-25', scope: { mobilizationGrade, byRegion: {}, ruleText: '', ruleLink: '' }, daysToEvent: null, daysSinceEvent: null, raised: [], questions: 'answered', consent: null,
});

test('nothing on file: no rows, though mobilization is out of scope; every motion and side when wished', () => {
  expect(limitRows(context([]))).toEqual([]);
  const all = limitRows(context([]), true);
  expect(all).toHaveLength(MOTIONS.reduce((sum, motion) => sum + motion.sides.length, 0));
  expect(all.map((row) => row.ways[LIMIT_WAYS.findIndex((method) => method.id === 'mobilize-oscillate')]!.level).filter((level) => level !== 'none' && level !== 'avoid')).toEqual([]);
});

test('a knee operation limits its own side, by motion and way; what cannot be done has no limits but a reason', () => {
  const rows = limitRows(context([knee], 4));
  expect(rows.filter((row) => row.side === 'right')).toEqual([]);
  const bend = rows.find((row) => row.motion.id === 'knee-flexion')!;
  expect(bend.measure.level).toBe('modify');
  expect(bend.measure.result!.limits).toEqual({ ...NO_LIMITS, cap: 110, painCeiling: 3 });
  // The knee-cap is not pressed at seven weeks, and circling takes a twist along.
  expect(bend.ways.map((cell) => cell.level)).toEqual(['modify', 'modify', 'avoid', 'none', 'avoid']);
  expect(new Set(bend.cautions.map((caution) => `${caution.ruleId}/${caution.reason}`)).size).toBe(bend.cautions.length);
  expect(rows.find((row) => row.motion.id === 'hip-internal-rotation')!.measure.level).toBe('avoid');
});
