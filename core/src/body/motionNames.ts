import type { Motion } from './types.ts';

/** A name of the trade, and the motions it means: by id, or all of a joint and direction. */
interface TradeName {
  readonly names: readonly string[];
  readonly fits: (motion: Motion) => boolean;
}

const ids =
  (...wanted: readonly string[]) =>
  (motion: Motion) =>
    wanted.includes(motion.id);
const called = (words: RegExp) => (motion: Motion) => words.test(motion.name);

/** What therapists call tests and muscles beside the names on the screen. Common practice. */
const NAMES: readonly TradeName[] = [
  { names: ['SLR', 'Lasègue', 'leg raise', 'sciatic nerve test'], fits: called(/^Straight-leg raise/) },
  { names: ['popliteal angle', 'AKE', 'active knee extension', '90/90 test'], fits: called(/^Knee extension deficit/) },
  { names: ['Thomas test', 'modified Thomas test', 'hip flexor length'], fits: ids('hip-extension-table-end', 'knee-flexion-table-end') },
  {
    names: ['Ely test', 'quad length', 'quadriceps length', 'quads'],
    fits: ids('heel-to-buttock', 'knee-flexion-prone', 'hip-extension-knee-bent', 'knee-flexion-table-end'),
  },
  {
    names: ['Ober test', 'ITB', 'IT band', 'iliotibial tract', 'TFL'],
    fits: ids('hip-adduction-side-straight', 'hip-adduction-side-bent'),
  },
  { names: ['butterfly', 'frog', 'FABER', 'Patrick test', 'figure four'], fits: ids('hip-abduction-knee-bent', 'knee-to-table') },
  { names: ['groin', 'inner thigh', 'splits'], fits: ids('hip-abduction', 'hip-abduction-knee-bent', 'knee-to-table') },
  { names: ['IR', 'inward rotation', 'medial rotation', 'turning in'], fits: called(/internal rotation/i) },
  { names: ['ER', 'outward rotation', 'lateral rotation', 'turning out', 'turn-out'], fits: called(/external rotation/i) },
  {
    names: ['glutes', 'buttock'],
    fits: ids('hip-flexion', 'hip-flexion-active', 'hip-adduction', 'hip-internal-rotation', 'hip-internal-rotation-seated'),
  },
  { names: ['psoas', 'hip flexors', 'iliacus'], fits: (motion) => motion.joint === 'hip' && /^Hip extension/.test(motion.name) },
  { names: ['hams', 'hamstring length', 'biceps femoris', 'semitendinosus'], fits: (motion) => motion.lengthens.includes('hamstrings') },
  {
    names: ['weight-bearing lunge', 'lunge test', 'WBLT', 'knee-to-wall test', 'KTW'],
    fits: ids('ankle-lunge', 'knee-to-wall', 'ankle-lunge-knee-straight', 'ankle-deep-squat'),
  },
  { names: ['overhead squat', 'squat depth'], fits: ids('ankle-deep-squat') },
  { names: ['slump test', 'sciatic nerve test'], fits: ids('slump', 'slump-head-up') },
  { names: ['femoral nerve test'], fits: ids('femoral-slump', 'femoral-slump-head-up', 'knee-flexion-prone') },
  { names: ['prone knee bend test', 'PKB'], fits: ids('knee-flexion-prone') },
  {
    names: ['ULTT', 'ULNT', 'upper limb tension test', 'median nerve test', 'arm nerve test'],
    fits: ids('arm-nerve-line', 'arm-nerve-line-wrist-loose'),
  },
  { names: ['lumbar-locked rotation', 'quadruped rotation'], fits: ids('trunk-rotation-locked') },
  { names: ['CET', 'streamline', 'combined elevation test'], fits: ids('combined-elevation') },
  { names: ['tibial torsion', 'knee rotation', 'popliteus'], fits: called(/^Tibial/) },
  { names: ['calf', 'triceps surae', 'gastroc', 'Achilles'], fits: (motion) => /^Ankle dorsiflexion|^Knee to wall/.test(motion.name) },
  { names: ['pointing the foot', 'shin', 'tib ant'], fits: ids('ankle-plantar-flexion') },
  { names: ['navicular drop', 'foot arch'], fits: ids('arch-drop') },
  { names: ['great toe', 'hallux', 'MTP', 'Jack test', 'windlass'], fits: called(/^Big toe/) },
  { names: ['toe touch', 'FTF', 'forward bend'], fits: ids('fingertip-to-floor', 'trunk-flexion', 'sit-and-reach') },
  { names: ['sit and reach'], fits: ids('sit-and-reach') },
  { names: ['lumbar flexion', 'Schober'], fits: ids('trunk-flexion') },
  { names: ['press-up', 'cobra', 'lumbar extension', 'back bend'], fits: ids('trunk-extension', 'trunk-extension-prone') },
  { names: ['thoracic rotation', 'open book', 'T-spine'], fits: ids('trunk-rotation', 'trunk-rotation-lying', 'trunk-rotation-locked') },
  { names: ['QL', 'lateral flexion', 'side bending'], fits: ids('trunk-side-bend', 'side-bend-slide') },
  { names: ['cervical rotation', 'looking over the shoulder'], fits: called(/^(?:Upper )?[Nn]eck rotation/) },
  { names: ['cervical lateral flexion', 'ear to shoulder', 'traps', 'upper traps', 'lev scap'], fits: called(/^Neck side-bend/) },
  { names: ['cervical flexion'], fits: ids('neck-flexion', 'chin-to-chest') },
  { names: ['cervical extension', 'looking up'], fits: ids('neck-extension') },
  { names: ['flexion-rotation test', 'FRT', 'C1 C2', 'atlas'], fits: ids('neck-rotation-bent') },
  { names: ['pec minor', 'rounded shoulders', 'acromion height'], fits: ids('acromion-to-table') },
  { names: ['Apley', 'back scratch'], fits: ids('hands-behind-back-gap', 'hand-behind-back') },
  {
    names: ['lats', 'overhead reach', 'wall angel'],
    fits: ids('shoulder-flexion', 'shoulder-flexion-back-free', 'shoulder-flexion-active', 'fist-to-wall'),
  },
  {
    names: ['pecs', 'pec major', 'chest'],
    fits: ids('shoulder-horizontal-abduction', 'shoulder-horizontal-abduction-high', 'shoulder-external-rotation'),
  },
  { names: ['GIRD', 'sleeper'], fits: ids('shoulder-internal-rotation', 'shoulder-internal-rotation-lying') },
  { names: ['posterior capsule', 'cross-body', 'horizontal flexion'], fits: ids('shoulder-horizontal-adduction') },
  { names: ['horizontal extension'], fits: called(/horizontal abduction/) },
  { names: ['rotator cuff'], fits: called(/^Shoulder (?:internal|external) rotation/) },
  { names: ['pronators'], fits: ids('forearm-supination') },
  { names: ['tennis elbow', 'forearm extensors'], fits: ids('wrist-flexion', 'wrist-flexion-fist') },
  { names: ['golfer’s elbow', 'forearm flexors', 'prayer'], fits: ids('wrist-extension', 'wrist-extension-fingers-straight') },
  { names: ['Finkelstein', 'De Quervain'], fits: ids('wrist-ulnar-deviation') },
];

/**
 * What else a motion is called in the trade. Common practice.
 * @example tradeNames(motionOf('straight-leg-raise')).includes('SLR') // → true
 */
export function tradeNames(motion: Motion): readonly string[] {
  return NAMES.filter((each) => each.fits(motion)).flatMap((each) => each.names);
}
