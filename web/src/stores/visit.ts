import { defineStore } from 'pinia';
import { v7 as uuid } from 'uuid';
import { computed, ref, shallowRef, watch } from 'vue';
import { openName } from './openName.ts';
import { currentFindings, lookFirst, type Finding, type FindingContent, type StandingFinding } from '@pace-bend/core/finding';
import type { BlockPlan } from '@pace-bend/core/method';
import type { CheckInFields } from '@pace-bend/core/readiness';
import { STOP_QUESTIONS, visitCautions, type Caution, type CautionContext, type QuestionId } from '@pace-bend/core/caution';
import {
  cautionContextOf,
  currentReadings,
  openQuestions,
  readinessToday,
  type Arrival,
  type HomeAnswersFields,
  type HomeSheetFields,
  type Note,
  type Reading,
  type ReadingFields,
  type ReadinessOutcome,
  type ReadinessToday,
  type Step,
  type Visit,
  type VisitFile,
} from '@pace-bend/core/record';
import { api, ApiProblem } from '../api/api.ts';
import { keepAnswer, read } from '../api/kept.ts';
import { athleteRecord, withAnswer as withAthletesAnswer, withWaiting as withAthletesWaiting } from '../outbox/athleteChanges.ts';
import type { Change } from '../outbox/change.ts';
import {
  answersDraft,
  arrivalDraft,
  asideDraft,
  checkInDraft,
  findingDraft,
  keepDraft,
  homeAnswersDraft,
  homeDraft,
  noteDraft,
  overrideDraft,
  planDraft,
  readingDraft,
  referralDraft,
  type VisitDraft,
  type VisitNow,
} from '../outbox/visitDrafts.ts';
import { findingSpot, readingSpot, visitRecord, withAnswer, withWaiting } from '../outbox/visitChanges.ts';
import { savingOf, useOutbox } from './outbox.ts';
import { usePractice } from './practice.ts';
import { useSession } from './session.ts';
import { t } from '../words/stores.ts';

/** Typing goes on: what is typed is kept at once and sent when the hand has rested this long, in milliseconds. */
const PAUSE_MS = 500;
/** How long finishing waits for what is on its way, in milliseconds. */
const FINISH_MS = 4000;

/** What is shown beside its own place when it is refused, and not at the head of the visit. */
const SAID_AT_ITS_PLACE = /^(reading|finding|run|events)/;

