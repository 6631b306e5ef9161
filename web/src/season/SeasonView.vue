<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import { DateTime } from 'luxon';
import { computed, defineAsyncComponent, onMounted, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { rhythmDays } from '@pace-bend/core/cycle';
import { addDays } from '@pace-bend/core/load';
import type { AthleteList, CalendarEvent, Squad } from '@pace-bend/core/record';
import {
  phaseHold,
  phaseLimits,
  putBlock,
  putLine,
  seasonDay,
  withoutBlock,
  type Block,
  type Develop,
  type LaidBlock,
  type SeasonPlan,
  type Stay,
} from '@pace-bend/core/season';
import { api } from '../api/api.ts';
import type { EventMoved } from '../events/useEventMove.ts';
import { hintOf, isKey } from '../parts/keys.ts';
import PickOne from '../parts/PickOne.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import SavePictures from '../parts/SavePictures.vue';
import { isTyping } from '../parts/useGlobalKeys.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import DueList from './DueList.vue';
import GoalLane from './GoalLane.vue';
import GoalWords from './GoalWords.vue';
import { movedStep } from './movedBack.ts';
import SeasonLine from './SeasonLine.vue';
import { dayWords, scaleOf, SPANS, type Span } from './scale.ts';
import { useGoal } from './useGoal.ts';
import { useGoalOutlook } from './useGoalOutlook.ts';
import { useSeason, type SeasonOf } from './useSeason.ts';
import { useWindowKeys } from '../parts/useWindowKeys.ts';
import { t } from '../words/season.ts';

const BlockDialog = defineAsyncComponent(() => import('./BlockDialog.vue'));
const CalendarDialog = defineAsyncComponent(() => import('./CalendarDialog.vue'));
const EventDialog = defineAsyncComponent(() => import('../events/EventDialog.vue'));
const StaysDialog = defineAsyncComponent(() => import('./StaysDialog.vue'));
const TemplateDialog = defineAsyncComponent(() => import('./TemplateDialog.vue'));

/** The season of everybody, a squad or an athlete, drawn as one line; who is due stands beside it. */
const route = useRoute();
const router = useRouter();
const practice = usePractice();
const session = useSession();
const season = useSeason();
const { file, readProblem, plan, line, stays, busy, problem, done, undone } = season;
const rules = computed(() => file.value?.rules ?? []);
const goals = useGoal(line, rules);
const { goal, motion, readings, level, standing } = goals;
const ahead = useGoalOutlook(goals, plan, stays);
const { outlook } = ahead;

const squads = ref<readonly Squad[]>([]);
const people = ref<AthleteList['athletes']>([]);
const EVERYBODY = 'everybody';
const squadId = computed(() => (typeof route.query.squad === 'string' ? route.query.squad : EVERYBODY));
const athleteId = computed(() => (typeof route.query.athlete === 'string' ? route.query.athlete : null));
const of = computed<SeasonOf>(() =>
  athleteId.value
    ? { owner: 'athlete', id: athleteId.value }
    : squadId.value === EVERYBODY
      ? { owner: 'everybody', id: null }
      : { owner: 'squad', id: squadId.value },
);
const mayChange = computed(() =>
  session.may(
    'PUT',
    of.value.owner === 'everybody' ? '/season' : of.value.owner === 'squad' ? '/squads/:id/season' : '/athletes/:id/season',
  ),
);

onMounted(async () => {
  await practice.load();
  squads.value = await api<{ squads: Squad[] }>('GET', '/squads').then(
    (found) => found.squads,
    () => [],
  );
});
// Without a word whose it is, the first squad that has a line is shown.
watch([file, squads], ([now, all]) => {
  if (route.query.squad || route.query.athlete || now?.owner !== 'everybody' || now.plan.blocks.length > 0) return;
  const first = all.find(({ id }) => now.laidOut.includes(id));
  if (first) void router.replace({ query: { squad: first.id } });
});
watch(
  of,
  async (now, before) => {
    if (before && now.owner === before.owner && now.id === before.id) return;
    await practice.load();
    await Promise.all([season.open(now), goals.open(now.owner === 'athlete' ? now.id : null)]);
  },
  { immediate: true },
);
watch(
  squadId,
  async (id) => {
    const query = id === EVERYBODY ? '' : `&squad=${encodeURIComponent(id)}`;
    people.value = await api<AthleteList>('GET', `/athletes?q=&offset=0${query}`).then(
      (found) => found.athletes,
      () => [],
    );
  },
  { immediate: true },
);
const whoOptions = computed(() => {
  const all = people.value.map(({ id, name }) => ({ value: id, label: name }));
  if (athleteId.value && file.value?.owner === 'athlete' && !all.some(({ value }) => value === athleteId.value))
    all.unshift({ value: athleteId.value, label: file.value.name });
  return [{ value: 'all', label: t('allThem') }, ...all];
});
const show = (squad: string, athlete: string | null) => void router.push({ query: { squad, ...(athlete ? { athlete } : {}) } });

/** How far is looked, and how many weeks from where today stands at a third. */
const span = ref<Span>(20);
const shift = ref(0);
const scale = computed(() => scaleOf(practice.today || DateTime.utc().toISODate(), span.value, shift.value));
const SHIFT_BY = computed(() => Math.round(span.value / 5));

const followed = computed(() => file.value?.followed?.plan.blocks ?? []);
const events = computed(() =>
  (file.value?.events ?? []).map((event) => ({ ...event, at: !(plan.value?.notAt.includes(event.id) ?? false) })),
);
const at = computed(() =>
  file.value
    ? seasonDay(
        {
          followed: { name: file.value.followed?.name ?? file.value.name, plan: file.value.followed?.plan ?? plan.value! },
          own: file.value.owner === 'athlete' ? plan.value : null,
          rules: rules.value,
          events: events.value.filter((event) => event.at),
        },
        practice.today,
      )
    : null,
);
const NOW_WORDS: Readonly<Record<Develop, string>> = {
  all: t('rangeDeveloped'),
  begun: t('onlyWhatBegunFinished'),
  gentle: t('gentleOnly'),
  none: t('keepOnly'),
};
/** What today's phase comes to, in words. */
const nowWords = computed(() => {
  if (!at.value) return '';
  const hold = phaseHold(at.value, practice.today);
  const limits = phaseLimits(at.value, practice.today, []).map(({ because }) => because);
  const until = dayWords(at.value.until, practice.today);
  return t('until', {
    until,
    what: hold ? NOW_WORDS[hold.develop] : NOW_WORDS.all,
    what2: limits.length > 0 ? `. ${limits.join('. ')}` : '',
  });
});

/** Visits a planned rhythm would have, where none are booked yet. */
const proposed = computed(() => {
  const booked = new Set((file.value?.visits ?? []).map(({ startsAt }) => practice.dayOf(startsAt)));
  return rhythmDays(plan.value?.rhythm ?? null, stays.value, booked, practice.today);
});

const change = (words: string, next: Partial<SeasonPlan>) => season.change(words, { ...plan.value!, ...next });
const writing = ref<{ readonly block: LaidBlock | null } | null>(null);
const newBlock = computed(() => {
  const last = line.value.at(-1);
  const from = last && last.until >= practice.today ? addDays(last.until, 1) : practice.today;
  return { from, until: addDays(from, 27) };
});
async function keepBlock(put: Block): Promise<void> {
  const { block } = writing.value!;
  const own = plan.value!.blocks.filter((each) => !(block?.own && each.from === block.from));
  if (await change(t('theBlock'), { blocks: putBlock(own, put) })) writing.value = null;
}
async function removeBlock(): Promise<void> {
  const index = plan.value!.blocks.findIndex(({ from }) => from === writing.value!.block!.from);
  if (await change(t('blockRemoved'), { blocks: withoutBlock(plan.value!.blocks, index) })) writing.value = null;
}
async function takeTemplate(name: string, blocks: readonly Block[]): Promise<void> {
  if (await change(name, { blocks: putLine(plan.value!.blocks, blocks) })) template.value = false;
}
const template = ref(false);
const staying = ref(false);
const calendar = ref(false);
const writingEvent = ref<CalendarEvent | 'new' | null>(null);

const refresh = () => Promise.all([season.reload(), goals.open(of.value.owner === 'athlete' ? of.value.id : null)]);
/** An event that was written; one that took other things along can be moved back with them. */
async function eventSaved(moved: EventMoved | null): Promise<void> {
  await refresh();
  if (!moved) return;
  // It is done already: what is kept is the way back and forth.
  season.done.value = [...season.done.value, movedStep(moved, refresh)];
  season.undone.value = [];
}
const notAt = (event: CalendarEvent) => {
  const away = plan.value!.notAt;
  return away.includes(event.id)
    ? change(t('at', { name: event.name }), { notAt: away.filter((id) => id !== event.id) })
    : change(t('notAt', { name: event.name }), { notAt: [...away, event.id] });
};

const drawing = ref<InstanceType<typeof SeasonLine> | null>(null);

function onKey(event: KeyboardEvent): void {
  if (isTyping(event)) return;
  if (isKey(event, 'redo')) void season.redo();
  else if (isKey(event, 'undo')) void season.undo();
  else return;
  event.preventDefault();
}
useWindowKeys(onKey);
</script>

<template>
  <div class="page">
    <header>
      <h1>{{ t('season') }}</h1>
      <RouterLink to="/week" class="small">{{ t('planWeek') }}</RouterLink>
      <PickOne
        :label="t('squad')"
        :value="squadId"
        :options="[{ value: EVERYBODY, label: t('everybody') }, ...squads.map((squad) => ({ value: squad.id, label: squad.name }))]"
        @change="(id) => show(id, null)"
      />
      <PickOne
        :label="t('athlete')"
        :value="athleteId ?? 'all'"
        :options="whoOptions"
        search
        @change="(id) => show(squadId, id === 'all' ? null : id)"
      />
      <span v-if="file?.owner === 'athlete'" class="soft small"
        >{{ file.followed ? t('follows2', { name: file.followed.name }) : t('noSeasonFollow')
        }}<template v-if="(plan?.blocks.length ?? 0) + (plan?.notAt.length ?? 0) > 0">{{
          t('with', {
            what: (plan?.blocks.length ?? 0) + (plan?.notAt.length ?? 0),
            what2: (plan?.blocks.length ?? 0) + (plan?.notAt.length ?? 0) === 1 ? t('change') : t('changes'),
          })
        }}</template></span
      >
      <span v-if="mayChange" class="end choices">
        <Button :disabled="busy || done.length === 0" :title="`${hintOf('undo')}: ${done.at(-1)?.words ?? ''}`" @click="season.undo">{{
          t('undo')
        }}</Button>
        <Button :disabled="!file" @click="template = true">{{ t('useTemplate') }}</Button>
        <Button type="primary" @click="writingEvent = 'new'">{{ t('addEvent') }}</Button>
      </span>
    </header>

    <ProblemNote v-if="readProblem" :problem="readProblem" :retry="season.reload" />
    <ProblemNote v-if="problem" :problem="problem" />
    <p class="sr-only" role="status">
      {{
        undone.length > 0 ? t('undone', { undone: undone.at(-1)?.words }) : done.length > 0 ? t('done2', { done: done.at(-1)?.words }) : ''
      }}
    </p>

    <div class="layout">
      <section class="line" :aria-label="t('seasonLine')">
        <p v-if="!file && !readProblem" class="soft" role="status">{{ t('reading') }}</p>
        <template v-if="file && plan">
          <div class="bar">
            <span class="choices">
              <Button size="small" :aria-label="t('earlier')" @click="shift -= SHIFT_BY">‹</Button>
              <Button size="small" :disabled="shift === 0" @click="shift = 0">{{ t('today') }}</Button>
              <Button size="small" :aria-label="t('later')" @click="shift += SHIFT_BY">›</Button>
            </span>
            <PickOne
              :label="t('weeksShown')"
              size="small"
              :value="String(span)"
              :options="SPANS.map((weeks) => ({ value: String(weeks), label: t('weeks', { weeks }) }))"
              @change="(weeks) => (span = Number(weeks) as Span)"
            />
            <span v-if="mayChange" class="choices end">
              <Button size="small" @click="writing = { block: null }">{{ t('addBlock2') }}</Button>
              <Button size="small" @click="staying = true">{{ t('campsTravel') }}</Button>
              <Button size="small" @click="calendar = true">{{ t('calendar') }}</Button>
            </span>
            <SavePictures
              :what="t('theSeason')"
              :name="`Season ${file.name} ${practice.today}`"
              :title="t('season2', { name: file.name })"
              :svg="() => drawing?.drawing ?? null"
            />
          </div>
          <div class="scroll">
            <SeasonLine
              ref="drawing"
              :scale="scale"
              :today="practice.today"
              :day-of="practice.dayOf"
              :own="plan.blocks"
              :followed="followed"
              :rules="rules"
              :stays="stays"
              :events="events"
              :visits="file.visits"
              :proposed="proposed"
              :weeks="file.weeks"
              :may-change="mayChange && !busy"
              :below="goal ? 190 : 0"
              @change="(words, blocks) => change(words, { blocks })"
              @block="(block) => (writing = { block })"
              @event="(id) => (writingEvent = file!.events.find((event) => event.id === id) ?? null)"
            >
              <template #default="{ top, bottom }">
                <GoalLane
                  v-if="goal && motion"
                  :scale="scale"
                  :motion="motion"
                  :goal="goal.value"
                  :by-day="goal.byDate!"
                  :today="practice.today"
                  :top="top"
                  :bottom="bottom"
                  :readings="readings"
                  :level="level"
                  :standing="standing"
                  :outlook="outlook"
                />
              </template>
            </SeasonLine>
          </div>
          <div v-if="line.length === 0" class="empty">
            <p>{{ t('nothingLaidOutHere', { what: file.owner === 'athlete' ? t('nobodyTheyFollowSeason') : '' }) }}</p>
            <Button v-if="mayChange" type="primary" @click="template = true">{{ t('useTemplate') }}</Button>
          </div>
          <p class="legend small soft" aria-hidden="true">
            <span><i class="mark done" />{{ t('done') }}</span> <span><i class="mark booked" />{{ t('booked2') }}</span>
            <span v-if="proposed.length > 0"><i class="mark proposed" />{{ t('plannedRhythm') }}</span>
            <template v-if="goal"
              ><span><i class="ring" />{{ t('beforeWork') }}</span> <span><i class="diamond" />{{ t('after') }}</span>
              <span><i class="fan" />{{ t('levelThen5080') }}</span> <span><i class="dots" />{{ t('path') }}</span></template
            >
          </p>
          <GoalWords v-if="file.owner === 'athlete'" :goals="goals" :ahead="ahead" :athlete-id="file.ownerId">
            <details v-if="mayChange" class="starts">
              <summary>{{ t('whomTheyFollowWhich') }}</summary>
              <PickOne
                v-if="file.couldFollow.length > 1"
                :label="t('follows')"
                size="small"
                :value="plan.follows ?? 'first'"
                :options="[
                  { value: 'first', label: t('followsFirstLine') },
                  ...file.couldFollow.map((each) => ({ value: each.id, label: t('follows2', { name: each.name }) })),
                ]"
                :disabled="!mayChange || busy"
                @change="(id) => change(t('whoFollowed'), { follows: id === 'first' ? null : id })"
              />

              <Checkbox
                v-for="event in events.filter((each) => each.onDate >= practice.today)"
                :key="event.id"
                :checked="event.at"
                :disabled="busy"
                @change="notAt(event)"
                >{{ event.name }}, {{ dayWords(event.onDate, practice.today) }}</Checkbox
              >
            </details>
          </GoalWords>
          <p v-else class="soft small">{{ t('chooseAthleteSeeGoal') }}</p>
          <p v-if="nowWords" class="now">{{ nowWords }}</p>
        </template>
      </section>
      <DueList :step="season.step" :busy="busy" @booked="season.reload" />
    </div>

    <BlockDialog
      v-if="writing && plan"
      :open="true"
      :block="writing.block"
      v-bind="newBlock"
      :rules="rules"
      :busy="busy"
      :removable="writing.block?.own !== false || file?.owner !== 'athlete'"
      @update:open="writing = null"
      @keep="keepBlock"
      @remove="removeBlock"
    />
    <StaysDialog
      v-if="staying && plan"
      :open="true"
      :stays="plan.stays"
      :today="practice.today"
      :busy="busy"
      @update:open="staying = false"
      @change="(words: string, next: Stay[]) => change(words, { stays: next })"
    />
    <TemplateDialog
      v-if="template && file"
      :open="true"
      :events="file.events"
      :today="practice.today"
      :has-line="(plan?.blocks.length ?? 0) > 0"
      :busy="busy"
      @update:open="template = false"
      @take="takeTemplate"
    />
    <CalendarDialog
      v-if="calendar && file"
      :open="true"
      :owner="file.owner"
      :owner-id="file.ownerId"
      :name="file.name"
      :squad-id="file.owner === 'squad' ? file.ownerId : null"
      @update:open="calendar = false"
      @read-in="season.reload"
    />
    <EventDialog
      v-if="writingEvent"
      :open="true"
      :event="writingEvent === 'new' ? null : writingEvent"
      :day="practice.today"
      :squad-id="file?.owner === 'squad' ? file.ownerId : null"
      :athlete="file?.owner === 'athlete' ? { id: file.ownerId, name: file.name } : null"
      @update:open="writingEvent = null"
      @saved="eventSaved"
    />
  </div>
