import { createPinia, setActivePinia } from 'pinia';
import { useOutbox } from './outbox.ts';
import { STOP_QUESTIONS } from '@pace-bend/core/caution';
import type { VisitFile } from '@pace-bend/core/record';
import { installBrowser, type Answer, type Sent } from '../testing/browser.ts';
import { visitFile } from '../testing/visitFile.ts';
import { useVisit } from './visit.ts';

/** A server that holds one visit and counts its revisions. */
async function server(start: VisitFile = visitFile()) {
  let file = start;
  let refuse: Answer | null = null;
  const respond = ({ method, path, body }: Sent): Answer => {
    if (refuse) return refuse;
    const sent = body as Record<string, unknown>;
    if (method === 'GET') return { status: 200, body: file };
    if (method === 'PATCH') {
      const { revision, ...fields } = sent;
      if (revision !== file.visit.revision)
        return {
          status: 409,
          body: { type: '/problems/changed-meanwhile', title: 'Changed meanwhile', detail: 'Somewhere else.', current: file.visit },
        };
      file = { ...file, visit: { ...file.visit, ...fields, revision: file.visit.revision + 1 } };
      return { status: 200, body: file.visit };
    }
    if (path.includes('/answers/')) {
      file = {
        ...file,
        answers: [
          ...file.answers,
          {
            id: path.split('/').at(-1)!,
            at: '2026-11-25T09:30:00.000Z',
            by: 'Ann',
            answers: sent.answers as VisitFile['answers'][number]['answers'],
            notAsked: (sent.notAsked as string | undefined) ?? null,
          },
        ],
      };
      return { status: 200, body: { answers: file.answers } };
    }
    if (path.includes('/overrides/')) {
      file = {
        ...file,
        overrides: [...file.overrides, { ...(sent as unknown as VisitFile['overrides'][number]), id: 'o', at: '', by: 'Ann' }],
      };
      return { status: 200, body: { overrides: file.overrides } };
    }
    if (path.endsWith('/referral')) {
      file = {
        ...file,
        referral: { to: String(sent.to), seen: String(sent.seen), at: '', by: 'Ann', revision: Number(sent.revision) + 1 },
      };
      return { status: 200, body: { referral: file.referral } };
    }
    return { status: 404, body: { type: '/problems/not-found', title: 'Not found', detail: path } };
  };
  const { sent } = installBrowser(respond);
  setActivePinia(createPinia());
  await useOutbox().open('ann');
  return {
    sent,
    now: () => file,
    refuse: (answer: Answer | null) => {
      refuse = answer;
    },
    change: (next: VisitFile) => {
      file = next;
    },
  };
}

async function open(start?: VisitFile) {
  const held = await server(start);
  const visit = useVisit();
  await visit.load('v');
  return { visit, ...held };
}

test('what is asked at arrival is shown at once and sent together, field by field', async () => {
  const { visit, sent, now } = await open();
  visit.setArrive({ complaint: 'Stiff' });
  visit.setArrive({ complaintScore: 4 });
  visit.setArrive({ consent: ['hips'] });
  expect(visit.file!.visit).toMatchObject({ complaint: 'Stiff', complaintScore: 4, consent: ['hips'] });
  await visit.flush();
  const patches = sent.filter((each) => each.method === 'PATCH');
  expect(patches).toHaveLength(1);
  expect(patches[0]!.body).toEqual({ revision: 1, complaint: 'Stiff', complaintScore: 4, consent: ['hips'] });
  expect(now().visit.revision).toBe(2);
  expect(visit.saveState).toBe('saved');
});

test('what is typed while a request is under way is not overwritten by its answer', async () => {
  const { visit, now } = await open();
  visit.setArrive({ complaint: 'first' });
  const flushed = visit.flush();
  visit.setArrive({ changed: 'second' });
  await flushed;
  await visit.flush();
  expect(visit.file!.visit).toMatchObject({ complaint: 'first', changed: 'second' });
  expect(now().visit).toMatchObject({ complaint: 'first', changed: 'second' });
});

