import { computed } from 'vue';
import { motionOf, type Motion, type Side } from '@pace-bend/core/body';
import { gather, judge, openQuestions, type Evidence, type Judgement } from '@pace-bend/core/limiter';
import { motionSideIn } from '@pace-bend/core/method';
import { compareMotion, type MotionComparison, type ValueToday } from '@pace-bend/core/record';
import { usePractice } from '../stores/practice.ts';
import { useVisit } from '../stores/visit.ts';

/** All that is known today of what may hold a motion; values still being typed count. */
export function useEvidence(before: () => readonly MotionComparison[]) {
  const visit = useVisit();
  const practice = usePractice();

  const evidence = computed<Evidence>(() => {
    const file = visit.file!;
    const { complaintRegion: region, complaintSide: side, complaintScore: score } = file.visit;
    const onDay = practice.dayOf(file.visit.startsAt);
    const today = visit.readings.map((reading): ValueToday => ({ ...reading, value: reading.value! }));
    const after = [...new Set(today.filter((value) => value.moment === 'after').map((value) => value.motionId))];
    return {
      comparisons: new Map(before().map((row) => [row.motion.id, row])),
      after: new Map(
        after.map((id) => [
          id,
          compareMotion(motionOf(id), 'after', { person: practice.personOf(file.athlete), onDay, today, past: [], errors: file.errors }),
        ]),
      ),
      findings: visit.findings,
      conditions: file.conditions,
      complaint: { region, side, score },
      onDay,
      worked: file.runs.flatMap((run) =>
        run.line.cues.map((cue) => ({
          motionId: run.line.blocks[cue.blockIndex]!.motionId,
          side: motionSideIn(run.line.blocks[cue.blockIndex]!, cue.side),
        })),
      ),
    };
  });

  const judged = (motion: Motion, side: Side): Judgement =>
    judge(motion, gather(motion, side, evidence.value), openQuestions(motion, side, evidence.value));
  return { judged };
}
