import type { Region } from '../body/index.ts';

/** What a condition says about range: a nerve that pulls, an inflamed joint, something hard in the way, a stiff or locked joint, fluid, a sore muscle or tendon. */
export type Shows = 'nerve' | 'inflamed' | 'hard' | 'frozen' | 'locked' | 'effusion' | 'strain';

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
  /** Of a muscle: which one, and how bad, can be said. */
  readonly ofMuscle?: true;
  /** What it says about what holds a motion near it, and, where the general words do not fit, as what it is named there. */
  readonly shows?: Shows;
  readonly showsAs?: string;
  /** What its dates mean, where that is not plain: asked for beside the field. */
  readonly onsetMeans?: string;
}

export const CONDITIONS = [
  { code: 'knee-operation', name: 'Knee operation', synonyms: ['cruciate ligament reconstruction', 'ACL', 'kneecap operation'], group: 'operation', region: 'knee', sided: true, surgery: true },
  { code: 'hip-replacement-back', name: 'Hip replacement, from behind', synonyms: ['posterior approach', 'arthroplasty'], group: 'operation', region: 'hip', sided: true, surgery: true, shows: 'hard' },
  { code: 'hip-replacement-front', name: 'Hip replacement, from the front', synonyms: ['anterior approach', 'arthroplasty'], group: 'operation', region: 'hip', sided: true, surgery: true, shows: 'hard' },
  { code: 'hip-operation', name: 'Hip operation, other', synonyms: ['labrum repair', 'hip arthroscopy'], group: 'operation', region: 'hip', sided: true, surgery: true },
  { code: 'shoulder-operation', name: 'Shoulder operation', synonyms: ['cuff repair', 'stabilisation', 'labrum repair'], group: 'operation', region: 'shoulder', sided: true, surgery: true },
  { code: 'ankle-operation', name: 'Ankle or foot operation', synonyms: ['Achilles repair', 'ligament reconstruction'], group: 'operation', region: 'ankle', sided: true, surgery: true },
  { code: 'spine-operation', name: 'Back or neck operation', synonyms: ['discectomy', 'fusion'], group: 'operation', region: 'low-back', sided: false, surgery: true },
  { code: 'other-operation', name: 'Operation elsewhere', synonyms: ['surgery'], group: 'operation', region: null, chooseRegion: true, sided: true, surgery: true },
  { code: 'cruciate-hamstring', name: 'Cruciate ligament, hamstring graft', synonyms: ['ACL reconstruction', 'cruciate ligament reconstruction'], group: 'operation', region: 'knee', sided: true, surgery: true },
  { code: 'cruciate-patellar', name: 'Cruciate ligament, patellar-tendon graft', synonyms: ['ACL reconstruction', 'bone-tendon-bone graft'], group: 'operation', region: 'knee', sided: true, surgery: true },
  { code: 'cruciate-quadriceps', name: 'Cruciate ligament, quadriceps graft', synonyms: ['ACL reconstruction', 'quadriceps-tendon graft'], group: 'operation', region: 'knee', sided: true, surgery: true },
  { code: 'meniscus-repair', name: 'Meniscus repair', synonyms: ['sewn meniscus'], group: 'operation', region: 'knee', sided: true, surgery: true },
  { code: 'knee-replacement', name: 'Knee replacement', synonyms: ['arthroplasty', 'artificial knee'], group: 'operation', region: 'knee', sided: true, surgery: true, shows: 'hard' },
  { code: 'hip-replacement-side', name: 'Hip replacement, from the side', synonyms: ['lateral approach', 'arthroplasty'], group: 'operation', region: 'hip', sided: true, surgery: true, shows: 'hard' },
  { code: 'achilles-repair', name: 'Achilles tendon repair', synonyms: ['sewn Achilles tendon', 'Achilles rupture, operated'], group: 'operation', region: 'ankle', sided: true, surgery: true },
  { code: 'tendon-repair', name: 'Tendon repair, other', synonyms: ['sewn tendon', 'biceps tendon repair', 'hamstring tendon repair', 'pectoral tendon repair'], group: 'operation', region: null, chooseRegion: true, sided: true, surgery: true },
  { code: 'cuff-repair', name: 'Rotator-cuff repair', synonyms: ['supraspinatus repair', 'cuff sewn'], group: 'operation', region: 'shoulder', sided: true, surgery: true },
  { code: 'shoulder-stabilised-front', name: 'Shoulder stabilised, front', synonyms: ['labrum repair', 'anterior stabilisation'], group: 'operation', region: 'shoulder', sided: true, surgery: true },
  { code: 'shoulder-stabilised-back', name: 'Shoulder stabilised, back', synonyms: ['posterior labrum repair', 'posterior stabilisation'], group: 'operation', region: 'shoulder', sided: true, surgery: true },
  { code: 'shoulder-replacement', name: 'Shoulder replacement', synonyms: ['arthroplasty', 'artificial shoulder'], group: 'operation', region: 'shoulder', sided: true, surgery: true, shows: 'hard' },
  { code: 'spine-fusion', name: 'Spine fusion', synonyms: ['spondylodesis', 'fused vertebrae'], group: 'operation', region: null, chooseRegion: true, sided: true, surgery: true },
  { code: 'disc-operation', name: 'Disc operation', synonyms: ['discectomy', 'microdiscectomy', 'disc replacement'], group: 'operation', region: null, chooseRegion: true, sided: true, surgery: true },
  { code: 'fracture-fixation', name: 'Fracture, fixed by operation', synonyms: ['osteosynthesis', 'plated fracture', 'nailed fracture'], group: 'operation', region: null, chooseRegion: true, sided: true, surgery: true, shows: 'hard' },
  { code: 'arthroscopy', name: 'Arthroscopy', synonyms: ['keyhole operation of a joint'], group: 'operation', region: null, chooseRegion: true, sided: true, surgery: true },
  { code: 'abdominal-operation', name: 'Belly operation', synonyms: ['hernia repair', 'caesarean', 'appendix'], group: 'operation', region: 'belly', sided: false, surgery: true },
  { code: 'hardware', name: 'Plate, screws or nail', synonyms: ['hardware', 'metal', 'osteosynthesis'], group: 'operation', region: null, chooseRegion: true, sided: true, shows: 'hard' },

  { code: 'muscle-strain', name: 'Muscle strain', synonyms: ['torn muscle', 'pulled muscle'], group: 'injury', region: null, chooseRegion: true, sided: true, ofMuscle: true, shows: 'strain' },
  { code: 'ankle-sprain', name: 'Ankle sprain', synonyms: ['turned ankle', 'ligament'], group: 'injury', region: 'ankle', sided: true },
  { code: 'knee-sprain', name: 'Knee ligament injury', synonyms: ['collateral ligament', 'cruciate, not operated'], group: 'injury', region: 'knee', sided: true },
  { code: 'tendon-pain', name: 'Tendon pain', synonyms: ['tendinopathy', 'tendinitis'], group: 'injury', region: null, chooseRegion: true, sided: true, shows: 'strain' },
  { code: 'apophysis', name: 'Sore growth plate', synonyms: ['apophysitis', 'growing pains at the knee or heel'], group: 'injury', region: null, chooseRegion: true, sided: true },
  { code: 'stress-injury', name: 'Bone stress injury', synonyms: ['stress fracture', 'rib stress'], group: 'injury', region: null, chooseRegion: true, sided: true },
  { code: 'fracture', name: 'Fracture, healing', synonyms: ['broken bone'], group: 'injury', region: null, chooseRegion: true, sided: true },
  { code: 'tendon-rupture', name: 'Tendon or muscle rupture', synonyms: ['torn tendon', 'avulsion', 'complete tear'], group: 'injury', region: null, chooseRegion: true, sided: true, ofMuscle: true },
  { code: 'blow', name: 'Muscle bruised by a blow', synonyms: ['contusion', 'dead leg', 'haematoma in the muscle'], group: 'injury', region: null, chooseRegion: true, sided: true, ofMuscle: true },
  { code: 'myositis-ossificans', name: 'Bone forming in a muscle', synonyms: ['myositis ossificans', 'calcified haematoma'], group: 'injury', region: null, chooseRegion: true, sided: true, ofMuscle: true, shows: 'hard' },
  { code: 'compartment', name: 'Compartment pressure on effort', synonyms: ['exertional compartment syndrome'], group: 'injury', region: null, chooseRegion: true, sided: true },
  { code: 'rib-injury', name: 'Rib injury', synonyms: ['bruised rib', 'cracked rib'], group: 'injury', region: 'chest', sided: true },
  { code: 'recent-trauma', name: 'Accident or fall, not examined', synonyms: ['fall', 'crash', 'trauma'], group: 'injury', region: null, chooseRegion: true, sided: true },
  { code: 'concussion', name: 'Concussion', synonyms: ['head injury'], group: 'injury', region: 'head', sided: false },

  { code: 'shoulder-dislocation', name: 'Shoulder dislocation', synonyms: ['slipped shoulder', 'instability'], group: 'joint', region: 'shoulder', sided: true },
  { code: 'shoulder-tear', name: 'Torn shoulder', synonyms: ['cuff tear', 'torn labrum', 'supraspinatus tear'], group: 'joint', region: 'shoulder', sided: true },
  { code: 'frozen-shoulder', name: 'Frozen shoulder', synonyms: ['adhesive capsulitis'], group: 'joint', region: 'shoulder', sided: true, shows: 'frozen' },
  { code: 'elbow-injury', name: 'Elbow injury', synonyms: ['hyperextension', 'tennis elbow'], group: 'joint', region: 'elbow', sided: true },
  { code: 'wrist-injury', name: 'Wrist injury', synonyms: ['sprained wrist'], group: 'joint', region: 'wrist', sided: true },
  { code: 'knee-pain', name: 'Knee pain', synonyms: ['patellofemoral pain', 'swollen knee'], group: 'joint', region: 'knee', sided: true },
  { code: 'hip-pinching', name: 'Hip pinching in front', synonyms: ['impingement', 'FAI'], group: 'joint', region: 'hip', sided: true, shows: 'hard', showsAs: 'pinching in front of the hip' },
  { code: 'hypermobility', name: 'Hypermobility, diagnosed', synonyms: ['lax joints', 'connective tissue disorder'], group: 'joint', region: null, sided: false },
  { code: 'connective-tissue', name: 'Connective-tissue disorder', synonyms: ['Ehlers-Danlos', 'Marfan'], group: 'joint', region: null, sided: false },
  { code: 'joint-locked', name: 'Locked or springy joint', synonyms: ['mechanical block', 'loose body'], group: 'joint', region: null, chooseRegion: true, sided: true, shows: 'locked' },
  { code: 'effusion', name: 'Swollen joint', synonyms: ['effusion', 'water in the joint'], group: 'joint', region: null, chooseRegion: true, sided: true, shows: 'effusion' },
  { code: 'joint-unstable', name: 'Unstable joint, other', synonyms: ['gives way', 'instability'], group: 'joint', region: null, chooseRegion: true, sided: true },
  { code: 'kneecap-unstable', name: 'Kneecap that slips', synonyms: ['patellar dislocation', 'patellar instability'], group: 'joint', region: 'knee', sided: true },
  { code: 'rheumatoid', name: 'Rheumatoid arthritis', synonyms: ['inflammatory arthritis'], group: 'joint', region: null, sided: false },
  { code: 'inflamed-joint', name: 'Inflamed joint', synonyms: ['arthritis flare', 'rheumatoid'], group: 'joint', region: null, chooseRegion: true, sided: true, shows: 'inflamed' },

  { code: 'neck-narrowing', name: 'Neck disc or bony narrowing', synonyms: ['cervical stenosis', 'foraminal narrowing'], group: 'spine', region: 'neck', sided: true },
  { code: 'neck-dizziness', name: 'Dizziness on neck movement', synonyms: ['vertigo with the head back'], group: 'spine', region: 'neck', sided: false },
  { code: 'low-back-pain', name: 'Low-back pain, chronic', synonyms: ['lumbago'], group: 'spine', region: 'low-back', sided: false },
  { code: 'slipped-vertebra', name: 'Slipped vertebra', synonyms: ['spondylolisthesis'], group: 'spine', region: 'low-back', sided: false },
  { code: 'disc-leg', name: 'Disc with leg symptoms', synonyms: ['sciatica', 'disc herniation'], group: 'spine', region: 'low-back', sided: true, shows: 'nerve' },
  { code: 'neck-instability', name: 'Neck instability', synonyms: ['loose upper neck', 'atlantoaxial instability'], group: 'spine', region: 'neck', sided: false },
  { code: 'down-syndrome', name: 'Down syndrome', synonyms: ['trisomy 21'], group: 'spine', region: 'neck', sided: false },
  { code: 'neck-trauma', name: 'Neck injury', synonyms: ['whiplash'], group: 'spine', region: 'neck', sided: false },
  { code: 'neck-artery', name: 'Neck artery, signs or history', synonyms: ['dissection', 'vertebral artery', 'carotid'], group: 'spine', region: 'neck', sided: false },
  { code: 'disc-arm', name: 'Neck disc with arm symptoms', synonyms: ['cervical radiculopathy'], group: 'spine', region: 'neck', sided: true, shows: 'nerve' },
  { code: 'spondylolysis', name: 'Stress injury of a vertebral arch', synonyms: ['spondylolysis', 'pars stress fracture'], group: 'spine', region: 'low-back', sided: true },
  { code: 'spine-narrowing', name: 'Narrow lumbar canal', synonyms: ['lumbar stenosis'], group: 'spine', region: 'low-back', sided: false },
  { code: 'stiff-spine', name: 'Inflammatory stiff spine', synonyms: ['ankylosing spondylitis', 'axial spondyloarthritis'], group: 'spine', region: 'low-back', sided: false },
  { code: 'scoliosis', name: 'Scoliosis', synonyms: ['curved spine'], group: 'spine', region: 'upper-back', sided: false },
  { code: 'pelvic-pain', name: 'Pelvic or pubic pain', synonyms: ['pubic symphysis', 'osteitis pubis', 'pelvic girdle pain'], group: 'spine', region: 'groin', sided: true },
  { code: 'sacroiliac-pain', name: 'Sacroiliac pain', synonyms: ['pelvic joint pain'], group: 'spine', region: 'pelvis', sided: true },

  { code: 'nerve-signs', name: 'Nerve signs', synonyms: ['tingling', 'numbness', 'nerve irritation'], group: 'nerve', region: null, chooseRegion: true, sided: true, shows: 'nerve' },
  { code: 'reduced-feeling', name: 'Reduced feeling', synonyms: ['neuropathy', 'numb skin'], group: 'nerve', region: null, chooseRegion: true, sided: true },
  { code: 'diabetes-feeling', name: 'Diabetes with reduced feeling', synonyms: ['diabetic neuropathy'], group: 'nerve', region: null, sided: false },
  { code: 'outlet', name: 'Narrow outlet of the arm', synonyms: ['thoracic outlet syndrome'], group: 'nerve', region: 'shoulder', sided: true, shows: 'nerve' },
  { code: 'epilepsy', name: 'Epilepsy', synonyms: ['seizures'], group: 'nerve', region: null, sided: false },
  { code: 'stroke', name: 'Stroke or warning stroke', synonyms: ['TIA'], group: 'nerve', region: null, sided: false },

  { code: 'osteoporosis', name: 'Osteoporosis', synonyms: ['brittle bones', 'low bone density'], group: 'general', region: null, sided: false },
  { code: 'bleeding-disorder', name: 'Bleeding disorder', synonyms: ['haemophilia'], group: 'general', region: null, sided: false },
  { code: 'pregnancy', name: 'Pregnancy', synonyms: ['pregnant'], group: 'general', region: null, sided: false, onsetMeans: 'first day of the last period' },
  { code: 'infection', name: 'Fever or infection', synonyms: ['flu', 'feverish'], group: 'general', region: null, sided: false },
  { code: 'high-pressure', name: 'High blood pressure, not controlled', synonyms: ['hypertension'], group: 'general', region: null, sided: false },
  { code: 'aneurysm', name: 'Aneurysm', synonyms: ['widened artery'], group: 'general', region: null, sided: false },
  { code: 'lung', name: 'Lung condition', synonyms: ['asthma', 'COPD', 'collapsed lung'], group: 'general', region: 'chest', sided: false },
  { code: 'recent-illness', name: 'Illness just over', synonyms: ['after flu', 'after infection'], group: 'general', region: null, sided: false },
  { code: 'diabetes', name: 'Diabetes', synonyms: ['insulin'], group: 'general', region: null, sided: false },
  { code: 'cancer', name: 'Cancer, now or past', synonyms: ['tumour', 'metastases'], group: 'general', region: null, sided: false },
  { code: 'lymphoedema', name: 'Lymphoedema, or nodes removed', synonyms: ['lymph nodes removed', 'swollen limb after cancer'], group: 'general', region: null, chooseRegion: true, sided: true },
  { code: 'hernia', name: 'Hernia', synonyms: ['inguinal hernia', 'abdominal hernia'], group: 'general', region: null, chooseRegion: true, sided: true },
  { code: 'implant', name: 'Implant, pump or port', synonyms: ['pacemaker', 'insulin pump', 'port', 'breast implant'], group: 'general', region: null, chooseRegion: true, sided: true },
  { code: 'eye-pressure', name: 'High eye pressure or recent eye operation', synonyms: ['glaucoma', 'detached retina'], group: 'general', region: 'head', sided: false },
  { code: 'heart', name: 'Heart or blood-pressure condition', synonyms: ['hypertension', 'arrhythmia'], group: 'general', region: null, sided: false },

  { code: 'clot-suspected', name: 'Clot suspected', synonyms: ['thrombosis', 'DVT'], group: 'skin and vessels', region: 'calf', sided: true },
  { code: 'clot-past', name: 'Clot in the past', synonyms: ['thrombosis history', 'DVT history'], group: 'skin and vessels', region: 'calf', sided: true },
  { code: 'clot-past-arm', name: 'Clot in an arm in the past', synonyms: ['arm thrombosis history'], group: 'skin and vessels', region: 'upper-arm', sided: true },
  { code: 'varicose-veins', name: 'Varicose veins', synonyms: ['veins'], group: 'skin and vessels', region: null, chooseRegion: true, sided: true },
  { code: 'broken-skin', name: 'Broken skin', synonyms: ['wound', 'blister', 'abrasion'], group: 'skin and vessels', region: null, chooseRegion: true, sided: true },
  { code: 'rash', name: 'Rash', synonyms: ['eczema', 'skin infection'], group: 'skin and vessels', region: null, chooseRegion: true, sided: true },
  { code: 'steroid-injection', name: 'Cortisone injection', synonyms: ['steroid injection', 'corticosteroid'], group: 'skin and vessels', region: null, chooseRegion: true, sided: true },
  { code: 'injection', name: 'Recent injection', synonyms: ['vaccination', 'local anaesthetic'], group: 'skin and vessels', region: null, chooseRegion: true, sided: true },
  { code: 'swelling', name: 'Swelling or bruise', synonyms: ['haematoma', 'oedema'], group: 'skin and vessels', region: null, chooseRegion: true, sided: true, shows: 'effusion' },
] as const satisfies readonly ConditionFacts[];

