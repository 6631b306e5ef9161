import { createServer } from 'node:http';
import { newBlock } from '@pace-bend/core/method';
import { Fuzzer } from '../testing/fuzzing.ts';
import { newAskedVisit, openTestApp, request, uuid } from '../testing/app.ts';

test('mutated and random requests as every role: no answer of 5xx (the long version is `npm run fuzz`)', async () => {
  const test_ = await openTestApp();
  const server = createServer(test_.app).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const fuzzer = new Fuzzer(test_, server, 7);
  const owner = await test_.renewOwner();
  const { athleteId, visitId } = await newAskedVisit(test_.app);
  const run = uuid();
  await request(test_.app)
    .put(`/api/runs/${run}`)
    .send({
      visitId,
      blocks: [newBlock(uuid(), 'calf-supine', 'static-hold', ['left'])],
      breath: { periodMs: 8000, inShare: 0.4 },
      edges: [],
      clockRate: 1,
    })
    .expect(200);
  await fuzzer.prepare({ athlete: athleteId, visit: visitId, run, examiner: owner });
  await fuzzer.run(4000);
  fuzzer.close();
  server.close();
  expect(fuzzer.count.failures).toEqual([]);
  // It gets past the door: a good part is done, and every kind of refusal comes up.
  expect(fuzzer.count.done).toBeGreaterThan(750);
  for (const status of [400, 401, 403, 404, 409, 413, 422])
    expect([status, (fuzzer.count.byStatus.get(status) ?? 0) > 0]).toEqual([status, true]);
  await test_.close();
}, 240_000);
