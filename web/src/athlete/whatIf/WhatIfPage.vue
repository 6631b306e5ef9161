<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { DateTime } from 'luxon';
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { motionOf, type Side } from '@pace-bend/core/body';
import { HOME_DAYS, SCHEDULE_LIMITS, type Outlook, type Schedule } from '@pace-bend/core/cycle';
import { formatNumber } from '@pace-bend/core/measure';
import type { AthleteFile } from '@pace-bend/core/record';
import { hintOf, isKey, whichKey } from '../../parts/keys.ts';
import PickOne from '../../parts/PickOne.vue';
import ProblemNote from '../../parts/ProblemNote.vue';
import SavePictures from '../../parts/SavePictures.vue';
import { isTyping } from '../../parts/useGlobalKeys.ts';
import { SIDE_WORDS } from '../../parts/words.ts';
import { usePractice } from '../../stores/practice.ts';
import ComparisonCard from './ComparisonCard.vue';
import FanPanels from './FanPanels.vue';
import FewestVisits from './FewestVisits.vue';
import ScheduleDialog from './ScheduleDialog.vue';
import { useForecast } from './useForecast.ts';
import TakeIntoSeason from './TakeIntoSeason.vue';
import WhatIsKept from './WhatIsKept.vue';
import WhichWay from './WhichWay.vue';
import { amount, chanceWords, rhythmWords, scheduleWords } from './words.ts';
import { useWindowKeys } from '../../parts/useWindowKeys.ts';
import { t } from '../../words/athlete.ts';

/** One motion and side ahead: what schedules come to by the day of the goal, side by side, and what is behind it. */
const props = defineProps<{ file: AthleteFile }>();
const practice = usePractice();
const route = useRoute();
const router = useRouter();
const { state, problem, failure, share, spots, outlooks, said, facts, open, look, cancel, clear } = useForecast();

const LETTERS = ['A', 'B', 'C', 'D'] as const;
/** Without a goal's day ahead a season's quarter is looked at. */
const USUAL_WEEKS = 12;

const openAll = () => open(props.file.athlete.id, props.file.errors);
onMounted(openAll);

const chosen = ref('');
const keyOf = ({ motionId, side }: { motionId: string; side: Side }) => `${motionId}/${side}`;
const options = computed(() =>
  spots.value.map((each) => ({
    value: keyOf(each),
    label: [
      motionOf(each.motionId).name,
      motionOf(each.motionId).testPosition,
      ...(each.side === 'midline' ? [] : [SIDE_WORDS[each.side].toLowerCase()]),
    ].join(', '),
  })),
);
const spot = computed(() => spots.value.find((each) => keyOf(each) === chosen.value) ?? null);
const motion = computed(() => (spot.value ? motionOf(spot.value.motionId) : null));
const goal = computed(
  () => props.file.goals.find((each) => each.motionId === spot.value?.motionId && each.side === spot.value.side) ?? null,
);
const goalDays = computed(() => (goal.value?.byDate ? practice.daysUntil(goal.value.byDate) : null));
/** Days to the end: the goal's day while it lies ahead, and no further than can be looked. */
const end = computed(() =>
  goalDays.value !== null && goalDays.value > 0 ? Math.min(goalDays.value, SCHEDULE_LIMITS.weeks * 7) : USUAL_WEEKS * 7,
);
/** Why it is not the goal's day, or nothing. */
const endWhy = computed(() => {
  if (!goal.value) return t('noGoalYetTwelve');
  if (goalDays.value === null) return t('noDaySetTwelve');
  if (goalDays.value <= 0) return t('dayPassedTwelveWeeks');
  return goalDays.value > end.value ? t('weeksLooked', { weeks: SCHEDULE_LIMITS.weeks }) : '';
});
const endDate = computed(() => DateTime.fromISO(practice.today).plus({ days: end.value }).toFormat('d LLL'));
/** What a visit of these schedules is like, where nothing else is said. */
const like = computed(() => (spot.value?.rhythm.lately ? t('likeThoseLate') : t('usualOneFull')));

/** What is on between today and the end; the drawing marks the days, the words below say what. */
const events = computed(() =>
  props.file.events
    .map(({ name, onDate }) => ({ name, onDate, day: practice.daysUntil(onDate) }))
    .filter(({ day }) => day >= 0 && day <= end.value),
);

