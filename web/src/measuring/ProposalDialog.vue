<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import InputNumber from 'ant-design-vue/es/input-number';
import type { Motion } from '@pace-bend/core/body';
import { cautionsFor, measuring as measuringAction } from '@pace-bend/core/caution';
import { formatDuration, proposeMeasuring, roundSeconds } from '@pace-bend/core/record';
import { usePractice } from '../stores/practice.ts';
import { useVisit } from '../stores/visit.ts';
import PosedFigure from '../parts/PosedFigure.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { t } from '../words/measuring.ts';

/** What to measure today, with reasons, within the minutes there are. */
const open = defineModel<boolean>('open', { required: true });
const emit = defineEmits<{ take: [motionIds: readonly string[]] }>();
const visit = useVisit();
const practice = usePractice();

/** Measuring is a part of the visit; a fifth of it is usual. */
const minutes = ref(Math.max(4, Math.round((visit.file?.visit.minutesAvailable ?? 40) / 5)));
const forbidden = (motion: Motion) =>
  motion.sides.every((side) =>
    ['stop', 'avoid'].includes(cautionsFor(visit.cautionContext!, measuringAction(motion.id, side)).level ?? ''),
  );

const proposals = computed(() => {
  const {
    athlete,
    visit: { complaintRegion: region, complaintSide: side, startsAt },
    goals,
    past,
    errors,
  } = visit.file!;
  return proposeMeasuring(
    {
      person: practice.personOf(athlete),
      complaint: { region, side },
      goals,
      past,
      errors,
      today: practice.dayOf(startsAt),
      dayOf: practice.dayOf,
      forbidden,
    },
    minutes.value,
  );
});
const chosen = ref<Set<string>>(new Set());
watch(
  [proposals, open],
  () => {
    chosen.value = new Set(proposals.value.filter((each) => each.fits).map((each) => each.motion.id));
  },
  { immediate: true },
);
const seconds = computed(() => roundSeconds(proposals.value.filter((each) => chosen.value.has(each.motion.id)).map((each) => each.motion)));

function toggle(id: string): void {
  const next = new Set(chosen.value);
  if (!next.delete(id)) next.add(id);
  chosen.value = next;
}
function take(): void {
  emit('take', [...chosen.value]);
  open.value = false;
}
</script>

<template>
  <SheetDialog v-model:open="open" :title="t('whatMeasureToday')" :width="720">
    <p class="minutes">
      <label
        >{{ t('within') }}
        <InputNumber
          :value="minutes"
          :min="2"
          :max="60"
          :aria-label="t('minutesMeasuring')"
          @change="
            (value) => {
              if (typeof value === 'number') minutes = value;
            }
          "
        />
        {{ t('minutes') }}</label
      >
      {{ ' '
      }}<span class="soft"
        >{{ t('whatChosenTakesAbout') }} <b class="num">{{ formatDuration(seconds * 1000) }}</b>{{ t('turnsIncluded') }}</span
      >
    </p>
    <p v-if="proposals.length === 0" class="soft">
      {{ t('nothingSpeaksAnyMotion') }}
    </p>
    <ul>
      <li v-for="each in proposals" :key="each.motion.id">
        <Checkbox
          class="motion"
          :class="{ out: !chosen.has(each.motion.id) }"
          :checked="chosen.has(each.motion.id)"
          @change="toggle(each.motion.id)"
        >
          <span class="row"
            ><PosedFigure :motion="each.motion" :size="48" decorative />
            <span
              ><b>{{ each.motion.name }}</b> <span class="soft small">{{ each.motion.testPosition }}</span><span class="small why"
                >{{ each.reasons.map((reason) => reason.words).join(' · ')
                }}<template v-if="!each.fits">{{ ' ' }}{{ t('moreMinutesWouldBring') }}</template></span
              ></span
            ></span
          ></Checkbox
        >
      </li>
    </ul>
    <div class="foot">
      <Button type="primary" :disabled="chosen.size === 0" @click="take">{{
        t('measure', { what: chosen.size === 1 ? t('thisOne') : t('these', { size: chosen.size }) })
      }}</Button><Button @click="open = false">{{ t('leaveIt') }}</Button>
    </div>
  </SheetDialog>
</template>

<style scoped>
.minutes {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
}

ul {
  max-height: 430px;
  margin: 10px 0;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}

.motion {
  display: flex;
  align-items: center;
  min-height: 58px;
  border-bottom: 1px solid var(--line-faint);
}

.row {
  display: grid;
  grid-template-columns: 66px minmax(0, 1fr);
  align-items: center;
  gap: 10px;
}

.why {
  display: block;
}

.out b {
  color: var(--soft);
}

.foot {
  display: flex;
  gap: 10px;
}
</style>
