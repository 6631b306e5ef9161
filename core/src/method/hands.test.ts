import type { Position } from '../body/index.ts';
import { ENTRIES, findEntry } from '../catalogue/index.ts';
import { compile, newBlock, sidesOf, SLOW_BREATH, type Cue, type PhaseKind } from './index.ts';

/**
 * What hands do, read by hand from what is taught of each technique and held against the compiled line: seconds, rounds, effort, how
 * often, the order of places, what is said, who moves and how it ends. Common practice throughout; a range where a range is taught.
 */
type Range = number | readonly [least: number, most: number];
interface Taught {
  readonly position?: Position;
  readonly rounds?: Range;
  /** Seconds of every phase of a kind. */
  readonly s?: Partial<Record<PhaseKind, Range>>;
  /** How many phases of a kind one round has. */
  readonly n?: Partial<Record<PhaseKind, Range>>;
  /** Percent, every press. */
  readonly effort?: Range;
  /** Places as they come, first to last. */
  readonly order?: readonly string[];
  /** Lines that are heard. */
  readonly says?: readonly string[];
  /** Kinds of the first round, those that follow on themselves once. */
  readonly kinds?: string;
  /** Seconds of the rounds together. */
  readonly total?: Range;
  /** Repetitions in one phase that has a tempo: seconds times rate. */
  readonly times?: Range;
  readonly ceiling?: Range;
  readonly perMin?: Range;
  /** What is heard in the set-up. */
  readonly setUp?: RegExp;
  /** What goes with a line, somewhere. */
  readonly detail?: RegExp;
  /** Nobody presses. */
  readonly noPress?: true;
  /** Who does the phases of a kind. */
  readonly who?: Partial<Record<PhaseKind, Cue['works']>>;
  /** The last line before the way home or the rest. */
  readonly ends?: string;
}

