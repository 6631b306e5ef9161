<script setup lang="ts">
import { computed, useId } from 'vue';
import { PATH_SCALE, type Drawing, type Shape } from '@pace-bend/core/figure';

/** Paints a drawing of the body: every shape as it stands in the list, in the theme's tones. */
const props = defineProps<{
  drawing: Drawing;
  /** Height in pixels. */
  size: number;
  /** Said to those who do not see it; left out where the words beside it say the same. */
  label?: string;
}>();

const id = useId();
/** Centimetres as the paths count them. */
const k = (cm: number): number => Math.round(cm * PATH_SCALE * 100) / 100;
const box = computed(() => props.drawing.box);
const cuts = computed(() => {
  const asked = new Set(props.drawing.shapes.flatMap((shape) => (shape.cut ? [shape.cut] : [])));
  return props.drawing.shapes.filter((shape) => shape.name !== undefined && asked.has(shape.name));
});
const hatched = computed(() => props.drawing.shapes.some((shape) => shape.hatch));
/** Lines of the hatching, so wide that they are told apart at this size. */
const step = computed(() => k((box.value.height / props.size) * 5));
const insetSize = computed(() => Math.round((props.size * (props.drawing.inset?.at.height ?? 1)) / box.value.height));
const tone = (name: string): string => `var(--fig-${name})`;
const fillOf = (shape: Shape): string => (shape.hatch ? `url(#${id}-hatch)` : shape.fill ? tone(shape.fill) : 'none');
</script>

<template>
  <svg
    class="figure"
    :width="Math.round((size * box.width) / box.height)"
    :height="size"
    :viewBox="[box.x, box.y, box.width, box.height].map(k).join(' ')"
    :role="label ? 'img' : undefined"
    :aria-label="label"
    :aria-hidden="label || $slots.default ? undefined : 'true'"
  >
    <defs v-if="cuts.length > 0 || hatched">
      <clipPath v-for="cut in cuts" :id="`${id}-${cut.name}`" :key="cut.name"><path :d="cut.d" /></clipPath>
      <pattern v-if="hatched" :id="`${id}-hatch`" :width="step" :height="step" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path :d="`M0 0V${step}`" :stroke="tone('deep')" :stroke-width="step * 0.8" />
      </pattern>
    </defs>
    <template v-for="(shape, i) in drawing.shapes" :key="i">
      <text
        v-if="shape.text"
        :x="k(shape.text.at[0])"
        :y="k(shape.text.at[1])"
        :font-size="k(shape.text.size)"
        :fill="tone(shape.fill ?? 'ink')"
        text-anchor="middle"
        dominant-baseline="central"
      >
        {{ shape.text.said }}
      </text>
      <path
        v-else
        :d="shape.d"
        :fill="fillOf(shape)"
        :stroke="shape.line ? tone(shape.line) : undefined"
        :stroke-width="shape.line ? k(shape.width ?? 0.5) : undefined"
        :stroke-dasharray="shape.dash?.map(k).join(' ')"
        :stroke-linecap="shape.dash ? 'butt' : 'round'"
        :paint-order="shape.fill && shape.line && !shape.hatch ? 'stroke' : undefined"
        :clip-path="shape.cut ? `url(#${id}-${shape.cut})` : undefined"
        :data-tone="shape.line && !shape.fill ? shape.line : shape.fill"
      />
    </template>
    <template v-if="drawing.inset">
      <rect
        class="inset"
        :x="k(drawing.inset.at.x)"
        :y="k(drawing.inset.at.y)"
        :width="k(drawing.inset.at.width)"
        :height="k(drawing.inset.at.height)"
        :stroke-width="k((box.height / size) * 1.2)"
      />
      <g :transform="`translate(${k(drawing.inset.at.x)} ${k(drawing.inset.at.y)}) scale(${k(drawing.inset.at.height) / insetSize})`">
        <FigureDrawing :drawing="drawing.inset.drawing" :size="insetSize" />
      </g>
    </template>
    <slot />
  </svg>
</template>

<style scoped>
.figure {
  display: block;
  flex: none;
  max-width: 100%;
  height: auto;
  stroke-linejoin: round;
}

text {
  font-family: var(--figures);
  font-weight: 700;
}

.inset {
  fill: var(--fig-paper);
  stroke: var(--fig-table-edge);
}
</style>
