// A test or a hook that does not come to an end fails after a while instead of keeping everybody waiting. What runs the tests in plain Node
// leaves that out; a third argument is the test's own time, as everywhere in Jest.
const USUAL = 60_000;

/** The same work, failed when it takes longer than that many milliseconds. */
const limited = (work, most = USUAL) =>
  work &&
  (async (...given) => {
    let over;
    const late = new Promise((_, refuse) => {
      over = setTimeout(() => refuse(new Error(`Took longer than ${most} ms.`)), most);
    });
    try {
      return await Promise.race([work(...given), late]);
    } finally {
      clearTimeout(over);
    }
  });

const inTime = (plain) =>
  Object.assign((name, work, most) => plain(name, limited(work, most)), {
    each:
      (...table) =>
      (name, work, most) =>
        plain.each(...table)(name, limited(work, most)),
  });

const { test, beforeAll, afterAll, beforeEach, afterEach } = globalThis;
Object.assign(globalThis, {
  test: Object.assign(inTime(test), { skip: test.skip, only: inTime(test.only) }),
  ...Object.fromEntries(
    Object.entries({ beforeAll, afterAll, beforeEach, afterEach }).map(([name, plain]) => [
      name,
      (work, most) => plain(limited(work, most)),
    ]),
  ),
});
