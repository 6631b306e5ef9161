<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import Form, { FormItem } from 'ant-design-vue/es/form';
import Input from 'ant-design-vue/es/input';
import Joi from 'joi';
import { v7 as uuid } from 'uuid';
import { reactive, ref } from 'vue';
import { SEASON_LIMITS, type Stay } from '@pace-bend/core/season';
import DayField from '../parts/DayField.vue';
import PickOne from '../parts/PickOne.vue';
import { dayRule, lineRule } from '../parts/rules.ts';
import SheetDialog from '../parts/SheetDialog.vue';
import { useForm } from '../parts/useForm.ts';
import { dayWords } from './scale.ts';
import { t } from '../words/season.ts';

/** Camps and journeys of a season: those there are, and one more. */
const props = defineProps<{ stays: readonly Stay[]; today: string; busy: boolean }>();
const open = defineModel<boolean>('open', { required: true });
const emit = defineEmits<{ change: [words: string, stays: Stay[]] }>();

const KINDS = [
  { value: 'camp', label: t('camp') },
  { value: 'travel', label: t('travel') },
] as const;
const fields = reactive<{ name: string; kind: Stay['kind']; from: string; until: string; visits: boolean }>({
  name: '',
  kind: 'camp',
  from: props.today,
  until: props.today,
  visits: false,
});
const form = ref<HTMLElement | null>(null);
const { wrong, isSound, begin } = useForm(
  () =>
    Joi.object({
      name: lineRule(SEASON_LIMITS.stayName),
      from: dayRule(props.today),
      until: dayRule(props.today, { check: (until) => (until < fields.from ? t('endsDayBeginsLater') : null) }),
    }).custom((value: object, helpers) =>
      props.stays.length >= SEASON_LIMITS.stays
        ? helpers.message({ custom: t('keptMostRemoveOne', { stays: SEASON_LIMITS.stays }) })
        : value,
    ),
  () => fields,
  'all',
);
function add(): void {
  if (!isSound(form.value)) return;
  const name = fields.name.trim();
  emit(
    'change',
    name,
    [...props.stays, { ...fields, name, id: uuid() }].sort((a, b) => (a.from < b.from ? -1 : 1)),
  );
  begin();
  fields.name = '';
}
const remove = (stay: Stay) =>
  emit(
    'change',
    `${stay.name} removed`,
    props.stays.filter(({ id }) => id !== stay.id),
  );
</script>

<template>
  <SheetDialog v-model:open="open" :title="t('campsAndTravel')" :width="520">
    <p v-if="stays.length === 0" class="soft">{{ t('noneYetDaysWithout') }}</p>
    <ul v-else class="stays">
      <li v-for="stay in stays" :key="stay.id">
        <span
          ><b>{{ stay.name }}</b
          >{{ t('to3', { day: dayWords(stay.from, today), day2: dayWords(stay.until, today) })
          }}<span class="soft">{{ stay.visits ? '' : t('withoutVisits') }}</span></span
        ><Button size="small" :disabled="busy" :aria-label="t('remove2', { name: stay.name })" @click="remove(stay)">{{
          t('remove')
        }}</Button>
      </li>
    </ul>
    <div ref="form">
      <Form layout="vertical" novalidate @submit.prevent="add">
        <FormItem :label="t('name')" html-for="stay-name" :validate-status="wrong.name ? 'error' : ''" :help="wrong.name || undefined"
          ><Input
            id="stay-name"
            v-model:value="fields.name"
            :aria-invalid="wrong.name ? 'true' : undefined"
            :maxlength="SEASON_LIMITS.stayName"
            :placeholder="t('winterCamp')"
            autocomplete="off"
        /></FormItem>
        <div class="days">
          <FormItem :label="t('kind')"
            ><PickOne
              :label="t('kind')"
              :value="fields.kind"
              :options="KINDS"
              @change="
                (kind) => {
                  fields.kind = kind;
                }
              "
          /></FormItem>
          <DayField id="stay-from" v-model:value="fields.from" :label="t('firstDay')" v-bind="wrong.from ? { wrong: wrong.from } : {}" />
          <DayField id="stay-until" v-model:value="fields.until" :label="t('lastDay')" v-bind="wrong.until ? { wrong: wrong.until } : {}" />
        </div>
        <Checkbox v-model:checked="fields.visits">{{ t('visitsPossibleThere') }}</Checkbox>
        <p v-if="wrong.all" class="wrong" role="alert">{{ wrong.all }}</p>
        <div class="choices">
          <Button type="primary" html-type="submit" :loading="busy">{{ t('addIt') }}</Button>
        </div>
      </Form>
    </div>
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
  grid-template-columns: 0.7fr 1fr 1fr;
  gap: 12px;
}

.choices {
  margin-top: 12px;
}
</style>
