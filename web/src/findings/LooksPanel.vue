<script setup lang="ts">
import { computed, ref } from 'vue';
import { LOOK_GROUPS, LOOKS, type Look } from '@pace-bend/core/finding';
import ChoiceRow from '../parts/ChoiceRow.vue';
import { SIDE_WORDS } from '../parts/words.ts';
import type { Findings } from './useFindings.ts';
import { t } from '../words/findings.ts';

/** What is looked at, group by group: an answer is one press, and pressed again it is taken back. */
const props = defineProps<{ findings: Findings; disabled: boolean; group?: Look['group'] | null }>();
const group = ref<Look['group']>(props.group ?? 'Posture');
const GROUPS = LOOK_GROUPS.map((value) => ({ value, label: value }));
const looks = computed<readonly Look[]>(() => LOOKS.filter((each) => each.group === group.value));
const sidesOf = (look: Look) => (look.sided ? (['left', 'right'] as const) : (['midline'] as const));
const optionsOf = (look: Look) => look.values.map((value) => ({ value, label: value }));
const placeOf = (look: Look, side: 'left' | 'right' | 'midline') => ({ kind: 'look', subject: look.id, side }) as const;
</script>

<template>
  <div class="looks">
    <ChoiceRow :options="GROUPS" :value="group" :label="t('whatLooked')" @change="(value) => value && (group = value)" />
    <ul class="plain">
      <li v-for="look in looks" :key="look.id">
        <span
          ><b>{{ look.name }}</b> <span class="soft small">{{ look.how }}</span></span
        >
        <span class="sides">
          <span v-for="side in sidesOf(look)" :key="side" class="side">
            <span v-if="side !== 'midline'" class="soft small">{{ SIDE_WORDS[side] }}</span>
            <ChoiceRow
              :options="optionsOf(look)"
              :value="findings.read<'look'>(placeOf(look, side))?.value ?? null"
              :label="side === 'midline' ? look.name : `${look.name}, ${side}`"
              :disabled="disabled"
              @change="(value) => findings.write({ ...placeOf(look, side), data: value === null ? null : { value } })"
            />
          </span>
        </span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.looks {
  display: grid;
  gap: 10px;
}

li {
  display: grid;
  gap: 4px;
  padding: 7px 0;
  border-bottom: 1px solid var(--line-faint);
}

.sides {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 24px;
}

.side {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}

@media (pointer: coarse) {
  li :deep(button) {
    min-height: 44px;
  }
}
</style>
