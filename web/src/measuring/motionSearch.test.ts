import { MOTIONS } from '@pace-bend/core/body';
import { findMotions, motionIndex } from './motionSearch.ts';

const index = motionIndex(MOTIONS);
const first = (typed: string) => findMotions(index, typed)?.slice(0, 6) ?? [];

// Names of the trade: common practice.
test.each([
  ['SLR', 'straight-leg-raise'],
  ['lasegue', 'straight-leg-raise'],
  ['popliteal', 'knee-extension-hip-90'],
  ['thomas', 'hip-extension-table-end'],
  ['ober', 'hip-adduction-side-straight'],
  ['it band', 'hip-adduction-side-straight'],
  ['psoas', 'hip-extension-knee-straight'],
  ['piriformis', 'hip-internal-rotation'],
  ['soleus', 'ankle-dorsiflexion'],
  ['lunge', 'ankle-lunge'],
  ['hallux', 'big-toe-extension'],
  ['lats', 'shoulder-flexion'],
  ['GIRD', 'shoulder-internal-rotation'],
  ['infraspinatus', 'shoulder-internal-rotation'],
  ['scalenes', 'neck-side-bend'],
  ['QL', 'trunk-side-bend'],
  ['sit and reach', 'sit-and-reach'],
  ['hip ext', 'hip-extension-knee-straight'],
])('%s finds %s', (typed, id) => expect(first(typed)).toContain(id));

test.each([
  ['hamstirngs', 'straight-leg-raise'],
  ['dorsiflexon', 'ankle-dorsiflexion'],
  ['shoudler flexion', 'shoulder-flexion'],
  ['piriformus', 'hip-internal-rotation'],
  ['extenal rotation hip', 'hip-external-rotation'],
])('a slip of the finger: %s still finds %s', (typed, id) => expect(findMotions(index, typed)).toContain(id));

test('a motion’s own words find that motion first', () => {
  for (const motion of MOTIONS) expect(findMotions(index, `${motion.name}, ${motion.testPosition}`)![0]).toBe(motion.id);
  expect(first('hip flexion supine knee bent')[0]).toBe('hip-flexion');
});

test('nothing typed asks for nothing; what means nothing finds nothing', () => {
  expect(findMotions(index, '  ')).toBeNull();
  expect(findMotions(index, 'xylophone')).toEqual([]);
});