</template>

<style scoped>
.layout {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 268px;
  gap: 14px;
}

.line {
  min-width: 0;
}

.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
  margin-bottom: 8px;
}

.end {
  margin-left: auto;
}

.empty {
  display: flex;
  align-items: center;
  gap: 14px;
  margin: 4px 0 8px;
}

.empty p {
  margin: 0;
}

.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin: 8px 0;
}

.legend span {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}

.mark {
  width: 5px;
  height: 14px;
}

.mark.done {
  background: var(--spruce);
}

.mark.booked {
  border: 1px solid var(--spruce);
}

.mark.proposed {
  width: 0;
  border-left: 2px dotted var(--spruce);
}

.ring {
  width: 9px;
  height: 9px;
  border: 2px solid var(--ink);
  border-radius: 50%;
}

.diamond {
  width: 8px;
  height: 8px;
  background: var(--spruce);
  transform: rotate(45deg);
}

.fan {
  width: 20px;
  height: 10px;
  background: var(--plum-soft);
  border-bottom: 2px solid var(--plum);
}

.dots {
  width: 20px;
  border-top: 2px dotted var(--sun-text);
}

.now {
  margin: 4px 0 0;
  font-weight: 600;
}

.starts :deep(.ant-checkbox-wrapper) {
  display: flex;
  margin-inline-start: 0;
  padding: 4px 0;
}

@container page (max-width: 972px) {
  .layout {
    grid-template-columns: minmax(0, 1fr);
  }
}

@container page (max-width: 700px) {
  .scroll {
    overflow-x: auto;
  }

  .scroll > :first-child {
    min-width: 640px;
  }
}
</style>
