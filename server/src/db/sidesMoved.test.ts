import { cp, mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { motionOf } from '@pace-bend/core/body';
import { ENTRIES, sideRelation, type Entry } from '@pace-bend/core/catalogue';
import { scratchSchema } from '../testing/scratch.ts';
import { migrate } from './migrate.ts';
import { MIGRATIONS } from './migrationFiles.ts';
import { change, rows, type Pool } from './pool.ts';

/** Entries that came with the change of meaning: no older block names them. */
const NEW = new Set([
  'home-front-of-shin',
  'home-knee-opening',
  'home-neck-desk',
  'home-chest-doorway',
  'quadratus-three-points',
  'trunk-rotation-chest-supine',
  'neck-diagonal-levator',
  'neck-thumb-stretch',
  'scalene-collarbone',
  'neck-traction-pillow',
  'neck-lift-seated',
  'splenius-reset',
  'levator-shoulder-up',
  'arm-warm-ladder',
  'scapula-comfort',
  'biceps-groove',
  'flank-line-overhead',
  'sternal-points',
  'subclavius-line',
  'arm-on-waist',
  'blade-series',
  'upper-trap-knuckles',
  'shoulder-elbow-push',
  'coracoid-attachments',
  'cuff-back-strokes',
  'back-press-walk-seated',
  'shoulder-top-front-hold',
  'both-shoulders-press',
  'blade-edge-trace',
  'elbow-arm-lever',
  'shoulder-press-arm-draw',
  'shoulder-front-back-squeeze',
  'forearm-spread',
  'wrist-extensor-stroke-active',
  'upper-arm-deep',
  'forearm-flexor-lines',
  'quadratus-side-press',
  'side-back-series',
  'trunk-rotation-long-sitting',
  'hip-draw-lean',
  'shoulder-figure-eight',
  'back-dry-prep',
  'spine-muscles-reach-thoracic',
  'spine-muscles-reach-lumbar',
  'hip-compress-comfort',
  'gluteal-elbow-line',
  'rotators-elbow-across',
  'hip-roll-over-foot',
  'gluteus-maximus-reset',
  'hip-shake-roll',
  'thigh-draw-bent',
  'quad-warm-ladder',
  'leg-forearm-sweep',
  'leg-stick',
  'hamstring-stick',
  'thigh-foot-press',
  'thigh-foot-walk',
  'outer-thigh-draw',
  'thigh-press-foot-flexed',
  'band-push-pull',
  'quad-glide-outer',
  'quad-glide-inner',
  'calf-wring',
  'shin-pin',
  'sole-stick',
  'sole-lean-both',
  'lower-leg-warm',
  'sole-straight-press',
  'ankle-loosening',
  'foot-rounds',
  'foot-gap-walk',
  'foot-shake',
  'post-op-sole',
  'post-op-scar',
  'post-op-shin-lines',
  'post-op-front-hollow',
]);
const VISIT = '01900000-0000-7000-8000-000000000001';
const OWN = '01900000-0000-7000-8000-0000000000aa';

/** Worked in the middle only since the fifteenth migration. */
const PULLED = ['neck-traction', 'neck-traction-forearm', 'neck-traction-towel'];

const possible = (entry: Entry) => entry.sides ?? motionOf(entry.motionId).sides;
/** The back-bow showed in a side-bend then; since it shows in extension, its motion is read on the worked side. */
const opposite = (entry: Entry) => entry.id === 'side-lying-back-bow' || sideRelation(entry, entry.motionId) === 'opposite';

async function older(): Promise<string> {
  const folder = await mkdtemp(join(tmpdir(), 'pace-bend-older-'));
  for (const name of (await readdir(MIGRATIONS)).filter((each) => each < '0007')) await cp(join(MIGRATIONS, name), join(folder, name));
  return folder;
}

/** Writes blocks as the program did when a block's side was the side its motion is read on. */
async function writeOld(pool: Pool, position: number, entryId: string): Promise<void> {
  await change(
    pool,
    'INSERT INTO plan_block (id, visit_id, position, entry_id, method_id, numbers, choices, sides, limits) VALUES (UUID(), ?, ?, ?, ?, ?, ?, ?, ?)',
    [
      VISIT,
      position,
      entryId,
      'static-hold',
      '{}',
      '{}',
      JSON.stringify([
        { side: 'left', rounds: 3 },
        { side: 'right', rounds: 1 },
      ]),
      JSON.stringify([{ side: 'left', cap: 20 }]),
    ],
  );
}

test('a stored block means after the upgrade what it meant before, for every entry, own ones too', async () => {
  const schema = await scratchSchema();
  const folder = await older();
  await migrate(schema.pool, folder);
  const sided = ENTRIES.filter((entry) => (possible(entry).length > 1 || PULLED.includes(entry.id)) && !NEW.has(entry.id));
  const connection = await schema.pool.getConnection();
  await connection.query('SET foreign_key_checks = 0');
  for (const [i, { id }] of sided.entries()) await writeOld(connection as unknown as Pool, i, id);
  const drawnAs = sided.find(opposite)!.id;
  await connection.execute('INSERT INTO own_item (id, practice_id, kind, data, made_at, made_by) VALUES (?, UUID(), ?, ?, NOW(3), ?)', [
    OWN,
    'entry',
    JSON.stringify({ drawnAs }),
    'a test',
  ]);
  await writeOld(connection as unknown as Pool, sided.length, OWN);
  await connection.query('SET foreign_key_checks = 1');
  connection.release();

  await migrate(schema.pool);

  const after = await rows<{ entry: string; sides: { side: string; rounds: number }[] | string; limits: { side: string }[] | string }>(
    schema.pool,
    'SELECT entry_id AS entry, sides, limits FROM plan_block ORDER BY position',
  );
  const read = <T>(json: T | string): T => (typeof json === 'string' ? (JSON.parse(json) as T) : json);
  expect(after).toHaveLength(sided.length + 1);
  const moved = after.filter((block) => read(block.sides)[0]!.side === 'right').map((block) => block.entry);
  expect(moved.sort()).toEqual([...sided.filter(opposite).map((entry) => entry.id), OWN].sort());
  for (const block of after.filter(({ entry }) => !PULLED.includes(entry))) {
    // Three rounds stay with the side they were meant for, and so does the limit.
    const [first, second] = read(block.sides);
    expect([first!.rounds, second!.rounds, first!.side === second!.side, read(block.limits)[0]!.side]).toEqual([3, 1, false, first!.side]);
  }
  // A second start does not turn them round again.
  await migrate(schema.pool);
  expect(await rows(schema.pool, 'SELECT entry_id AS entry, sides, limits FROM plan_block ORDER BY position')).toEqual(after);
  await schema.drop();
  await rm(folder, { recursive: true });
}, 60_000);

test('a pull on the neck is in the middle after the upgrade, in plans and in a practice’s sequences; nothing else moves', async () => {
  const schema = await scratchSchema();
  const folder = await mkdtemp(join(tmpdir(), 'pace-bend-older-'));
  for (const name of (await readdir(MIGRATIONS)).filter((each) => each < '0015')) await cp(join(MIGRATIONS, name), join(folder, name));
  await migrate(schema.pool, folder);
  const connection = await schema.pool.getConnection();
  await connection.query('SET foreign_key_checks = 0');
  const blocks = [...PULLED, 'neck-traction-pillow', 'neck-turn-supine'];
  for (const [i, id] of blocks.entries()) await writeOld(connection as unknown as Pool, i, id);
  const step = (entryId: string, sides: readonly object[]) => ({
    entryId,
    methodId: 'mobilize-sustained',
    numbers: { held: [15] },
    choices: {},
    sides,
  });
  const both = [
    { side: 'left', rounds: 2 },
    { side: 'right', rounds: 4 },
  ];
  const kept = {
    kind: 'protocol',
    name: 'Ours, with “quotes”',
    steps: [step('hip-circling', both), step('neck-traction-towel', both), step('neck-turn-supine', both)],
  };
  const other = { kind: 'protocol', name: 'No pull', steps: [step('hip-circling', both)] };
  for (const [i, data] of [kept, other].entries())
    await connection.execute('INSERT INTO own_item (id, practice_id, kind, data, made_at, made_by) VALUES (?, UUID(), ?, ?, NOW(3), ?)', [
      `01900000-0000-7000-8000-0000000000b${i}`,
      'protocol',
      JSON.stringify(data),
      'a test',
    ]);
  await connection.query('SET foreign_key_checks = 1');
  connection.release();

  await migrate(schema.pool);

  const read = (json: unknown) => (typeof json === 'string' ? (JSON.parse(json) as unknown) : json);
  const after = await rows<{ entry: string; sides: unknown; limits: unknown }>(
    schema.pool,
    'SELECT entry_id AS entry, sides, limits FROM plan_block ORDER BY position',
  );
  for (const block of after) {
    const pulled = PULLED.includes(block.entry);
    expect([block.entry, read(block.sides)]).toEqual([
      block.entry,
      pulled
        ? [{ side: 'midline', rounds: 3 }]
        : [
            { side: 'left', rounds: 3 },
            { side: 'right', rounds: 1 },
          ],
    ]);
    expect(read(block.limits)).toEqual([{ side: pulled ? 'midline' : 'left', cap: 20 }]);
  }
  const [first, second] = await rows<{ data: unknown }>(schema.pool, 'SELECT data FROM own_item ORDER BY id');
  expect(read(first!.data)).toEqual({
    ...kept,
    steps: [kept.steps[0], { ...kept.steps[1], sides: [{ side: 'midline', rounds: 4 }] }, kept.steps[2]],
  });
  expect(read(second!.data)).toEqual(other);
  await schema.drop();
  await rm(folder, { recursive: true });
}, 60_000);

test('rounds and variants of a practice’s own are after the upgrade what they were', async () => {
  const schema = await scratchSchema();
  const folder = await mkdtemp(join(tmpdir(), 'pace-bend-older-'));
  for (const name of (await readdir(MIGRATIONS)).filter((each) => each < '0016')) await cp(join(MIGRATIONS, name), join(folder, name));
  await migrate(schema.pool, folder);
  const phases = [{ of: 4 }, { of: 5, text: 'Press', detail: 'a little' }, { adds: 'rest', seconds: 5 }, { of: 10 }];
  const moved = [{ of: 4 }, { of: 6, text: 'Press', detail: 'a little' }, { adds: 'rest', seconds: 5 }, { of: 11 }];
  const items = [
    ['way', { baseId: 'inhibit-integrated', phases }, { baseId: 'inhibit-integrated', phases: moved }],
    ['way', { baseId: 'cr-breath', phases }, { baseId: 'cr-breath', phases }],
    ['way', { baseId: 'inhibit-integrated' }, { baseId: 'inhibit-integrated' }],
    [
      'entry',
      { easier: ['calf-pin', 'calf-wring'], harder: [] },
      {
        easier: [
          { id: 'calf-pin', why: '' },
          { id: 'calf-wring', why: '' },
        ],
        harder: [],
      },
    ],
  ] as const;
  const connection = await schema.pool.getConnection();
  await connection.query('SET foreign_key_checks = 0');
  for (const [i, [kind, data]] of items.entries())
    await connection.execute('INSERT INTO own_item (id, practice_id, kind, data, made_at, made_by) VALUES (?, UUID(), ?, ?, NOW(3), ?)', [
      `01900000-0000-7000-8000-0000000000c${i}`,
      kind,
      JSON.stringify(data),
      'a test',
    ]);
  await connection.query('SET foreign_key_checks = 1');
  connection.release();
  await migrate(schema.pool);
  const after = await rows<{ data: unknown }>(schema.pool, 'SELECT data FROM own_item ORDER BY id');
  const read = (json: unknown) => (typeof json === 'string' ? (JSON.parse(json) as unknown) : json);
  expect(after.map(({ data }) => read(data))).toEqual(items.map(([, , now]) => now));
  await schema.drop();
  await rm(folder, { recursive: true });
}, 60_000);
