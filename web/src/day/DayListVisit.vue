<script setup lang="ts">
import EllipsisOutlined from '@ant-design/icons-vue/EllipsisOutlined';
import Dropdown from 'ant-design-vue/es/dropdown';
import Menu, { MenuItem } from 'ant-design-vue/es/menu';
import type { DayVisit, ProjectedVisit } from '@pace-bend/core/record';
import ReadinessMark from '../parts/ReadinessMark.vue';
import VisitState from '../parts/VisitState.vue';
import { usePractice } from '../stores/practice.ts';
import LastTime from './LastTime.vue';
import type { Booking } from './useBooking.ts';
import { useDayVisit } from './useDayVisit.ts';
import { t } from '../words/day.ts';

/** One visit of the day's list: when, who, what brings them, what was stiff; a menu moves it and cancels it. */
const props = defineProps<{ visit: DayVisit; booking: Booking; projected: ProjectedVisit | null }>();
const practice = usePractice();
const { readinessWords, isOver, lateWords, place } = useDayVisit(
  () => props.visit,
  () => props.projected,
  props.booking,
);
const ACTS: readonly { readonly key: string; readonly words: string; readonly go: () => void }[] = [
  { key: 'earlier', words: t('move15MinutesEarlier'), go: () => place(-15, 0) },
  { key: 'later', words: t('move15MinutesLater'), go: () => place(15, 0) },
  { key: 'shorter', words: t('n5MinutesShorter'), go: () => place(0, -5) },
  { key: 'longer', words: t('n5MinutesLonger'), go: () => place(0, 5) },
  { key: 'cancel', words: t('cancelTheVisit'), go: () => void props.booking.cancel(props.visit.id) },
];
</script>

<template>
  <li :class="{ over: isOver, begun: visit.step !== 'arrive' && !isOver }">
    <RouterLink :to="`/visit/${visit.id}`" class="open">
      <span class="when"
        ><span class="num time">{{ practice.timeOfDay(visit.startsAt) }}</span
        ><span class="soft small">{{ t('min', { minutes: visit.minutes }) }}</span
        ><VisitState :visit="visit"
      /></span>
      <span class="who">
        <b class="name">{{ visit.athleteName }}</b>
        <span v-if="!isOver" class="small how"
          ><ReadinessMark :shape="visit.readiness.word" aria-hidden="true" /><span>{{ readinessWords }}</span></span
        >
        <span v-if="lateWords" class="late small">{{ lateWords }}</span>
        <span v-if="visit.complaint">{{ visit.complaint }}</span>
        <LastTime :visit="visit" />
      </span>
    </RouterLink>
    <Dropdown v-if="!isOver" :trigger="['click']" placement="bottomRight">
      <button type="button" class="tool" :aria-label="t('moveCancelVisit', { athleteName: visit.athleteName })">
        <EllipsisOutlined aria-hidden="true" />
      </button>
      <template #overlay>
        <Menu @click="({ key }) => ACTS.find((act) => act.key === key)?.go()">
          <MenuItem v-for="act in ACTS" :key="act.key" class="act">{{ act.words }}</MenuItem>
        </Menu>
      </template>
    </Dropdown>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  border-left: 4px solid var(--tick);
  border-bottom: 1px solid var(--line-faint);
}

.begun {
  border-left-color: var(--sun);
}

.over {
  border-left-color: var(--spruce);
}

.open {
  display: grid;
  grid-template-columns: 58px minmax(0, 1fr);
  gap: 8px;
  min-height: 56px;
  padding: 9px 0 9px 10px;
  color: inherit;
  text-decoration: none;
}

.when {
  display: grid;
  align-content: start;
  line-height: 1.25;
}

.time {
  font-size: 18px;
}

.who {
  display: grid;
  align-content: start;
  gap: 2px;
  min-width: 0;
  line-height: 1.3;
}

.name {
  font-size: 16px;
  line-height: 1.2;
  overflow-wrap: anywhere;
}

.how {
  display: flex;
  align-items: baseline;
  gap: 6px;
}

.how svg {
  flex: none;
  align-self: center;
}

.late {
  color: var(--clay-text);
  font-weight: 600;
}

.tool {
  width: 48px;
  min-height: 48px;
  border: 0;
  background: none;
  color: var(--soft);
  font-size: 22px;
  cursor: pointer;
}

.act {
  min-height: 44px;
}
</style>
