<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import DatePicker from 'ant-design-vue/es/date-picker';
import Form, { FormItem } from 'ant-design-vue/es/form';
import Input from 'ant-design-vue/es/input';
import { v7 as uuid } from 'uuid';
import { computed, reactive, ref } from 'vue';
import { isDay } from '@pace-bend/core/record';
import { SEASON_LIMITS, type Stay } from '@pace-bend/core/season';
import PickOne from '../parts/PickOne.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { dayWords } from './scale.ts';

/** Camps and journeys of a season: those there are, and one more. */
const props = defineProps<{ stays: readonly Stay[]; today: string; busy: boolean }>();
const open = defineModel<boolean>('open', { required: true });
const emit = defineEmits<{ change: [words: string, stays: Stay[]] }>();

const KINDS = [
  { value: 'camp', label: 'Camp' },
  { value: 'travel', label: 'Travel' },
] as const;
const fields = reactive<{ name: string; kind: Stay['kind']; from: string; until: string; visits: boolean }>({
  name: '',
  kind: 'camp',
  from: props.today,
  until: props.today,
  visits: false,
});
const tried = ref(false);
const wrong = computed(() => {
  if (!tried.value) return '';
  if (fields.name.trim() === '') return `A name of 1 to ${SEASON_LIMITS.stayName} letters.`;
  if (!isDay(fields.from ?? '') || !isDay(fields.until ?? '')) return 'Both days are needed, like 2027-05-08.';
  if (props.stays.length >= SEASON_LIMITS.stays) return `${SEASON_LIMITS.stays} are kept at most: take one out first.`;
  return fields.until < fields.from ? 'It ends on the day it begins, or later.' : '';
});
function add(): void {
  tried.value = true;
  if (wrong.value) return;
  const name = fields.name.trim();
  emit(
    'change',
    name,
    [...props.stays, { ...fields, name, id: uuid() }].sort((a, b) => (a.from < b.from ? -1 : 1)),
  );
  tried.value = false;
  fields.name = '';
}
const remove = (stay: Stay) =>
  emit(
    'change',
    `${stay.name} taken out`,
    props.stays.filter(({ id }) => id !== stay.id),
  );
</script>

<template>
  <SheetDialog v-model:open="open" title="Camps and travel" :width="520">
    <p v-if="stays.length === 0" class="soft">None yet. On days without visits nothing is offered, and forecasts reckon without them.</p>
    <ul v-else class="stays">
      <li v-for="stay in stays" :key="stay.id">
        <span
          ><b>{{ stay.name }}</b
          >, {{ dayWords(stay.from, today) }} to {{ dayWords(stay.until, today)
          }}<span class="soft">{{ stay.visits ? '' : ', without visits' }}</span></span
        ><Button size="small" :disabled="busy" :aria-label="`Take ${stay.name} out`" @click="remove(stay)">Take out</Button>
      </li>
    </ul>
    <Form layout="vertical" novalidate @submit.prevent="add">
      <FormItem label="Name" html-for="stay-name"
        ><Input id="stay-name" v-model:value="fields.name" :maxlength="SEASON_LIMITS.stayName" placeholder="Winter camp" autocomplete="off"
      /></FormItem>
      <div class="days">
        <FormItem label="Kind"
          ><PickOne
            label="Kind"
            :value="fields.kind"
            :options="KINDS"
            @change="
              (kind) => {
                fields.kind = kind;
              }
            "
        /></FormItem>
        <FormItem label="First day" html-for="stay-from"
          ><DatePicker id="stay-from" v-model:value="fields.from as never" value-format="YYYY-MM-DD" :allow-clear="false"
        /></FormItem>
        <FormItem label="Last day" html-for="stay-until"
          ><DatePicker id="stay-until" v-model:value="fields.until as never" value-format="YYYY-MM-DD" :allow-clear="false"
        /></FormItem>
      </div>
      <Checkbox v-model:checked="fields.visits">Visits are possible there</Checkbox>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <div class="choices"><Button type="primary" html-type="submit" :loading="busy">Add it</Button></div>
    </Form>
  </SheetDialog>
</template>

<style scoped>
.stays {
  list-style: none;
  margin: 0 0 14px;
  padding: 0;
}

.stays li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  padding: 6px 0;
  border-bottom: 1px solid var(--line-faint);
}

.days {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 12px;
}

.choices {
  margin-top: 12px;
}
</style>
