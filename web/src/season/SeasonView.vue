<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { DateTime } from 'luxon';
import { computed, defineAsyncComponent, onMounted, onUnmounted, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { motionOf } from '@pace-bend/core/body';
import { addDays } from '@pace-bend/core/load';
import type { AthleteList, CalendarEvent, SeasonFile, Squad } from '@pace-bend/core/record';
import {
  phaseHold,
  phaseLimits,
  putBlock,
  seasonDay,
  withoutBlock,
  type Block,
  type Develop,
  type LaidBlock,
  type SeasonPlan,
  type Stay,
} from '@pace-bend/core/season';
import { visitDays } from '@pace-bend/core/forecast';
import { api } from '../api/api.ts';
import { useForecast } from '../athlete/whatIf/useForecast.ts';
import { amount, chanceWords, rhythmWords } from '../athlete/whatIf/words.ts';
import { lookAtMove, moveEvent, type EventMoved } from '../events/useEventMove.ts';
import { hintOf, isKey } from '../parts/keys.ts';
import PickOne from '../parts/PickOne.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { savePng, saveSvg } from '../parts/savePicture.ts';
import { isTyping } from '../parts/useGlobalKeys.ts';
import { goalWhyWords, SIDE_WORDS } from '../parts/words.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import DueList from './DueList.vue';
import GoalLane from './GoalLane.vue';
import SeasonLine from './SeasonLine.vue';
import { dayWords, scaleOf, SPANS, type Span } from './scale.ts';
import { useGoal } from './useGoal.ts';
import { seasonPath, useSeason, type SeasonOf } from './useSeason.ts';

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
const forecast = useForecast();

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
  return [{ value: 'all', label: 'all of them' }, ...all];
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
  all: 'range is developed',
  begun: 'only what is begun is finished',
  gentle: 'gentle only',
  none: 'keep only',
};
/** What today's phase comes to, in words. */
const nowWords = computed(() => {
  if (!at.value) return '';
  const hold = phaseHold(at.value, practice.today);
  const limits = phaseLimits(at.value, practice.today, []).map(({ because }) => because);
  const until = dayWords(at.value.until, practice.today);
  return `Until ${until}: ${hold ? NOW_WORDS[hold.develop] : NOW_WORDS.all}${limits.length > 0 ? `. ${limits.join('. ')}` : ''}.`;
});

