import { computed, onScopeDispose, reactive, ref, type Ref } from 'vue';
import { MOTIONS, motionOf, type Instrument, type Motion, type Side } from '@pace-bend/core/body';
import { compareMotion, type Moment, type MotionComparison, type ValueToday } from '@pace-bend/core/record';
import { summariseTrials } from '@pace-bend/core/measure';
import { ApiProblem } from '../../app/api.ts';
import { usePractice } from '../../stores/practice.ts';
import { useSession } from '../../stores/session.ts';
import { useVisit } from '../../stores/visit.ts';
import { keepChoice, keepDraft, readChoice, readDraft } from '../drafts.ts';
import { checkTrials, differs, type CheckedTrials, type TypedTrials } from './trialEntry.ts';

/** The motions of a visit and the trials being typed at one moment of it. */
export function useMeasuring(moment: Moment) {
  const visit = useVisit();
  const practice = usePractice();
  const session = useSession();
  const visitId = visit.id;
  const draftKey = `${visit.id}.trials.${moment}`;
  const pickedKey = `${visit.id}.motions`;
  const typed = reactive<Record<string, TypedTrials>>(readDraft<Record<string, TypedTrials>>(draftKey) ?? {});
  const instruments = reactive<Record<string, Instrument>>({});
  const problems = reactive<Record<string, string>>({});
  /** The motions chosen for this visit; null while nobody has chosen and last visit's set stands in. */
  const picked: Ref<readonly string[] | null> = ref(readChoice<string[]>(pickedKey));
  const underWay = new Map<string, Promise<void>>();

  const onDay = computed(() => practice.dayOf(visit.file!.visit.startsAt));
  const keyOf = (motionId: string, side: Side) => `${motionId}/${side}`;

  const lastSet = computed(() => {
    const latest = visit.file?.past.at(-1)?.visitId;
    return (visit.file?.past ?? []).filter((reading) => reading.visitId === latest).map((reading) => reading.motionId);
  });

  /** Those chosen, or else last visit's set, and all that was measured today. In the catalogue's order. */
  const motions = computed<Motion[]>(() => {
    const ids = new Set([...visit.readings.map((reading) => reading.motionId), ...(picked.value ?? lastSet.value), ...Object.entries(typed).filter(([, trials]) => trials.some((text) => text !== '')).map(([key]) => key.split('/')[0]!)]);
    return MOTIONS.filter((motion) => ids.has(motion.id));
  });

  function standing(motionId: string, side: Side) {
    return visit.readings.find((reading) => reading.motionId === motionId && reading.side === side && reading.moment === moment);
  }

  function instrumentFor(motion: Motion): Instrument {
    return instruments[motion.id]
      ?? motion.sides.map((side) => standing(motion.id, side)?.instrument).find(Boolean)
      ?? visit.readings.find((reading) => reading.motionId === motion.id)?.instrument
      ?? visit.file?.past.findLast((reading) => reading.motionId === motion.id)?.instrument
      ?? motion.instruments[0];
  }

  const trialsOf = (motionId: string, side: Side): TypedTrials => typed[keyOf(motionId, side)] ?? standing(motionId, side)?.trials.map(String) ?? [];
  const checked = (motion: Motion, side: Side): CheckedTrials => checkTrials(trialsOf(motion.id, side), motion);

  /** Everything measured today, with what is being typed in place of what stands. */
  const valuesToday = computed<ValueToday[]>(() => {
    const values: ValueToday[] = visit.readings
      .filter((reading) => !(reading.moment === moment && typed[keyOf(reading.motionId, reading.side)]))
      .map(({ motionId, side, moment: at, instrument, examinerId, value }) => ({ motionId, side, moment: at, instrument, examinerId, value: value! }));
    for (const key of Object.keys(typed)) {
      const [motionId, side] = key.split('/') as [string, Side];
      const motion = motionOf(motionId);
      const { values: trials } = checked(motion, side);
      if (trials.length > 0) values.push({ motionId, side, moment, instrument: instrumentFor(motion), examinerId: session.me?.id ?? null, value: summariseTrials(trials).mean });
    }
    return values;
  });

  const comparisons = computed<MotionComparison[]>(() => motions.value.map((motion) => compareMotion(motion, moment, {
    person: visit.file!.athlete, onDay: onDay.value, today: valuesToday.value, past: visit.file!.past, errors: visit.file!.errors,
  })));

  function type(motion: Motion, side: Side, index: number, text: string): void {
    const key = keyOf(motion.id, side);
    const trials = [...trialsOf(motion.id, side)];
    while (trials.length <= index) trials.push('');
    trials[index] = text;
    typed[key] = trials;
    delete problems[key];
    keepDraft(draftKey, typed);
  }

  function forget(key: string): void {
    delete typed[key];
    keepDraft(draftKey, typed);
  }

  /** Puts back what stands, for one side. */
  function takeBack(motion: Motion, side: Side): void {
    forget(keyOf(motion.id, side));
  }

  /** Requests of one side follow one another, so that each sees what the one before it brought. */
  function inTurn(key: string, work: () => Promise<void>): Promise<void> {
    const turn = (underWay.get(key) ?? Promise.resolve()).then(work);
    underWay.set(key, turn);
    return turn;
  }

  /** Saves a side if what is typed is sound and differs from what stands. Enter and leaving the field both ask for it. */
  const commit = (motion: Motion, side: Side): Promise<void> => inTurn(keyOf(motion.id, side), () => save(motion, side));

  async function save(motion: Motion, side: Side): Promise<void> {
    const key = keyOf(motion.id, side);
    if (!typed[key] || visit.finished) return;
    const { values, sound } = checked(motion, side);
    if (!sound) return;
    if (!differs(values, standing(motion.id, side)?.trials)) return forget(key);
    const sent = typed[key];
    if ((await send(motion, side, values)) && typed[key] === sent) forget(key);
  }

  /** Sends a reading; returns whether it was taken. What is wrong is said beside the trials. */
  async function send(motion: Motion, side: Side, trials: readonly number[]): Promise<boolean> {
    const key = keyOf(motion.id, side);
    try {
      await visit.saveReading({ motionId: motion.id, side, moment, mode: motion.mode, instrument: instrumentFor(motion), trials });
      delete problems[key];
      return true;
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      problems[key] = error.isStale ? `${error.message} What stands now is shown when you press Esc; Enter puts yours in its place.` : error.message;
      if (error.isStale) await visit.load(visit.id);
      return false;
    }
  }

  /** Saves whatever is sound: what an earlier page left behind, and what is being left behind now. */
  function commitAll(): void {
    if (visit.id !== visitId) return;
    for (const key of Object.keys(typed)) {
      const [motionId, side] = key.split('/') as [string, Side];
      void commit(motionOf(motionId), side);
    }
  }
  commitAll();
  onScopeDispose(commitAll);

  async function setInstrument(motion: Motion, instrument: Instrument): Promise<void> {
    instruments[motion.id] = instrument;
    // A reading already taken, or still on its way, is corrected: it was read with the other instrument.
    await Promise.all(motion.sides.map((side) => inTurn(keyOf(motion.id, side), async () => {
      const reading = standing(motion.id, side);
      if (reading && reading.instrument !== instrumentFor(motion)) await send(motion, side, reading.trials);
    })));
  }

  function pick(motionId: string): void {
    picked.value = [...new Set([...motions.value.map((motion) => motion.id), motionId])];
    keepChoice(pickedKey, picked.value);
  }

  /** Puts a set in place of what was chosen; what was measured stays. */
  function choose(motionIds: readonly string[]): void {
    picked.value = [...motionIds];
    keepChoice(pickedKey, picked.value);
  }

  /** Takes a motion off the list; only offered while nothing of it was measured. */
  function drop(motionId: string): void {
    picked.value = motions.value.map((motion) => motion.id).filter((id) => id !== motionId);
    keepChoice(pickedKey, picked.value);
  }

  const isMeasured = (motion: Motion) => visit.readings.some((reading) => reading.motionId === motion.id);

  return { motions, comparisons, lastSet, choose, problems, trialsOf, checked, instrumentFor, setInstrument, type, takeBack, commit, pick, drop, isMeasured, standing };
}

export type Measuring = ReturnType<typeof useMeasuring>;
