<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Checkbox, { CheckboxGroup } from 'ant-design-vue/es/checkbox';
import Joi from 'joi';
import { reactive, ref, watch } from 'vue';
import { KEEPING_LIMITS, KEPT_KINDS, type Keeping, type KeepingPage, type KeptKind } from '@pace-bend/core/keeping';
import { api } from '../api/api.ts';
import LongText from '../parts/LongText.vue';
import PeriodField from './PeriodField.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import { useForm } from '../parts/useForm.ts';
import { t } from '../words/practice.ts';

/** How long what is kept: periods by kind, and what the law of the place asks. Nothing is assumed; an empty field means no period. */
const props = defineProps<{ page: KeepingPage }>();
const emit = defineEmits<{ kept: [] }>();
const { busy, problem, run } = useAction();
const saved = ref(false);

const PERIODS = [
  { id: 'recordsMonths', label: t('wholeRecords'), after: t('monthsAfterLastVisit') },
  { id: 'checkInsMonths', label: t('checkIns'), after: t('monthsAfterTheirDay') },
  { id: 'loadsMonths', label: t('loads'), after: t('monthsAfterTheirDay') },
  { id: 'guestsMonths', label: t('namesGuestsEventDays'), after: t('monthsAfterDay') },
] as const;
type PeriodId = (typeof PERIODS)[number]['id'];
type Fields = Record<PeriodId, number | null> & {
  asked: boolean;
  years: number | null;
  untilAge: number | null;
  kinds: KeptKind[];
  reason: string;
};

const fields = reactive<Fields>(fieldsOf(props.page.keeping));
watch(
  () => props.page.revision,
  () => Object.assign(fields, fieldsOf(props.page.keeping)),
);
function fieldsOf({ law, ...periods }: Keeping): Fields {
  return {
    ...periods,
    asked: law !== null,
    years: law?.years ?? null,
    untilAge: law?.untilAge ?? null,
    kinds: [...(law?.kinds ?? KEPT_KINDS.map(({ id }) => id).slice(0, 2))],
    reason: law?.reason ?? '',
  };
}

const { months, years, untilAge, reason } = KEEPING_LIMITS;
const between = ({ min, max }: { readonly min: number; readonly max: number }) =>
  Joi.number()
    .integer()
    .min(min)
    .max(max)
    .messages({ '*': t('wholeNumberFrom', { min, max }) });
const form = ref<HTMLFormElement | null>(null);
const { wrong, isSound, begin } = useForm(
  () =>
    Joi.object({
      ...Object.fromEntries(PERIODS.map(({ id }) => [id, between(months).allow(null)])),
      ...(fields.asked
        ? {
            years: between(years),
            untilAge: between(untilAge).allow(null),
            kinds: Joi.array()
              .min(1)
              .messages({ '*': t('chooseWhatStays') }),
            reason: Joi.string()
              .trim()
              .min(reason.min)
              .max(reason.max)
              .messages({ '*': t('sayWhatAsksYou') }),
          }
        : {}),
    }),
  () => fields,
);

async function keep(): Promise<void> {
  if (!isSound(form.value)) return;
  const { asked, years: lawYears, untilAge: lawAge, kinds, reason: why, ...periods } = fields;
  const keeping: Keeping = { ...periods, law: asked ? { years: lawYears!, untilAge: lawAge, kinds, reason: why.trim() } : null };
  saved.value = await run(() => api('PUT', '/keeping', { ...keeping, revision: props.page.revision }));
  if (!saved.value) return;
  begin();
  emit('kept');
}
</script>

<template>
  <section class="card" :aria-label="t('howLongKept')">
    <form ref="form" class="fields" novalidate @submit.prevent="keep" @input="saved = false" @change="saved = false">
      <h2>{{ t('howLongKept') }}</h2>
      <p class="soft">{{ t('leftEmptyNothingEver') }}</p>
      <PeriodField
        v-for="period in PERIODS"
        :id="period.id"
        :key="period.id"
        v-model:value="fields[period.id]"
        :label="period.label"
        :after="period.after"
        :wrong="wrong[period.id]"
      />
      <Checkbox v-model:checked="fields.asked">{{ t('lawHereAsksRecords') }}</Checkbox>
      <template v-if="fields.asked">
        <PeriodField
          id="law-years"
          v-model:value="fields.years"
          :label="t('atLeast')"
          :after="t('yearsAfterLastVisit')"
          :wrong="wrong.years"
        />
        <PeriodField
          id="law-age"
          v-model:value="fields.untilAge"
          :label="t('untilThey')"
          :after="t('yearsOldEmptyAge')"
          :wrong="wrong.untilAge"
        />
        <div class="field">
          <span id="law-kinds" class="label">{{ t('whatStaysNameBirth') }}</span>
          <CheckboxGroup v-model:value="fields.kinds" aria-labelledby="law-kinds" class="kinds">
            <Checkbox v-for="kind in KEPT_KINDS" :key="kind.id" :value="kind.id">{{ kind.name }}</Checkbox>
          </CheckboxGroup>
          <p v-if="wrong.kinds" class="wrong" role="alert">{{ wrong.kinds }}</p>
        </div>
        <div class="field">
          <label for="law-reason">{{ t('whatAsks') }}</label>
          <LongText
            id="law-reason"
            v-model="fields.reason"
            :rows="2"
            :maxlength="reason.max"
            :aria-invalid="wrong.reason ? 'true' : undefined"
          />
          <p v-if="wrong.reason" class="wrong" role="alert">{{ wrong.reason }}</p>
        </div>
        <p class="soft">{{ t('youSayWhatYour') }}</p>
      </template>
      <ProblemNote v-if="problem" :problem="problem" />
      <div class="choices">
        <Button type="primary" html-type="submit" :loading="busy">{{ t('keepThesePeriods') }}</Button>
        <span v-if="saved" class="soft" role="status">{{ t('kept2') }}</span>
      </div>
    </form>
  </section>
</template>

<style scoped>
p {
  margin: 0;
}

.kinds {
  display: grid;
  gap: 6px;
}

.kinds :deep(.ant-checkbox-wrapper) {
  white-space: normal;
}
</style>
