<script setup lang="ts">
import { PHASE_FAMILIES, type PhaseFamily } from '@pace-bend/core/method';
import { PHASE_PATTERNS } from './phasePatterns.ts';

/** The patterns of phases as fills of a drawing: `url(#<prefix>-<family>)`. */
defineProps<{ prefix: string; families?: readonly PhaseFamily[] }>();

const ALL = (Object.keys(PHASE_FAMILIES) as PhaseFamily[]).flatMap((family) => {
  const { pattern } = PHASE_FAMILIES[family];
  return pattern === null ? [] : [{ family, tile: PHASE_PATTERNS[pattern] }];
});
</script>

<template>
  <defs>
    <pattern
      v-for="{ family, tile } in families ? ALL.filter((each) => families!.includes(each.family)) : ALL"
      :id="`${prefix}-${family}`"
      :key="family"
      :width="tile.width"
      :height="tile.height"
      patternUnits="userSpaceOnUse"
      :patternTransform="tile.turned ? 'rotate(45)' : undefined"
    >
      <path
        :d="tile.path"
        :fill="tile.filled ? `var(--phase-${family}-mark)` : 'none'"
        :stroke="tile.filled ? 'none' : `var(--phase-${family}-mark)`"
        :stroke-width="tile.stroke"
        :opacity="tile.faint ? 0.55 : undefined"
      />
    </pattern>
  </defs>
</template>