test('changed elsewhere: refused and said; keeping mine puts only what I typed over theirs', async () => {
  const { visit, now, change } = await open();
  change({ ...now(), visit: { ...now().visit, complaint: 'theirs', trainingNext: 'theirs too', revision: 5 } });
  visit.setArrive({ complaint: 'mine' });
  await visit.flush();
  expect(visit.saveState).toBe('refused');
  expect(visit.refused[0]?.refusal?.isStale).toBe(true);
  await visit.keepMine();
  expect(now().visit).toMatchObject({ complaint: 'mine', trainingNext: 'theirs too', revision: 6 });
  expect(visit.file!.visit.trainingNext).toBe('theirs too');
});

test('taking theirs drops mine', async () => {
  const { visit, now, change } = await open();
  change({ ...now(), visit: { ...now().visit, complaint: 'theirs', revision: 5 } });
  visit.setArrive({ complaint: 'mine' });
  await visit.flush();
  const before = visit.generation;
  await visit.takeTheirs();
  expect(visit.generation).toBe(before + 1);
  expect(visit.file!.visit.complaint).toBe('theirs');
  expect(visit.saveState).toBe('saved');
});

test('signed out: kept, tried again, and sent when somebody is back', async () => {
  const { visit, now, refuse } = await open();
  refuse({ status: 401, body: { type: '/problems/not-signed-in', title: 'Not signed in', detail: 'Sign in first.' } });
  visit.setArrive({ complaint: 'typed while out' });
  await visit.flush();
  expect(visit.saveState).toBe('offline');
  refuse(null);
  await visit.flush();
  expect(now().visit.complaint).toBe('typed while out');
});

test('all is well in one request: every question answered with no; a raised one stops the visit, taking it back frees it', async () => {
  const { visit, sent } = await open();
  await visit.answer({});
  expect(Object.values((sent.at(-1)!.body as { answers: Record<string, string> }).answers)).toEqual(STOP_QUESTIONS.map(() => 'no'));
  expect(visit.stops).toEqual([]);
  await visit.answer({ calf: 'unsure' });
  expect(visit.stops.map((caution) => caution.ruleId)).toEqual(['stop-calf']);
  await visit.answer({});
  expect(visit.stops).toEqual([]);
  expect(visit.file!.answers).toHaveLength(3);
});

test('a reason set aside and a referral are kept with the visit', async () => {
  const { visit } = await open();
  await visit.override({
    ruleId: 'knee-torque',
    ground: 'g',
    motionId: 'hip-internal-rotation',
    side: 'left',
    reason: 'Held above the knee',
  });
  expect(visit.file!.overrides).toHaveLength(1);
  await visit.refer({ to: 'Dr Example', seen: 'Swollen' });
  await visit.refer({ to: 'Dr Example', seen: 'Swollen and warm' });
  expect(visit.file!.referral).toMatchObject({ seen: 'Swollen and warm', revision: 2 });
});

test('what an old page left behind for a visit that is finished by now is refused, kept in the list, and not shown as if it stood', async () => {
  const { visit, refuse, change, now } = await open();
  refuse({ status: 503, body: { type: '/problems/error', title: 'Error', detail: 'Down.' } });
  visit.setArrive({ complaint: 'left behind' });
  await visit.flush();
  expect([visit.file!.visit.complaint, visit.saveState]).toEqual(['left behind', 'offline']);
  change({ ...now(), visit: { ...now().visit, finishedAt: '2026-11-25T08:00:00.000Z', revision: 9 } });
  refuse({ status: 409, body: { type: '/problems/finished', title: 'Finished', detail: 'This visit is finished.' } });
  await visit.flush();
  refuse(null);
  await visit.load('v');
  expect([visit.finished, visit.file!.visit.complaint]).toEqual([true, '']);
  expect(useOutbox().refused.map((each) => each.body)).toEqual([{ complaint: 'left behind' }]);
});

