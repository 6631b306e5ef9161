import type { Movement } from './movements.ts';
import type { Region } from './regions.ts';

/** A muscle or a group that is injured, stretched and pressed as one. Anatomy: common practice. */
export interface MuscleFacts {
  readonly id: string;
  readonly name: string;
  /** Where its belly lies. */
  readonly belly: readonly Region[];
  /** Where it is fastened: what its tendons, and growth plates they pull on, hurt. */
  readonly ends: readonly Region[];
  /** Movements of its own limb that lengthen it. */
  readonly lengthenedBy: readonly Movement[];
  /** Movements of head or trunk that lengthen it when they go to the other side, or to its own. */
  readonly away?: readonly Movement[];
  readonly toward?: readonly Movement[];
}

export const MUSCLES = [
  {
    id: 'upper-trapezius',
    name: 'upper trapezius',
    belly: ['neck', 'shoulder'],
    ends: ['neck', 'shoulder'],
    lengthenedBy: ['neck flexion'],
    away: ['neck side-bend'],
    toward: ['neck rotation'],
  },
  {
    id: 'levator',
    name: 'levator scapulae',
    belly: ['neck', 'upper-back'],
    ends: ['neck', 'upper-back'],
    lengthenedBy: ['neck flexion'],
    away: ['neck side-bend', 'neck rotation'],
  },
  {
    id: 'scalenes',
    name: 'scalenes',
    belly: ['neck', 'front-of-neck'],
    ends: ['neck', 'chest'],
    lengthenedBy: ['neck extension'],
    away: ['neck side-bend'],
  },
  {
    id: 'sternomastoid',
    name: 'sternocleidomastoid',
    belly: ['front-of-neck', 'neck'],
    ends: ['head', 'chest'],
    lengthenedBy: ['neck extension'],
    away: ['neck side-bend'],
    toward: ['neck rotation'],
  },
  {
    id: 'neck-extensors',
    name: 'neck extensors',
    belly: ['neck'],
    ends: ['head', 'neck'],
    lengthenedBy: ['neck flexion'],
    away: ['neck rotation'],
  },
  { id: 'neck-flexors', name: 'neck flexors', belly: ['front-of-neck'], ends: ['neck'], lengthenedBy: ['neck extension'] },

  {
    id: 'pectoralis-major',
    name: 'pectoralis major',
    belly: ['chest', 'armpit'],
    ends: ['shoulder', 'chest', 'upper-arm'],
    lengthenedBy: ['shoulder out and back', 'shoulder external rotation, arm out', 'shoulder flexion', 'shoulder abduction'],
  },
  {
    id: 'pectoralis-minor',
    name: 'pectoralis minor',
    belly: ['chest'],
    ends: ['chest', 'shoulder'],
    lengthenedBy: ['shoulder-blade movement', 'shoulder out and back'],
  },
  {
    id: 'latissimus',
    name: 'latissimus dorsi and teres major',
    belly: ['upper-back', 'armpit', 'low-back'],
    ends: ['upper-arm', 'low-back'],
    lengthenedBy: ['shoulder flexion', 'shoulder abduction'],
  },
  {
    id: 'subscapularis',
    name: 'subscapularis',
    belly: ['armpit', 'shoulder'],
    ends: ['shoulder'],
    lengthenedBy: ['shoulder external rotation, arm in', 'shoulder external rotation, arm out'],
  },
  {
    id: 'cuff-back',
    name: 'infraspinatus and teres minor',
    belly: ['shoulder', 'upper-back'],
    ends: ['shoulder'],
    lengthenedBy: ['shoulder internal rotation', 'hand behind back', 'shoulder across the body'],
  },
  {
    id: 'supraspinatus',
    name: 'supraspinatus',
    belly: ['shoulder'],
    ends: ['shoulder'],
    lengthenedBy: ['hand behind back', 'shoulder across the body'],
  },
  {
    id: 'deltoid',
    name: 'deltoid',
    belly: ['shoulder', 'upper-arm'],
    ends: ['upper-arm'],
    lengthenedBy: ['shoulder extension', 'shoulder across the body', 'hand behind back'],
  },
  {
    id: 'rhomboids',
    name: 'rhomboids',
    belly: ['upper-back'],
    ends: ['upper-back'],
    lengthenedBy: ['shoulder across the body', 'shoulder-blade movement'],
  },
  { id: 'serratus', name: 'serratus anterior', belly: ['chest'], ends: ['chest'], lengthenedBy: ['shoulder-blade movement'] },

  {
    id: 'biceps',
    name: 'biceps',
    belly: ['upper-arm'],
    ends: ['shoulder', 'elbow'],
    lengthenedBy: ['elbow extension', 'shoulder extension'],
  },
  {
    id: 'triceps',
    name: 'triceps',
    belly: ['upper-arm'],
    ends: ['shoulder', 'elbow'],
    lengthenedBy: ['elbow flexion', 'shoulder flexion'],
  },
  { id: 'wrist-extensors', name: 'wrist extensors', belly: ['forearm'], ends: ['elbow', 'wrist'], lengthenedBy: ['wrist flexion'] },
  { id: 'wrist-flexors', name: 'wrist flexors', belly: ['forearm'], ends: ['elbow', 'wrist'], lengthenedBy: ['wrist extension'] },
  { id: 'pronators', name: 'pronators', belly: ['forearm'], ends: ['elbow'], lengthenedBy: ['forearm rotation'] },
  { id: 'hand-muscles', name: 'muscles of the hand', belly: ['hand'], ends: ['hand'], lengthenedBy: ['finger movement'] },

  { id: 'abdominals', name: 'abdominals', belly: ['belly'], ends: ['groin', 'chest', 'pelvis'], lengthenedBy: ['trunk extension'] },
  {
    id: 'obliques',
    name: 'obliques',
    belly: ['belly', 'chest'],
    ends: ['pelvis', 'chest'],
    lengthenedBy: [],
    away: ['trunk side-bend', 'trunk rotation'],
    toward: ['trunk rotation'],
  },
  {
    id: 'quadratus',
    name: 'quadratus lumborum',
    belly: ['low-back'],
    ends: ['low-back', 'pelvis'],
    lengthenedBy: ['trunk flexion'],
    away: ['trunk side-bend'],
  },
  {
    id: 'back-extensors',
    name: 'back extensors',
    belly: ['low-back', 'upper-back'],
    ends: ['low-back', 'pelvis'],
    lengthenedBy: ['trunk flexion'],
    away: ['trunk side-bend'],
  },
  {
    id: 'intercostals',
    name: 'intercostals',
    belly: ['chest'],
    ends: ['chest'],
    lengthenedBy: [],
    away: ['trunk side-bend'],
    toward: ['trunk rotation'],
  },

  { id: 'iliopsoas', name: 'iliopsoas', belly: ['groin', 'belly', 'hip'], ends: ['groin'], lengthenedBy: ['hip extension'] },
  {
    id: 'rectus-femoris',
    name: 'rectus femoris',
    belly: ['thigh-front'],
    ends: ['knee', 'hip', 'groin', 'pelvis'],
    lengthenedBy: ['hip extension', 'knee flexion'],
  },
  { id: 'vasti', name: 'vasti', belly: ['thigh-front'], ends: ['knee'], lengthenedBy: ['knee flexion'] },
  { id: 'gluteus-maximus', name: 'gluteus maximus', belly: ['buttock'], ends: ['buttock', 'pelvis', 'hip'], lengthenedBy: ['hip flexion'] },
  {
    id: 'gluteus-medius',
    name: 'gluteus medius and minimus',
    belly: ['buttock', 'hip'],
    ends: ['hip', 'pelvis'],
    lengthenedBy: ['hip across the midline', 'hip external rotation'],
  },
  {
    id: 'tensor',
    name: 'tensor fasciae latae and band',
    belly: ['hip', 'thigh-front'],
    ends: ['knee', 'hip', 'pelvis'],
    lengthenedBy: ['hip across the midline', 'hip extension'],
  },
  {
    id: 'deep-rotators',
    name: 'piriformis and deep rotators',
    belly: ['buttock'],
    ends: ['hip'],
    lengthenedBy: ['hip internal rotation', 'hip across the midline', 'hip flexion'],
  },
  { id: 'adductors', name: 'adductors', belly: ['thigh-inner'], ends: ['groin', 'knee', 'pelvis'], lengthenedBy: ['hip abduction'] },
  {
    id: 'hamstrings',
    name: 'hamstrings',
    belly: ['thigh-back'],
    ends: ['buttock', 'pelvis', 'knee-back'],
    lengthenedBy: ['straight-leg raise', 'hip flexion', 'knee extension'],
  },
  {
    id: 'gastrocnemius',
    name: 'gastrocnemius',
    belly: ['calf'],
    ends: ['ankle', 'foot', 'knee-back'],
    lengthenedBy: ['ankle dorsiflexion', 'knee extension'],
  },
  { id: 'soleus', name: 'soleus', belly: ['calf'], ends: ['ankle', 'foot'], lengthenedBy: ['ankle dorsiflexion'] },
  {
    id: 'tibialis-front',
    name: 'tibialis anterior and toe lifters',
    belly: ['shin'],
    ends: ['ankle', 'foot'],
    lengthenedBy: ['ankle plantar flexion'],
  },
  {
    id: 'tibialis-back',
    name: 'tibialis posterior and toe flexors',
    belly: ['calf', 'shin'],
    ends: ['ankle', 'foot'],
    lengthenedBy: ['ankle dorsiflexion', 'foot turned out'],
  },
  { id: 'fibulars', name: 'fibulars', belly: ['shin'], ends: ['ankle', 'foot'], lengthenedBy: ['foot turned in'] },
  { id: 'sole', name: 'short muscles of the sole', belly: ['foot'], ends: ['foot'], lengthenedBy: ['toe movement'] },
] as const satisfies readonly MuscleFacts[];

export type Muscle = (typeof MUSCLES)[number]['id'];
const BY_ID = new Map<Muscle, MuscleFacts>(MUSCLES.map((each) => [each.id, each]));

/**
 * The facts of a muscle.
 * @example muscleFacts('gastrocnemius').belly // → ['calf']
 */
export function muscleFacts(id: Muscle): MuscleFacts {
  return BY_ID.get(id)!;
}

/**
 * Muscles whose belly lies in a region.
 * @example bellyIn('thigh-back') // → ['hamstrings']
 */
export function bellyIn(region: Region): readonly Muscle[] {
  return MUSCLES.filter(({ belly }) => (belly as readonly Region[]).includes(region)).map(({ id }) => id);
}

/**
 * Muscles that are fastened in a region: whose tendons hurt there, or which pull on a growth plate there.
 * @example endIn('groin').includes('adductors') // → true
 */
export function endIn(region: Region): readonly Muscle[] {
  return MUSCLES.filter(({ ends }) => (ends as readonly Region[]).includes(region)).map(({ id }) => id);
}
