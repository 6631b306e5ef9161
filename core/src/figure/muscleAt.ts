import { MUSCLES, type Muscle } from '../body/index.ts';
import type { RegionId } from './muscles.ts';

/** Regions that are no muscle group of their own, and the group that is sore when they are. Anatomy: common practice. */
const GROUP: Readonly<Partial<Record<RegionId, Muscle>>> = {
  splenius: 'neck-extensors',
  suboccipitals: 'neck-extensors',
  jaw: 'neck-flexors',
  'teres-major': 'latissimus',
  cuff: 'cuff-back',
  'deltoid-front': 'deltoid',
  'deltoid-middle': 'deltoid',
  'deltoid-back': 'deltoid',
  'upper-ribs': 'intercostals',
  'first-rib': 'scalenes',
  'second-third-rib': 'intercostals',
  'shoulder-blade': 'rhomboids',
  'upper-back': 'rhomboids',
  brachioradialis: 'wrist-extensors',
  'forearm-ring': 'wrist-flexors',
  palm: 'hand-muscles',
  'hand-back': 'hand-muscles',
  'wrist-joint': 'hand-muscles',
  'thumb-ball': 'hand-muscles',
  'low-back': 'back-extensors',
  belly: 'abdominals',
  sacroiliac: 'gluteus-maximus',
  psoas: 'iliopsoas',
  iliacus: 'iliopsoas',
  'gluteus-minimus': 'gluteus-medius',
  piriformis: 'deep-rotators',
  'adductors-short': 'adductors',
  'groin-tendon': 'adductors',
  'knee-cap': 'vasti',
  popliteal: 'gastrocnemius',
  achilles: 'soleus',
  instep: 'tibialis-front',
  ball: 'sole',
  heel: 'sole',
};

/**
 * The muscle group that lies at a region of the body map. Throws a RangeError for a region that has none.
 * @example muscleAt('achilles') // → 'soleus'
 */
export function muscleAt(region: RegionId): Muscle {
  const found = GROUP[region] ?? MUSCLES.find(({ id }) => id === region)?.id;
  if (!found) throw new RangeError(`No muscle lies at “${region}”.`);
  return found;
}