const TAUGHT: readonly (readonly [entry: string, way: string, taught: Taught])[] = [
  // Neck.
  [
    'neck-side-bend-supine',
    'cr-breath',
    { rounds: 3, s: { contract: [5, 8] }, n: { hold: 0 }, says: ['Ear toward this shoulder', 'Stay heavy'] },
  ],
  ['neck-thumb-stretch', 'pin-lengthen', { rounds: [1, 2], order: ['base of the neck', 'middle', 'under the skull'] }],
  ['neck-thumb-stretch', 'cr-firm', { effort: 30, s: { contract: [5, 7] }, says: ['Press into the pillow'] }],
  ['scalene-pin-move', 'pin-lengthen', { rounds: [3, 4], says: ['Head heavy in my hand'], detail: /snags: stop and wait/ }],
  [
    'scalene-pin-move',
    'inhibit-integrated',
    { effort: 20, s: { contract: [5, 8], comfort: [20, 90] }, says: ['Head to the far side', 'And the other way'] },
  ],
  ['scalene-collarbone', 'pin-lengthen', { order: ['inner end', 'middle', 'outer third'], noPress: true }],
  ['neck-extension-table-end', 'brief-hold', { rounds: [1, 2], says: ['Dizzy at all?', 'Next level'], noPress: true }],
  ['neck-diagonal', 'brief-hold', { rounds: 2, says: ['Chin to this shoulder', 'Two deep breaths'], setUp: /chin turned to it/ }],
  ['neck-diagonal-levator', 'brief-hold', { rounds: 2, says: ['Chin to the far armpit'], setUp: /chin toward the other armpit/ }],
  ['neck-crossed-arm-lift', 'brief-hold', { rounds: 2, says: ['Head heavy'] }],
  ['skull-base-melt', 'breath-sink', { n: { sink: [6, 10] }, says: ['Let the head sink'] }],
  ['skull-base-melt', 'breath-sink', { position: 'seated leaning', setUp: /^Seated, forehead resting/ }],
  ['neck-traction', 'mobilize-sustained', { rounds: [2, 3], s: { traction: [3, 20] }, says: ['Toes, jaw, all loose'] }],
  ['neck-traction-forearm', 'mobilize-sustained', { rounds: [2, 3], says: ['Toes, jaw, all loose'] }],
  ['neck-traction-towel', 'mobilize-sustained', { rounds: [2, 3], says: ['Toes, jaw, all loose'] }],
  ['neck-traction-pillow', 'mobilize-sustained', { rounds: [2, 3], setUp: /pillow itself is drawn/ }],
  ['neck-lift-seated', 'mobilize-sustained', { rounds: 1, says: ['Tall and soft'] }],
  [
    'neck-side-bend-seated',
    'trial-stay',
    {
      kinds: 'active hold active',
      s: { hold: [20, 40] },
      who: { active: 'athlete' },
      says: ['Ear to the far shoulder', 'Breathe in, come back'],
    },
  ],
  [
    'neck-pin-turn-seated',
    'pin-lengthen',
    {
      n: { pin: [4, 6] },
      who: { active: 'athlete' },
      order: ['above the collarbone', 'middle', 'behind the ear'],
      says: ['Turn away slowly', 'Back to the middle'],
    },
  ],
  ['neck-pin-turn-seated', 'pin-lengthen', { position: 'seated leaning', setUp: /^Leaning forward, face free/ }],
  ['splenius-reset', 'four-way', { n: { contract: 4 }, effort: 20, s: { contract: [5, 8] } }],
  ['splenius-reset', 'inhibit-integrated', { says: ['Head back, a little turned', 'Chin down, a little turn'] }],
  ['levator-shoulder-up', 'point-hold', { s: { press: [8, 12] } }],
  // Shoulder and chest.
  ['arm-warm-ladder', 'line-press', { order: ['hand', 'forearm', 'upper arm', 'shoulder'], detail: /eight to twelve seconds/ }],
  ['arm-circles-traction', 'continuous-motion', { s: { rock: [30, 60] } }],
  ['arm-circles-traction', 'continuous-motion', { position: 'side-lying left', setUp: /side-lying/i }],
  ['scapula-comfort', 'position-of-comfort', { s: { comfort: [60, 90] }, says: ['Shoulder heavy'] }],
  ['scapula-four-glides', 'mobilize-sustained', { order: ['toward the head', 'toward the feet', 'toward the spine', 'outward'] }],
  ['scapula-lift-behind-back', 'breath-sink', { position: 'seated leaning', setUp: /arm folded behind/, says: ['Let the arm lie'] }],
  ['subscapularis-approach', 'point-hold', { ceiling: [0, 5], says: ['Tell me the number'] }],
  ['subscapularis-approach', 'point-hold', { position: 'prone', setUp: /^Prone, arm hanging/ }],
  ['biceps-groove', 'continuous-motion', { times: [5, 12] }],
  ['flank-line-overhead', 'brief-hold', { rounds: [2, 3], s: { hold: [3, 5] }, says: ['Long on this side'] }],
  ['flank-line-overhead', 'continuous-motion', { s: { rock: [20, 30] } }],
  ['pectoralis-press-stretch', 'pin-lengthen', { rounds: 3, says: ['Palm up, breathe'] }],
  ['pectoralis-nerve-line', 'brief-hold', { rounds: 1, says: ['One breath'], detail: /tingling: wrist straight at once/ }],
  ['sternal-points', 'point-hold', { s: { press: 10 }, says: ['Sore here?'] }],
  [
    'three-breath-chest-press',
    'sink-release',
    { rounds: 1, kinds: 'wait sink wait sink ease', says: ['Slow breath in', 'Hands off, fast'] },
  ],
  [
    'first-rib-reach',
    'push-along',
    { rounds: 2, kinds: 'shorten contract relax', says: ['Push toward your feet'], who: { contract: 'athlete', shorten: 'therapist' } },
  ],
  ['second-third-rib', 'push-along', { rounds: 2, setUp: /arm beside the body/, says: ['Push me away, down'] }],
  ['subclavius-line', 'line-press', { s: { press: [1, 3] }, order: ['at the breastbone', 'middle', 'at the shoulder'] }],
  [
    'blade-series',
    'clear-strip',
    { s: { press: [10, 15] }, order: ['outer face', 'front edge', 'rhomboids', 'above the ridge', 'upper corner'] },
  ],
  ['upper-trap-supine', 'slack-stretch', { n: { shorten: [8, 12] }, s: { hold: [15, 30] }, says: ['Heavy shoulder', 'Stop helping me'] }],
  ['upper-trap-prone', 'slack-stretch', { n: { shorten: [8, 12], hold: 0 }, setUp: /a centimetre or two/ }],
  [
    'upper-trap-prone',
    'inhibit-integrated',
    { effort: 20, s: { contract: [5, 8] }, says: ['Shoulder to your ear', 'Shoulder to your pocket'] },
  ],
  ['upper-trap-knuckles', 'slack-stretch', { n: { shorten: [8, 12] } }],
  ['shoulder-elbow-push', 'continuous-motion', { times: [10, 20], says: ['Let it slide'] }],
  [
    'overhead-rib-rock',
    'counter-rhythm',
    { perMin: [20, 30], order: ['below the armpit', 'side ribs', 'lowest ribs'], detail: /never pressed down/ },
  ],
  ['latissimus-supine', 'static-hold', { rounds: [1, 2], s: { hold: [15, 20] }, says: ['Heavy arm, keep breathing'] }],
  ['latissimus-side-lying', 'static-hold', { s: { hold: [15, 20] } }],
  ['latissimus-heel-of-hand', 'static-hold', { s: { hold: [15, 20] } }],
  ['latissimus-heel-of-hand', 'static-hold', { position: 'supine', setUp: /^Supine/ }],
  ['coracoid-attachments', 'point-hold', { s: { press: [8, 12] } }],
  ['cuff-back-strokes', 'clear-strip', { order: ['above the ridge', 'below the ridge', 'outer edge'] }],
  [
    'cuff-four-way',
    'four-way',
    { effort: 20, s: { contract: [5, 8] }, order: ['toward your head', 'up to the ceiling', 'toward your feet', 'into the table'] },
  ],
  ['cuff-four-way', 'four-way', { position: 'prone', setUp: /^Prone, arm beside/ }],
  ['thoracic-spring', 'continuous-motion', { setUp: /slides under your back/, detail: /across the row of bones/ }],
  // In the chair.
  ['back-press-walk-seated', 'line-press', { total: [30, 75], order: ['shoulder tops', 'waist', 'hips'], setUp: /chair holds you/ }],
  ['shoulder-top-front-hold', 'breath-sink', { n: { sink: [3, 5] }, says: ['Let the arm be heavy'] }],
  ['blade-edge-trace', 'pin-lengthen', { n: { pin: [5, 6] }, s: { pin: [2, 3] }, order: ['lowest corner', 'middle', 'upper corner'] }],
  ['elbow-arm-lever', 'point-hold', { ceiling: [0, 4], says: ['Soft shoulder, soft arm'] }],
  ['shoulder-press-arm-draw', 'brief-hold', { says: ['Heavy arm'], detail: /two or three breaths/ }],
  ['shoulder-front-back-squeeze', 'continuous-motion', { times: [5, 8] }],
  ['chest-opener-seated', 'static-hold', { says: ['Head rests on me'], setUp: /lean your weight back/ }],
  // Arm and hand.
  ['triceps-pin', 'pin-lengthen', { n: { pin: [4, 6] }, order: ['near the elbow', 'middle', 'near the armpit'] }],
  ['biceps-pin', 'pin-lengthen', { n: { pin: 4 }, order: ['near the shoulder', 'middle', 'above the elbow'], says: ['Arm heavy'] }],
  ['upper-arm-deep', 'point-hold', { s: { press: [8, 12] } }],
  ['forearm-spread', 'line-press', { order: ['above the wrist', 'middle', 'upper third'], says: ['Let it open'] }],
  [
    'forearm-pin',
    'clear-strip',
    { order: ['brachioradialis', 'radial wrist extensors', 'finger extensor', 'ulnar wrist extensor'], s: { press: [8, 12] } },
  ],
  ['forearm-flexor-lines', 'point-hold', { s: { press: [8, 12] } }],
  [
    'wrist-extensor-stroke-active',
    'stroke-active',
    { n: { active: [2, 4], stroke: [2, 4] }, who: { active: 'athlete' }, says: ['Lift hand and fingers', 'And down'] },
  ],
  ['pronator-hold', 'press-strip', { s: { press: [8, 12] }, n: { stroke: [3, 4] }, says: ['Let me turn it', 'Strip, palm turns up'] }],
  ['carpal-friction', 'continuous-motion', { s: { rock: [30, 60] } }],
  [
    'wrist-extensor-cr',
    'cr-backoff',
    { rounds: 3, s: { contract: [6, 10] }, says: ['Fist to the ceiling'], kinds: 'back-off contract relax advance' },
  ],
  ['wrist-flexor-cr', 'cr-backoff', { rounds: 3, s: { contract: [6, 10] }, kinds: 'back-off contract relax advance' }],
  ['finger-traction', 'each-in-turn', { order: ['thumb', 'first finger', 'middle finger', 'ring finger', 'little finger'] }],
  // Trunk.
  ['lumbar-forearm-sink', 'breath-sink', { total: [420, 480], ceiling: 1, says: ['Breathe really deep'], noPress: true }],
  ['rib-pelvis-spread', 'breath-sink', { total: [60, 120], says: ['Breathe into my hands'] }],
  ['rib-pelvis-spread', 'breath-sink', { position: 'prone', setUp: /^Prone/ }],
  ['sacroiliac-twist', 'continuous-motion', { detail: /about 70 N, no thrust/ }],
  ['trunk-rotation-supine', 'brief-hold', { s: { hold: [3, 5] }, says: ['Hug yourself, stay heavy'] }],
  ['side-lying-rotation-both', 'brief-hold', { s: { hold: [3, 5] }, says: ['Hip, then shoulder'] }],
  ['side-lying-rotation-chest', 'brief-hold', { s: { hold: [3, 5] }, says: ['Shoulder melts back'] }],
  ['side-lying-rotation-low', 'brief-hold', { s: { hold: [3, 5] } }],
  ['side-lying-back-bow', 'brief-hold', { rounds: 2, s: { hold: 5 }, says: ['Reach back to me'], noPress: true }],
  ['trunk-rotation-long-sitting', 'brief-hold', { s: { hold: [3, 5] }, says: ['Tall, then turn'] }],
  ['belly-rock', 'continuous-motion', { s: { rock: [60, 180] }, setUp: /one hand underneath, one on top/ }],
  ['hip-draw-lean', 'brief-hold', { rounds: [3, 5], s: { hold: [3, 5] } }],
  ['shoulder-figure-eight', 'continuous-motion', { s: { rock: [60, 180] }, perMin: [30, 60] }],
  [
    'quadratus-three-points',
    'inhibit-integrated',
    { rounds: 3, effort: 20, s: { contract: [5, 8] }, says: ['Knee up, shoulder down', 'Leg crosses, arm goes long', 'Hitch your hip'] },
  ],
  [
    'trunk-rotation-chest-supine',
    'brief-hold',
    { s: { hold: [3, 5] }, says: ['Hug yourself, stay heavy', 'Two deep breaths'], setUp: /pelvis/ },
  ],
  ['neck-extension-table-end', 'pin-lengthen', { rounds: 1, says: ['Under: base of the neck', 'Under: under the skull', 'Dizzy at all?'] }],
  ['quadratus-side-press', 'sink-contract', { s: { press: [15, 20] }, says: ['Hike your hip', 'Vibrate'] }],
  [
    'spine-muscles-reach-thoracic',
    'alternate-comfort',
    { n: { shorten: [2, 4] }, effort: 20, s: { contract: [5, 8] }, says: ['Pull it back'] },
  ],
  [
    'spine-muscles-reach-lumbar',
    'alternate-comfort',
    { n: { shorten: 3 }, effort: 20, s: { contract: [5, 8] }, says: ['Reach, bend at the waist', 'Come back against me'] },
  ],
  ['back-dry-prep', 'line-press', { setUp: /before any oil/ }],
  // Hip.
  ['hip-compress-comfort', 'position-of-comfort', { s: { comfort: [60, 90] }, says: ['Leg all mine'] }],
  ['hip-shake-roll', 'continuous-motion', { s: { rock: [40, 80] } }],
  ['gluteus-bent-knee-turn', 'cr-light', { rounds: [1, 2], s: { contract: 7 }, effort: 10, says: ['Press lightly into me'] }],
  ['ninety-turn-out', 'brief-hold', { s: { hold: 5 }, noPress: true, says: ['Say when'] }],
  ['foot-on-hip-adductor', 'brief-hold', { rounds: 2, s: { hold: 5 }, says: ['Knee heavy', 'Outward and a little down'] }],
  ['figure-four-beside', 'brief-hold', { s: { hold: 5 } }],
  ['figure-four-beside', 'cr-light', { s: { contract: 7 }, effort: 10, says: ['Knee up into me'] }],
  ['figure-four-above', 'cr-light', { s: { contract: 7 }, effort: 10 }],
  ['adductors-walk-out', 'cr-light', { s: { contract: 7 }, effort: 10, says: ['Push into my hip', 'Where is the pull?'] }],
  ['leg-across-straight', 'brief-hold', { s: { hold: 3 } }],
  ['leg-across-straight', 'cr-light', { says: ['Push back out'] }],
  ['leg-across-bent', 'brief-hold', { s: { hold: [3, 5] } }],
  ['groin-opening', 'continuous-motion', { s: { rock: [30, 60] } }],
  ['groin-comfort', 'position-of-comfort', { s: { comfort: [60, 90] } }],
  ['leg-pull', 'mobilize-sustained', { rounds: 1, says: ['Stay heavy'], detail: /look at the ankle bones again/ }],
  ['gluteal-elbow-line', 'point-hold', { s: { press: [8, 12] }, ceiling: [0, 4] }],
  ['rotators-elbow-across', 'line-press', { rounds: 2, order: ['tensor', 'buttock', 'piriformis', 'edge of the sacrum'] }],
  [
    'gluteus-maximus-reps',
    'active-assisted',
    { n: { active: [16, 20] }, s: { advance: 2 }, order: ['straight', 'turned out'], who: { active: 'athlete' } },
  ],
  ['piriformis-reps', 'active-assisted', { n: { active: [12, 16] }, order: ['turning only', 'sacral line'] }],
  [
    'gluteals-comfort-press',
    'inhibit-integrated',
    { effort: 20, s: { contract: [5, 8], comfort: [60, 90] }, says: ['Push your leg out', 'Pull it in'] },
  ],
  [
    'gluteus-maximus-reset',
    'inhibit-integrated',
    { effort: 20, says: ['Leg down and back', 'Knee into the table', 'Half round, knee up'] },
  ],
  ['outward-rotators-prone', 'inhibit-integrated', { says: ['Turn your knee out', 'Thigh lifted and out'] }],
  [
    'psoas-sink',
    'sink-contract',
    {
      kinds: 'wait check sink contract relax sink press contract relax sink ease rock',
      effort: [5, 10],
      total: [60, 120],
      rounds: [1, 3],
      says: ['Lift your foot a little', 'Foot down'],
    },
  ],
  ['iliacus-side-lying', 'sink-contract', { s: { contract: [3, 8] }, rounds: [2, 3], says: ['Knee to your chest', 'Let go'] }],
  ['iliacus-supine', 'breath-sink', { setUp: /knee bent and carried across/ }],
  ['groin-attachment-shake', 'continuous-motion', { s: { rock: [20, 40] } }],
  // Thigh and knee.
  ['quad-warm-ladder', 'line-press', { order: ['above the knee', 'middle', 'below the hip'] }],
  [
    'rectus-femoris-pin',
    'point-hold',
    { s: { press: 20 }, ceiling: 4, order: ['a finger above the knee-cap', 'middle', 'below the hip'], says: ['Number?'] },
  ],
  [
    'rectus-femoris-pin',
    'pin-lengthen',
    { n: { pin: [4, 6] }, order: ['above the knee', 'middle', 'below the hip'], says: ['Stay loose'] },
  ],
  ['rectus-femoris-table-side', 'cr-firm', { rounds: [3, 5], effort: 30, s: { hold: 10, contract: 10 }, says: ['Push against me'] }],
  ['leg-stick', 'point-hold', { s: { press: [10, 15] } }],
  ['hamstring-heel-on-shoulder', 'static-hold', { s: { hold: [10, 20] }, says: ['Breathe, heel heavy'] }],
  ['adductor-compression', 'point-hold', { s: { press: [10, 20] }, says: ['Breathe out'], detail: /lift, replace; no dragging/ }],
  [
    'line-press-inside',
    'line-press',
    { order: ['heel', 'mid calf', 'upper calf', 'below the knee', 'top of the thigh', 'middle of the thigh', 'above the knee'] },
  ],
  ['line-press-outside', 'line-press', { order: ['knee', 'middle', 'hip'], setUp: /leg crossed over/ }],
  ['thigh-foot-press', 'line-press', { rounds: 3, detail: /they steer how strong/ }],
  ['thigh-foot-walk', 'line-press', { rounds: 2, order: ['above the knee', 'lower third', 'upper third'] }],
  ['band-push-pull', 'counter-rhythm', { times: [10, 15], order: ['above the knee', 'middle', 'below the hip'] }],
  [
    'patella-glides',
    'mobilize-sustained',
    { order: ['Glide down', 'Glide up', 'Glide inward', 'Glide outward'], detail: /never down into the joint/ },
  ],
  [
    'quad-glide-full',
    'glide-circumduct',
    { n: { stroke: [3, 4] }, s: { circle: [20, 40] }, says: ['Bend it in'], detail: /from hip to knee/ },
  ],
  ['quad-glide-partial', 'glide-circumduct', { n: { stroke: [3, 4] }, says: ['Only a little bend'] }],
  ['quad-glide-outer', 'glide-circumduct', { n: { stroke: [3, 4] }, detail: /outer hip to outer knee/ }],
  ['quad-glide-inner', 'glide-circumduct', { says: ['Leg heavy'], setUp: /^Side-lying/ }],
  // Lower leg and foot.
  ['calf-wring', 'line-press', { order: ['above the ankle', 'middle', 'below the knee'], detail: /opposite ways/ }],
  ['shin-pin', 'point-hold', { s: { press: [10, 15] } }],
  ['shin-pin', 'pin-lengthen', { n: { pin: [3, 4] }, order: ['below the knee', 'middle', 'above the ankle'] }],
  ['ankle-loosening', 'continuous-motion', { s: { rock: [30, 60] } }],
  [
    'ankle-circles',
    'hour-circles',
    { order: ['10 o’clock', '2 o’clock', '12 o’clock'], says: ['Draw first', 'Circle one way', 'Circle the other way'] },
  ],
  ['foot-rounds', 'continuous-motion', { s: { rock: [60, 120] } }],
  ['foot-gap-walk', 'line-press', { order: ['gap 1–2', 'gap 4–5', 'bands before the ankle'] }],
  ['foot-shake', 'continuous-motion', { s: { rock: [20, 30] }, says: ['Shake it in and out'] }],
  ['sole-lean-both', 'continuous-motion', { s: { rock: [30, 60] } }],
  ['talocrural-traction', 'mobilize-sustained', { rounds: [3, 6], s: { traction: [3, 30] }, says: ['Let go, in neutral'] }],
  ['talocrural-open-close', 'continuous-motion', { s: { rock: [30, 60] } }],
  ['talocrural-traction-bend', 'mobilize-movement', { n: { lengthen: [6, 10] }, ends: 'Let go in neutral' }],
  ['midfoot-turn', 'continuous-motion', { s: { rock: 60 } }],
  ['metatarsal-scissor', 'each-in-turn', { order: ['gap 1–2', 'gap 2–3', 'gap 3–4', 'gap 4–5'] }],
  ['arch-spring', 'continuous-motion', { times: [20, 30] }],
  ['ball-rounding', 'continuous-motion', { s: { rock: 30 } }],
  ['toe-rotation', 'each-in-turn', { order: ['big toe', 'second toe', 'little toe'], says: ['Toes loose: big toe'] }],
  ['opposing-wave', 'continuous-motion', { s: { rock: [30, 60] }, perMin: [30, 40] }],
  // After an operation.
  ['post-op-fluid', 'line-press', { order: ['outer side', 'inner side', 'both sides together', 'hollow of the knee'], setUp: /^Prone/ }],
  ['post-op-fluid', 'line-press', { position: 'supine', setUp: /^Supine, leg raised/ }],
  ['post-op-calf', 'pulsed', { s: { contract: 2, relax: 2 }, says: ['Try to point'], setUp: /^Prone/, detail: /slide up/ }],
  ['post-op-toes', 'four-way', { order: ['all lesser toes', 'the big toe', 'the whole foot'] }],
  ['post-op-turns', 'continuous-motion', { detail: /picture it along/ }],
  ['post-op-front-hollow', 'point-hold', { says: ['Number?'] }],
  ['post-op-scar', 'stroke-active', { says: ['Pull foot outward', 'Let go'], who: { active: 'athlete' } }],
  ['post-op-shin-lines', 'pin-lengthen', { order: ['above the ankle', 'middle', 'below the knee'], says: ['Foot down and in'] }],
];

