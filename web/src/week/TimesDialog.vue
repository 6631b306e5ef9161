<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Form, { FormItem } from 'ant-design-vue/es/form';
import { onMounted, ref } from 'vue';
import { HOURS_RANGE, MOST_A_WEEK, type TimesFile } from '@pace-bend/core/week';
import { api } from '../api/api.ts';
import PickOne from '../parts/PickOne.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { useAction } from '../parts/useAction.ts';
import SpanRows from './SpanRows.vue';
import { usePractice } from '../stores/practice.ts';
import { readSpans, typedSpans, type TypedSpan } from './spans.ts';
import { t } from '../words/week.ts';

/** How often an athlete wants to come, and when they can. */
const props = defineProps<{ athleteId: string; name: string }>();
const open = defineModel<boolean>('open', { required: true });
const emit = defineEmits<{ kept: [] }>();

const ANY = 'any';
const { busy, problem, run } = useAction();
const perWeek = ref<string>(ANY);
const practice = usePractice();
const rows = ref<TypedSpan[]>([]);
const revision = ref<number | null>(null);
const wrong = ref('');

const load = () =>
  run(async () => {
    const found = await api<TimesFile>('GET', `/athletes/${props.athleteId}/times`);
    perWeek.value = found.times.perWeek === null ? ANY : String(found.times.perWeek);
    rows.value = typedSpans(found.times.spans, practice.clockHabit);
    revision.value = found.revision;
  });
onMounted(load);

const OPTIONS = [
  { value: ANY, label: t('notSaidMost', { mostAWeek: MOST_A_WEEK }) },
  ...Array.from({ length: HOURS_RANGE.perWeek.max + 1 }, (_, n) => ({
    value: String(n),
    label: n === 0 ? t('none') : t('atMost', { n }),
  })),
];

async function keep(): Promise<void> {
  const read = readSpans(rows.value);
  wrong.value = read.wrong;
  if (wrong.value || revision.value === null) return;
  const done = await run(() =>
    api('PUT', `/athletes/${props.athleteId}/times`, {
      revision: revision.value,
      perWeek: perWeek.value === ANY ? null : Number(perWeek.value),
      spans: read.spans.map(({ weekday, fromMin, toMin }) => ({ weekday, fromMin, toMin })),
    }),
  );
  if (done) emit('kept');
}
</script>

<template>
  <SheetDialog v-model:open="open" :title="t('whenCanCome', { name })" :width="520">
    <ProblemNote v-if="problem" :problem="problem" :retry="load" />
    <p v-else-if="revision === null" class="soft" role="status">{{ t('reading') }}</p>
    <Form v-if="revision !== null" layout="vertical" novalidate @submit.prevent="keep">
      <FormItem :label="t('visitsWeek')">
        <PickOne :label="t('visitsWeek')" :value="perWeek" :options="OPTIONS" @change="(value) => (perWeek = value)" />
      </FormItem>
      <FormItem :label="t('times')">
        <p v-if="rows.length === 0" class="soft">{{ t('anyTimeRowOnly') }}</p>
        <SpanRows :rows="rows" :label="t('times')" :most="HOURS_RANGE.spans" @change="(next) => (rows = next)" />
      </FormItem>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <div class="choices">
        <Button type="primary" html-type="submit" :loading="busy">{{ t('keep') }}</Button>
      </div>
    </Form>
  </SheetDialog>
</template>
