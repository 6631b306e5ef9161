import { ApiProblem } from '../api/api.ts';
import type { Change, ChangeDraft } from './change.ts';
import { Outbox } from './outbox.ts';
import type { ChangeStorage, OpenPages, StoredChange } from './storage.ts';

const draft = (id: string, over: Partial<ChangeDraft> = {}): ChangeDraft => ({
  id,
  record: 'visit/v',
  spot: `reading/${id}`,
  words: 'readings',
  method: 'PUT',
  path: `/readings/${id}`,
  body: { value: id },
  join: 'none',
  revision: null,
  ...over,
});
const rest = () =>
  new Promise((resolve) => {
    setTimeout(resolve, 5);
  });

/** A browser's storage shared by pages, which can be forbidden; and a server that can be away, answers late, and refuses. */
function world() {
  const rows = new Map<string, StoredChange>();
  const storage = { allowed: true };
  const store: ChangeStorage = {
    of: async (account) => {
      if (!storage.allowed) throw new Error('forbidden');
      return [...rows.values()].filter((row) => row.account === account);
    },
    put: async (row) => {
      if (!storage.allowed) throw new Error('full');
      rows.set(row.id, structuredClone(row));
    },
    remove: async (id) => {
      if (!storage.allowed) throw new Error('full');
      rows.delete(id);
    },
  };
  const living = new Set<string>();
  const server = {
    up: true,
    loseAnswers: 0,
    revision: 1,
    fields: {} as Record<string, unknown>,
    log: [] as string[],
    written: new Map<string, unknown>(),
    refuse: new Map<string, ApiProblem>(),
  };
  async function send(change: Change): Promise<unknown> {
    if (!server.up) throw new ApiProblem('no-answer', 'Away.');
    const refusal = server.refuse.get(change.spot);
    if (refusal) throw refusal;
    server.log.push(change.id);
    let answer: unknown = { id: change.id };
    if (change.revision) {
      const mine = Object.entries(change.body);
      if (change.revision.base !== server.revision)
        throw new ApiProblem('changed-meanwhile', 'Later.', { current: { ...server.fields, revision: server.revision } });
      Object.assign(server.fields, Object.fromEntries(mine));
      server.revision += 1;
      answer = { ...server.fields, revision: server.revision };
    } else if (change.spot.startsWith('events')) {
      for (const event of change.body.events as { seq: number }[]) server.written.set(`event ${event.seq}`, event);
    } else {
      const before = server.written.get(change.id);
      if (before !== undefined && JSON.stringify(before) !== JSON.stringify(change.body))
        throw new ApiProblem('changed-meanwhile', 'Other content.');
      server.written.set(change.id, change.body);
    }
    if (server.loseAnswers > 0) {
      server.loseAnswers -= 1;
      throw new ApiProblem('no-answer', 'Lost.');
    }
    return answer;
  }
  function page(name: string, canTell = true) {
    living.add(name);
    const answered: string[] = [];
    const refused: string[] = [];
    const kept: string[] = [];
    const pages: OpenPages = {
      mine: name,
      canTell,
      living: async () => (canTell ? new Set(living) : new Set([name])),
      alone: (work) => work(),
    };
    const outbox: Outbox = new Outbox({
      send,
      storage: store,
      pages,
      onUpdate: () => undefined,
      onAnswer: (change) => answered.push(change.id),
      keep: async (change) => {
        kept.push(`${change.id} ${rows.has(change.id) ? 'still' : 'no longer'} stored`);
      },
      onRefusal: (change) => refused.push(change.id),
    });
    return {
      outbox,
      answered,
      refused,
      kept,
      die: () => {
        living.delete(name);
        outbox.close();
      },
    };
  }
  return { rows, storage, server, page };
}

const waitingOf = (outbox: Outbox) => outbox.changes.map((change) => change.id);

