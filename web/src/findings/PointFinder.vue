<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { POINTS, pointPlace, pointSubject, REFERS_MOST, THIRDS, type PointData, type Third } from '@pace-bend/core/finding';
import { REGIONS, type MapRegion, type RegionId } from '@pace-bend/core/figure';
import BodyMap from '../parts/BodyMap.vue';
import ChoiceRow from '../parts/ChoiceRow.vue';
import PickOne from '../parts/PickOne.vue';
import { SIDE_WORDS } from '../parts/words.ts';
import type { Findings } from './useFindings.ts';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/findings.ts';

/** What a finger finds in a muscle: the place by a tap on the body or by name, then what it is and how tender. */
const props = defineProps<{
  findings: Findings;
  disabled: boolean;
  /** A place to look at again. */
  at: { readonly subject: string; readonly side: 'left' | 'right' } | null;
}>();

const muscle = ref<RegionId | null>(null);
const third = ref<Third>('middle');
const side = ref<'left' | 'right'>('left');
watch(
  () => props.at,
  (at) => {
    const place = at && pointPlace(at.subject);
    if (!place) return;
    muscle.value = place.muscle;
    third.value = place.third;
    side.value = at.side;
  },
  { immediate: true },
);

const MUSCLES = (Object.keys(REGIONS) as RegionId[])
  .map((id) => ({ value: id, label: REGIONS[id].words }))
  .sort((a, b) => (a.label < b.label ? -1 : 1));
const KINDS = POINTS.map(({ id, name }) => ({ value: id, label: name }));
const SIDES = (['left', 'right'] as const).map((value) => ({ value, label: SIDE_WORDS[value] }));
const PARTS = THIRDS.map((value) => ({ value, label: t('third', { value }) }));
const SCORES = Array.from({ length: 11 }, (_, score) => ({ value: score, label: String(score) }));

const place = computed(() =>
  muscle.value === null
    ? null
    : ({ kind: 'point', subject: pointSubject({ muscle: muscle.value, third: third.value }), side: side.value } as const),
);
const data = computed(() => (place.value ? props.findings.read<'point'>(place.value) : null));
const problem = computed(() => (place.value ? props.findings.problemOf(place.value) : null));

function point(region: MapRegion): void {
  muscle.value = region.id;
  if (region.side) side.value = region.side;
}
/** What is taken back whole takes the point back. */
function change(patch: Partial<PointData>): void {
  const now: PointData = data.value ?? { what: 'sore', tenderness: null, refers: '' };
  props.findings.write({ ...place.value!, data: { ...now, ...patch } });
}
</script>

<template>
  <div class="holder">
    <div class="finder">
      <BodyMap :chosen="muscle ? [muscle] : []" :side="side" :size="340" @choose="point" />
      <div class="fields">
        <PickOne
          :label="t('muscle')"
          search
          :value="muscle"
          :placeholder="t('tapBodyTypeName')"
          :options="MUSCLES"
          @change="(id) => (muscle = id)"
        />
        <div class="row">
          <ChoiceRow :label="t('sidePoint')" :options="SIDES" :value="side" @change="(to) => to && (side = to)" />
          <ChoiceRow :label="t('thirdMuscle')" :options="PARTS" :value="third" @change="(to) => to && (third = to)" />
        </div>
        <p v-if="!place" class="soft small">{{ t('firstMuscleThenWhat') }}</p>
        <template v-else>
          <ChoiceRow
            :label="t('whatThere')"
            :options="KINDS"
            :value="data?.what ?? null"
            :disabled="disabled"
            @change="(what) => (what === null ? findings.write({ ...place!, data: null }) : change({ what }))"
          />
          <div class="scores">
            <span class="small soft">{{ t('tender010') }}</span>
            <ChoiceRow
              :label="t('tenderness010')"
              :options="SCORES"
              :value="data?.tenderness ?? null"
              :disabled="disabled || data === null"
              @change="(tenderness) => change({ tenderness })"
            />
          </div>
          <label class="small"
            >{{ t('feltSomewhereElseWell')
            }}<TextInput
              :model-value="data?.refers ?? ''"
              :maxlength="REFERS_MOST"
              :disabled="disabled || data === null"
              :placeholder="t('whereTheirWords')"
              @change="change({ refers: ($event.target as HTMLInputElement).value.trim() })"
          /></label>
          <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
        </template>
      </div>
    </div>
  </div>
</template>

<style scoped>
/* By the room there is, on a page or in a sheet over the table. */
.holder {
  container-type: inline-size;
}

.finder {
  display: grid;
  grid-template-columns: minmax(200px, 320px) minmax(0, 1fr);
  align-items: start;
  gap: 14px 26px;
}

.fields {
  display: grid;
  gap: 12px;
}

/* Two rows of what a finger hits, at every width. */
.scores :deep(.row) {
  display: grid;
  grid-template-columns: repeat(6, minmax(0, 1fr));
  gap: 6px;
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
}

label {
  display: grid;
  gap: 3px;
}

p {
  margin: 0;
}

@container (max-width: 720px) {
  .finder {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
