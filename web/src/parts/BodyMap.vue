<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { bodyMap, MAP_VIEWS, PATH_SCALE, type MapRegion, type MapView, type RegionId } from '@pace-bend/core/figure';
import ChoiceRow from './ChoiceRow.vue';
import FigureDrawing from './FigureDrawing.vue';
import { touchedRegion } from './touchedRegion.ts';
import { t } from '../words/parts.ts';

/** The body from a side of one's choice, with its muscles to point at: by finger, by pointer, by keys. */
const props = withDefaults(
  defineProps<{
    chosen: readonly RegionId[];
    /** Only this side of what is chosen; left out, both. */
    side?: 'left' | 'right';
    size?: number;
  }>(),
  { side: undefined, size: 460 },
);
const emit = defineEmits<{ choose: [region: MapRegion] }>();

const VIEW_WORDS: Readonly<Record<MapView, string>> = {
  front: t('front'),
  back: t('back'),
  right: t('rightSide'),
  left: t('leftSide'),
  sole: t('sole'),
  hand: t('hand'),
};
/** A finger that lands beside a muscle means the nearest one, within this many centimetres. */
const REACH_CM = 7;

const view = ref<MapView>('front');
const map = computed(() => bodyMap(view.value, props.size));
const shows = (from: MapView, id: RegionId) => bodyMap(from, props.size).regions.some((region) => region.id === id && !region.deep);
/** What is chosen elsewhere, by its name, is turned to where it can be seen. */
watch(
  () => props.chosen[0],
  (id) => {
    if (id === undefined || map.value.regions.some((region) => region.id === id)) return;
    view.value = MAP_VIEWS.find((each) => shows(each, id)) ?? view.value;
  },
  { immediate: true },
);
const pointed = ref<MapRegion | null>(null);
const isChosen = ({ id, side }: MapRegion) => props.chosen.includes(id) && (props.side === undefined || !side || side === props.side);
const nameOf = ({ words, side, deep }: MapRegion) => `${words}${side ? `, ${side}` : ''}${deep ? t('deep') : ''}`;

function onTouch(event: MouseEvent): void {
  const region = touchedRegion(event, map.value.regions, REACH_CM);
  if (region) emit('choose', region);
}
</script>

<template>
  <div class="map">
    <ChoiceRow
      :label="t('seenFrom')"
      :options="MAP_VIEWS.map((value) => ({ value, label: VIEW_WORDS[value] }))"
      :value="view"
      @change="(to) => to && (view = to)"
    />
    <FigureDrawing class="body" :drawing="map.drawing" :size="size">
      <g class="regions" @click="onTouch">
        <rect
          :x="map.drawing.box.x * PATH_SCALE"
          :y="map.drawing.box.y * PATH_SCALE"
          :width="map.drawing.box.width * PATH_SCALE"
          :height="map.drawing.box.height * PATH_SCALE"
          fill="transparent"
        />
        <path
          v-for="region in map.regions"
          :key="`${region.id}/${region.side ?? ''}`"
          :d="region.d"
          role="button"
          tabindex="0"
          data-region
          :aria-label="nameOf(region)"
          :aria-pressed="isChosen(region)"
          :class="{ chosen: isChosen(region), deep: region.deep }"
          @pointerenter="pointed = region"
          @pointerleave="pointed = null"
          @focus="pointed = region"
          @blur="pointed = null"
          @keydown.enter.prevent="emit('choose', region)"
          @keydown.space.prevent="emit('choose', region)"
        />
      </g>
    </FigureDrawing>
    <p class="soft said" aria-live="polite">{{ pointed ? nameOf(pointed) : t('pointMuscle') }}</p>
  </div>
</template>

<style scoped>
.map {
  display: grid;
  justify-items: center;
  gap: 8px;
}

.body {
  height: auto;
  max-height: 62vh;
}

path {
  fill: var(--fig-muscle);
  fill-opacity: 0.1;
  stroke: var(--fig-muscle);
  stroke-opacity: 0.5;
  stroke-width: 7;
  cursor: pointer;
}

path.deep {
  stroke-dasharray: 32 24;
}

path:hover,
path:focus-visible {
  fill-opacity: 0.45;
  outline: none;
  stroke-opacity: 1;
  stroke-width: 16;
}

path.chosen {
  fill-opacity: 0.9;
}

.said {
  min-height: 1.5em;
  margin: 0;
}
</style>