describe('one record', () => {
  test('one request at a time, in the order the changes were made; the answer ends it', async () => {
    const { server, page, rows } = world();
    const { outbox, answered } = page('a');
    await outbox.open('ann');
    await Promise.all(['1', '2', '3'].map((id) => outbox.put(draft(id))));
    expect(server.log).toEqual(['1', '2', '3']);
    expect(answered).toEqual(['1', '2', '3']);
    await rest();
    expect([waitingOf(outbox), rows.size]).toEqual([[], 0]);
  });

  test('a refusal lets the others go on; what is refused is kept until somebody drops it or puts something in its place', async () => {
    const { server, page } = world();
    const { outbox, refused } = page('a');
    await outbox.open('ann');
    server.refuse.set('reading/1', new ApiProblem('caution', 'Not today.'));
    await expect(outbox.put(draft('1'))).rejects.toMatchObject({ title: 'Caution' });
    await outbox.put(draft('2'));
    expect([server.log, waitingOf(outbox), refused]).toEqual([['2'], ['1'], ['1']]);
    server.refuse.clear();
    await outbox.put(draft('3', { spot: 'reading/1' }));
    expect([server.log, waitingOf(outbox)]).toEqual([['2', '3'], []]);
  });

  test('an answer that was lost: the same id and the same body again, and nothing is written twice', async () => {
    const { server, page } = world();
    const { outbox } = page('a');
    await outbox.open('ann');
    server.loseAnswers = 1;
    expect(await outbox.put(draft('1', { spot: 'reading/hip', join: 'replace', body: { value: 3, supersedes: null } }))).toBeNull();
    // A correction of what may have arrived is a change of its own, and points at it.
    void outbox.put(draft('2', { spot: 'reading/hip', join: 'replace', body: { value: 4, supersedes: '1' } }));
    await outbox.flush();
    expect([...server.written]).toEqual([
      ['1', { value: 3, supersedes: null }],
      ['2', { value: 4, supersedes: '1' }],
    ]);
    expect(waitingOf(outbox)).toEqual([]);
  });

  test('a correction of what was never tried takes its place, and still corrects what that one corrected', async () => {
    const { server, page } = world();
    const { outbox } = page('a');
    await outbox.open('ann');
    void outbox.put(draft('1', { spot: 'reading/hip', join: 'replace', body: { value: 3, supersedes: 'old' } }), 50);
    void outbox.put(draft('2', { spot: 'reading/hip', join: 'replace', body: { value: 4, supersedes: '1' } }), 50);
    expect(waitingOf(outbox)).toEqual(['1']);
    await outbox.flush();
    expect([...server.written]).toEqual([['1', { value: 4, supersedes: 'old' }]]);
  });
});

describe('fields with a counter', () => {
  const field = (id: string, body: Record<string, unknown>, before: Record<string, unknown>, base = 1) =>
    draft(id, { spot: 'arrival', method: 'PATCH', path: '/visits/v', join: 'fields', body, before, revision: { of: 'visit/v', base } });

  test('what is typed meanwhile goes on top of the answer', async () => {
    const { server, page } = world();
    const { outbox } = page('a');
    await outbox.open('ann');
    void outbox.put(field('1', { a: 1 }, { a: 0 }));
    void outbox.put(field('2', { b: 2 }, { b: 0 }));
    await outbox.flush();
    expect([server.fields, server.revision]).toEqual([{ a: 1, b: 2 }, 3]);
  });

  test('an answer that was lost is no collision with oneself, even with more typed since', async () => {
    const { server, page } = world();
    const { outbox } = page('a');
    await outbox.open('ann');
    server.loseAnswers = 1;
    await outbox.put(field('1', { a: 'x' }, { a: '' }));
    void outbox.put(field('2', { a: 'xy', b: 1 }, { a: 'x', b: 0 }));
    server.fields.b ??= 0;
    await outbox.flush();
    expect(server.fields).toEqual({ a: 'xy', b: 1 });
    expect(waitingOf(outbox)).toEqual([]);
  });

  test('others changed other fields: both stand; the same field: kept, shown, and sent over theirs only when insisted upon', async () => {
    const { server, page } = world();
    const { outbox } = page('a');
    await outbox.open('ann');
    Object.assign(server, { fields: { a: '', b: 'theirs' }, revision: 5 });
    await outbox.put(field('1', { a: 'mine' }, { a: '' }));
    expect(server.fields).toEqual({ a: 'mine', b: 'theirs' });
    await expect(outbox.put(field('2', { b: 'mine too' }, { b: '' }, 1))).rejects.toMatchObject({ isStale: true });
    expect(server.fields.b).toBe('theirs');
    expect(outbox.changes[0]!.refusal!.current).toEqual({ a: 'mine', b: 'theirs', revision: 6 });
    await outbox.insist('2');
    expect(server.fields.b).toBe('mine too');
  });
});

