<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, onMounted, reactive, ref } from 'vue';
import { TOOLS, type Tool } from '@pace-bend/core/catalogue';
import { tableHeight, type ToolMinutes } from '@pace-bend/core/session';
import { useAction } from '../parts/useAction.ts';
import { useSession } from '../stores/session.ts';
import { useShelf } from '../stores/shelf.ts';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/practice.ts';

/** The therapist's own body: knuckle height for the table, and the minutes a day each tool may carry. */
const shelf = useShelf();
const session = useSession();
const { busy, problem, run } = useAction();
const knuckles = ref('');
const limits = reactive<Record<Tool, string>>(Object.fromEntries(TOOLS.map((tool) => [tool, ''])) as Record<Tool, string>);
const done = ref('');
const maySet = computed(() => session.may('PUT', '/hands/limits'));
onMounted(
  () =>
    void shelf
      .load()
      .catch(() => undefined)
      .then(() => {
        knuckles.value = shelf.hands.knuckleCm === null ? '' : String(shelf.hands.knuckleCm);
        for (const tool of TOOLS) limits[tool] = String(shelf.hands.limits[tool]);
      }),
);
const height = computed(() => Number(knuckles.value.replace(',', '.')));
const heightWrong = computed(() => (knuckles.value.trim() === '' || (height.value >= 45 && height.value <= 110) ? null : t('n45110Cm')));
const limitWrong = (tool: Tool) => !/^\d{1,3}$/.test(limits[tool].trim()) || Number(limits[tool]) > 600;

async function keep(): Promise<void> {
  done.value = '';
  const knuckleCm = knuckles.value.trim() === '' ? null : height.value;
  const all = maySet.value
    ? { limits: Object.fromEntries(TOOLS.map((tool) => [tool, Number(limits[tool])])) as unknown as ToolMinutes }
    : {};
  if (await run(() => shelf.saveHands({ knuckleCm, ...all }))) done.value = t('kept');
}
</script>

<template>
  <form class="card fields" novalidate :aria-label="t('yourHands')" @submit.prevent="keep">
    <h2>{{ t('yourHands') }}</h2>
    <div class="field">
      <label for="knuckles">{{ t('knucklesLooseFistStanding') }}</label><TextInput
        id="knuckles"
        v-model="knuckles"
        class="num"
        inputmode="decimal"
        maxlength="5"
        :aria-invalid="heightWrong ? 'true' : undefined"
      />
      <p v-if="heightWrong" class="wrong" role="alert">{{ heightWrong }}</p>
      <p v-else-if="knuckles" class="soft small">
        {{
          t('tableBegin', {
            tableHeight: tableHeight(height)
              .map((row) => t('cm', { work: row.work, cm: row.cm }))
              .join(' · '),
          })
        }}
      </p>
    </div>
    <p class="small soft">
      {{ t('minutesDayPastThem', { what: maySet ? t('setPractice') : t('setOwner') }) }}
    </p>
    <div class="tools">
      <label v-for="tool in TOOLS" :key="tool"
        >{{ tool
        }}<TextInput
          v-model="limits[tool]"
          class="num"
          inputmode="numeric"
          maxlength="3"
          :aria-label="t('minutesDay', { tool })"
          :readonly="!maySet"
          :aria-invalid="limitWrong(tool) ? 'true' : undefined"
      /></label>
    </div>
    <p v-if="problem" class="wrong" role="alert">{{ problem.message }}</p>
    <div class="choices">
      <Button type="primary" html-type="submit" :loading="busy" :disabled="heightWrong !== null || (maySet && TOOLS.some(limitWrong))">{{
        t('keep')
      }}</Button><span v-if="done" role="status" class="soft">{{ done }}</span>
    </div>
  </form>
</template>

<style scoped>
.tools {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(110px, 100%), 1fr));
  gap: 6px 12px;
}
</style>