/** The visit that is open: everything the server knows of it, and what is on its way there. */
export const useVisit = defineStore('visit', () => {
  const practice = usePractice();
  const session = useSession();
  const outbox = useOutbox();
  /** What the server said last. */
  const served = shallowRef<VisitFile | null>(null);
  const problem = ref<ApiProblem | null>(null);
  /** Counts how often what stands was taken in place of what was typed: screens begin anew then. */
  const generation = ref(0);
  /** Plans before and after the one that stands, as long as the visit is open: undo goes back across its pages. */
  const planDone = shallowRef<readonly (readonly BlockPlan[])[]>([]);
  const planUndone = shallowRef<readonly (readonly BlockPlan[])[]>([]);

  const id = computed(() => served.value?.visit.id ?? '');
  const record = computed(() => visitRecord(id.value));
  const waiting = computed(() => outbox.of(record.value));
  const author = computed(() => ({ id: session.me?.id ?? '', name: session.me?.name ?? '' }));
  /** The same list as long as nothing in it is new, so that nothing is worked out again. */
  const steady = (last: readonly Change[] | undefined, now: readonly Change[]) =>
    last?.length === now.length &&
    now.every((change, i) => change.id === last[i]!.id && change.body === last[i]!.body && change.refusal === last[i]!.refusal)
      ? last
      : now;
  /** What is laid over what the server said. */
  const laidOver = computed<readonly Change[]>((last) =>
    steady(
      last,
      waiting.value.filter((change) => !/^(run|events)/.test(change.spot)),
    ),
  );
  /** What was changed in the athlete's own file and is not sent: a condition counts from when it was typed. What was refused there is looked at there. */
  const ofAthlete = computed<readonly Change[]>((last) =>
    steady(last, served.value ? outbox.of(athleteRecord(served.value.athlete.id)).filter((change) => change.refusal === null) : []),
  );
  /** The visit as it is shown. */
  const file = computed<VisitFile | null>(() =>
    served.value ? withWaiting(withAthletesWaiting(served.value, ofAthlete.value), laidOver.value, author.value) : null,
  );
  watch(file, (now) => {
    if (now) openName.value = { id: now.visit.id, name: now.athlete.name };
  });
  const finished = computed(() => typeof file.value?.visit.finishedAt === 'string' || typeof file.value?.visit.cancelledAt === 'string');
  /** The readings that stand, before and after. */
  const readings = computed<Reading[]>(() => (file.value ? currentReadings(file.value.readings) : []));
  const findings = computed<StandingFinding[]>(() => (file.value ? currentFindings(file.value.findings) : []));
  /** Points of earlier visits that nobody has looked at today. */
  const toLookAt = computed(() =>
    file.value ? lookFirst(file.value.lastFindings, file.value.findings, Date.parse(file.value.visit.startsAt)) : [],
  );
  /** How the athlete is on the visit's own day, and what that holds back. */
  const readiness = computed<ReadinessToday | null>(() =>
    file.value ? readinessToday(file.value, practice.dayOf(file.value.visit.startsAt), practice.dayOf, practice.ownSports) : null,
  );
  /** What cautions need to know, on the visit's own day. */
  const cautionContext = computed<CautionContext | null>(() =>
    file.value ? cautionContextOf(file.value, practice.dayOf(file.value.visit.startsAt), readiness.value?.limits ?? []) : null,
  );
  /** Why nothing may be done today; empty when hands may go on. */
  const stops = computed<readonly Caution[]>(() =>
    cautionContext.value ? visitCautions(cautionContext.value).cautions.filter((caution) => caution.level === 'stop') : [],
  );
  /** What nobody has asked yet today and has not said why not. */
  const toAsk = computed(() => (file.value && !finished.value ? openQuestions(file.value) : []));
  const refused = computed(() => waiting.value.filter((change) => change.refusal !== null && !SAID_AT_ITS_PLACE.test(change.spot)));
  const saveState = computed(() =>
    savingOf(
      waiting.value.filter((change) => change.refusal === null || refused.value.includes(change)),
      outbox.problem,
    ),
  );

  outbox.hearAnswers((change, answer) => {
    if (!served.value) return;
    if (change.record === record.value) served.value = withAnswer(served.value, change, answer);
    else if (change.record === athleteRecord(served.value.athlete.id)) served.value = withAthletesAnswer(served.value, change, answer);
  });
  // What collided with a later change is seen beside it.
  outbox.hearRefusals((change) => {
    if (change.record === record.value && change.refusal!.isStale && SAID_AT_ITS_PLACE.test(change.spot)) void load(id.value);
  });

  /** Loads a visit; what waits lies over it at once. */
  async function load(visitId: string): Promise<void> {
    problem.value = null;
    if (id.value !== visitId) {
      served.value = null;
      planDone.value = [];
      planUndone.value = [];
    }
    try {
      await outbox.whileStill(visitRecord(visitId), async () => {
        served.value = await read<VisitFile>(`/visits/${visitId}`);
      });
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      problem.value = error;
    }
  }

  const put = (draft: VisitDraft, pauseMs = 0) => outbox.put({ ...draft, record: record.value }, pauseMs);
  const ask = (draft: VisitDraft) => outbox.ask({ ...draft, record: record.value });
  const now = (): VisitNow => ({ served: served.value!, shown: file.value! });

  const setArrive = (fields: Partial<Arrival>) => put(arrivalDraft(now(), fields), PAUSE_MS);
  function setBlocks(blocks: readonly BlockPlan[]): void {
    if (JSON.stringify(blocks) !== JSON.stringify(file.value!.plan.blocks)) put(planDraft(now(), blocks), PAUSE_MS);
  }
  const setNote = (own: Partial<Pick<Note, 'text' | 'edits'>>) => put(noteDraft(now(), own), PAUSE_MS);

  const setHome = (sheet: Partial<HomeSheetFields>) => put(homeDraft(now(), sheet), PAUSE_MS);
  const answerHome = (answers: HomeAnswersFields) => put(homeAnswersDraft(now(), answers), PAUSE_MS);

  /** Sends what waits of this visit. */
  const flush = () => outbox.flush(record.value);

  /** Drops what was refused and takes what the server has. */
  async function takeTheirs(): Promise<void> {
    for (const change of refused.value) outbox.drop(change.id);
    await load(id.value);
    generation.value += 1;
  }

  /** Puts what was typed here over what was changed meanwhile, knowingly. */
  async function keepMine(): Promise<void> {
    await Promise.all(refused.value.map((change) => outbox.insist(change.id)));
    await load(id.value);
  }

  /** Remembers which step is open, so that the visit reopens there. Not being able to is nobody's loss. */
  async function rememberStep(step: Step): Promise<void> {
    const visit = served.value?.visit;
    if (!visit || visit.step === step) return;
    try {
      const { step: stored } = await api<Visit>('PATCH', `/visits/${visit.id}`, { revision: visit.revision, step });
      if (served.value?.visit.id === visit.id) served.value = { ...served.value, visit: { ...served.value.visit, step: stored } };
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
    }
  }

  /** Adds a reading, or corrects the one that stands for the same motion, side and moment. */
  function saveReading(fields: Omit<ReadingFields, 'supersedes'>): void {
    const spot = readingSpot(fields);
    // What a refusal said stands now is known before the file has been read again: typed once more, it is that which is corrected.
    const told = waiting.value.find((change) => change.spot === spot && change.refusal?.isStale)?.refusal?.current;
    const standing =
      (Array.isArray(told) ? currentReadings(told as Reading[]) : []).find((each) => readingSpot(each) === spot) ??
      readings.value.find((each) => readingSpot(each) === spot) ??
      file.value!.readings.findLast((each) => readingSpot(each) === spot);
    if (fields.trials.length === 0 && outbox.takeBack(record.value, spot)) return;
    put(readingDraft(now(), fields, standing?.id ?? null));
  }

  /** Adds what was found, corrects it, or with no data withdraws it. `pauseMs`: more taps may follow within that time. */
  function saveFinding(content: FindingContent, moment: Finding['moment'] = 'before', pauseMs = 0): void {
    const spot = findingSpot({ ...content, moment });
    const standing =
      findings.value.find((each) => findingSpot(each) === spot) ?? file.value!.findings.findLast((each) => findingSpot(each) === spot);
    if (content.data === null && (!standing || standing.data === null)) return;
    if (content.data === null && outbox.takeBack(record.value, spot)) return;
    put(findingDraft(now(), content, moment, standing?.id ?? null), pauseMs);
  }

  /** Keeps a set of answers to the stop questions: no to all but those given. Throws ApiProblem. */
  const answer = (given: Partial<Record<QuestionId, 'yes' | 'unsure'>>) =>
    ask(
      answersDraft(now(), { answers: Object.fromEntries(STOP_QUESTIONS.map(({ id: question }) => [question, given[question] ?? 'no'])) }),
    );

  /** Keeps why the stop questions are not asked today. Throws ApiProblem. */
  const setQuestionsAside = (word: string) => ask(answersDraft(now(), { answers: {}, notAsked: word }));

  /** Sets an "avoid" aside for one motion and side, with the reason. Throws ApiProblem. */
  const override = (fields: Parameters<typeof overrideDraft>[1]) => ask(overrideDraft(now(), fields));

  /** Keeps today's answers; those that stand are corrected by them. */
  const saveCheckIn = (fields: CheckInFields) => put(checkInDraft(now(), fields, readiness.value?.told.today?.id ?? null));

  /** Takes in what is known of the day, or says how it went. */
  const keepReadiness = (outcome: ReadinessOutcome | null) => put(keepDraft(now(), outcome));

  /** Sets a limit of the day aside, with the word why. */
  const setLimitAside = (limitId: string, reason: string) => put(asideDraft(now(), { limitId, reason }));

  /** Writes the referral. Throws ApiProblem. */
  const refer = (fields: Parameters<typeof referralDraft>[1]) => ask(referralDraft(now(), fields));

  /** Signs the note as it reads here, once everything is on the server. Throws ApiProblem. */
  const signNote = (text: string) => {
    const { revision = 0 } = served.value!.note ?? {};
    return noteOnServer((path) => api<Note>('PUT', `${path}/signature`, { revision: served.value!.note?.revision ?? revision, text }));
  };
  /** Adds to a signed note. Throws ApiProblem. */
  const addToNote = (text: string) => noteOnServer((path) => api<Note>('PUT', `${path}/addenda/${uuid()}`, { text }));
  async function noteOnServer(ask: (path: string) => Promise<Note>): Promise<void> {
    await flush();
    const visitId = id.value;
    const note = await ask(`/visits/${visitId}/note`);
    if (served.value?.visit.id !== visitId) return;
    served.value = { ...served.value, note };
    void keepAnswer(`/visits/${visitId}`, served.value);
  }

  /** Finishes it once everything is on the server, or reopens it. Throws ApiProblem, and says what is not there and what never will be. */
  async function end(path: 'finish' | 'reopen'): Promise<void> {
    await Promise.race([
      flush(),
      new Promise((resolve) => {
        setTimeout(resolve, FINISH_MS);
      }),
    ]);
    // What was refused because the visit is over goes when it is open again.
    if (path === 'finish') requireAllSent();
    const visit = await api<Visit>('POST', `/visits/${id.value}/${path}`, { revision: served.value!.visit.revision });
    if (served.value?.visit.id !== visit.id) return;
    served.value = { ...served.value, visit };
    void keepAnswer(`/visits/${visit.id}`, served.value);
  }

  function requireAllSent(): void {
    const wordsOf = (changes: readonly Change[]) => [...new Set(changes.map((change) => change.words))].join(', ');
    const no = waiting.value.filter((change) => change.refusal !== null);
    if (no.length > 0) throw new ApiProblem('refused-before', t('refusedServerSendAgain', { wordsOf: wordsOf(no) }));
    if (waiting.value.length > 0) throw new ApiProblem('not-sent-yet', t('notServerYetVisit', { wordsOf: wordsOf(waiting.value) }));
  }

  return {
    planDone,
    planUndone,
    file,
    problem,
    id,
    generation,
    finished,
    readings,
    findings,
    toLookAt,
    readiness,
    cautionContext,
    stops,
    toAsk,
    saveState,
    refused,
    record,
    waiting,
    answer,
    setQuestionsAside,
    override,
    saveCheckIn,
    keepReadiness,
    setLimitAside,
    refer,
    load,
    setArrive,
    setBlocks,
    setNote,
    setHome,
    answerHome,
    signNote,
    addToNote,
    flush,
    takeTheirs,
    keepMine,
    rememberStep,
    saveReading,
    saveFinding,
    finish: () => end('finish'),
    reopen: () => end('reopen'),
  };
});