test('others changed other fields meanwhile: both stand, and nobody is asked', async () => {
  const { visit, now, change } = await open();
  change({ ...now(), visit: { ...now().visit, trainingNext: 'theirs', revision: 5 } });
  visit.setArrive({ complaint: 'mine' });
  await visit.flush();
  expect(now().visit).toMatchObject({ complaint: 'mine', trainingNext: 'theirs', revision: 6 });
  expect(visit.file!.visit).toMatchObject({ complaint: 'mine', trainingNext: 'theirs' });
  expect(visit.saveState).toBe('saved');
});

test('what was refused keeps a visit from being finished, with words that do not promise it will go, but not from being opened again', async () => {
  const { visit, refuse, sent } = await open();
  refuse({ status: 409, body: { type: '/problems/finished', title: 'Finished', detail: 'This visit is finished.' } });
  visit.setArrive({ complaint: 'too late' });
  await visit.flush();
  refuse(null);
  await expect(visit.finish()).rejects.toMatchObject({
    title: 'Refused',
    message: 'answers at arrival: refused by the server. Send it again or discard it first.',
  });
  await visit.reopen().catch(() => undefined);
  expect(sent.filter((each) => each.method === 'POST').map((each) => each.path)).toEqual(['/api/visits/v/reopen']);
});

test('finishing names what is not on the server, and does not finish', async () => {
  const { visit, refuse, sent } = await open();
  refuse({ status: 503, body: { type: '/problems/error', title: 'Error', detail: 'Down.' } });
  visit.setArrive({ complaint: 'waits' });
  await expect(visit.finish()).rejects.toMatchObject({
    title: 'Not sent yet',
    message: 'answers at arrival: not on the server yet. The visit can be finished once everything is.',
  });
  expect(sent.filter((each) => each.method === 'POST')).toEqual([]);
});

test('a finding is added, then corrected, then withdrawn; nothing is sent to withdraw nothing', async () => {
  const kept: Record<string, unknown>[] = [];
  const { sent } = installBrowser(({ method, path, body }: Sent) => {
    if (method === 'GET') return { status: 200, body: visitFile() };
    const saved = { ...(body as object), id: path.split('/').at(-1)!, visitId: 'v', foundAt: '2026-11-25T09:30:00.000Z', foundBy: 'Ann' };
    kept.push(saved);
    return { status: 200, body: saved };
  });
  setActivePinia(createPinia());
  await useOutbox().open('ann');
  const visit = useVisit();
  await visit.load('v');
  const place = { kind: 'glide', subject: 'patella', side: 'left' } as const;
  visit.saveFinding({ ...place, data: null });
  await visit.flush();
  expect(sent.filter((each) => each.method === 'PUT')).toHaveLength(0);
  visit.saveFinding({ ...place, data: { up: 'stiff', down: null, in: null, out: null } });
  await visit.flush();
  visit.saveFinding({ ...place, data: { up: 'free', down: null, in: null, out: null } });
  await visit.flush();
  expect(visit.findings.map((each) => each.data)).toEqual([{ up: 'free', down: null, in: null, out: null }]);
  visit.saveFinding({ ...place, data: null });
  await visit.flush();
  expect(visit.findings).toEqual([]);
  expect(kept.map((each) => each.supersedes)).toEqual([null, kept[0]!.id, kept[1]!.id]);
});