const holds = (value: number, range: Range) =>
  typeof range === 'number' ? Math.abs(value - range) < 1e-9 : value >= range[0] && value <= range[1];
const secondsOf = (cue: Cue) => (cue.endMs - cue.startMs) / 1000;

test('there are enough of them, of most of the catalogue', () => {
  expect(TAUGHT.length).toBeGreaterThanOrEqual(150);
  expect(new Set(TAUGHT.map(([id]) => id)).size / ENTRIES.length).toBeGreaterThan(0.6);
});

test.each(TAUGHT)('%s, %s', (entryId, way, taught) => {
  const entry = findEntry(entryId)!;
  const side = sidesOf(entry).includes('right') ? 'right' : sidesOf(entry)[0]!;
  const block = { ...newBlock('b', entryId, way, [side]), ...(taught.position ? { position: taught.position } : {}) };
  const { cues } = compile([block], { breath: SLOW_BREATH, edgeOf: () => null });
  const rounds = cues.filter((cue) => cue.round >= 1 && cue.round <= block.sides[0]!.rounds);
  const first = rounds.filter((cue) => cue.round === 1);
  const of = (some: readonly Cue[], kind: string) => some.filter((cue) => cue.kind === kind);

  if (taught.rounds !== undefined)
    expect([block.sides[0]!.rounds, holds(block.sides[0]!.rounds, taught.rounds)]).toEqual([block.sides[0]!.rounds, true]);
  for (const [kind, range] of Object.entries(taught.s ?? {})) {
    expect([kind, of(rounds, kind).length > 0]).toEqual([kind, true]);
    for (const cue of of(rounds, kind)) expect([kind, secondsOf(cue), holds(secondsOf(cue), range)]).toEqual([kind, secondsOf(cue), true]);
  }
  for (const [kind, range] of Object.entries(taught.n ?? {}))
    expect([kind, of(first, kind).length, holds(of(first, kind).length, range)]).toEqual([kind, of(first, kind).length, true]);
  if (taught.effort !== undefined) {
    expect(of(rounds, 'contract').length).toBeGreaterThan(0);
    for (const { effortPct } of of(rounds, 'contract')) expect([effortPct, holds(effortPct!, taught.effort)]).toEqual([effortPct, true]);
  }
  if (taught.noPress) expect(of(cues, 'contract')).toEqual([]);
  if (taught.order) {
    const at = taught.order.map((place) => cues.findIndex((cue) => cue.text.includes(place)));
    expect([taught.order, at.every((i) => i >= 0), at]).toEqual([taught.order, true, [...at].sort((a, b) => a - b)]);
  }
  for (const line of taught.says ?? [])
    expect(cues.map((cue) => cue.text).filter((text, i, all) => all.indexOf(text) === i)).toContain(line);
  if (taught.kinds)
    expect(
      first
        .map((cue) => cue.kind as string)
        .filter((kind, i, all) => kind !== all[i - 1])
        .join(' '),
    ).toBe(taught.kinds);
  const total = rounds.reduce((sum, cue) => sum + secondsOf(cue), 0);
  if (taught.total !== undefined) expect([total, holds(total, taught.total)]).toEqual([total, true]);
  for (const cue of rounds.filter((each) => (each.perMin ?? null) !== null && ['rock', 'circle'].includes(each.kind))) {
    const times = (secondsOf(cue) * cue.perMin!) / 60;
    if (taught.times !== undefined) expect([times, holds(times, taught.times)]).toEqual([times, true]);
    if (taught.perMin !== undefined) expect([cue.perMin, holds(cue.perMin!, taught.perMin)]).toEqual([cue.perMin, true]);
  }
  if (taught.ceiling !== undefined)
    for (const { painCeiling } of cues) expect([painCeiling, holds(painCeiling, taught.ceiling)]).toEqual([painCeiling, true]);
  if (taught.setUp) expect(cues.find((cue) => cue.kind === 'set-up')!.detail).toMatch(taught.setUp);
  if (taught.detail) expect(cues.map((cue) => cue.detail).join(' | ')).toMatch(taught.detail);
  for (const [kind, works] of Object.entries(taught.who ?? {}))
    for (const cue of of(rounds, kind)) expect([kind, cue.works]).toEqual([kind, works]);
  if (taught.ends) expect(rounds.at(-1)!.text).toBe(taught.ends);
});
