import { createPinia, setActivePinia } from 'pinia';
import { useOutbox } from '../../stores/outbox.ts';
import { BUILT_IN } from '@pace-bend/core/method';
import type { Plan, VisitFile } from '@pace-bend/core/record';
import { installBrowser, type Sent } from '../../testing/browser.ts';
import { reading, visitFile } from '../../testing/visitFile.ts';
import { useVisit } from '../../stores/visit.ts';
import { lineOf } from './planFacts.ts';
import { usePlan } from './usePlan.ts';

const BENT = 'hip-extension-knee-bent';

/** A server that keeps plans and refuses stale ones. */
async function open(file: VisitFile) {
  let kept: Plan = file.plan;
  const { sent } = installBrowser(({ method, path, body }: Sent) => {
    if (method === 'GET')
      return {
        status: 200,
        body: path.endsWith('/practice') ? { name: 'P', timeZone: 'utc', today: '2026-11-25' } : { ...file, plan: kept },
      };
    const { revision, blocks } = body as Plan;
    if (revision !== kept.revision)
      return { status: 409, body: { type: '/problems/changed-meanwhile', title: 'Changed meanwhile', current: kept } };
    kept = { revision: revision + 1, blocks };
    return { status: 200, body: kept };
  });
  setActivePinia(createPinia());
  await useOutbox().open('ann');
  const visit = useVisit();
  await visit.load('v');
  return { visit, plan: usePlan(), sent, kept: () => kept };
}

const stiffLeft = visitFile({
  readings: [
    reading({ motionId: BENT, trials: [3, 5, 4] }),
    reading({ motionId: BENT, side: 'right', trials: [11, 12, 11] }),
    reading({ motionId: 'straight-leg-raise', trials: [80] }),
    reading({ motionId: 'straight-leg-raise', side: 'right', trials: [80] }),
  ],
});

test('the stiffest motion is offered first, and the stiffer side goes first with a round more', async () => {
  const { plan } = await open(stiffLeft);
  expect(plan.offers.value.map((offer) => offer.entry.id)).toEqual(['rectus-femoris-prone', 'hamstring-heel-on-shoulder']);
  plan.add('rectus-femoris-prone', 'cr-breath');
  expect(plan.blocks.value[0]!.sides).toEqual([
    { side: 'left', rounds: 4 },
    { side: 'right', rounds: 3 },
  ]);
  expect(plan.selectedSide.value).toBe('left');
  // An even motion gets the same on both sides.
  plan.add('hamstring-heel-on-shoulder', 'static-hold');
  expect(plan.blocks.value[1]!.sides.map((side) => side.rounds)).toEqual([2, 2]);
});

test("the line starts from today's edges", async () => {
  const { plan } = await open(stiffLeft);
  plan.add('rectus-femoris-prone', 'cr-breath');
  const edges = Object.fromEntries(
    plan.line.value!.cues.filter((cue) => cue.kind === 'move').map((cue) => [cue.side, Math.round(cue.to * 10) / 10]),
  );
  expect(edges).toEqual({ left: 4, right: 11.3 });
});

test('undo and redo go back and forth without limit; a new change ends the way forward', async () => {
  const { plan } = await open(stiffLeft);
  plan.add('rectus-femoris-prone', 'cr-breath');
  const [block] = plan.blocks.value;
  for (let i = 1; i <= 30; i++) plan.replace({ ...block!, numbers: { ...block!.numbers, contract: [2 + (i % 20)] } });
  for (let i = 0; i < 31; i++) plan.undo();
  expect(plan.blocks.value).toEqual([]);
  expect(plan.canUndo.value).toBe(false);
  plan.undo();
  for (let i = 0; i < 31; i++) plan.redo();
  expect(plan.blocks.value[0]!.numbers.contract).toEqual([12]);
  plan.undo();
  plan.remove(block!.id);
  expect(plan.canRedo.value).toBe(false);
});

test('a number that cannot be stays on the screen; what is kept is the last plan that can be run', async () => {
  const { plan, visit, kept } = await open(stiffLeft);
  plan.add('rectus-femoris-prone', 'cr-breath');
  await visit.flush();
  const [block] = plan.blocks.value;
  plan.replace({ ...block!, sides: [{ side: 'left', rounds: 99 }] });
  expect(plan.line.value).toBeNull();
  expect(plan.doses.value).toEqual([]);
  await visit.flush();
  expect(kept().blocks).toEqual([block]);
  plan.replace({ ...block!, sides: [{ side: 'left', rounds: 2 }] });
  await visit.flush();
  expect(kept().blocks[0]!.sides).toEqual([{ side: 'left', rounds: 2 }]);
  expect(kept().revision).toBe(2);
});

test('blocks move by one place, and not past the ends', async () => {
  const { plan } = await open(stiffLeft);
  plan.add('rectus-femoris-prone', 'cr-breath');
  plan.add('hamstring-heel-on-shoulder', 'static-hold');
  const order = () => plan.blocks.value.map((block) => block.entryId.split('-')[0]);
  const first = plan.blocks.value[0]!.id;
  plan.move(first, -1);
  expect(order()).toEqual(['rectus', 'hamstring']);
  plan.move(first, 1);
  expect(order()).toEqual(['hamstring', 'rectus']);
});