const schedules = ref<Schedule[]>([]);
const active = ref(0);
/** What is looked at first: as it goes now, and one visit more with home work. */
function begin(): void {
  const { perWeek, usualGain } = spot.value!.rhythm;
  const usual = { usualGain, startsInWeeks: 0, away: null };
  schedules.value = [
    { ...usual, perWeek, homeDays: 0 },
    { ...usual, perWeek: Math.min(SCHEDULE_LIMITS.perWeek, Math.floor(perWeek) + 1), homeDays: HOME_DAYS },
  ];
  active.value = 0;
  clear();
}
watch(spots, (now) => {
  const wanted = `${String(route.query.motion)}/${String(route.query.side)}`;
  const withGoal = now.find((each) => props.file.goals.some((goal) => goal.motionId === each.motionId && goal.side === each.side));
  chosen.value = keyOf(now.find((each) => keyOf(each) === wanted) ?? withGoal ?? now[0] ?? { motionId: '', side: 'left' });
});
watch(chosen, () => {
  if (spot.value) begin();
});
function lookNow(): void {
  if (!spot.value) return;
  look({
    motionId: spot.value.motionId,
    side: spot.value.side,
    goal: goal.value?.value ?? null,
    end: end.value,
    schedules: schedules.value,
  });
}
watch(schedules, lookNow);
watch([goal, end], () => {
  clear();
  lookNow();
});
function choose(key: string): void {
  chosen.value = key;
  const [motionId, side] = key.split('/');
  void router.replace({ query: { motion: motionId, side } });
}

const fans = ref<InstanceType<typeof FanPanels> | null>(null);
const panels = computed(() =>
  schedules.value.map((schedule, i) => ({
    letter: LETTERS[i]!,
    title: rhythmWords(schedule.perWeek),
    words: scheduleWords(schedule),
    away: schedule.away,
    outlook: outlooks.value[i] ?? null,
  })),
);
/** What was reckoned for another schedule is not shown beside this one. */
const change = (at: number, fields: Partial<Schedule>) => {
  outlooks.value = outlooks.value.map((each, i) => (i === at ? null : each));
  schedules.value = schedules.value.map((each, i) => (i === at ? { ...each, ...fields } : each));
};
function add(): void {
  schedules.value = [...schedules.value, { ...schedules.value[active.value]! }];
  active.value = schedules.value.length - 1;
}
function takeOut(at: number): void {
  outlooks.value = outlooks.value.filter((_, i) => i !== at);
  schedules.value = schedules.value.filter((_, i) => i !== at);
  active.value = Math.min(active.value, schedules.value.length - 1);
}
const editing = ref(false);
function edit(at: number): void {
  active.value = at;
  editing.value = true;
}
/** The next whole number of visits a week, up or down. */
function step(at: number, up: boolean): void {
  const { perWeek } = schedules.value[at]!;
  change(at, { perWeek: up ? Math.min(SCHEDULE_LIMITS.perWeek, Math.floor(perWeek) + 1) : Math.max(0, Math.ceil(perWeek) - 1) });
}

const endWords = (outlook: Outlook) => {
  const levels = outlook.fan.at(-1)!.levels;
  return {
    middle: amount(levels[3]!, motion.value!.unit),
    band: t('to6', { number: formatNumber(levels[1]!, 1), number2: formatNumber(levels[5]!, 1) }),
  };
};
const half = ({ halfThereDay }: Outlook) =>
  halfThereDay === null
    ? t('notThen')
    : halfThereDay === 0
      ? t('today')
      : t('by5', { fromISO: DateTime.fromISO(practice.today).plus({ days: halfThereDay }).toFormat('d LLL') });

function onKey(event: KeyboardEvent): void {
  if (isTyping(event) || editing.value || schedules.value.length === 0) return;
  const pick = whichKey(event, 'pickSchedule');
  const by = whichKey(event, 'fewerMore');
  if (pick !== null && pick < schedules.value.length) active.value = pick;
  else if (by !== null) step(active.value, by === 1);
  else if (isKey(event, 'homeWork')) change(active.value, { homeDays: schedules.value[active.value]!.homeDays > 0 ? 0 : HOME_DAYS });
  else return;
  event.preventDefault();
}
useWindowKeys(onKey);
</script>