test('what was answered leaves the storage only once what is kept of its record has it', async () => {
  const { page } = world();
  const { outbox, kept } = page('p');
  await outbox.open('ann');
  await outbox.put(draft('a'));
  await outbox.stored();
  expect(kept).toEqual(['a still stored']);
});

test('fields that were refused go along with those typed since: correcting one is enough', async () => {
  const { server, page } = world();
  const { outbox } = page('a');
  await outbox.open('ann');
  const field = (id: string, body: Record<string, unknown>) =>
    draft(id, { spot: 'arrival', path: '/visits/v', join: 'fields', body, revision: { of: 'visit/v', base: 1 } });
  server.refuse.set('arrival', new ApiProblem('not-valid', 'Minutes: at most 180.'));
  await expect(outbox.put(field('1', { minutes: 999, complaint: 'hip' }))).rejects.toMatchObject({ type: 'not-valid' });
  server.refuse.clear();
  await outbox.put(field('2', { minutes: 40 }));
  expect(server.fields).toEqual({ minutes: 40, complaint: 'hip' });
});

describe('lines, pages and accounts', () => {
  test('without a line everything waits, in order, and a later page sends it once', async () => {
    const { server, page, rows } = world();
    const first = page('a');
    await first.outbox.open('ann');
    server.up = false;
    expect(await first.outbox.put(draft('1'))).toBeNull();
    void first.outbox.put(draft('2'));
    void first.outbox.put(draft('3', { record: 'visit/w' }));
    await rest();
    expect(first.outbox.lastProblem?.isOffline).toBe(true);
    first.die();
    expect([...rows.keys()].sort()).toEqual(['1', '2', '3']);
    server.up = true;
    const second = page('b');
    await second.outbox.open('ann');
    await second.outbox.flush();
    expect(server.log.filter((id) => id !== '3')).toEqual(['1', '2']);
    expect(server.log.toSorted()).toEqual(['1', '2', '3']);
    await rest();
    expect(rows.size).toBe(0);
  });

  test('what a page left may have arrived without its knowing: a correction of it is a change of its own', async () => {
    const { server, page, rows } = world();
    const first = page('a');
    await first.outbox.open('ann');
    server.up = false;
    await first.outbox.put(draft('1', { spot: 'reading/hip', join: 'replace', body: { value: 3, supersedes: null } }));
    await rest();
    first.die();
    // The storage never heard that it was tried.
    const row = rows.get('1')!;
    rows.set('1', { ...row, change: { ...row.change, tried: [] } });
    server.written.set('1', { value: 3, supersedes: null });
    const second = page('b');
    await second.outbox.open('ann');
    void second.outbox.put(draft('2', { spot: 'reading/hip', join: 'replace', body: { value: 4, supersedes: '1' } }));
    server.up = true;
    await second.outbox.flush();
    expect([...server.written]).toEqual([
      ['1', { value: 3, supersedes: null }],
      ['2', { value: 4, supersedes: '1' }],
    ]);
    expect(waitingOf(second.outbox)).toEqual([]);
  });

  test('what a living page has is left to it', async () => {
    const { server, page } = world();
    const [first, second] = [page('a'), page('b')];
    await first.outbox.open('ann');
    server.up = false;
    await first.outbox.put(draft('1'));
    await rest();
    await second.outbox.open('ann');
    expect(waitingOf(second.outbox)).toEqual([]);
    first.die();
    server.up = true;
    await second.outbox.wake();
    expect(server.log).toEqual(['1']);
  });

  test('another account neither sees nor sends it; the one it belongs to does, later', async () => {
    const { server, page, rows } = world();
    const { outbox, die } = page('a');
    await outbox.open('ann');
    server.up = false;
    await outbox.put(draft('1'));
    await rest();
    outbox.close();
    server.up = true;
    await outbox.open('ben');
    await outbox.put(draft('2'));
    await rest();
    expect([server.log, waitingOf(outbox), [...rows.keys()]]).toEqual([['2'], [], ['1']]);
    die();
    const later = page('c');
    await later.outbox.open('ann');
    await later.outbox.flush();
    expect(server.log).toEqual(['2', '1']);
  });

  test('storage that is forbidden or full loses nothing while the page lives, says so, and catches up when it can', async () => {
    const { server, storage, page, rows } = world();
    const { outbox } = page('a');
    storage.allowed = false;
    await outbox.open('ann');
    server.up = false;
    void outbox.put(draft('1'));
    void outbox.put(draft('2'));
    await rest();
    expect([outbox.isStored, waitingOf(outbox), rows.size]).toEqual([false, ['1', '2'], 0]);
    storage.allowed = true;
    void outbox.put(draft('3'));
    await rest();
    expect([outbox.isStored, [...rows.keys()].sort()]).toEqual([true, ['1', '2', '3']]);
    server.up = true;
    await outbox.flush();
    expect(server.log).toEqual(['1', '2', '3']);
  });

  test('signed out: nothing is tried until somebody has signed in', async () => {
    const { server, page } = world();
    const { outbox } = page('a');
    await outbox.open('ann');
    server.refuse.set('reading/1', new ApiProblem('not-signed-in', 'Sign in.'));
    expect(await outbox.put(draft('1'))).toBeNull();
    server.refuse.clear();
    await new Promise((resolve) => {
      setTimeout(resolve, 700);
    });
    expect(server.log).toEqual([]);
    await outbox.open('ann');
    expect(server.log).toEqual(['1']);
  });
});

