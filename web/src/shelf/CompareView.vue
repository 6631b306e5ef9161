<script setup lang="ts">
import { computed, onMounted } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { fits, phaseFamily, phaseKind, type Cue, type Method } from '@pace-bend/core/method';
import { formatDuration } from '@pace-bend/core/record';
import type { Entry } from '@pace-bend/core/catalogue';
import PickOne from '../parts/PickOne.vue';
import StairDrawing from '../parts/StairDrawing.vue';
import StairLegend from '../parts/StairLegend.vue';
import { useShelf } from '../stores/shelf.ts';
import { wayLine, type WayLine } from './wayLine.ts';
import { sureWords } from './wayWords.ts';
import EntryPicture from '../parts/EntryPicture.vue';
import ShelfTabs from './ShelfTabs.vue';
import { t } from '../words/shelf.ts';

/** Any two ways of working side by side: two stairs on the same axes, times, efforts, breath, dose, ceiling, sources. */
const shelf = useShelf();
const route = useRoute();
const router = useRouter();
onMounted(() => void shelf.load().catch(() => undefined));

const asked = (name: string) => (typeof route.query[name] === 'string' ? String(route.query[name]) : '');
const methodAt = (name: string, other: string) => shelf.shelf.methods.get(asked(name)) ?? shelf.shelf.methods.get(other)!;
const a = computed(() => methodAt('a', 'cr-breath'));
const b = computed(() => methodAt('b', a.value.id === 'static-hold' ? 'cr-breath' : 'static-hold'));
/** An entry that both fit if there is one; each its own otherwise. */
const shared = computed(
  () =>
    shelf.shelf.entries.get(asked('entry')) ??
    shelf.entries.find((entry) => entry.stage === 'specific' && fits(entry, a.value) && fits(entry, b.value)) ??
    shelf.entries.find((entry) => fits(entry, a.value) && fits(entry, b.value)) ??
    null,
);

interface Side extends WayLine {
  readonly entry: Entry;
  readonly method: Method;
  readonly rows: readonly { readonly label: string; readonly value: string }[];
}

function sideOf(method: Method): Side {
  const entry = shared.value && fits(shared.value, method) ? shared.value : shelf.entries.find((each) => fits(each, method))!;
  const line = wayLine(method, entry, shelf.shelf);
  const { dose } = line;
  const numberOf = (id: string) => {
    const spec = method.numbers.find((each) => each.id === id);
    return spec && Array.isArray(spec.default) ? spec.default.join(' → ') : null;
  };
  const efforts = numberOf('effort');
  /** Seconds of every press there is, by the numbers they come from: a practice’s own round may have several. */
  const presses = [...new Set(line.cues.flatMap((cue) => (cue.kind === 'contract' && cue.madeOf?.seconds ? [cue.madeOf.seconds] : [])))]
    .map(numberOf)
    .join(' and ');
  return {
    entry,
    method,
    ...line,
    rows: [
      { label: t('for'), value: method.purpose },
      { label: t('breath'), value: method.breathWords },
      { label: t('rounds'), value: String(method.rounds.default) },
      { label: t('press'), value: presses === '' ? 'none' : t('sAt', { presses, efforts }) },
      { label: t('endRange'), value: t('sSide', { endRangeMs: Math.round(dose.endRangeMs / 1000) }) },
      { label: t('contracting'), value: t('sASide', { contractMs: Math.round(dose.contractMs / 1000) }) },
      { label: t('inAll'), value: t('aSide', { duration: formatDuration(dose.totalMs) }) },
      { label: t('stopAbove'), value: t('of10', { numberOf: numberOf('painCeiling') }) },
      { label: t('schoolsDiffer'), value: method.schoolsDiffer },
    ],
  };
}
const sides = computed(() => [sideOf(a.value), sideOf(b.value)] as const);
/** The same axes: as long as the longer, as high as the higher, where both count alike. */
const sameAxis = computed(() => sides.value[0].unit === sides.value[1].unit && sides.value[0].entryName === sides.value[1].entryName);
const longestMs = computed(() => Math.max(...sides.value.map((side) => timed(side.cues))));
const timed = (cues: readonly Cue[]) => cues.reduce((sum, cue) => sum + (cue.open ? 0 : cue.endMs - cue.startMs), 0);
const edges = computed(() =>
  sameAxis.value
    ? sides.value.flatMap((side) =>
        side.cues.flatMap((cue) =>
          phaseFamily(phaseKind(cue.kind).family).outside || phaseKind(cue.kind).family === 'move' ? [cue.edge] : [cue.edge, cue.to],
        ),
      )
    : [],
);
const spread = computed(() =>
  edges.value.length > 0 ? [Math.min(...edges.value), Math.max(...edges.value)].map((value) => ({ atLineMs: -1, value })) : [],
);
const choose = (name: 'a' | 'b', id: string) => router.replace({ query: { ...route.query, a: a.value.id, b: b.value.id, [name]: id } });
const options = computed(() => shelf.methods.map((method) => ({ value: method.id, label: method.name })));
</script>