test('a plan changed elsewhere is refused, shown, and can be kept knowingly', async () => {
  const { plan, visit, kept } = await open(stiffLeft);
  plan.add('rectus-femoris-prone', 'cr-breath');
  await visit.flush();
  // Another tab writes a revision that this one does not know.
  await fetch('/api/visits/v/plan', { method: 'PUT', body: JSON.stringify({ revision: 1, blocks: [] }) });
  plan.add('hamstring-heel-on-shoulder', 'static-hold');
  await visit.flush();
  expect(visit.saveState).toBe('refused');
  expect(visit.refused[0]?.refusal?.isStale).toBe(true);
  expect(kept().blocks).toEqual([]);
  await visit.keepMine();
  expect(visit.saveState).toBe('saved');
  expect(kept().blocks).toHaveLength(2);
});

test('a finished visit is looked at, not changed', async () => {
  const { plan } = await open({ ...stiffLeft, visit: { ...stiffLeft.visit, finishedAt: '2026-11-25T10:00:00.000Z' } });
  plan.add('rectus-femoris-prone', 'cr-breath');
  expect(plan.blocks.value).toEqual([]);
});

test('a block goes where it belongs: where nobody turns for it, a warm-up before what it warms, nothing behind the end', async () => {
  const { plan } = await open(stiffLeft);
  const order = () => plan.blocks.value.map((block) => block.entryId);
  plan.add('rectus-femoris-prone', 'cr-breath');
  plan.add('still-hold', 'breath-sink');
  plan.add('hamstring-heel-on-shoulder', 'static-hold');
  plan.add('iliopsoas-prone', 'static-hold');
  plan.add('hip-circling', 'continuous-motion');
  expect(order()).toEqual(['hip-circling', 'rectus-femoris-prone', 'iliopsoas-prone', 'hamstring-heel-on-shoulder', 'still-hold']);
  expect(plan.checks.value).toEqual([]);
});

test('a move that a rule forbids is not made and says which; the next change takes the words away', async () => {
  const { plan } = await open(stiffLeft);
  plan.add('rectus-femoris-prone', 'cr-breath');
  plan.add('still-hold', 'breath-sink');
  const before = plan.blocks.value;
  plan.moveTo(before[1]!.id, 0);
  expect(plan.refusal.value).toContain('ends the visit');
  expect(plan.blocks.value).toEqual(before);
  plan.remove(before[1]!.id);
  expect(plan.refusal.value).toBe('');
  plan.moveTo('nobody', 0);
  plan.mirror('nobody');
  expect(plan.blocks.value).toHaveLength(1);
});

test('copied to the other side it stands right behind, is shown, and is undone at once', async () => {
  const { plan } = await open(stiffLeft);
  plan.add('rectus-femoris-prone', 'cr-breath');
  plan.replace({ ...plan.blocks.value[0]!, sides: [{ side: 'left', rounds: 4 }] });
  plan.mirror(plan.blocks.value[0]!.id);
  expect(plan.blocks.value.map((block) => block.sides)).toEqual([[{ side: 'left', rounds: 4 }], [{ side: 'right', rounds: 4 }]]);
  expect([plan.selected.value!.id, plan.selectedSide.value]).toEqual([plan.blocks.value[1]!.id, 'right']);
  plan.undo();
  expect(plan.blocks.value).toHaveLength(1);
  expect(plan.selectedSide.value).toBe('left');
});

test('all of one side first, and a whole plan taken: each one step of undo', async () => {
  const { plan } = await open(stiffLeft);
  plan.add('rectus-femoris-prone', 'cr-breath');
  plan.add('iliopsoas-prone', 'static-hold');
  const both = plan.blocks.value;
  plan.splitSides('right');
  expect(plan.blocks.value.map((block) => block.sides.map((each) => each.side).join())).toEqual(['right', 'right', 'left', 'left']);
  plan.takePlan([both[1]!]);
  expect([plan.blocks.value.length, plan.selected.value!.entryId]).toEqual([1, 'iliopsoas-prone']);
  plan.undo();
  plan.undo();
  expect(plan.blocks.value).toEqual(both);
  plan.takePlan([]);
  expect(plan.selected.value).toBeNull();
});

test('one gesture of many steps is undone at once; another gesture is another step', async () => {
  const { plan } = await open(stiffLeft);
  plan.add('rectus-femoris-prone', 'cr-breath');
  const [block] = plan.blocks.value;
  const contract = (seconds: number) => ({ ...block!, numbers: { ...block!.numbers, contract: [seconds] } });
  for (const seconds of [7, 8, 9]) plan.replace(contract(seconds), 'drag 1');
  for (const seconds of [10, 11]) plan.replace(contract(seconds), 'drag 2');
  plan.undo();
  expect(plan.blocks.value[0]!.numbers.contract).toEqual([9]);
  plan.undo();
  expect(plan.blocks.value[0]!.numbers.contract).toEqual([6]);
});

test('where the edge is expected is shown for what lengthens and was measured, and for nothing else', async () => {
  const { plan } = await open(stiffLeft);
  plan.add('rectus-femoris-prone', 'cr-breath');
  const { edges, sessions } = plan.predicted.value!;
  expect([edges.length, sessions]).toEqual([4, 0]);
  expect(edges.every(({ reading, expected }) => reading.low < expected && expected < reading.high)).toBe(true);
  expect(edges.at(-1)!.expected).toBeGreaterThan(edges[0]!.expected);
  // Nobody has read this one today.
  plan.add('calf-supine', 'cr-breath');
  expect(plan.predicted.value).toBeNull();
  plan.add('hip-circling', 'continuous-motion');
  expect(plan.predicted.value).toBeNull();
});

test('no blocks make an empty line', () => {
  expect(lineOf([], { periodMs: 10_000, inShare: 0.4 }, [], BUILT_IN)).toMatchObject({ cues: [], totalMs: 0 });
});
