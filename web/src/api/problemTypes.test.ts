import { PROBLEMS, problemReference, type ProblemType } from '@pace-bend/core/access';
import { installBrowser } from '../testing/browser.ts';
import { api, ApiProblem } from './api.ts';
import { whatNow } from './problemTypes.ts';

const answered = async (status: number, body: object): Promise<ApiProblem> => {
  installBrowser(() => ({ status, body }));
  return (await api('GET', '/x').catch((error: unknown) => error)) as ApiProblem;
};

test('a problem is known by its type, whatever its title says', async () => {
  for (const type of Object.keys(PROBLEMS) as ProblemType[]) {
    const { status, means } = PROBLEMS[type];
    const problem = await answered(status, { type: problemReference(type), title: 'Something else', detail: 'Words.' });
    expect([type, problem.type, problem.status, problem.title, problem.message]).toEqual([
      type,
      type,
      status,
      PROBLEMS[type].title,
      'Words.',
    ]);
    expect([type, problem.isStale, problem.mayPass]).toEqual([type, means === 'stale', means === 'later' || means === 'sign-in']);
  }
});

test('finished, a gap, not complete, stale and led elsewhere each say their own', () => {
  const said = (['finished', 'gap', 'not-complete', 'changed-meanwhile', 'led-elsewhere'] as const).map((type) => whatNow(type));
  expect(said.every((words) => words !== null && words.length > 10)).toBe(true);
  expect(new Set(said).size).toBe(said.length);
});

test('a type this page does not know: by its status it may pass later, or is refused, or nobody is signed in', async () => {
  const unknown = { type: '/problems/from-tomorrow', title: 'New', detail: 'Words.' };
  expect(await answered(503, unknown)).toMatchObject({ type: 'unknown', mayPass: true, isStale: false });
  expect(await answered(409, unknown)).toMatchObject({ type: 'unknown-refusal', mayPass: false, isStale: false });
  expect(await answered(401, unknown)).toMatchObject({ type: 'not-signed-in', mayPass: true });
});
