<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import DatePicker from 'ant-design-vue/es/date-picker';
import { DateTime } from 'luxon';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { addDays, CONTESTED, loadKindsOf } from '@pace-bend/core/load';
import type { Squad } from '@pace-bend/core/record';
import { api } from '../api/api.ts';
import { isKey } from '../parts/keys.ts';
import { isTyping } from '../parts/useGlobalKeys.ts';
import PickOne from '../parts/PickOne.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import SavingState from '../unsent/SavingState.vue';
import { useLoads } from '../stores/loads.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import { cellsOf, figuresOf, mondayOf } from './week.ts';
import { useWeekEdits, type Row } from './useWeekEdits.ts';
import WeekGrid from './WeekGrid.vue';
import { useWindowKeys } from '../parts/useWindowKeys.ts';
import { t } from '../words/load.ts';

/** A squad's week, a row a person, a cell a day: typed, pasted, undone; and what the week comes to. */
const practice = usePractice();
const session = useSession();
const store = useLoads();
const route = useRoute();
const router = useRouter();
const { problem, run } = useAction();
const squads = shallowRef<readonly Squad[]>([]);
const squadId = ref('all');
const monday = ref('');
const onlyId = computed(() => (typeof route.query.athlete === 'string' ? route.query.athlete : null));

const load = () => store.load(squadId.value === 'all' ? null : squadId.value, addDays(monday.value, 6));
onMounted(() =>
  run(async () => {
    await practice.load();
    monday.value = mondayOf(practice.today);
    squads.value = (await api<{ squads: Squad[] }>('GET', '/squads')).squads;
    await load();
  }),
);
watch([monday, squadId], (_now, [before]) => before !== '' && void load());

const days = computed(() => (monday.value ? Array.from({ length: 7 }, (_, i) => addDays(monday.value, i)) : []));
/** A row is worked out anew only when its athlete changed. */
const cache = new WeakMap<object, { readonly monday: string; readonly row: Row }>();
const rows = computed<Row[]>(() =>
  store.athletes
    .filter(({ id }) => onlyId.value === null || id === onlyId.value)
    .map((athlete) => {
      const known = cache.get(athlete);
      if (known?.monday === monday.value) return known.row;
      const kinds = loadKindsOf(practice.played(athlete.sports));
      const row: Row = {
        id: athlete.id,
        name: athlete.name,
        kinds,
        cells: cellsOf(athlete.loads, monday.value, kinds),
        figures: figuresOf(athlete.loads, monday.value, practice.today),
      };
      cache.set(athlete, { monday: monday.value, row });
      return row;
    }),
);
const unsentSpots = computed(() => new Set(store.unsent.map((change) => change.record)));

const { done, edit, undo } = useWeekEdits(rows, days);
const wrong = ref('');
const grid = ref<InstanceType<typeof WeekGrid> | null>(null);
const keep = () => grid.value?.keep() ?? true;

const dayWords = (day: string) => DateTime.fromISO(day).toFormat('ccc d LLL');

function onWindowKey(event: KeyboardEvent): void {
  if (!isTyping(event) && isKey(event, 'undo')) {
    event.preventDefault();
    undo();
  }
}
useWindowKeys(onWindowKey);
</script>

<template>
  <div class="page">
    <header>
      <h1>{{ t('load') }}</h1>
      <PickOne
        v-if="squads.length > 0 && !onlyId"
        class="which"
        :label="t('squadShown')"
        :value="squadId"
        :options="[{ value: 'all', label: t('everybody2') }, ...squads.map((each) => ({ value: each.id, label: each.name }))]"
        @change="
          (id) => {
            keep();
            squadId = id;
          }
        "
      />
      <button v-if="onlyId" type="button" class="link" @click="router.push('/load')">{{ t('everybody') }}</button>
      <div v-if="monday" class="weeks">
        <Button :aria-label="t('weekBack')" @click="monday = addDays(monday, -7)">‹</Button>
        <label class="unseen" for="load-week">{{ t('week') }}</label>
        <DatePicker
          id="load-week"
          :value="monday"
          value-format="YYYY-MM-DD"
          picker="week"
          :allow-clear="false"
          :format="() => `${dayWords(monday)} – ${dayWords(addDays(monday, 6))}`"
          @change="(day) => day && (monday = mondayOf(String(day)))"
        />
        <Button :aria-label="t('aWeekOn')" :disabled="addDays(monday, 7) > practice.today" @click="monday = addDays(monday, 7)">›</Button>
      </div>
      <span class="end choices">
        <SavingState :state="store.saveState" />
        <Button :disabled="done.length === 0" @click="undo">{{ t('undo') }}</Button>
        <Button v-if="session.may('POST', '/import/loads')" @click="router.push('/load/read-in')">{{ t('import2') }}</Button>
      </span>
    </header>
    <ProblemNote v-if="problem || store.problem" :problem="(problem ?? store.problem)!" :retry="load" />
    <p v-else-if="!store.served" class="soft">{{ t('openingWeek') }}</p>
    <p v-else-if="rows.length === 0" class="card soft">{{ t('nobodyHereYet') }}</p>
    <template v-else>
      <p class="soft small">
        {{ t('minutesThenHowHard') }} <b>60 7</b>{{ t('anotherKindHowBegins') }} <b>{{ t('str456') }}</b>{{ t('twoSessionsSemicolon') }}
      </p>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <p v-for="change in store.refused" :key="change.id" class="wrong" role="alert">
        {{ change.refusal!.message }} <button type="button" class="link" @click="store.drop(change.id)">{{ t('discardIt') }}</button>
      </p>
      <WeekGrid ref="grid" v-model:wrong="wrong" :rows="rows" :days="days" :unsent="unsentSpots" :edit="edit" />
      <p class="soft small">
        {{ t('loadExertionMinutesRest', { contested: CONTESTED }) }}
      </p>
    </template>
  </div>
</template>

<style scoped>
.which {
  width: 160px;
}

.weeks {
  display: flex;
  gap: 4px;
}

.weeks :deep(.ant-picker) {
  width: 220px;
}
.unseen {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
</style>