<template>
  <div class="page">
    <header>
      <h1>{{ t('sideSide') }}</h1>
      <ShelfTabs here="compare" />
    </header>
    <p class="soft small">
      {{
        sameAxis
          ? t('bothOneSideSame', { entryName: sides[0].entryName })
          : t('theyDoNotFit', { entryName: sides[0].entryName, entryName2: sides[1].entryName })
      }}
    </p>
    <div class="pair">
      <section v-for="(side, i) in sides" :key="i" class="card" :aria-label="t('wayWorking', { what: i === 0 ? t('first') : t('second') })">
        <PickOne
          class="pick"
          :value="side.method.id"
          :label="i === 0 ? t('firstWayWorking') : t('secondWayWorking')"
          search
          :options="options"
          @change="(id) => choose(i === 0 ? 'a' : 'b', id)"
        />
        <div class="about">
          <EntryPicture :entry="side.entry" :size="110" :shape="1.35" />
          <p class="small what">{{ side.method.what }}</p>
        </div>
        <div :style="{ width: `${Math.max(30, (100 * timed(side.cues)) / longestMs)}%` }">
          <StairDrawing
            :cues="side.cues"
            :better="side.better"
            :unit="side.unit"
            :height="220"
            :read-edges="spread"
            :label="t('stairPhases', { name: side.method.name, count: side.cues.length })"
          />
        </div>
        <StairLegend :cues="side.cues" />
      </section>
    </div>
    <section class="card table" :aria-label="t('compared')">
      <table>
        <thead>
          <tr>
            <td />
            <th v-for="side in sides" :key="side.method.id" scope="col">{{ side.method.name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, i) in sides[0].rows" :key="row.label" :class="{ differs: row.value !== sides[1].rows[i]!.value }">
            <th scope="row">{{ row.label }}</th>
            <td>{{ row.value }}</td>
            <td>{{ sides[1].rows[i]!.value }}</td>
          </tr>
          <tr>
            <th scope="row">{{ t('claims') }}</th>
            <td v-for="side in sides" :key="side.method.id">
              <p v-for="claim in side.method.claims" :key="claim.text" class="small">
                {{ claim.text }} <b>{{ sureWords(claim.sure) }}</b> <span class="soft">{{ claim.source }}</span>
              </p>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>

<style scoped>
.about {
  display: flex;
  align-items: center;
  gap: 14px;
}

.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(420px, 100%), 1fr));
  gap: 0 16px;
  min-width: 0;
  margin: 8px 0 16px;
}

/* One height for words and stairs on both sides: axes that are compared lie on one line. */
.pair > section {
  display: grid;
  grid-row: span 4;
  grid-template-rows: subgrid;
  grid-template-columns: minmax(0, 1fr);
  margin-bottom: 8px;
}

.pick {
  width: 100%;
}

.what {
  padding: 6px 0;
}

.table {
  overflow-x: auto;
}

table {
  width: 100%;
  border-collapse: collapse;
}

th,
td {
  padding: 6px 14px 6px 0;
  border-bottom: 1px solid var(--line-faint);
  text-align: left;
  vertical-align: top;
}

tbody th {
  width: 118px;
  color: var(--soft);
  font-weight: 500;
}

tbody td {
  width: 44%;
}

.differs td {
  font-weight: 600;
}
</style>