<template>
  <div class="what-if">
    <ProblemNote v-if="problem" :problem="problem" :retry="openAll" />
    <p v-else-if="state === 'failed'" class="card" role="alert">
      {{ t('forecastCouldNotMade', { failure }) }} <button type="button" class="link" @click="openAll">{{ t('tryAgain') }}</button>
    </p>
    <p v-else-if="state !== 'ready'" class="card soft" role="status">
      {{ state === 'reading' ? t('readingVisits') : t('learningFromVisits', { share: Math.round((share ?? 0) * 100) }) }}
    </p>
    <p v-else-if="spots.length === 0" class="card soft">
      {{ t('nothingMeasuredYetAfter') }}
    </p>
    <div v-else-if="spot && motion" class="columns">
      <section class="card main" :aria-label="t('whatIf')">
        <header>
          <PickOne :label="t('motionSide')" :value="chosen" :options="options" search class="which" @change="choose" />
          <p class="soft">
            <template v-if="goal"
              >{{ t('goal5') }} <b class="ink num">{{ amount(goal.value, motion.unit) }}</b>{{
                goal.byDate ? ` ${t('by5', { fromISO: DateTime.fromISO(goal.byDate).toFormat('d LLL yyyy') })}` : ''
              }}{{ endWhy ? '; ' : ' ' }}</template
            >{{ endWhy ? `${endWhy} ` : '' }}
            <RouterLink :to="{ path: `/athlete/${file.athlete.id}`, query: { motion: spot.motionId } }">{{
              goal ? t('changeGoal') : t('setAGoal')
            }}</RouterLink>
          </p>
          <span class="end working" role="status"
            ><template v-if="share !== null"
              ><progress :value="share" max="1" :aria-label="t('lookingAhead')" />
              <button type="button" class="link" @click="cancel">{{ t('leaveOff') }}</button></template
            ><template v-else-if="panels.some((each) => each.outlook === null)"
              >{{ t('leftOff2') }} <button type="button" class="link" @click="lookNow">{{ t('lookAgain') }}</button></template
            ></span
          >
        </header>
        <div class="heads" :style="{ gridTemplateColumns: `repeat(${panels.length}, minmax(0, 1fr))` }">
          <div
            v-for="(panel, i) in panels"
            :key="panel.letter"
            role="group"
            :aria-label="t('schedule', { letter: panel.letter })"
            class="head"
            :class="[`tone-${panel.letter}`, { active: i === active }]"
          >
            <p class="name">
              <button
                type="button"
                class="letter"
                :aria-pressed="i === active"
                :title="t('choose', { letter: panel.letter, what: i + 1 })"
                @click="active = i"
              >
                {{ panel.letter }}
              </button>
              <b>{{ panel.title }}</b>
            </p>
            <p class="small soft">{{ panel.words }}</p>
            <p class="chance">
              <template v-if="panel.outlook && panel.outlook.chance !== null"
                ><b class="num">{{ chanceWords(panel.outlook.chance) }}</b> <span class="small">{{ t('in1002') }}</span></template
              ><template v-else-if="panel.outlook"
                ><b class="num middle-word">{{ endWords(panel.outlook).middle }}</b></template
              ><b v-else class="num soft">…</b>
            </p>
            <p class="acts">
              <Button
                size="small"
                :aria-label="t('visitWeekFewer', { letter: panel.letter })"
                :disabled="schedules[i]!.perWeek === 0"
                @click="step(i, false)"
                >−</Button
              >
              <Button
                size="small"
                :aria-label="t('visitWeekMore', { letter: panel.letter })"
                :disabled="schedules[i]!.perWeek >= SCHEDULE_LIMITS.perWeek"
                @click="step(i, true)"
                >+</Button
              >
              <Button size="small" @click="edit(i)">{{ t('change3', { letter: panel.letter }) }}</Button>
              <Button v-if="panels.length > 1" size="small" :aria-label="t('takeOut', { letter: panel.letter })" @click="takeOut(i)"
                >×</Button
              >
            </p>
          </div>
        </div>
        <div class="fans">
          <FanPanels
            ref="fans"
            :motion="motion"
            :goal="goal?.value ?? null"
            :today="practice.today"
            :end="end"
            :events="events.map(({ day }) => day)"
            :panels="panels"
            :working="share !== null"
          />
        </div>
        <div class="heads ends" :style="{ gridTemplateColumns: `repeat(${panels.length}, minmax(0, 1fr))` }">
          <dl v-for="panel in panels" :key="panel.letter" :aria-label="t('whatComes', { letter: panel.letter })">
            <template v-if="panel.outlook">
              <div>
                <dt>
                  <b class="whose" aria-hidden="true">{{ panel.letter }}</b> {{ t('endsAt') }}
                </dt>
                <dd>
                  <b class="num">{{ endWords(panel.outlook).middle }}</b>
                  <span class="small soft">{{ endWords(panel.outlook).band }}</span>
                </dd>
              </div>
              <div v-if="goal">
                <dt>{{ t('halfThere') }}</dt>
                <dd>
                  <b>{{ half(panel.outlook) }}</b>
                </dd>
              </div>
              <div>
                <dt>{{ t('visitsUntilThen') }}</dt>
                <dd>
                  <b class="num">{{ panel.outlook.visits }}</b>
                </dd>
              </div>
            </template>
          </dl>
        </div>
        <p v-if="events.length > 0" class="small soft">
          {{
            t('dashedLines', {
              events: events.map(({ name, onDate }) => `${name} ${DateTime.fromISO(onDate).toFormat('d LLL')}`).join(', '),
            })
          }}
        </p>
        <footer>
          <Button v-if="schedules.length < LETTERS.length" @click="add">{{ t('add2', { what: LETTERS[schedules.length] }) }}</Button>
          <SavePictures
            :what="t('theFans')"
            :name="`${file.athlete.name} ${motion.name} ${practice.today}`"
            :title="t('whatIf2', { name: file.athlete.name, name2: motion.name })"
            :from="t('n10000PathsEachSchedule')"
            :svg="() => fans?.drawing ?? null"
          />
          <TakeIntoSeason :athlete-id="file.athlete.id" :letter="LETTERS[active]!" :schedule="schedules[active]!" />
          <span class="small soft">{{
            t('n10000PathsEach', { hintOf: hintOf('pickSchedule'), hintOf2: hintOf('fewerMore'), hintOf3: hintOf('homeWork') })
          }}</span>
        </footer>
        <ScheduleDialog
          v-model:open="editing"
          :letter="LETTERS[active]!"
          :schedule="schedules[active]!"
          :motion="motion"
          :lately="spot.rhythm.usualGain"
          :like="like"
          :weeks="Math.floor(end / 7)"
          @keep="(schedule) => change(active, schedule)"
        />
      </section>
      <div class="beside">
        <template v-if="said">
          <FewestVisits
            v-if="said.rhythms && goal"
            :motion="motion"
            :goal="goal.value"
            :date="endDate"
            :like="like"
            :rhythms="said.rhythms"
          />
          <WhichWay :motion="motion" :ways="said.ways" />
          <ComparisonCard v-if="facts" :athlete-id="props.file.athlete.id" :motion="motion" :side="spot.side" :facts="facts" />
          <WhatIsKept :motion="motion" :said="said" :spot="spot" :like="like" />
        </template>
        <p v-else-if="share !== null" class="card soft">{{ t('workingOut') }}</p>
      </div>
    </div>
  </div>
