import { createPinia, setActivePinia } from 'pinia';
import { effectScope } from 'vue';
import type { Finding, FindingFields } from '@pace-bend/core/finding';
import type { VisitFile } from '@pace-bend/core/record';
import { useOutbox } from '../stores/outbox.ts';
import { usePractice } from '../stores/practice.ts';
import { useVisit } from '../stores/visit.ts';
import { installBrowser, settle, type Sent } from '../testing/browser.ts';
import { visitFile } from '../testing/visitFile.ts';
import { useFindings } from './useFindings.ts';

const REST = 800;

async function open(file: VisitFile = visitFile(), answer: (fields: FindingFields) => number = () => 200) {
  const kept: Finding[] = [];
  const { sent } = installBrowser(({ method, path, body }: Sent) => {
    if (path.endsWith('/practice')) return { status: 200, body: { name: 'P', timeZone: 'utc', today: '2026-11-25' } };
    if (method === 'GET') return { status: 200, body: { ...file, findings: kept } };
    const fields = body as FindingFields;
    const status = answer(fields);
    if (status !== 200) return { status, body: { type: '/problems/refused', title: 'Refused', detail: 'Not today.' } };
    const saved = { ...fields, id: path.split('/').at(-1)!, visitId: 'v', foundAt: '2026-11-25T09:30:00.000Z', foundBy: 'Ann' } as Finding;
    kept.push(saved);
    return { status: 200, body: saved };
  });
  setActivePinia(createPinia());
  await useOutbox().open('ann');
  await usePractice().load();
  const visit = useVisit();
  await visit.load('v');
  const scope = effectScope();
  const findings = scope.run(() => useFindings())!;
  return { visit, findings, kept, puts: () => sent.filter((each) => each.method === 'PUT'), leave: () => scope.stop() };
}
const press = { kind: 'press', subject: 'hip-hike', side: 'left' } as const;

test('taps in a row are one finding, read at once and sent when the hand rests', async () => {
  const { findings, puts, kept } = await open();
  findings.write({ ...press, data: { answer: 'prompt' } });
  findings.write({ ...press, data: { answer: 'late' } });
  expect(findings.read<'press'>(press)).toEqual({ answer: 'late' });
  expect(puts()).toHaveLength(0);
  await settle(REST);
  expect(puts()).toHaveLength(1);
  expect(kept[0]).toMatchObject({ ...press, data: { answer: 'late' }, supersedes: null, moment: 'before' });
});

test('a later one corrects the first; taking it back withdraws it; taking back what never was sends nothing', async () => {
  const { findings, kept, puts } = await open();
  findings.write({ ...press, data: { answer: 'late' } });
  await useOutbox().flush();
  findings.write({ ...press, data: { answer: 'weak' } });
  await useOutbox().flush();
  findings.write({ ...press, data: null });
  await useOutbox().flush();
  expect(kept.map((each) => each.supersedes)).toEqual([null, kept[0]!.id, kept[1]!.id]);
  expect(findings.read<'press'>(press)).toBeNull();
  const before = puts().length;
  findings.write({ kind: 'press', subject: 'leg-lift', side: 'left', data: null });
  await useOutbox().flush();
  expect(puts()).toHaveLength(before);
});

test('leaving loses nothing of what still waits; what is refused stays on the screen with its reason', async () => {
  const { findings, puts, leave } = await open();
  findings.write({ ...press, data: { answer: 'late' } });
  leave();
  await settle(REST);
  expect(puts()).toHaveLength(1);
  const closed = await open(visitFile(), () => 422);
  closed.findings.write({ ...press, data: { answer: 'late' } });
  await useOutbox().flush();
  expect(closed.findings.problemOf(press)).toBe('Not today.');
  expect(closed.findings.read<'press'>(press)).toEqual({ answer: 'late' });
});

test('what makes no sense is said here and not sent; a finished visit takes nothing', async () => {
  const { findings, puts } = await open();
  findings.write({ kind: 'force', subject: 'knee-flexors', side: 'left', data: { trialsN: [] } });
  await useOutbox().flush();
  expect(findings.problemOf({ kind: 'force', subject: 'knee-flexors', side: 'left' })).toContain('One to 5 presses');
  expect(puts()).toHaveLength(0);
  const start = visitFile();
  const done = await open({ ...start, visit: { ...start.visit, finishedAt: '2026-11-25T10:00:00.000Z' } });
  done.findings.write({ ...press, data: { answer: 'late' } });
  await useOutbox().flush();
  expect(done.puts()).toHaveLength(0);
});
