import type { Region } from '../body/index.ts';
import type { Entry } from './types.ts';

/**
 * Muscles that are looked at together: where one is sore or short, the others often are the source. Offered, never forced. Common practice;
 * words as entries name what they work on.
 */
const TOGETHER: readonly (readonly [muscle: string, partners: readonly string[], why: string])[] = [
  ['quadratus lumborum', ['gluteus medius', 'gluteus minimus'], 'a tight one lifts the pelvis they hold'],
  ['gluteus medius', ['quadratus lumborum'], 'they share the side of the pelvis'],
  ['gluteus minimus', ['quadratus lumborum'], 'they share the side of the pelvis'],
  ['back extensors', ['gluteus maximus', 'psoas'], 'they work as a team; in low-back pain quadratus and psoas first'],
  ['gluteus maximus', ['back extensors', 'psoas', 'hamstrings'], 'its team, and its opposite'],
  ['psoas', ['iliacus'], 'never only one of the two'],
  ['psoas', ['gluteus maximus'], 'its opposite'],
  ['iliacus', ['psoas'], 'never only one of the two'],
  ['rhomboids', ['pectoralis minor'], 'they keep knotting while the chest is short'],
  ['pectoralis minor', ['rhomboids', 'biceps'], 'rounded shoulders are its sign'],
  ['biceps', ['pectoralis minor'], 'they meet at the front of the shoulder'],
  ['supraspinatus', ['levator scapulae'], 'pain on top of the shoulder comes from either'],
  ['levator scapulae', ['supraspinatus'], 'pain on top of the shoulder comes from either'],
  ['infraspinatus', ['subscapularis'], 'the two faces of the blade'],
  ['teres minor', ['subscapularis'], 'the two faces of the blade'],
  ['subscapularis', ['infraspinatus'], 'the two faces of the blade'],
  ['latissimus dorsi', ['upper back', 'intercostals'], 'short here, the middle of the back is tense and the ribs are stiff'],
  ['quadriceps', ['hamstrings'], 'knee complaints ask for both'],
  ['rectus femoris', ['vasti', 'hamstrings'], 'the layer beneath, and its opposite'],
  ['hamstrings', ['quadriceps'], 'knee complaints ask for both'],
  ['vasti', ['adductors'], 'the inner one is tied to them'],
  ['adductors', ['vasti'], 'the inner one is tied to them'],
  ['wrist extensors', ['pronator teres', 'wrist joints'], 'overuse of elbow or wrist'],
  ['wrist flexors', ['pronator teres', 'wrist joints'], 'overuse of elbow or wrist'],
  ['brachialis', ['biceps'], 'it lies under it'],
  ['gastrocnemius', ['tibialis anterior', 'peroneus longus'], 'a sore calf mostly comes from elsewhere: the shin and the outer lower leg'],
  ['soleus', ['tibialis anterior', 'peroneus longus'], 'a sore calf mostly comes from elsewhere: the shin and the outer lower leg'],
  ['calf', ['tibialis anterior', 'peroneus longus'], 'a sore calf mostly comes from elsewhere: the shin and the outer lower leg'],
  ['sole', ['gastrocnemius', 'heel'], 'heel, sole and heel cord are one line'],
  ['piriformis', ['gluteus maximus'], 'a sore edge of the sacrum is from either'],
  ['upper trapezius', ['levator scapulae', 'scalenes'], 'the side of the neck has three'],
];

/** A muscle to look at as well, and why. */
export interface Partner {
  readonly muscle: string;
  readonly because: string;
}

/**
 * What to look at as well where this is worked on: partners of everything it names, each once, without what it names itself.
 * @example partnersOf({ targets: ['rhomboids'] }).map(({ muscle }) => muscle) // → ['pectoralis minor']
 */
export function partnersOf({ targets }: Pick<Entry, 'targets'>): Partner[] {
  const found = new Map<string, Partner>();
  for (const [muscle, partners, because] of TOGETHER)
    if (targets.includes(muscle))
      for (const each of partners) if (!targets.includes(each) && !found.has(each)) found.set(each, { muscle: each, because });
  return [...found.values()];
}

/** Muscles that a complaint at a place is about, as entries name them. */
const AT: Readonly<Partial<Record<Region, readonly string[]>>> = {
  calf: ['calf', 'gastrocnemius', 'soleus'],
  foot: ['sole'],
  'knee-back': ['hamstrings', 'gastrocnemius'],
  knee: ['quadriceps', 'hamstrings', 'rectus femoris'],
  'thigh-front': ['quadriceps', 'rectus femoris'],
  'thigh-back': ['hamstrings'],
  'thigh-inner': ['adductors'],
  buttock: ['gluteus maximus', 'piriformis'],
  hip: ['gluteus medius', 'psoas'],
  'low-back': ['back extensors', 'quadratus lumborum'],
  'upper-back': ['rhomboids'],
  shoulder: ['supraspinatus', 'infraspinatus'],
  neck: ['upper trapezius'],
  elbow: ['wrist extensors', 'wrist flexors'],
  wrist: ['wrist extensors', 'wrist flexors'],
  forearm: ['wrist extensors', 'wrist flexors'],
};

/**
 * Likely sources of a complaint at a place: partners of the muscles there, each once, without those muscles themselves. The joint that
 * hurts is not the only place to look at.
 * @example sourcesOf('calf').map(({ muscle }) => muscle) // → ['tibialis anterior', 'peroneus longus']
 */
export function sourcesOf(region: Region): Partner[] {
  const targets = AT[region];
  return targets ? partnersOf({ targets: targets as Entry['targets'] }) : [];
}