test('a thousand disturbed days: nothing acknowledged is lost, nothing is written twice, order is kept within a record', async () => {
  // A small generator with a fixed seed; the days differ in when lines, answers, storage and pages go.
  let state = 12_345;
  const random = () => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    return state / 2_147_483_648;
  };
  for (let day = 0; day < 1000; day++) {
    const { server, storage, page } = world();
    let current = page(`p${day}`);
    await current.outbox.open('ann');
    const made: string[] = [];
    for (let step = 0; step < 12; step++) {
      const what = random();
      if (what < 0.5) {
        const id = `${day}/${step}`;
        made.push(id);
        void current.outbox.put(
          draft(id, { spot: 'reading/hip', join: 'replace', body: { value: step, supersedes: made.at(-2) ?? null } }),
        );
      } else if (what < 0.6) server.up = !server.up;
      else if (what < 0.7) server.loseAnswers = 1;
      else if (what < 0.75) storage.allowed = !storage.allowed;
      else if (what < 0.85 && storage.allowed && current.outbox.isStored) {
        await new Promise((resolve) => {
          setImmediate(resolve);
        });
        if (current.outbox.isStored) {
          // Everything it holds has been mirrored by now: the page is gone, the next one takes it up.
          await new Promise((resolve) => {
            setImmediate(resolve);
          });
          current.die();
          current = page(`p${day}/${step}`);
          await current.outbox.open('ann');
        }
      } else
        await new Promise((resolve) => {
          setImmediate(resolve);
        });
    }
    server.up = true;
    server.loseAnswers = 0;
    await current.outbox.flush();
    await current.outbox.flush();
    expect(waitingOf(current.outbox)).toEqual([]);
    // Each id once, a chain without a fork, and the last value that was typed at its end.
    const written = [...server.written.values()] as { value: number; supersedes: string | null }[];
    const pointedAt = written.map((each) => each.supersedes).filter((id) => id !== null);
    expect(new Set(pointedAt).size).toBe(pointedAt.length);
    if (made.length > 0) expect(written.at(-1)!.value).toBe(Number(made.at(-1)!.split('/')[1]));
  }
});