export type ConditionCode = (typeof CONDITIONS)[number]['code'];

const BY_CODE = new Map<ConditionCode, ConditionFacts>(CONDITIONS.map((each) => [each.code, each]));

/**
 * The coded facts of a condition.
 * @example conditionFacts('knee-operation').region // → 'knee'
 */
export function conditionFacts(code: ConditionCode): ConditionFacts {
  return BY_CODE.get(code)!;
}

export const MEDICATIONS = [
  { id: 'blood-thinner', name: 'Blood thinner' },
  { id: 'platelets', name: 'Aspirin or other platelet inhibitor' },
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
  { id: 'arm-clot', words: 'An arm that is swollen, heavy or blue, without a reason', refer: 'a physician today; emergency care if breathless' },
  { id: 'fever', words: 'Fever, or an infection going on', refer: 'their physician; come back when well' },
  { id: 'break', words: 'Perhaps a broken bone or a torn tendon', refer: 'emergency care or a physician today' },
  { id: 'saddle', words: 'Bladder or bowel not under control, numb between the legs, weakness that spreads', refer: 'emergency care now' },
  { id: 'head', words: 'Worst headache ever, double vision, slurred speech, falls without warning, a numb face', refer: 'emergency care now' },
  { id: 'unsteady', words: 'Unsteady or dizzy together with neck trouble', refer: 'a physician today' },
  { id: 'chest', words: 'Chest pain, or out of breath at rest', refer: 'emergency care now' },
  { id: 'tense', words: 'A limb that is hard, tense and far more painful than it should be after a blow or hard work', refer: 'emergency care now' },
  { id: 'urine', words: 'Dark urine or great weakness after hard work', refer: 'emergency care today' },
  { id: 'night', words: 'Night pain or weight loss that nobody can explain', refer: 'their physician this week' },
  { id: 'hot-joint', words: 'A joint that is hot and swollen, or locked, without a known reason', refer: 'a physician today' },
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
