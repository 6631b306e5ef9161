import type { Region } from '../body/index.ts';

/** A condition as the file codes it. The codes are this program's own; the words are common practice. */
export interface ConditionFacts {
  readonly code: string;
  readonly name: string;
  readonly synonyms: readonly string[];
  readonly group: 'operation' | 'injury' | 'joint' | 'spine' | 'nerve' | 'general' | 'skin and vessels';
  /** Where it is; null when the region has to be chosen, or there is none. */
  readonly region: Region | null;
  readonly chooseRegion?: true;
  readonly sided: boolean;
  /** An operation: its date decides the phase. */
  readonly surgery?: true;
}

export const CONDITIONS = [
  { code: 'knee-operation', name: 'Knee operation', synonyms: ['cruciate ligament reconstruction', 'ACL', 'meniscus repair', 'arthroscopy'], group: 'operation', region: 'knee', sided: true, surgery: true },
  { code: 'hip-replacement-back', name: 'Hip replacement, from behind', synonyms: ['posterior approach', 'arthroplasty'], group: 'operation', region: 'hip', sided: true, surgery: true },
  { code: 'hip-replacement-front', name: 'Hip replacement, from the front', synonyms: ['anterior approach', 'arthroplasty'], group: 'operation', region: 'hip', sided: true, surgery: true },
  { code: 'hip-operation', name: 'Hip operation, other', synonyms: ['labrum repair', 'hip arthroscopy'], group: 'operation', region: 'hip', sided: true, surgery: true },
  { code: 'shoulder-operation', name: 'Shoulder operation', synonyms: ['cuff repair', 'stabilisation', 'labrum repair'], group: 'operation', region: 'shoulder', sided: true, surgery: true },
  { code: 'ankle-operation', name: 'Ankle or foot operation', synonyms: ['Achilles repair', 'ligament reconstruction'], group: 'operation', region: 'ankle', sided: true, surgery: true },
  { code: 'spine-operation', name: 'Back or neck operation', synonyms: ['discectomy', 'fusion'], group: 'operation', region: 'low-back', sided: false, surgery: true },
  { code: 'other-operation', name: 'Operation elsewhere', synonyms: ['surgery'], group: 'operation', region: null, chooseRegion: true, sided: true, surgery: true },
  { code: 'hardware', name: 'Plate, screws or nail', synonyms: ['hardware', 'metal', 'osteosynthesis'], group: 'operation', region: null, chooseRegion: true, sided: true },

  { code: 'muscle-strain', name: 'Muscle strain', synonyms: ['torn muscle', 'pulled muscle'], group: 'injury', region: null, chooseRegion: true, sided: true },
  { code: 'ankle-sprain', name: 'Ankle sprain', synonyms: ['turned ankle', 'ligament'], group: 'injury', region: 'ankle', sided: true },
  { code: 'knee-sprain', name: 'Knee ligament injury', synonyms: ['collateral ligament', 'cruciate, not operated'], group: 'injury', region: 'knee', sided: true },
  { code: 'tendon-pain', name: 'Tendon pain', synonyms: ['tendinopathy', 'tendinitis'], group: 'injury', region: null, chooseRegion: true, sided: true },
  { code: 'apophysis', name: 'Sore growth plate', synonyms: ['apophysitis', 'growing pains at the knee or heel'], group: 'injury', region: null, chooseRegion: true, sided: true },
  { code: 'stress-injury', name: 'Bone stress injury', synonyms: ['stress fracture', 'rib stress'], group: 'injury', region: null, chooseRegion: true, sided: true },
  { code: 'fracture', name: 'Fracture, healing', synonyms: ['broken bone'], group: 'injury', region: null, chooseRegion: true, sided: true },
  { code: 'concussion', name: 'Concussion', synonyms: ['head injury'], group: 'injury', region: 'head', sided: false },

  { code: 'shoulder-dislocation', name: 'Shoulder dislocation', synonyms: ['slipped shoulder', 'instability'], group: 'joint', region: 'shoulder', sided: true },
  { code: 'shoulder-tear', name: 'Torn shoulder', synonyms: ['cuff tear', 'torn labrum', 'supraspinatus tear'], group: 'joint', region: 'shoulder', sided: true },
  { code: 'frozen-shoulder', name: 'Frozen shoulder', synonyms: ['adhesive capsulitis'], group: 'joint', region: 'shoulder', sided: true },
  { code: 'elbow-injury', name: 'Elbow injury', synonyms: ['hyperextension', 'tennis elbow'], group: 'joint', region: 'elbow', sided: true },
  { code: 'wrist-injury', name: 'Wrist injury', synonyms: ['sprained wrist'], group: 'joint', region: 'wrist', sided: true },
  { code: 'knee-pain', name: 'Knee pain', synonyms: ['patellofemoral pain', 'swollen knee'], group: 'joint', region: 'knee', sided: true },
  { code: 'hip-pinching', name: 'Hip pinching in front', synonyms: ['impingement', 'FAI'], group: 'joint', region: 'hip', sided: true },
  { code: 'hypermobility', name: 'Hypermobility, diagnosed', synonyms: ['lax joints', 'connective tissue disorder'], group: 'joint', region: null, sided: false },
  { code: 'inflamed-joint', name: 'Inflamed joint', synonyms: ['arthritis flare', 'rheumatoid'], group: 'joint', region: null, chooseRegion: true, sided: true },

  { code: 'neck-narrowing', name: 'Neck disc or bony narrowing', synonyms: ['cervical stenosis', 'foraminal narrowing'], group: 'spine', region: 'neck', sided: true },
  { code: 'neck-dizziness', name: 'Dizziness on neck movement', synonyms: ['vertigo with the head back'], group: 'spine', region: 'neck', sided: false },
  { code: 'low-back-pain', name: 'Low-back pain, chronic', synonyms: ['lumbago'], group: 'spine', region: 'low-back', sided: false },
  { code: 'slipped-vertebra', name: 'Slipped vertebra', synonyms: ['spondylolisthesis', 'pars stress'], group: 'spine', region: 'low-back', sided: false },
  { code: 'disc-leg', name: 'Disc with leg symptoms', synonyms: ['sciatica', 'disc herniation'], group: 'spine', region: 'low-back', sided: true },
  { code: 'sacroiliac-pain', name: 'Sacroiliac pain', synonyms: ['pelvic joint pain'], group: 'spine', region: 'pelvis', sided: true },

  { code: 'nerve-signs', name: 'Nerve signs', synonyms: ['tingling', 'numbness', 'nerve irritation'], group: 'nerve', region: null, chooseRegion: true, sided: true },
  { code: 'reduced-feeling', name: 'Reduced feeling', synonyms: ['neuropathy', 'numb skin'], group: 'nerve', region: null, chooseRegion: true, sided: true },

  { code: 'osteoporosis', name: 'Osteoporosis', synonyms: ['brittle bones', 'low bone density'], group: 'general', region: null, sided: false },
  { code: 'bleeding-disorder', name: 'Bleeding disorder', synonyms: ['haemophilia'], group: 'general', region: null, sided: false },
  { code: 'pregnancy', name: 'Pregnancy', synonyms: ['pregnant'], group: 'general', region: null, sided: false },
  { code: 'infection', name: 'Fever or infection', synonyms: ['flu', 'feverish'], group: 'general', region: null, sided: false },
  { code: 'heart', name: 'Heart or blood-pressure condition', synonyms: ['hypertension', 'arrhythmia'], group: 'general', region: null, sided: false },

  { code: 'clot-suspected', name: 'Clot suspected', synonyms: ['thrombosis', 'DVT'], group: 'skin and vessels', region: 'calf', sided: true },
  { code: 'clot-past', name: 'Clot in the past', synonyms: ['thrombosis history', 'DVT history'], group: 'skin and vessels', region: 'calf', sided: true },
  { code: 'varicose-veins', name: 'Varicose veins', synonyms: ['veins'], group: 'skin and vessels', region: null, chooseRegion: true, sided: true },
  { code: 'broken-skin', name: 'Broken skin', synonyms: ['wound', 'blister', 'abrasion'], group: 'skin and vessels', region: null, chooseRegion: true, sided: true },
  { code: 'rash', name: 'Rash', synonyms: ['eczema', 'skin infection'], group: 'skin and vessels', region: null, chooseRegion: true, sided: true },
  { code: 'injection', name: 'Recent injection', synonyms: ['cortisone', 'vaccination'], group: 'skin and vessels', region: null, chooseRegion: true, sided: true },
  { code: 'swelling', name: 'Swelling or bruise', synonyms: ['haematoma', 'oedema'], group: 'skin and vessels', region: null, chooseRegion: true, sided: true },
] as const satisfies readonly ConditionFacts[];

