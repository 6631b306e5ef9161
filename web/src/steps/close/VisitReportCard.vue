<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { DateTime } from 'luxon';
import { computed, ref } from 'vue';
import { motionOf, type Side } from '@pace-bend/core/body';
import { drawMotion, LIGHT, svgText } from '@pace-bend/core/figure';
import { formatValue } from '@pace-bend/core/measure';
import { saveAsPdf } from '../../parts/pdf.ts';
import ProblemNote from '../../parts/ProblemNote.vue';
import { useAction } from '../../parts/useAction.ts';
import { usePractice } from '../../stores/practice.ts';
import { useSession } from '../../stores/session.ts';
import { useVisit } from '../../stores/visit.ts';
import { useNote } from './useNote.ts';
import { REPORT_PARTS, visitReportDocument, type ReportPart } from './visitReport.ts';
import { t } from '../../words/close.ts';

/** A report of this visit as a PDF, for the athlete or a physician: what goes in is chosen here. */
const visit = useVisit();
const practice = usePractice();
const session = useSession();
const { sentences, note } = useNote();
const { busy, problem, run } = useAction();

const FOR = {
  athlete: ['found', 'done', 'answered', 'home'],
  physician: ['said', 'found', 'done', 'answered', 'note'],
} as const satisfies Record<string, readonly ReportPart[]>;
const chosen = ref<readonly ReportPart[]>(FOR.athlete);
const toggle = (part: ReportPart) => {
  chosen.value = chosen.value.includes(part) ? chosen.value.filter((each) => each !== part) : [...chosen.value, part];
};
const isFor = (who: keyof typeof FOR) => FOR[who].length === chosen.value.length && FOR[who].every((part) => chosen.value.includes(part));
const needsNote = computed(() => chosen.value.includes('note') && !note.value?.signed);

/** Of every motion that was read, its latest values on both sides, drawn. */
const pictures = computed(() => {
  const ids = [...new Set(visit.readings.filter(({ value }) => value !== null).map(({ motionId }) => motionId))];
  return ids.map((id, i) => {
    const motion = motionOf(id);
    const latest = (side: Side) => {
      const here = visit.readings.filter((each) => each.motionId === id && each.side === side && each.value !== null);
      return (here.findLast(({ moment }) => moment === 'after') ?? here.at(-1))?.value ?? null;
    };
    const values = Object.fromEntries(motion.sides.flatMap((side) => (latest(side) === null ? [] : [[side, latest(side)!]])));
    return {
      name: motion.name,
      values: Object.entries(values)
        .map(([side, value]) => `${side === 'midline' ? '' : `${side} `}${formatValue(value, motion.unit)}`)
        .join(', '),
      svg: svgText(drawMotion(motion, { values, size: 220, shape: 1.35 }), LIGHT, `m${i}`),
    };
  });
});
const save = () =>
  run(() => {
    const { visit: fields, athlete, home } = visit.file!;
    const date = DateTime.fromISO(fields.startsAt, { zone: practice.zone }).toFormat('d LLLL yyyy');
    return saveAsPdf(
      visitReportDocument({
        name: athlete.name,
        date,
        practice: practice.practice?.name ?? '',
        by: session.me?.name ?? '',
        parts: REPORT_PARTS.map(({ id }) => id).filter((id) => chosen.value.includes(id)),
        sentences: sentences.value,
        note: note.value,
        when: (instant) => `${practice.dayOf(instant)}, ${practice.recordTime(instant)}`,
        home,
        pictures: pictures.value,
      }),
      `visit-${practice.dayOf(fields.startsAt)}`,
    );
  });
</script>

<template>
  <section class="card report" :aria-label="t('reportVisit')">
    <header>
      <h2>{{ t('reportVisit') }}</h2>
      <span class="end choices">
        <button type="button" class="choice" :aria-pressed="isFor('athlete')" @click="chosen = FOR.athlete">
          {{ t('forTheAthlete') }}
        </button>
        <button type="button" class="choice" :aria-pressed="isFor('physician')" @click="chosen = FOR.physician">
          {{ t('forAPhysician') }}
        </button>
      </span>
    </header>
    <div class="choices" role="group" :aria-label="t('whatGoes')">
      <button
        v-for="part in REPORT_PARTS.filter(({ id }) => id !== 'note' || note !== null)"
        :key="part.id"
        type="button"
        class="choice"
        :aria-pressed="chosen.includes(part.id)"
        @click="toggle(part.id)"
      >
        {{ part.label }}
      </button>
    </div>
    <p v-if="needsNote" class="small soft">{{ t('noteNotSignedYet') }}</p>
    <ProblemNote v-if="problem" :problem="problem" />
    <div>
      <Button :disabled="chosen.length === 0" :loading="busy" @click="save">{{ t('saveReportPdf') }}</Button>
    </div>
  </section>
</template>

<style scoped>
.report {
  display: grid;
  gap: 10px;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
}

.end {
  margin-left: auto;
}
</style>
