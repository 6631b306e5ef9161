import { PHASE_KINDS, phaseKind, type PhaseKind } from '@pace-bend/core/method';
import { Tones } from './tones.ts';

interface Note {
  readonly hertz: number;
  readonly fromS: number;
  readonly toS: number;
}

/** A sound card that writes down what it is asked to play. */
function installSound(state: 'running' | 'suspended' = 'running') {
  const notes: Note[] = [];
  const contexts: { state: string; closed: boolean; later: (s: number) => void }[] = [];
  class FakeContext {
    state: string = state;
    currentTime = 10;
    closed = false;
    destination = {};
    constructor() {
      contexts.push(this);
    }
    resume() {
      this.state = 'running';
      return Promise.resolve();
    }
    close() {
      this.closed = true;
      return Promise.resolve();
    }
    createGain() {
      return {
        gain: { setValueAtTime() {}, linearRampToValueAtTime() {}, exponentialRampToValueAtTime() {} },
        connect: (next: unknown) => next,
      };
    }
    /** Time passes. */
    later(s: number) {
      this.currentTime += s;
    }
    createOscillator() {
      const tone = {
        frequency: { value: 0 },
        connect: (next: unknown) => next,
        fromS: 0,
        note: null as Note | null,
        start(atS: number) {
          this.fromS = atS;
        },
        stop(atS: number) {
          this.disconnect();
          notes.push((this.note = { hertz: this.frequency.value, fromS: this.fromS, toS: atS }));
        },
        /** Taken off: it is not heard. */
        disconnect() {
          if (this.note) notes.splice(notes.indexOf(this.note), 1);
          this.note = null;
        },
      };
      return tone;
    }
  }
  Object.defineProperty(globalThis, 'AudioContext', { value: FakeContext, configurable: true });
  return { notes, contexts };
}

test('silent until a key or a touch woke it; then every phase has its notes, one after the other', () => {
  const { notes, contexts } = installSound('suspended');
  const tones = new Tones();
  tones.phase('contract');
  expect([notes.length, contexts.length]).toEqual([0, 0]);
  tones.wake();
  tones.wake();
  expect(contexts).toHaveLength(1);
  tones.phase('contract');
  tones.phase('relax');
  expect(notes.map((note) => note.hertz)).toEqual([523, 659, 659, 440]);
  expect(notes[1]!.fromS).toBeGreaterThan(notes[0]!.fromS);
});

test('into work the notes rise, out of it they fall; the warning is lower than every phase and unlike any', () => {
  const { notes } = installSound();
  const tones = new Tones();
  tones.wake();
  const heard = (play: () => void): number[] => {
    const before = notes.length;
    play();
    return notes.slice(before).map((note) => note.hertz);
  };
  expect(heard(() => tones.phase('contract')).reduce((a, b) => b - a)).toBeGreaterThan(0);
  expect(heard(() => tones.phase('relax')).reduce((a, b) => b - a)).toBeLessThan(0);
  const families = [...new Set((Object.keys(PHASE_KINDS) as PhaseKind[]).map((kind) => phaseKind(kind).family))];
  const all = families.map((family) => heard(() => tones.phase(family)));
  expect(all.every((each) => each.length > 0)).toBe(true);
  const warning = heard(() => tones.warning());
  expect(Math.max(...warning)).toBeLessThan(Math.min(...all.flat()));
  expect(warning.length).toBeGreaterThan(Math.max(...all.map((each) => each.length)));
});

test('muted it plays nothing and forgets nothing; closed it is silent', () => {
  const { notes, contexts } = installSound();
  const tones = new Tones();
  tones.wake();
  tones.muted = true;
  tones.warning();
  expect(notes).toEqual([]);
  tones.muted = false;
  tones.phase('hold');
  expect(notes).toHaveLength(1);
  tones.close();
  tones.phase('hold');
  expect(notes).toHaveLength(1);
  expect(contexts[0]!.closed).toBe(true);
});

test('a browser without sound runs the line in silence', () => {
  Object.defineProperty(globalThis, 'AudioContext', { value: undefined, configurable: true });
  const tones = new Tones();
  tones.wake();
  tones.phase('hold');
  tones.warning();
  tones.close();
});

test('what is known ahead is set on the audio clock, once; a tone that was due is not played again when its phase begins', () => {
  const { notes, contexts } = installSound();
  const tones = new Tones();
  tones.wake();
  const planned = [
    { inS: 3, what: 'tick' },
    { inS: 4, what: 'turn' },
    { inS: 6, what: 'hold' },
  ] as const;
  tones.plan('cue 1', planned);
  tones.plan('cue 1', planned);
  expect(notes.map(({ fromS }) => Math.round(fromS * 100) / 100)).toEqual([13, 14, 14.16, 16]);
  contexts[0]!.later(6.05);
  tones.phase('hold');
  expect(notes).toHaveLength(4);
  contexts[0]!.later(1);
  tones.phase('hold');
  expect(notes).toHaveLength(5);
});

test('what the hand does otherwise takes off what has not begun, and the next phase has its tone at once', () => {
  const { notes, contexts } = installSound();
  const tones = new Tones();
  tones.wake();
  tones.plan('cue 1', [
    { inS: 1, what: 'tick' },
    { inS: 3, what: 'hold' },
  ]);
  contexts[0]!.later(2);
  tones.plan('', []);
  expect(notes.map(({ fromS }) => fromS)).toEqual([11]);
  tones.phase('hold');
  expect(notes).toHaveLength(2);
  tones.plan('cue 2', [{ inS: 1, what: 'tick' }]);
  tones.muted = true;
  expect(notes).toHaveLength(2);
});
