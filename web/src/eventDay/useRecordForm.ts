import { v7 as uuid } from 'uuid';
import { computed, reactive, watch } from 'vue';
import { STOP_QUESTIONS, type QuestionId } from '@pace-bend/core/caution';
import { areasOf, recordMinutes, type BoardRow, type EventRecord, type WorkBlock } from '@pace-bend/core/eventDay';
import { protocolBlocks, type BlockPlan } from '@pace-bend/core/method';
import { checkBirthDate, isDay } from '@pace-bend/core/record';
import { usePractice } from '../stores/practice.ts';
import { useShelf } from '../stores/shelf.ts';
import type { Records } from './useRecords.ts';
import { t } from '../words/eventDay.ts';

/** No sequence: nothing of it is written down. */
export const NOTHING = 'nothing';

const raisedIn = (record: EventRecord | undefined): Partial<Record<QuestionId, 'yes' | 'unsure'>> =>
  Object.fromEntries(Object.entries(record?.answers ?? {}).filter(([, answer]) => answer !== 'no'));

/** A step of the sequence as the form shows it. */
export interface StepRow {
  readonly planned: BlockPlan;
  readonly name: string;
  readonly looked: WorkBlock;
  readonly done: boolean;
}

/** What is being written down of one wish: everything answered to begin with as it would be if all went as planned. */
export function useRecordForm(row: BoardRow, records: Records, raisedFirst: boolean, lastEventId: string | null) {
  const shelf = useShelf();
  const practice = usePractice();
  const { wish } = row.state;
  const starter = records.starterOf(wish);
  const isGuest = starter?.athleteId === null;
  const refused = records.refusedOf(wish.id)?.body as unknown as EventRecord | undefined;
  const protocols = records.protocolsFor(wish);
  const fields = reactive({
    name: refused?.guest?.name ?? starter?.name ?? '',
    birthDate: refused?.guest?.birthDate ?? '',
    about: refused?.guest?.about ?? '',
    agreed: refused?.guest?.agreed ?? false,
    asked: row.state.asked !== null || (refused !== undefined && refused.referral === null),
    raised: raisedIn(refused),
    protocolId: refused?.protocolId ?? protocols[0]?.id ?? NOTHING,
    left: {} as Record<string, boolean>,
    sides: {} as Record<string, string>,
    /** Agreed to now, beside what was agreed to before hands went on. */
    agreedMore: false,
    knowsWork: refused?.knowsWork ?? false,
    words: refused?.words ?? '',
    to: refused?.referral?.to ?? '',
    seen: refused?.referral?.seen ?? '',
  });
  if (raisedFirst) fields.asked = false;

  const protocol = computed(() => protocols.find(({ id }) => id === fields.protocolId) ?? null);
  // Each sequence is taken with ids of its own, once.
  const planned = computed(() => (protocol.value ? protocolBlocks(protocol.value, uuid) : []));
  watch(planned, () => {
    Object.assign(fields, { left: {}, sides: {}, agreedMore: false });
    // What was asked here was asked for the sequence that stood here.
    if (row.state.asked === null && refused === undefined) fields.asked = false;
  });

  const raised = computed(() => Object.keys(fields.raised) as QuestionId[]);
  const context = computed(() =>
    records.contextOf(wish, {
      raised: raised.value,
      asked: fields.asked,
      knowsWork: fields.knowsWork,
      birthDate: isDay(fields.birthDate) ? fields.birthDate : '',
    }),
  );
  const withSide = (block: BlockPlan): BlockPlan => {
    const only = fields.sides[block.id];
    return only ? { ...block, sides: block.sides.filter(({ side }) => side === only) } : block;
  };
  const look = computed(() => (context.value ? records.lookAt(wish, planned.value.map(withSide), context.value) : null));
  const stepName = ({ entryId, sides }: BlockPlan) => {
    const [first, ...others] = sides;
    const side = first && others.length === 0 && first.side !== 'midline' ? `, ${first.side}` : '';
    return `${shelf.shelf.entries.get(entryId)?.name ?? ''}${side}`;
  };
  const steps = computed<StepRow[]>(() =>
    planned.value.map((block, i) => {
      const looked = look.value?.blocks[i] ?? { block, against: [] };
      return {
        planned: block,
        name: stepName(block),
        looked,
        done: !fields.left[block.id] && looked.against.length === 0,
      };
    }),
  );
  /** Whether anything is held back only because it is new here. */
  const isNewWork = computed(
    () => fields.knowsWork || (records.contextOf(wish, { asked: true })?.today.some(({ onlyNew }) => onlyNew !== undefined) ?? false),
  );
  const done = computed(() => (raised.value.length > 0 ? [] : steps.value.filter((step) => step.done).map(({ looked }) => looked.block)));

  /** What was agreed to before hands went on; null where it was not asked then. */
  const agreed = refused?.consent ?? row.state.asked;
  /** Areas of what was done that nobody has agreed to yet: the sequence was another one when it was asked. */
  const moreAreas = computed(() => (agreed === null ? [] : areasOf(done.value, shelf.shelf).filter((area) => !agreed.includes(area))));

  const birthDateWrong = computed(() =>
    !isGuest || fields.birthDate === '' ? null : isDay(fields.birthDate) ? checkBirthDate(fields.birthDate, practice.today) : t('notDay'),
  );
  /** What is missing before it can be written down, in words; empty when nothing is. */
  const missing = computed(() => {
    const list: string[] = [];
    if (isGuest && fields.name.trim() === '') list.push(t('theirName'));
    if (isGuest && (fields.birthDate === '' || birthDateWrong.value !== null)) list.push(t('theirBirthDate'));
    if (isGuest && !fields.agreed) list.push(t('theyAgreeFile'));
    if (!fields.asked && raised.value.length === 0) list.push(t('theStopQuestions'));
    if (moreAreas.value.length > 0 && !fields.agreedMore) list.push(t('theyAgreed'));
    if (raised.value.length > 0 && fields.to.trim() === '') list.push(t('whomTheySent'));
    return list;
  });

  function record(): EventRecord {
    const began = row.state.beganAt ?? row.state.since ?? new Date().toISOString();
    const ended = row.state.status === 'done' && row.state.since ? row.state.since : new Date().toISOString();
    const sentOn = raised.value.length > 0;
    return {
      visitId: uuid(),
      answersId: uuid(),
      runId: done.value.length > 0 ? uuid() : null,
      event: { id: uuid(), at: new Date().toISOString(), after: lastEventId },
      guest: isGuest
        ? { athleteId: uuid(), name: fields.name.trim(), birthDate: fields.birthDate, about: fields.about.trim(), agreed: true }
        : null,
      startsAt: began,
      minutes: recordMinutes(began, ended),
      answers: Object.fromEntries(STOP_QUESTIONS.map(({ id }) => [id, fields.raised[id] ?? 'no'])),
      consent: agreed === null ? areasOf(done.value, shelf.shelf) : [...agreed, ...moreAreas.value],
      protocolId: sentOn ? null : (protocol.value?.id ?? null),
      blocks: done.value,
      words: fields.words.trim(),
      knowsWork: fields.knowsWork,
      referral: sentOn ? { to: fields.to.trim(), seen: fields.seen.trim() } : null,
    };
  }

  return {
    fields,
    isGuest,
    protocols,
    protocol,
    steps,
    look,
    context,
    raised,
    isNewWork,
    done,
    moreAreas,
    birthDateWrong,
    missing,
    record,
  };
}
