import { computed, onScopeDispose, reactive } from 'vue';
import { motionOf, type Instrument, type Motion, type Side } from '@pace-bend/core/body';
import { compareMotion, type Moment, type MotionComparison, type ValueToday } from '@pace-bend/core/record';
import { summariseTrials } from '@pace-bend/core/measure';
import { readingSpot } from '../outbox/visitChanges.ts';
import { useOutbox } from '../stores/outbox.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import { useVisit } from '../stores/visit.ts';
import { keepDraft, readDraft } from '../api/drafts.ts';
import { useChosenMotions } from './useChosenMotions.ts';
import { checkTrials, differs, type CheckedTrials, type TypedTrials } from './trialEntry.ts';
import { t } from '../words/measuring.ts';

/** The trials being typed at one moment of a visit: what is shown of them, and how they become readings. */
export function useMeasuring(moment: Moment) {
  const visit = useVisit();
  const practice = usePractice();
  const session = useSession();
  const outbox = useOutbox();
  const visitId = visit.id;
  const draftKey = `${visit.id}.trials.${moment}`;
  const typed = reactive<Record<string, TypedTrials>>(readDraft<Record<string, TypedTrials>>(draftKey) ?? {});
  const instruments = reactive<Record<string, Instrument>>({});
  const chosen = useChosenMotions(() =>
    Object.entries(typed).flatMap(([key, trials]) => (trials.some((text) => text !== '') ? [key.split('/')[0]!] : [])),
  );
  const { motions } = chosen;

  const onDay = computed(() => practice.dayOf(visit.file!.visit.startsAt));
  const keyOf = (motionId: string, side: Side) => `${motionId}/${side}`;

  function standing(motionId: string, side: Side) {
    return visit.readings.find((reading) => reading.motionId === motionId && reading.side === side && reading.moment === moment);
  }

  function instrumentFor(motion: Motion): Instrument {
    return (
      instruments[motion.id] ??
      motion.sides.map((side) => standing(motion.id, side)?.instrument).find(Boolean) ??
      visit.readings.find((reading) => reading.motionId === motion.id)?.instrument ??
      visit.file?.past.findLast((reading) => reading.motionId === motion.id)?.instrument ??
      motion.instruments[0]
    );
  }

  const spotOf = (motionId: string, side: Side) => readingSpot({ motionId, side, moment });
  /** What was refused of one side: it is still shown as typed, with what is wrong. */
  const refused = (motionId: string, side: Side) => outbox.refusedAt(visit.record, spotOf(motionId, side));
  const isUnsent = (motionId: string, side: Side) => outbox.at(visit.record, spotOf(motionId, side)) !== null;

  const trialsOf = (motionId: string, side: Side): TypedTrials =>
    typed[keyOf(motionId, side)] ??
    (refused(motionId, side)?.body.trials as number[] | undefined)?.map(String) ??
    standing(motionId, side)?.trials.map(String) ??
    [];
  /** What is wrong with what was sent of one side, or null. */
  function problemOf(motionId: string, side: Side): string | null {
    const refusal = typed[keyOf(motionId, side)] ? null : refused(motionId, side)?.refusal;
    if (!refusal) return null;
    return refusal.isStale ? t('whatStandsNowShown', { message: refusal.message }) : refusal.message;
  }
  const checked = (motion: Motion, side: Side): CheckedTrials => checkTrials(trialsOf(motion.id, side), motion);

  /** Everything measured today, with what is being typed in place of what stands. */
  const valuesToday = computed<ValueToday[]>(() => {
    const values: ValueToday[] = visit.readings
      .filter((reading) => !(reading.moment === moment && typed[keyOf(reading.motionId, reading.side)]))
      .map(({ motionId, side, moment: at, instrument, examinerId, value }) => ({
        motionId,
        side,
        moment: at,
        instrument,
        examinerId,
        value: value!,
      }));
    for (const key of Object.keys(typed)) {
      const [motionId, side] = key.split('/') as [string, Side];
      const motion = motionOf(motionId);
      const { values: trials } = checked(motion, side);
      if (trials.length > 0)
        values.push({
          motionId,
          side,
          moment,
          instrument: instrumentFor(motion),
          examinerId: session.me?.id ?? null,
          value: summariseTrials(trials).mean,
        });
    }
    return values;
  });

  const comparisons = computed<MotionComparison[]>(() =>
    motions.value.map((motion) =>
      compareMotion(motion, moment, {
        person: practice.personOf(visit.file!.athlete),
        onDay: onDay.value,
        today: valuesToday.value,
        past: visit.file!.past,
        errors: visit.file!.errors,
      }),
    ),
  );

  function type(motion: Motion, side: Side, index: number, text: string): void {
    const key = keyOf(motion.id, side);
    const trials = [...trialsOf(motion.id, side)];
    while (trials.length <= index) trials.push('');
    trials[index] = text;
    typed[key] = trials;
    keepDraft(draftKey, typed);
  }

  function forget(key: string): void {
    delete typed[key];
    keepDraft(draftKey, typed);
  }

  /** Puts back what stands, for one side. */
  function takeBack(motion: Motion, side: Side): void {
    forget(keyOf(motion.id, side));
    const wrong = refused(motion.id, side);
    if (wrong) outbox.drop(wrong.id);
  }

  /** Saves a side if what is typed is sound and differs from what stands. Enter and leaving the field both ask for it. */
  function commit(motion: Motion, side: Side): void {
    const key = keyOf(motion.id, side);
    if ((!typed[key] && !refused(motion.id, side)) || visit.finished) return;
    const { values, sound } = checked(motion, side);
    if (!sound) return;
    if (differs(values, standing(motion.id, side)?.trials)) put(motion, side, values);
    else takeBack(motion, side);
    forget(key);
  }

  const put = (motion: Motion, side: Side, trials: readonly number[]) =>
    visit.saveReading({ motionId: motion.id, side, moment, mode: motion.mode, instrument: instrumentFor(motion), trials });

  /** Saves whatever is sound: what an earlier page left behind, and what is being left behind now. */
  function commitAll(): void {
    if (visit.id !== visitId) return;
    for (const key of Object.keys(typed)) {
      const [motionId, side] = key.split('/') as [string, Side];
      commit(motionOf(motionId), side);
    }
  }
  commitAll();
  onScopeDispose(commitAll);

  function setInstrument(motion: Motion, instrument: Instrument): void {
    instruments[motion.id] = instrument;
    // A reading already taken is corrected: it was read with the other instrument.
    for (const side of motion.sides) {
      const reading = standing(motion.id, side);
      if (reading && reading.instrument !== instrumentFor(motion)) put(motion, side, reading.trials);
    }
  }

  return {
    ...chosen,
    comparisons,
    problemOf,
    isUnsent,
    trialsOf,
    checked,
    instrumentFor,
    setInstrument,
    type,
    takeBack,
    commit,
    standing,
  };
}

export type Measuring = ReturnType<typeof useMeasuring>;
