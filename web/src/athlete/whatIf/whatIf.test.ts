import { createPinia, setActivePinia } from 'pinia';
import { effectScope } from 'vue';
import type { Outlook } from '@pace-bend/core/cycle';
import { NOTHING_KNOWN } from '@pace-bend/core/measure';
import { installBrowser, until } from '../../testing/browser.ts';
import type { ForecastAnswer, ForecastQuestion, Said } from '../../workers/forecast.worker.ts';
import { endDensity } from './density.ts';
import { useForecast } from './useForecast.ts';
import { amount, chanceWords, knownWords, middleWords, rhythmWords, scheduleWords } from './words.ts';

describe('words', () => {
  const usual = { perWeek: 1, usualGain: 5, homeDays: 0, startsInWeeks: 0, away: null };

  test('no chance is said to be certain', () => {
    expect([0, 0.004, 0.006, 0.8, 0.994, 0.9951, 1].map(chanceWords)).toEqual([
      'under 1',
      'under 1',
      '1',
      '80',
      '99',
      'over 99',
      'over 99',
    ]);
  });

  test('rhythms and what is special about a schedule', () => {
    expect([0, 0.5, 1, 1.5, 2, 3].map(rhythmWords)).toEqual([
      'No visits',
      'Every other week',
      'Once a week',
      '1.5 a week',
      'Twice a week',
      '3 a week',
    ]);
    expect(scheduleWords(usual)).toBe('no home work');
    expect(scheduleWords({ ...usual, homeDays: 1, startsInWeeks: 3, away: { fromWeek: 2, weeks: 2 } })).toBe(
      'home work on 1 day, from week 4, away weeks 3 to 4',
    );
    expect(scheduleWords({ ...usual, homeDays: 7, away: { fromWeek: 0, weeks: 1 } })).toBe('home work every day, away week 1');
  });

  test('how much is known, from how many visits, and at how many of them it was worked on', () => {
    expect(knownWords(1, 1, 0.1)).toMatch(/^From 1 visit: mostly what is usual \(.* 10 %/);
    expect(knownWords(4, 0, 0)).toMatch(/^From 4 visits, never worked on: mostly what is usual/);
    expect(knownWords(9, 5, 0.5)).toMatch(/^From 9 visits, worked on at 5: partly/);
    expect(knownWords(30, 30, 0.9)).toMatch(/^From 30 visits: mostly their own/);
  });

  test('amounts with their unit, middles with their ends', () => {
    expect([amount(1.25, 'deg'), amount(3, 'cm')]).toEqual(['1.3°', '3.0 cm']);
    expect(middleWords({ middle: 0.314, low: 0.2, high: 0.4 }, 2)).toBe('0.31 (0.20 to 0.40)');
  });
});

test('the shape of where paths end: highest where most end, the same whichever way they are sorted', () => {
  const ends = Array.from({ length: 101 }, (_, i) => 10 + 6 * ((i - 50) / 50) ** 3);
  const shape = endDensity(ends);
  const top = shape.reduce((best, each) => (each.density > best.density ? each : best));
  expect(top.level).toBeCloseTo(10, 0);
  expect(endDensity([...ends].reverse())).toEqual(shape);
  expect(endDensity(Array<number>(101).fill(3)).every(({ density }) => Number.isFinite(density))).toBe(true);
});

/** A worker that answers when the test says so. */
class Asked {
  static all: Asked[] = [];
  onmessage: ((event: { data: ForecastAnswer }) => void) | null = null;
  onerror: (() => void) | null = null;
  questions: ForecastQuestion[] = [];
  ended = false;
  constructor() {
    Asked.all.push(this);
  }
  postMessage(question: ForecastQuestion): void {
    this.questions.push(question);
  }
  terminate(): void {
    this.ended = true;
  }
  say(answer: ForecastAnswer): void {
    this.onmessage?.({ data: answer });
  }
}

const LOOK = { motionId: 'straight-leg-raise', side: 'left', goal: 70, end: 84, schedules: [] } as const;
const outlook = (visits: number): Outlook => ({ visits, fan: [], ends: [], chance: 0.5, halfThereDay: null });

async function open(respond = true) {
  Asked.all = [];
  installBrowser(({ path }) =>
    !respond && path.endsWith('/response')
      ? null
      : {
          status: 200,
          body: path.endsWith('/practice')
            ? { name: 'P', timeZone: 'utc', today: '2026-11-25' }
            : path.endsWith('/shelf')
              ? { items: [] }
              : path.endsWith('/hands')
                ? { limits: {}, revision: 0, knuckleCm: null }
                : { own: { past: [] }, others: [] },
        },
  );
  Object.assign(globalThis, { Worker: Asked });
  setActivePinia(createPinia());
  const warn = console.warn;
  // Outside a component there is nothing to unmount.
  console.warn = () => undefined;
  const forecast = effectScope().run(() => useForecast())!;
  console.warn = warn;
  await forecast.open('a', NOTHING_KNOWN);
  return { forecast, worker: Asked.all.at(-1) };
}

describe('a forecast', () => {
  test('learns first, then looks; an answer to an earlier look is not shown', async () => {
    const { forecast, worker } = await open();
    expect(forecast.state.value).toBe('learning');
    expect(worker!.questions[0]).toMatchObject({ kind: 'learn', today: '2026-11-25', zone: 'utc' });
    worker!.say({ kind: 'learning', share: 0.4 });
    expect(forecast.share.value).toBe(0.4);
    worker!.say({ kind: 'learned', spots: [] });
    expect([forecast.state.value, forecast.share.value]).toEqual(['ready', null]);

    forecast.look(LOOK);
    const first = (worker!.questions.at(-1) as { turn: number }).turn;
    forecast.look({ ...LOOK, goal: 80 });
    const second = (worker!.questions.at(-1) as { turn: number }).turn;
    worker!.say({ kind: 'outlook', turn: second, at: 0, outlook: outlook(2) });
    worker!.say({ kind: 'outlook', turn: first, at: 0, outlook: outlook(1) });
    worker!.say({ kind: 'said', turn: first, said: {} as Said });
    expect(forecast.outlooks.value[0]!.visits).toBe(2);
    expect(forecast.said.value).toBeNull();
    expect(forecast.share.value).not.toBeNull();
    worker!.say({ kind: 'said', turn: second, said: { nextInDays: 7 } as Said });
    expect([forecast.said.value?.nextInDays, forecast.share.value]).toEqual([7, null]);
  });

  test('left off, it says nothing more of what was asked, and looks again when asked again', async () => {
    const { forecast, worker } = await open();
    worker!.say({ kind: 'learned', spots: [] });
    forecast.look(LOOK);
    const { turn } = worker!.questions.at(-1) as { turn: number };
    forecast.cancel();
    expect(worker!.questions.at(-1)).toEqual({ kind: 'cancel' });
    worker!.say({ kind: 'outlook', turn, at: 0, outlook: outlook(1) });
    worker!.say({ kind: 'looking', turn, share: 0.5 });
    expect([forecast.outlooks.value, forecast.share.value]).toEqual([[], null]);
    forecast.look(LOOK);
    const again = (worker!.questions.at(-1) as { turn: number }).turn;
    expect(again).toBeGreaterThan(turn);
    worker!.say({ kind: 'outlook', turn: again, at: 0, outlook: outlook(3) });
    expect(forecast.outlooks.value[0]!.visits).toBe(3);
  });

  test('without a line it says so and works again once there is one; a worker that fails is said', async () => {
    const { forecast } = await open(false);
    expect(forecast.state.value).toBe('failed');
    expect(forecast.problem.value).not.toBeNull();
    const { forecast: other, worker } = await open();
    worker!.say({ kind: 'failed', message: 'no memory' });
    expect([other.state.value, other.failure.value]).toEqual(['failed', 'no memory']);
    await other.open('a', NOTHING_KNOWN);
    expect(worker!.ended).toBe(true);
    await until(() => other.state.value === 'learning');
    expect(other.state.value).toBe('learning');
  });
});