/** Visits a planned rhythm would have, where none are booked yet. */
const proposed = computed(() => {
  const rhythm = plan.value?.rhythm;
  if (!rhythm || rhythm.perWeek === 0) return [];
  const from = rhythm.from > practice.today ? rhythm.from : practice.today;
  const booked = new Set((file.value?.visits ?? []).map(({ startsAt }) => practice.dayOf(startsAt)));
  const away = stays.value.filter(({ visits }) => !visits);
  return visitDays(rhythm.perWeek, 1, 52 * 7)
    .map((day) => addDays(from, Math.round(day)))
    .filter((day) => !booked.has(day) && !away.some((stay) => stay.from <= day && day <= stay.until));
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
  if (await change('the block', { blocks: putBlock(own, put) })) writing.value = null;
}
async function removeBlock(): Promise<void> {
  const index = plan.value!.blocks.findIndex(({ from }) => from === writing.value!.block!.from);
  if (await change('the block taken out', { blocks: withoutBlock(plan.value!.blocks, index) })) writing.value = null;
}
/** On what a template lays out nothing else is left; what was over stays. */
async function takeTemplate(name: string, blocks: readonly Block[]): Promise<void> {
  const from = blocks[0]!.from;
  const kept = plan.value!.blocks.flatMap((block) =>
    block.until < from ? [block] : block.from < from ? [{ ...block, until: addDays(from, -1), untilAnchor: null }] : [],
  );
  if (await change(name, { blocks: [...kept, ...blocks] })) template.value = false;
}
const template = ref(false);
const staying = ref(false);
const calendar = ref(false);
const writingEvent = ref<CalendarEvent | 'new' | null>(null);

/** An event that was written; one that took other things along can be moved back with them. */
async function eventSaved(moved: EventMoved | null): Promise<void> {
  await Promise.all([season.reload(), goals.open(of.value.owner === 'athlete' ? of.value.id : null)]);
  if (!moved) return;
  const refresh = () => Promise.all([season.reload(), goals.open(of.value.owner === 'athlete' ? of.value.id : null)]);
  const go = async (to: string) => {
    const look = await lookAtMove(moved.event.id, to);
    const along = look.visits.filter(({ id, past }) => moved.visits.includes(id) && !past).map(({ id }) => id);
    await moveEvent(look, along, moved.goals);
  };
  const back = async () => {
    await go(moved.from);
    // Where something had to give way, moving back alone does not bring it again.
    for (const { owner, ownerId, before } of moved.look.lines) {
      const path = seasonPath({ owner, id: ownerId });
      const { revision, plan: now } = await api<SeasonFile>('GET', path);
      if (JSON.stringify(now.blocks) !== JSON.stringify(before)) await api('PUT', path, { revision, ...now, blocks: before });
    }
    await refresh();
  };
  const again = async () => {
    await go(moved.to);
    await refresh();
  };
  // It is done already: what is kept is the way back and forth.
  season.done.value = [...season.done.value, { words: `${moved.event.name} moved`, back, again }];
  season.undone.value = [];
}
const notAt = (event: CalendarEvent) => {
  const away = plan.value!.notAt;
  return away.includes(event.id)
    ? change(`at ${event.name}`, { notAt: away.filter((id) => id !== event.id) })
    : change(`not at ${event.name}`, { notAt: [...away, event.id] });
};

/** The forecast of the goal that is looked at, as visits go now. */
const spot = computed(
  () => forecast.spots.value.find((each) => each.motionId === goal.value?.motionId && each.side === goal.value.side) ?? null,
);
watch(
  () => goals.file.value?.athlete.id,
  (id) => {
    if (id && goals.goals.value.length > 0) void forecast.open(id, goals.file.value!.errors);
  },
);
const endDays = computed(() => (goal.value?.byDate ? practice.daysUntil(goal.value.byDate) : 0));
/** The first absence without visits, in weeks from today, as forecasts know it. */
const awayWeeks = computed(() => {
  const end = goal.value?.byDate ?? practice.today;
  const stay = stays.value
    .filter(({ visits, from, until }) => !visits && until > practice.today && from < end)
    .sort((a, b) => (a.from < b.from ? -1 : 1))[0];
  if (!stay) return null;
  const fromWeek = Math.max(0, Math.floor(practice.daysUntil(stay.from) / 7));
  return { fromWeek, weeks: Math.max(1, Math.round((practice.daysUntil(stay.until) + 1) / 7) - fromWeek) };
});
const perWeek = computed(() => plan.value?.rhythm?.perWeek ?? spot.value?.rhythm.perWeek ?? null);
watch([spot, goal, awayWeeks, perWeek], ([now]) => {
  forecast.clear();
  if (!now || !goal.value || endDays.value <= 0 || perWeek.value === null) return;
  forecast.look({
    motionId: now.motionId,
    side: now.side,
    goal: goal.value.value,
    end: Math.min(endDays.value, 280),
    schedules: [
      {
        perWeek: perWeek.value,
        usualGain: now.rhythm.usualGain,
        homeDays: plan.value?.rhythm?.homeDays ?? 0,
        startsInWeeks: 0,
        away: awayWeeks.value,
      },
    ],
  });
});
const outlook = computed(() => forecast.outlooks.value[0] ?? null);
const halfWords = computed(() => {
  const ends = outlook.value?.ends;
  return ends && motion.value
    ? `half of the paths end between ${amount(ends[25]!, motion.value.unit)} and ${amount(ends[75]!, motion.value.unit)}`
    : '';
});
const goalOptions = computed(() =>
  goals.goals.value.map((each) => ({
    value: goals.goalKey(each),
    label: `${motionOf(each.motionId).name}${each.side === 'midline' ? '' : `, ${SIDE_WORDS[each.side].toLowerCase()}`}`,
  })),
);
const whyWords = computed(() => (goal.value ? goalWhyWords(goal.value) : ''));

const drawing = ref<InstanceType<typeof SeasonLine> | null>(null);
const unsaved = ref('');
async function save(as: 'svg' | 'png'): Promise<void> {
  const svg = drawing.value?.drawing;
  if (!svg || !file.value) return;
  const name = `Season ${file.value.name} ${practice.today}`.replace(/[^\p{L}\p{N} -]/gu, '');
  unsaved.value = '';
  try {
    if (as === 'svg') saveSvg(svg, name);
    else await savePng(svg, name);
  } catch (error) {
    unsaved.value = `The picture could not be made: ${error instanceof Error ? error.message : String(error)}`;
  }
}

function onKey(event: KeyboardEvent): void {
  if (isTyping(event)) return;
  if (isKey(event, 'redo')) void season.redo();
  else if (isKey(event, 'undo')) void season.undo();
  else return;
  event.preventDefault();
}
onMounted(() => window.addEventListener('keydown', onKey));
onUnmounted(() => window.removeEventListener('keydown', onKey));
</script>

<template>
  <div class="page">
    <header>
      <h1>Season</h1>
      <RouterLink to="/week" class="small">Plan the week</RouterLink>
      <PickOne
        label="Squad"
        :value="squadId"
        :options="[{ value: EVERYBODY, label: 'everybody' }, ...squads.map((squad) => ({ value: squad.id, label: squad.name }))]"
        @change="(id) => show(id, null)"
      />
      <PickOne
        label="Athlete"
        :value="athleteId ?? 'all'"
        :options="whoOptions"
        search
        @change="(id) => show(squadId, id === 'all' ? null : id)"
      />
      <span v-if="file?.owner === 'athlete'" class="soft small"
        >{{ file.followed ? `follows ${file.followed.name}` : 'no season to follow'
        }}<template v-if="(plan?.blocks.length ?? 0) + (plan?.notAt.length ?? 0) > 0"
          >, with {{ (plan?.blocks.length ?? 0) + (plan?.notAt.length ?? 0) }}
          {{ (plan?.blocks.length ?? 0) + (plan?.notAt.length ?? 0) === 1 ? 'change' : 'changes' }}</template
        ></span
      >
      <span v-if="mayChange" class="end choices">
        <Button :disabled="busy || done.length === 0" :title="`${hintOf('undo')}: ${done.at(-1)?.words ?? ''}`" @click="season.undo"
          >Undo</Button
        >
        <Button :disabled="!file" @click="template = true">Use a template</Button>
        <Button type="primary" @click="writingEvent = 'new'">Add event</Button>
      </span>
    </header>

    <ProblemNote v-if="readProblem" :problem="readProblem" :retry="season.reload" />
    <ProblemNote v-if="problem" :problem="problem" />
    <p class="sr-only" role="status">
      {{ undone.length > 0 ? `Taken back: ${undone.at(-1)?.words}` : done.length > 0 ? `Done: ${done.at(-1)?.words}` : '' }}
    </p>

    <div class="layout">
      <section class="line" aria-label="Season line">
        <p v-if="!file && !readProblem" class="soft" role="status">Reading …</p>
        <template v-if="file && plan">
          <div class="bar">
            <span class="choices">
              <Button size="small" aria-label="Earlier" @click="shift -= SHIFT_BY">‹</Button>
              <Button size="small" :disabled="shift === 0" @click="shift = 0">Today</Button>
              <Button size="small" aria-label="Later" @click="shift += SHIFT_BY">›</Button>
            </span>
            <PickOne
              label="Weeks shown"
              size="small"
              :value="String(span)"
              :options="SPANS.map((weeks) => ({ value: String(weeks), label: `${weeks} weeks` }))"
              @change="(weeks) => (span = Number(weeks) as Span)"
            />
            <span v-if="mayChange" class="choices end">
              <Button size="small" @click="writing = { block: null }">Add block</Button>
              <Button size="small" @click="staying = true">Camps, travel</Button>
              <Button size="small" @click="calendar = true">Calendar</Button>
              <Button size="small" @click="save('svg')">SVG</Button>
              <Button size="small" @click="save('png')">PNG</Button>
            </span>
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
            <p>Nothing is laid out here yet{{ file.owner === 'athlete' ? ', and nobody they follow has a season' : '' }}.</p>
            <Button v-if="mayChange" type="primary" @click="template = true">Use a template</Button>
          </div>
          <p class="legend small soft" aria-hidden="true">
            <span><i class="mark done" />done</span> <span><i class="mark booked" />booked</span>
            <span v-if="proposed.length > 0"><i class="mark proposed" />planned rhythm</span>
            <template v-if="goal"
              ><span><i class="ring" />before work</span> <span><i class="diamond" />after</span>
              <span><i class="fan" />level, then 50, 80, 95 of 100</span> <span><i class="dots" />path</span></template
            >
          </p>
          <section v-if="file.owner === 'athlete'" class="words" aria-label="The goal">
            <template v-if="goal && motion">
              <p>
                <PickOne
                  v-if="goalOptions.length > 1"
                  label="Goal"
                  size="small"
                  :value="goals.goalKey(goal)"
                  :options="goalOptions"
                  @change="(key) => (goals.chosen.value = key)"
                /><b v-else>{{ goalOptions[0]?.label }}</b> {{ amount(goal.value, motion.unit) }} by
                {{ dayWords(goal.byDate!, practice.today) }}<template v-if="whyWords">, {{ whyWords }}</template
                >.
                <b v-if="standing" :class="standing.against.kind">{{ standing.words[0]!.toUpperCase() + standing.words.slice(1) }}.</b>
              </p>
              <p v-if="outlook && outlook.chance !== null">
                <b class="chance">{{ chanceWords(outlook.chance) }} in 100</b> that it holds {{ amount(goal.value, motion.unit) }} on
                {{ dayWords(goal.byDate!, practice.today) }}, {{ rhythmWords(perWeek ?? 1).toLowerCase()
                }}<template v-if="awayWeeks">, away as laid out</template>; {{ halfWords }}.
                <RouterLink :to="`/athlete/${athleteId}/what-if?motion=${goal.motionId}&side=${goal.side}`">Try other rhythms</RouterLink
                >{{ ' ' }}
                <span class="small soft">Every visit is reckoned like those of late, whatever its phase.</span>
              </p>
              <p v-else-if="endDays <= 0" class="soft">Its day has passed.</p>
              <p v-else-if="forecast.state.value !== 'failed'" class="soft" role="status">The forecast is being worked out …</p>
              <p v-else class="soft">No forecast: {{ forecast.failure.value || forecast.problem.value?.message }}</p>
            </template>
            <p v-else-if="goals.file.value" class="soft">
              No goal with a day and readings. <RouterLink :to="`/athlete/${athleteId}`">Set one beside its chart</RouterLink>
            </p>
            <ProblemNote v-if="goals.problem.value" :problem="goals.problem.value" />
            <details v-if="mayChange" class="starts">
              <summary>Whom they follow, and which events they are at</summary>
              <PickOne
                v-if="file.couldFollow.length > 1"
                label="Follows"
                size="small"
                :value="plan.follows ?? 'first'"
                :options="[
                  { value: 'first', label: 'follows the first with a line' },
                  ...file.couldFollow.map((each) => ({ value: each.id, label: `follows ${each.name}` })),
                ]"
                :disabled="!mayChange || busy"
                @change="(id) => change('who is followed', { follows: id === 'first' ? null : id })"
              />

              <label v-for="event in events.filter((each) => each.onDate >= practice.today)" :key="event.id"
                ><input type="checkbox" :checked="event.at" :disabled="busy" @change="notAt(event)" /> {{ event.name }},
                {{ dayWords(event.onDate, practice.today) }}</label
              >
            </details>
          </section>
          <p v-else class="soft small">Choose an athlete to see a goal on the same weeks.</p>
          <p v-if="nowWords" class="now">{{ nowWords }}</p>
          <p v-if="unsaved" class="wrong" role="alert">{{ unsaved }}</p>
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

.words p {
  margin: 0 0 6px;
}

.chance {
  color: var(--plum);
  font-family: var(--figures);
  font-size: 18px;
}

.under {
  color: var(--clay-text);
}

.now {
  margin: 4px 0 0;
  font-weight: 600;
}

.starts label {
  display: block;
  padding: 4px 0;
}

@media (max-width: 1180px) {
  .layout {
    grid-template-columns: minmax(0, 1fr);
  }
}

@media (max-width: 700px) {
  .scroll {
    overflow-x: auto;
  }

  .scroll > :first-child {
    min-width: 640px;
  }
}
</style>
