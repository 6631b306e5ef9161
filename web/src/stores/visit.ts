import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { v7 as uuid } from 'uuid';
import { currentFindings, type Finding, type FindingContent, type StandingFinding } from '@pace-bend/core/finding';
import type { BlockPlan } from '@pace-bend/core/method';
import { STOP_QUESTIONS, visitCautions, type Caution, type CautionContext, type QuestionId } from '@pace-bend/core/caution';
import { cautionContextOf, currentReadings, openQuestions, type Arrival, type Note, type Override, type Referral, type StopAnswers, type Plan, type Reading, type ReadingFields, type Run, type Step, type Visit, type VisitFile } from '@pace-bend/core/record';
import { api, ApiProblem } from '../app/api.ts';
import { autosave, type Autosave, type SaveState } from './autosave.ts';
import { usePractice } from './practice.ts';

/** The visit that is open: everything the server knows of it, and what is on its way there. */
export const useVisit = defineStore('visit', () => {
  const practice = usePractice();
  const file = shallowRef<VisitFile | null>(null);
  const problem = ref<ApiProblem | null>(null);
  /** Counts how often what stands was taken in place of what was typed: screens begin anew then. */
  const generation = ref(0);
  const savers = shallowRef(makeSavers(''));
  /** Plans before and after the one that stands, as long as the visit is open: undo goes back across its pages. */
  const planDone = shallowRef<readonly (readonly BlockPlan[])[]>([]);
  const planUndone = shallowRef<readonly (readonly BlockPlan[])[]>([]);

  const id = computed(() => file.value?.visit.id ?? '');
  const finished = computed(() => typeof file.value?.visit.finishedAt === 'string' || typeof file.value?.visit.cancelledAt === 'string');
  /** The readings that stand, before and after. */
  const readings = computed<Reading[]>(() => (file.value ? currentReadings(file.value.readings) : []));
  const findings = computed<StandingFinding[]>(() => (file.value ? currentFindings(file.value.findings) : []));
  /** What cautions need to know, on the visit's own day. */
  const cautionContext = computed<CautionContext | null>(() => (file.value ? cautionContextOf(file.value, practice.dayOf(file.value.visit.startsAt)) : null));
  /** Why nothing may be done today; empty when hands may go on. */
  const stops = computed<readonly Caution[]>(() => (cautionContext.value ? visitCautions(cautionContext.value).cautions.filter((caution) => caution.level === 'stop') : []));
  /** What nobody has asked yet today and has not said why not. */
  const toAsk = computed(() => (file.value && !finished.value ? openQuestions(file.value) : []));
  const saveState = computed<SaveState>(() => {
    const states = Object.values(savers.value).map((saver) => saver.state.value);
    return (['refused', 'offline', 'saving'] as const).find((state) => states.includes(state)) ?? 'saved';
  });
  const saveProblem = computed(() => Object.values(savers.value).map((saver) => saver.problem.value).find((each) => each !== null) ?? null);

  function makeSavers(visitId: string) {
    const arrive: Autosave<Partial<Arrival>> = autosave<Partial<Arrival>>(`${visitId}.arrive`, async (fields) => {
        const saved = await api<Visit>('PATCH', `/visits/${visitId}`, { revision: file.value!.visit.revision, ...fields });
        // What was typed meanwhile stays; it goes with the next request.
        setVisit({ ...saved, ...arrive.pending() });
    });
    return {
      arrive,
      plan: autosave<readonly BlockPlan[]>(`${visitId}.plan`, async (blocks) => {
        const plan = await api<Plan>('PUT', `/visits/${visitId}/plan`, { revision: file.value!.plan.revision, blocks });
        file.value = { ...file.value!, plan: { revision: plan.revision, blocks: file.value!.plan.blocks } };
      }),
      note: autosave<string>(`${visitId}.note`, async (text) => {
        const note = await api<Note>('PUT', `/visits/${visitId}/note`, { revision: file.value!.note?.revision ?? 0, text });
        file.value = { ...file.value!, note: { revision: note.revision, text: file.value!.note?.text ?? text } };
      }),
    };
  }

  function setVisit(visit: Visit): void {
    if (file.value?.visit.id === visit.id) file.value = { ...file.value, visit };
  }

  /** Loads a visit; what was typed earlier and never acknowledged is put back and sent. */
  async function load(visitId: string): Promise<void> {
    problem.value = null;
    if (file.value?.visit.id !== visitId) {
      file.value = null;
      planDone.value = [];
      planUndone.value = [];
    }
    try {
      const found = await api<VisitFile>('GET', `/visits/${visitId}`);
      file.value = found;
      savers.value = makeSavers(visitId);
      restore();
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      problem.value = error;
    }
  }

  function restore(): void {
    if (finished.value) return;
    const { arrive, plan, note } = savers.value;
    const [fields, blocks, text] = [arrive.pending(), plan.pending(), note.pending()];
    if (fields) setArrive(fields);
    if (blocks) setBlocks(blocks);
    if (text !== null) setNote(text);
  }

  function setArrive(fields: Partial<Arrival>): void {
    file.value = { ...file.value!, visit: { ...file.value!.visit, ...fields } };
    savers.value.arrive.set({ ...savers.value.arrive.pending(), ...fields });
  }

  function setBlocks(blocks: readonly BlockPlan[]): void {
    file.value = { ...file.value!, plan: { ...file.value!.plan, blocks } };
    savers.value.plan.set(blocks);
  }

  function setNote(text: string): void {
    file.value = { ...file.value!, note: { revision: file.value!.note?.revision ?? 0, text } };
    savers.value.note.set(text);
  }

  function setRun(run: Run): void {
    if (file.value) file.value = { ...file.value, runs: [...file.value.runs.filter((each) => each.id !== run.id), run] };
  }

  /** Sends everything that waits. */
  async function flush(): Promise<void> {
    await Promise.all(Object.values(savers.value).map((saver) => saver.flush()));
  }

  /** Drops what was refused and takes what the server has. */
  async function takeTheirs(): Promise<void> {
    for (const saver of Object.values(savers.value)) saver.discard();
    await load(id.value);
    generation.value += 1;
  }

  /** Puts what was typed here over what was changed meanwhile, knowingly. */
  async function keepMine(): Promise<void> {
    const theirs = await api<VisitFile>('GET', `/visits/${id.value}`);
    const mine = file.value!;
    file.value = {
      ...theirs,
      visit: { ...theirs.visit, ...savers.value.arrive.pending() },
      plan: { ...theirs.plan, blocks: mine.plan.blocks },
      note: theirs.note && { ...theirs.note, text: mine.note?.text ?? theirs.note.text },
    };
    await flush();
  }

  /** Remembers which step is open, so that the visit reopens there. Not being able to is nobody's loss. */
  async function rememberStep(step: Step): Promise<void> {
    const visit = file.value?.visit;
    if (!visit || visit.step === step) return;
    try {
      const { step: stored } = await api<Visit>('PATCH', `/visits/${visit.id}`, { revision: visit.revision, step });
      if (file.value?.visit.id === visit.id) file.value = { ...file.value, visit: { ...file.value.visit, step: stored } };
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
    }
  }

  /** Adds a reading, or corrects the one that stands for the same motion, side and moment. Throws ApiProblem. */
  async function saveReading(fields: Omit<ReadingFields, 'supersedes'>): Promise<void> {
    const standing = readings.value.find((each) => each.motionId === fields.motionId && each.side === fields.side && each.moment === fields.moment)
      ?? file.value!.readings.findLast((each) => each.motionId === fields.motionId && each.side === fields.side && each.moment === fields.moment);
    const saved = await api<Reading>('PUT', `/visits/${id.value}/readings/${uuid()}`, { ...fields, supersedes: standing?.id ?? null });
    if (file.value?.visit.id === saved.visitId) file.value = { ...file.value, readings: [...file.value.readings, saved] };
  }

  /** Adds what was found, corrects it, or with no data withdraws it. Throws ApiProblem. */
  async function saveFinding(content: FindingContent, moment: Finding['moment'] = 'before'): Promise<void> {
    const same = (each: Finding) => each.kind === content.kind && each.subject === content.subject && each.side === content.side && each.moment === moment;
    const standing = findings.value.find(same) ?? file.value!.findings.findLast(same);
    if (content.data === null && (!standing || standing.data === null)) return;
    const saved = await api<Finding>('PUT', `/visits/${id.value}/findings/${uuid()}`, { ...content, moment, supersedes: standing?.id ?? null });
    if (file.value?.visit.id === saved.visitId) file.value = { ...file.value, findings: [...file.value.findings, saved] };
  }

  /** Keeps a set of answers to the stop questions: no to all but those given. Throws ApiProblem. */
  async function answer(given: Partial<Record<QuestionId, 'yes' | 'unsure'>>): Promise<void> {
    const answers = Object.fromEntries(STOP_QUESTIONS.map(({ id }) => [id, given[id] ?? 'no']));
    const kept = await api<{ answers: StopAnswers[] }>('PUT', `/visits/${id.value}/answers/${uuid()}`, { answers });
    if (file.value) file.value = { ...file.value, answers: kept.answers };
  }

  /** Keeps why the stop questions are not asked today. Throws ApiProblem. */
  async function setQuestionsAside(word: string): Promise<void> {
    const kept = await api<{ answers: StopAnswers[] }>('PUT', `/visits/${id.value}/answers/${uuid()}`, { answers: {}, notAsked: word });
    if (file.value) file.value = { ...file.value, answers: kept.answers };
  }

  /** Sets an "avoid" aside for one motion and side, with the reason. Throws ApiProblem. */
  async function override(fields: Pick<Override, 'ruleId' | 'ground' | 'motionId' | 'side' | 'reason'>): Promise<void> {
    const kept = await api<{ overrides: Override[] }>('PUT', `/visits/${id.value}/overrides/${uuid()}`, fields);
    if (file.value) file.value = { ...file.value, overrides: kept.overrides };
  }

  /** Writes the referral. Throws ApiProblem. */
  async function refer(fields: Pick<Referral, 'to' | 'seen'>): Promise<void> {
    const kept = await api<{ referral: Referral }>('PUT', `/visits/${id.value}/referral`, { revision: file.value!.referral?.revision ?? 0, ...fields });
    if (file.value) file.value = { ...file.value, referral: kept.referral };
  }

  async function end(path: 'finish' | 'reopen'): Promise<void> {
    await flush();
    setVisit(await api<Visit>('POST', `/visits/${id.value}/${path}`, { revision: file.value!.visit.revision }));
  }

  return {
    planDone, planUndone, file, problem, id, generation, finished, readings, findings, cautionContext, stops, toAsk, saveState, saveProblem,
    answer, setQuestionsAside, override, refer,
    load, setArrive, setBlocks, setNote, setRun, flush, takeTheirs, keepMine, rememberStep, saveReading, saveFinding,
    finish: () => end('finish'),
    reopen: () => end('reopen'),
  };
});
