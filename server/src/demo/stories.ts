/** What one visit was about, in words: what brought them, what had changed since the last one, what was noted at its end. Made up. */
export interface VisitStory {
  readonly complaint: string;
  readonly changed: string;
  readonly note: string;
}
const story = (complaint: string, changed: string, note: string): VisitStory => ({ complaint, changed, note });

/** Visits of each person from the first on; whoever has more visits than stories goes through them again. */
const STORIES: Readonly<Record<string, readonly VisitStory[]>> = {
  'Ines Okkonen': [
    story('Back of the thighs short at the catch', '', 'Left shorter than right. Pressed evenly, no cramp; begin left next time.'),
    story(
      'Sitting at a desk all week, hamstrings stiff',
      'Exams, little water time',
      'Gave way well on the third round. Home: calf release, evenings.',
    ),
    story(
      'Left hamstring pulls in the first strokes',
      'Back in the four since Saturday',
      'Behind the knee rather than the belly: ankle kept free. No tingling.',
    ),
    story('Both sides heavy after weights', 'Deadlifts up by ten kilos', 'Kept to two rounds a side, the rest for the hips.'),
    story('Reach is better, wants to keep it', '', 'Holds what was gained. Rhythm of a week stays.'),
  ],
  'Tavi Brandsma': [
    story(
      'Left hip shut at the finish',
      'Moved to the stroke seat',
      'Prone, knee bent: the thigh is what stops it. Hand along the shin, not on the knee.',
    ),
    story('Front of the left hip pinches when squatting', '', 'Pinch gone with the knee turned out a little. Stayed short of it.'),
    story(
      'Legs fine, low back tired',
      'Three long rows in five days',
      'Rotation to the left freer after breathing work. Hip left alone today.',
    ),
    story(
      'Week of ergometer tests; hip dead',
      'Slept badly before the test',
      'Light only. Said it felt longer; the reading says no change.',
    ),
    story('Left hip better, right calf new', 'New shoes for running', 'Calf: two rounds, soft by the second. Look again in two weeks.'),
    story('Hip opens in the boat, not in the gym', '', 'Last third still stiff. Same way again, measure first.'),
  ],
  'Mirre Solheim': [
    story('Neck tight after two days of coxing', '', 'Left side, rotation first. Sitting up eased it most.'),
    story('Wakes with a stiff neck', 'New pillow, not the answer', 'Nothing at the front of the neck. Shoulder blade work helped.'),
    story(
      'Looking round to the right is short',
      'Cold on the water all week',
      'Warmth first, then rotation. Coat collar gave the direction.',
    ),
  ],
  'Joss Adeyemi': [
    story('Heels lift at the catch', '', 'Knee to wall 2 cm short on the left. Weight over the big toe.'),
    story('Shins sore after running', 'Ran on the road twice', 'Soleus more than gastrocnemius. Left the shins alone.'),
    story('Ankles free, knees complain', 'Squats on Tuesday', 'Kneecap moves well. Kept to the calf, knee bent.'),
    story('Left heel again', '', 'Gained and kept. One more week at this rhythm, then every ten days.'),
  ],
  'Kato Lindqvist': [
    story('Left arm heavy overhead', 'Bench press is back in the plan', 'Turning out is what is short. Elbow supported on the towel.'),
    story('Shoulder fine, upper back stiff', '', 'Over the roll, breathing out. Arm came up by itself after.'),
    story('Cannot reach behind the back', 'Slept on the left side', 'Turning in, light, five rounds. No pain in front.'),
    story('Sore on the outside of the shoulder', 'Dips, too many', 'Sore to the touch: comfort only, told them to leave dips for a week.'),
  ],
  'Perrin Vale': [
    story('Front of the hips short after the office', '', 'Both sides alike. Low back arches early: leg over the edge, other knee held.'),
    story('Low back takes over when standing up', 'Two days of driving', 'Hips first; the back asked for nothing after.'),
    story('Right hip catches in the boat', '', 'Free when the knee points out. Shown how to sit higher at the desk.'),
    story('Better for three days, then as before', 'Forgot the home work', 'Said so openly. Two exercises instead of four.'),
  ],
  'Wren Achterberg': [
    story('Knee warm after the bicycle', 'First week without the brace', 'No swelling to see. Bent to the edge of comfort, not further.'),
  ],
  'Noor Haverkamp': [
    story('Nothing, wants to know where she stands', '', 'Supple. Measured, shown, nothing worked on.'),
    story('Tired legs after the school games', 'Three races in a day', 'Flush and breathing. Comes again when something holds her back.'),
  ],
  'Bela Strand': [
    story('Grew again; boat feels short', 'Trousers new since August', 'Growing: gentle only, short holds. Look at the heels in a month.'),
  ],
  'Odile Marchetti': [
    story('Both shoulders stiff in the morning', '', 'Right more than left. Circling first, then overhead.'),
    story('Left hip on the stairs', 'Garden work', 'Front of the hip. Shoulders kept for next time.'),
    story('Shoulders good, wants them to stay so', '', 'Two rounds each, to keep. Home: doorway, every second day.'),
  ],
  'Ruan Teague': [
    story(
      'Inside of the thighs tight from running',
      'Hills twice a week',
      'Adductors, knee bent. Left pulls near the groin: cover asked for, stayed low.',
    ),
    story('Better; right side now', '', 'Even today. Ease off hills in race week.'),
  ],
  'Sunniva Dahl': [
    story(
      'Ribs quiet, turning still short',
      'Cleared to row full pressure',
      'Rotation right short of left. Breath-led, nothing on the ribs.',
    ),
  ],
  'Milo Ferrand': [
    story('Left calf tight on the first hill', '', 'Straight knee shorter than bent. Foot over the edge, towel under the shin.'),
    story(
      'Achilles stiff for ten steps in the morning',
      'Longer round, more stairs',
      'Warm-up steps first. Nothing pressed on the tendon.',
    ),
    story('Calf good on Sunday’s race', 'Raced twelve kilometres', 'Comfort today: raced yesterday.'),
    story('Left calf again after the flat', 'New insoles', 'Told to change one thing at a time.'),
  ],
  'Sanne Orrevik': [
    story(
      'Ankle just out of the boot',
      'Six weeks since the operation',
      'Protected: toes and calf only, nothing to the ankle. Scar closed and calm.',
    ),
    story(
      'Walking without the stick',
      'Surgeon says full weight',
      'Early repair: light, in the middle of the range. Stopped well short of the end.',
    ),
    story('Stairs go; jumping not yet', '', 'Bends further than two weeks ago, beyond error. Limits hold for another fortnight.'),
  ],
  'Yara Denholm': [
    story(
      'Left hip will not turn out as the right does',
      'New choreography on the left leg',
      'Deep rotators, light. Nothing to the end: she has plenty.',
    ),
    story('Turn-out freer, front of the hip tired', 'Six rehearsals', 'Same way, one round less.'),
    story('Sole burns after pointe class', 'New shoes', 'Big toe moves well. Sole by hand, arch spared.'),
    story('Show in ten days', '', 'Read by the other hand this time. Kept to what is short.'),
  ],
};
const PLAIN = story('', '', 'As planned. Same again next time, measure first.');

/** The story of a person's visit, by its place among their visits, from 0. */
export const storyOf = (name: string, visit: number): VisitStory => {
  const all = STORIES[name];
  return all ? all[visit % all.length]! : PLAIN;
};
