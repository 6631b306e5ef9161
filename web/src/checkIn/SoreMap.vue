<script setup lang="ts">
import { computed } from 'vue';
import { muscleFacts } from '@pace-bend/core/body';
import { bodyMap, muscleAt, PATH_SCALE, type MapRegion } from '@pace-bend/core/figure';
import type { SorePlace } from '@pace-bend/core/readiness';
import FigureDrawing from '../parts/FigureDrawing.vue';
import { touchedRegion } from '../parts/touchedRegion.ts';
import { scored, toggled } from './answers.ts';
import { t } from '../words/checkIn.ts';

/** Where it is sore: front and back beside each other, a tap puts a place down, the same tap takes it away. */
const props = withDefaults(defineProps<{ sore: readonly SorePlace[] | null; size?: number; disabled?: boolean }>(), {
  size: 236,
  disabled: false,
});
const emit = defineEmits<{ change: [sore: SorePlace[]] }>();

/** A thumb lands somewhere near. */
const REACH_CM = 9;
const VIEWS = [
  { id: 'front', words: t('front') },
  { id: 'back', words: t('back') },
] as const;
const maps = computed(() => VIEWS.map((view) => ({ ...view, map: bodyMap(view.id, props.size) })));
const places = computed(() => props.sore ?? []);
const placeOf = (region: MapRegion) => ({ muscle: muscleAt(region.id), side: region.side });
const scoreAt = (region: MapRegion) => {
  const { muscle, side } = placeOf(region);
  return places.value.find((each) => each.muscle === muscle && each.side === side)?.score ?? null;
};
const nameOf = ({ muscle, side }: Pick<SorePlace, 'muscle' | 'side'>) => {
  const { name } = muscleFacts(muscle);
  return `${name[0]!.toUpperCase()}${name.slice(1)}${side ? `, ${side}` : ''}`;
};
/** One mark a place, on its largest region. */
const marksOf = (regions: readonly MapRegion[]) =>
  places.value.flatMap((place) => {
    const [largest] = regions
      .filter((region) => muscleAt(region.id) === place.muscle && region.side === place.side)
      .sort((a, b) => b.area - a.area);
    return largest ? [{ place, at: largest.centre }] : [];
  });

function onTouch(event: MouseEvent, regions: readonly MapRegion[]): void {
  const region = props.disabled ? null : touchedRegion(event, regions, REACH_CM);
  if (region) emit('change', toggled(places.value, placeOf(region)));
}
</script>

<template>
  <div class="sore">
    <div class="bodies">
      <figure v-for="{ id, words, map } in maps" :key="id">
        <figcaption class="soft small">{{ words }}</figcaption>
        <FigureDrawing :drawing="map.drawing" :size="size">
          <g @click="onTouch($event, map.regions)">
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
              data-region
              role="button"
              :tabindex="disabled ? -1 : 0"
              :aria-label="nameOf(placeOf(region))"
              :aria-pressed="scoreAt(region) !== null"
              :class="{ on: scoreAt(region) !== null }"
              @keydown.enter.prevent="disabled || emit('change', toggled(places, placeOf(region)))"
              @keydown.space.prevent="disabled || emit('change', toggled(places, placeOf(region)))"
            />
            <g v-for="{ place, at } in marksOf(map.regions)" :key="`${place.muscle}/${place.side}`" class="mark" aria-hidden="true">
              <circle :cx="at[0] * PATH_SCALE" :cy="at[1] * PATH_SCALE" :r="7.5 * PATH_SCALE" />
              <text :x="at[0] * PATH_SCALE" :y="(at[1] + 3.4) * PATH_SCALE" :font-size="9.5 * PATH_SCALE" text-anchor="middle">{{
                place.score
              }}</text>
            </g>
          </g>
        </FigureDrawing>
      </figure>
    </div>
    <div class="places">
      <p v-if="places.length === 0" class="soft small">{{ sore === null ? t('tapPlaceThenSay') : t('nowhereSore') }}</p>
      <div v-for="place in places" :key="`${place.muscle}/${place.side}`" class="place" role="group" :aria-label="nameOf(place)">
        <span class="name"
          >{{ nameOf(place) }}<small class="soft">{{ t('howMuch10') }}</small></span
        >
        <button
          type="button"
          class="step"
          :disabled="disabled"
          :aria-label="t('less', { nameOf: nameOf(place) })"
          @click="emit('change', scored(places, place, -1))"
        >
          −
        </button>
        <b class="num" aria-live="polite">{{ place.score }}</b>
        <button
          type="button"
          class="step"
          :disabled="disabled"
          :aria-label="t('more', { nameOf: nameOf(place) })"
          @click="emit('change', scored(places, place, 1))"
        >
          +
        </button>
      </div>
      <button
        type="button"
        class="nowhere"
        :disabled="disabled"
        :aria-pressed="sore !== null && places.length === 0"
        @click="emit('change', [])"
      >
        {{ places.length > 0 ? t('clearAll') : t('nowhere') }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.sore {
  display: grid;
  grid-template-columns: auto minmax(150px, 1fr);
  gap: 14px;
  align-items: start;
}

.bodies {
  display: flex;
  gap: 4px;
}

figure {
  margin: 0;
  text-align: center;
}

path {
  fill: transparent;
  cursor: pointer;
}

path:focus-visible {
  stroke: var(--ink);
  stroke-width: 24;
  outline: none;
}

path.on {
  fill: var(--clay);
  fill-opacity: 0.35;
}

.mark circle {
  fill: var(--clay);
  stroke: var(--paper);
  stroke-width: 20;
}

.mark text {
  fill: #fff;
  font-family: var(--figures);
  font-weight: 700;
}

.mark {
  pointer-events: none;
}

.places {
  display: grid;
  gap: 8px;
  align-content: start;
}

.place {
  display: grid;
  grid-template-columns: 48px 1fr 48px;
  align-items: center;
  gap: 6px;
  padding-left: 8px;
  border-left: 3px solid var(--clay);
  text-align: center;
}

.name {
  grid-column: 1 / -1;
  font-weight: 600;
  text-align: left;
}

.name small {
  display: block;
  font-weight: 400;
}

.place b {
  font-size: 24px;
}

.step,
.nowhere {
  min-height: 48px;
  border: 1.5px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  font: inherit;
  font-size: 20px;
  cursor: pointer;
}

.nowhere {
  font-size: 15px;
}

.nowhere[aria-pressed='true'] {
  border: 2.5px solid var(--spruce);
  font-weight: 700;
}

@container check-in (max-width: 372px) {
  .sore {
    grid-template-columns: minmax(0, 1fr);
    justify-items: center;
  }

  .places {
    width: 100%;
  }
}
</style>