</template>

<style scoped>
.what-if {
  container-type: inline-size;
}

.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 16px;
  align-items: start;
}

.beside,
.main {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  min-width: 0;
}

header,
footer {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
}

.which {
  width: 400px;
  max-width: 100%;
}

.ink {
  color: var(--ink);
}

/* Its room is kept while it is empty: nothing moves under a finger when it comes and goes. */
.working {
  display: inline-flex;
  flex: 1 0 180px;
  justify-content: flex-end;
  align-items: center;
  gap: 8px;
  min-height: 24px;
}

progress {
  width: 90px;
  accent-color: var(--spruce);
}

.heads {
  display: grid;
  gap: 10px;
  padding-left: 6.3%;
}

.head {
  display: grid;
  align-content: start;
  gap: 4px;
  min-width: 0;
  padding: 8px 8px 8px 10px;
  border-top: 3px solid var(--tone);
}

.head.active {
  background: var(--raised);
}

.name {
  display: flex;
  align-items: center;
  gap: 8px;
}

.letter {
  width: 28px;
  height: 28px;
  border: 1.5px solid var(--tone);
  border-radius: 4px;
  background: var(--paper);
  color: var(--tone);
  font: 700 15px var(--figures);
  cursor: pointer;
}

.letter[aria-pressed='true'] {
  background: var(--tone);
  color: var(--paper);
}

.chance {
  color: var(--tone);
}

.chance b {
  font: 750 34px/1.1 var(--figures);
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.ends dl {
  margin: 0;
  padding: 0 8px 0 10px;
}

.ends dl div {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  justify-content: space-between;
  gap: 0 8px;
  padding: 4px 0;
  border-bottom: 1px solid var(--line-faint);
}

/* Beneath one another they are told apart by their letters; beside one another by where they stand. */
.whose {
  display: none;
}

dt {
  color: var(--soft);
  font-size: 13px;
}

dd {
  display: flex;
  align-items: baseline;
  gap: 6px;
  margin: 0;
}

@container (max-width: 620px) {
  .heads {
    grid-template-columns: minmax(0, 1fr) !important;
    padding-left: 0;
  }

  .whose {
    display: inline;
  }

  .fans {
    overflow-x: auto;
  }

  .fans :deep(svg) {
    min-width: 560px;
  }
}

@container (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }

  .beside {
    grid-template-columns: repeat(auto-fit, minmax(min(280px, 100%), 1fr));
  }
}
</style>
