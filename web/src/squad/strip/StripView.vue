<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import Button from 'ant-design-vue/es/button';
import { motionOf } from '@pace-bend/core/body';
import { sortStrip, stripOf, type Squad, type SquadStrip, type StripOrder } from '@pace-bend/core/record';
import { api, ApiProblem } from '../../api/api.ts';
import PickOne from '../../parts/PickOne.vue';
import ProblemNote from '../../parts/ProblemNote.vue';
import { usePractice } from '../../stores/practice.ts';
import StripTable from './StripTable.vue';
import { t } from '../../words/squad.ts';

/** A squad's range at a glance: people down, motions across, small bend pairs where they meet, and what changed. */
const practice = usePractice();
const route = useRoute();
const router = useRouter();
const squads = ref<readonly Squad[] | null>(null);
const page = shallowRef<SquadStrip | null>(null);
const problem = shallowRef<ApiProblem | null>(null);
const order = ref<StripOrder>('worst');
const squadId = computed(() => (typeof route.query.squad === 'string' ? route.query.squad : (squads.value?.[0]?.id ?? null)));

async function ask<T>(work: () => Promise<T>): Promise<void> {
  problem.value = null;
  try {
    await work();
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error;
    problem.value = error;
  }
}
const load = () =>
  ask(async () => {
    await practice.load();
    // The largest squad first: that is whom a glance is for.
    squads.value ??= (await api<{ squads: Squad[] }>('GET', '/squads')).squads.toSorted(
      (a, b) => b.athleteIds.length - a.athleteIds.length,
    );
    const id = squadId.value;
    if (!id) return;
    const found = await api<SquadStrip>('GET', `/squads/${id}/strip`);
    if (id === squadId.value) page.value = found;
  });
onMounted(load);
watch(squadId, () => {
  if (squads.value) void load();
});

const strip = computed(() => (page.value ? stripOf(page.value, practice.dayOf, practice.ownSports) : null));
const rows = computed(() => (strip.value ? sortStrip(strip.value.rows, order.value) : []));
const ORDERS = [
  { value: 'worst', label: t('stiffestFirst') },
  { value: 'changed', label: t('mostChangedFirst') },
  { value: 'name', label: t('byName') },
] as const;
const orderValue = computed(() => (typeof order.value === 'object' ? null : order.value));

/** What really changed since each one's reading before, the largest against its error first. */
const changes = computed(() =>
  rows.value
    .flatMap((row) =>
      [...row.cells].flatMap(([motionId, cell]) =>
        cell.changes.map((change) => ({
          key: `${row.id}/${motionId}/${change.side}`,
          id: row.id,
          name: row.name,
          motion: motionOf(motionId),
          ...change,
        })),
      ),
    )
    .sort((a, b) => Math.abs(b.verdict.gain) / b.verdict.mdc - Math.abs(a.verdict.gain) / a.verdict.mdc),
);
const MOST_CHANGES = 12;
</script>

<template>
  <div class="page">
    <header>
      <h1>{{ t('range') }}</h1>
      <PickOne
        v-if="squads && squads.length > 0 && squadId"
        :label="t('squad')"
        :value="squadId"
        :options="squads.map((squad) => ({ value: squad.id, label: squad.name }))"
        @change="(id) => router.replace({ query: { squad: id } })"
      />
      <PickOne
        :label="t('order')"
        :value="orderValue"
        :placeholder="t('oneMotion')"
        :options="ORDERS"
        @change="
          (value) => {
            order = value;
          }
        "
      />
      <span class="end"
        ><Button @click="router.push('/squad')">{{ t('allAthletes') }}</Button></span
      >
    </header>
    <ProblemNote v-if="problem" :problem="problem" :retry="load" />
    <p v-else-if="squads && squads.length === 0" class="soft">
      {{ t('thereNoSquadYet') }}
    </p>
    <template v-else-if="strip">
      <section class="card changed" :aria-label="t('whatChanged')">
        <h2>{{ t('whatChanged') }}</h2>
        <p v-if="changes.length === 0" class="soft small">{{ t('nothingBeyondMeasuringError') }}</p>
        <ul v-else class="small">
          <li v-for="each in changes.slice(0, MOST_CHANGES)" :key="each.key">
            <RouterLink :to="{ path: `/athlete/${each.id}`, query: { motion: each.motion.id } }"
              ><b>{{ each.name }}</b></RouterLink
            >
            {{ each.motion.name.toLowerCase() }}{{ each.side === 'midline' ? '' : `, ${each.side}` }}
            <span :class="{ low: each.verdict.gain < 0 }">{{ each.verdict.words.split(',')[0] }}</span>
          </li>
          <li v-if="changes.length > MOST_CHANGES" class="soft">{{ t('andMore2', { what: changes.length - MOST_CHANGES }) }}</li>
        </ul>
      </section>
      <section class="card strip" :aria-label="t('squadStrip')" tabindex="0">
        <p v-if="rows.length === 0" class="soft empty">{{ t('nobodySquadYet') }}</p>
        <p v-else-if="strip.motions.length === 0" class="soft empty">{{ t('nobodySquadMeasuredYet') }}</p>
        <StripTable
          v-else
          :motions="strip.motions"
          :rows="rows"
          :order="order"
          @order="
            (next) => {
              order = next;
            }
          "
        />
      </section>
      <p class="legend small soft">
        <span>{{ t('needleLatestReadingClay') }}</span><span
          ><svg width="22" height="9" aria-hidden="true"><rect width="22" height="9" class="band" /></svg> {{ t('reference') }}</span
        ><span
          ><svg width="12" height="9" aria-hidden="true"><path d="M1 9L6 1L11 9Z" class="up" /></svg> {{ t('realGainSinceReading') }}</span
        ><span
          ><svg width="12" height="9" aria-hidden="true"><path d="M1 1L6 9L11 1Z" class="down" /></svg> {{ t('realLoss') }}</span
        >
      </p>
    </template>
    <p v-else class="soft">{{ t('openingSquad') }}</p>
  </div>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 16px;
}

.page {
  display: grid;
  gap: 14px;
  align-content: start;
}

.changed ul {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 22px;
  margin: 4px 0 0;
  padding: 0;
  list-style: none;
}

.low {
  color: var(--clay-text);
}

.strip {
  padding: 0;
  overflow: auto;
  max-height: calc(100vh - 250px);
}

.empty {
  padding: 22px 18px;
}

.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
}

.band {
  fill: var(--band);
}

.up {
  fill: var(--spruce);
}

.down {
  fill: var(--clay);
}
</style>
