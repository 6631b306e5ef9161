<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Form, { FormItem } from 'ant-design-vue/es/form';
import Radio, { RadioGroup } from 'ant-design-vue/es/radio';
import { computed, reactive, ref, watch } from 'vue';
import { isDay, type CalendarEvent } from '@pace-bend/core/record';
import { fromTemplate, PHASE_NAMES, SEASON_TEMPLATES, type Block } from '@pace-bend/core/season';
import DayField from '../parts/DayField.vue';
import PickOne from '../parts/PickOne.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { dayWords } from './scale.ts';
import { t } from '../words/season.ts';

/** A season laid out from a template around its events, seen before it is taken. */
const props = defineProps<{ events: readonly CalendarEvent[]; today: string; hasLine: boolean; busy: boolean }>();
const open = defineModel<boolean>('open', { required: true });
const emit = defineEmits<{ take: [name: string, blocks: Block[]] }>();

const ahead = computed(() =>
  props.events.filter(({ onDate }) => onDate >= props.today).sort((a, b) => (a.onDate < b.onDate ? -1 : a.onDate > b.onDate ? 1 : 0)),
);
const fields = reactive({ templateId: SEASON_TEMPLATES[0]!.id, from: props.today, peaks: [] as (string | null)[] });
const template = computed(() => SEASON_TEMPLATES.find(({ id }) => id === fields.templateId)!);
/** First come events of first importance. */
watch(
  template,
  ({ peaks }) => {
    const first = ahead.value.filter(({ importance }) => importance === 1);
    const all = first.length >= peaks.length ? first : ahead.value;
    fields.peaks = peaks.map((_, i) => all[i]?.id ?? null);
  },
  { immediate: true },
);
const options = computed(() =>
  ahead.value.map(({ id, name, onDate }) => ({ value: id, label: `${name}, ${dayWords(onDate, props.today)}` })),
);
const made = computed(() => {
  if (!isDay(fields.from)) return { ok: false as const, message: t('firstDayNeeded') };
  const peaks = fields.peaks.map((id) => ahead.value.find((event) => event.id === id));
  const missing = peaks.findIndex((event) => event === undefined);
  if (missing !== -1) return { ok: false as const, message: t('notChosenYet', { what: template.value.peaks[missing] }) };
  return fromTemplate(
    template.value,
    fields.from,
    peaks.map((event) => event!),
  );
});
const tried = ref(false);
function take(): void {
  tried.value = true;
  if (made.value.ok) emit('take', template.value.name, [...made.value.blocks]);
}
</script>

<template>
  <SheetDialog v-model:open="open" :title="t('useTemplate')" :width="560">
    <Form layout="vertical" novalidate @submit.prevent="take">
      <RadioGroup v-model:value="fields.templateId" role="radiogroup" :aria-label="t('template')" class="templates">
        <Radio v-for="each in SEASON_TEMPLATES" :key="each.id" :value="each.id"
          ><b>{{ each.name }}</b
          ><br /><span class="soft small">{{ each.words }}</span></Radio
        >
      </RadioGroup>
      <div class="fields">
        <DayField id="template-from" v-model:value="fields.from" :label="t('firstDay')" />
        <FormItem v-for="(name, i) in template.peaks" :key="name" :label="name"
          ><PickOne
            :label="name"
            :value="fields.peaks[i] ?? undefined"
            :options="options"
            :placeholder="t('eventAhead')"
            :nothing="t('noEventLiesAhead')"
            class="wide"
            @change="
              (id) => {
                fields.peaks[i] = id;
              }
            "
        /></FormItem>
      </div>
      <ol v-if="made.ok" class="preview" :aria-label="t('whatComes')">
        <li v-for="block in made.blocks" :key="block.from">
          <b>{{ PHASE_NAMES[block.phase] }}</b> {{ dayWords(block.from, today) }} – {{ dayWords(block.until, today) }}
        </li>
      </ol>
      <p v-else :class="tried ? 'wrong' : 'soft'" :role="tried ? 'alert' : undefined">{{ made.message }}</p>
      <p v-if="hasLine" class="soft small">{{ t('takesPlaceWhatLaid') }}</p>
      <div class="choices">
        <Button type="primary" html-type="submit" :loading="busy">{{ t('layOut') }}</Button>
      </div>
    </Form>
  </SheetDialog>
</template>

<style scoped>
.templates {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  margin-bottom: 14px;
}

.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 14px;
}

.wide {
  width: 100%;
}

.preview {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin: 0 0 12px;
  padding: 0;
  list-style: none;
}

@media (max-width: 560px) {
  .templates,
  .fields {
    grid-template-columns: 1fr;
  }
}
</style>