test('a reading is added, then corrected in its place, by motion, side and moment; a withdrawn one is followed too', async () => {
  const kept: Record<string, unknown>[] = [];
  installBrowser(({ method, path, body }: Sent) => {
    if (method === 'GET') return { status: 200, body: visitFile() };
    const fields = body as { trials: number[] };
    const saved = {
      ...fields,
      id: path.split('/').at(-1)!,
      visitId: 'v',
      examinerId: 'a',
      takenAt: '2026-11-25T09:30:00.000Z',
      value: fields.trials.length > 0 ? fields.trials.reduce((sum, trial) => sum + trial, 0) / fields.trials.length : null,
    };
    kept.push(saved);
    return { status: 200, body: saved };
  });
  setActivePinia(createPinia());
  await useOutbox().open('ann');
  const visit = useVisit();
  await visit.load('v');
  const fields = { motionId: 'straight-leg-raise', side: 'left', moment: 'before', mode: 'passive', instrument: 'inclinometer' } as const;
  visit.saveReading({ ...fields, trials: [60, 62] });
  await visit.flush();
  visit.saveReading({ ...fields, side: 'right', trials: [70] });
  await visit.flush();
  visit.saveReading({ ...fields, moment: 'after', trials: [66] });
  await visit.flush();
  visit.saveReading({ ...fields, trials: [61, 62, 63] });
  await visit.flush();
  expect(visit.readings.filter((each) => each.side === 'left' && each.moment === 'before').map((each) => each.value)).toEqual([62]);
  expect(visit.readings).toHaveLength(3);
  visit.saveReading({ ...fields, trials: [] });
  await visit.flush();
  visit.saveReading({ ...fields, trials: [64] });
  await visit.flush();
  expect(kept.map((each) => each.supersedes)).toEqual([null, null, null, kept[0]!.id, kept[3]!.id, kept[4]!.id]);
  expect(visit.readings.find((each) => each.side === 'left' && each.moment === 'before')!.value).toBe(64);
});

test('the step that is open is remembered once, and that it could not be is nobody’s loss', async () => {
  const { visit, sent, refuse, now } = await open();
  const patches = () => sent.filter((each) => each.method === 'PATCH').length;
  await visit.rememberStep('measure');
  expect(patches()).toBe(0);
  await visit.rememberStep('plan');
  expect([patches(), now().visit.step, visit.file!.visit.step]).toEqual([1, 'plan', 'plan']);
  refuse({ status: 503, body: { type: '/problems/error', title: 'Error', detail: 'Down.' } });
  await visit.rememberStep('table');
  expect([patches(), visit.file!.visit.step, visit.saveState]).toEqual([2, 'plan', 'saved']);
});

test('finishing sends what is still on its way first, and reopening makes it editable again', async () => {
  const order: string[] = [];
  let file = visitFile();
  installBrowser(({ method, path, body }: Sent) => {
    if (method === 'GET') return { status: 200, body: file };
    order.push(`${method} ${path.split('/').slice(4).join('/') || 'visit'}`);
    const revision = file.visit.revision + 1;
    if (method === 'PATCH') file = { ...file, visit: { ...file.visit, ...(body as object), revision } };
    if (path.endsWith('/finish')) file = { ...file, visit: { ...file.visit, finishedAt: '2026-11-25T10:00:00.000Z', revision } };
    if (path.endsWith('/reopen')) file = { ...file, visit: { ...file.visit, finishedAt: null, revision } };
    return { status: 200, body: file.visit };
  });
  setActivePinia(createPinia());
  await useOutbox().open('ann');
  const visit = useVisit();
  await visit.load('v');
  visit.setArrive({ complaint: 'stiff left hip' });
  await visit.finish();
  expect(order).toEqual(['PATCH visit', 'POST finish']);
  expect([visit.finished, visit.file!.visit.complaint]).toEqual([true, 'stiff left hip']);
  await visit.reopen();
  expect([visit.finished, visit.file!.visit.finishedAt]).toEqual([false, null]);
});

test('a condition typed into the athlete’s file counts in the visit at once, before the server has it', async () => {
  const { visit, now, refuse } = await open();
  refuse({ status: 503, body: { type: '/problems/busy', title: 'Busy', detail: 'Later.' } });
  const condition = { kind: 'acute-fracture', regions: ['hip'], side: 'left', since: '2026-11-20', until: null, operation: null, note: '' };
  useOutbox().put({
    record: `athlete/${now().athlete.id}`,
    spot: 'condition/c',
    words: 'a condition',
    method: 'PUT',
    path: `/athletes/${now().athlete.id}/conditions/c`,
    body: condition,
    join: 'fields',
    revision: { of: 'condition/c', base: 0 },
  });
  expect(visit.file!.conditions).toEqual([expect.objectContaining({ id: 'c', kind: 'acute-fracture' })]);
  expect(visit.cautionContext!.subject.conditions).toHaveLength(1);
});