export type ConditionCode = (typeof CONDITIONS)[number]['code'];

/**
 * The coded facts of a condition.
 * @example conditionFacts('knee-operation').region // → 'knee'
 */
export function conditionFacts(code: ConditionCode): ConditionFacts {
  return CONDITIONS.find((each) => each.code === code)!;
}

export const MEDICATIONS = [
  { id: 'blood-thinner', name: 'Blood thinner' },
  { id: 'steroid-long', name: 'Steroids for weeks or longer' },
  { id: 'quinolone', name: 'Quinolone antibiotic, last 6 months' },
  { id: 'pain-killer', name: 'Pain killer today' },
  { id: 'muscle-relaxant', name: 'Muscle relaxant or sedative' },
  { id: 'blood-pressure', name: 'Blood-pressure medication' },
] as const;
export type MedicationId = (typeof MEDICATIONS)[number]['id'];

/** Asked at every visit. Any yes, or not sure, stops the visit and refers. */
export const STOP_QUESTIONS = [
  { id: 'calf', words: 'A calf that is swollen, warm and painful, without a reason', refer: 'a physician today; emergency care if breathless' },
  { id: 'fever', words: 'Fever, or an infection going on', refer: 'their physician; come back when well' },
  { id: 'break', words: 'Perhaps a broken bone or a torn tendon', refer: 'emergency care or a physician today' },
  { id: 'saddle', words: 'Bladder or bowel not under control, numb between the legs, weakness that spreads', refer: 'emergency care now' },
  { id: 'head', words: 'Worst headache ever, double vision, slurred speech, falls without warning, a numb face', refer: 'emergency care now' },
  { id: 'unsteady', words: 'Unsteady or dizzy together with neck trouble', refer: 'a physician today' },
  { id: 'chest', words: 'Chest pain, or out of breath at rest', refer: 'emergency care now' },
  { id: 'night', words: 'Night pain or weight loss that nobody can explain', refer: 'their physician this week' },
  { id: 'concussion', words: 'A knock on the head since last time', refer: 'the local concussion protocol' },
  { id: 'pelvis', words: 'Sharp pain deep in the pelvis from light force', refer: 'a physician or physiotherapist' },
] as const;
export type QuestionId = (typeof STOP_QUESTIONS)[number]['id'];

/** Beighton P et al. Ann Rheum Dis 1973;32:413–418: nine points. Items recalled from memory, in our own words. */
export const BEIGHTON_ITEMS = [
  'Left little finger bends back past 90°', 'Right little finger bends back past 90°',
  'Left thumb reaches the forearm', 'Right thumb reaches the forearm',
  'Left elbow goes 10° past straight', 'Right elbow goes 10° past straight',
  'Left knee goes 10° past straight', 'Right knee goes 10° past straight',
  'Palms flat on the floor, knees straight',
] as const;
