<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import Joi from 'joi';
import { computed, reactive, ref } from 'vue';
import { bellyIn, endIn, MOVEMENTS, MUSCLES, type Movement, type Muscle, type Region } from '@pace-bend/core/body';
import {
  CONDITIONS,
  conditionFacts,
  stillProtected,
  type ConditionCode,
  type ConditionFields,
  type WrittenLimit,
} from '@pace-bend/core/caution';
import { LIMITS, type Condition } from '@pace-bend/core/record';
import DayField from '../../parts/DayField.vue';
import { dayProblem } from '../../parts/typedDays.ts';
import PickOne from '../../parts/PickOne.vue';
import { dayRule, ruled } from '../../parts/rules.ts';
import { useAction } from '../../parts/useAction.ts';
import { useForm } from '../../parts/useForm.ts';
import { BODY_SIDES, REGION_CHOICES } from '../../parts/words.ts';
import { useAthlete } from '../../stores/athlete.ts';
import { usePractice } from '../../stores/practice.ts';
import TextInput from '../../parts/TextInput.vue';
import { t } from '../../words/athlete.ts';

/** One condition: coded, with its place, its dates and what somebody allowed in writing. */
const props = defineProps<{ condition: Condition | null }>();
const emit = defineEmits<{ done: [] }>();
const store = useAthlete();
const practice = usePractice();

const was = props.condition;
const fields = reactive({
  code: was?.code as ConditionCode | undefined,
  region: (was?.region ?? undefined) as Region | undefined,
  side: (was?.side ?? 'none') as 'left' | 'right' | 'both' | 'none',
  onset: was?.onset ?? '',
  surgeryOn: was?.surgeryOn ?? '',
  muscle: (was?.muscle ?? 'none') as Muscle | 'none',
  grade: String(was?.grade ?? 0) as '0' | '1' | '2' | '3',
  words: was?.words ?? '',
  resolvedOn: was?.resolvedOn ?? '',
  cleared: Boolean(was?.clearance),
  by: was?.clearance?.by ?? '',
  on: was?.clearance?.on ?? practice.today,
  text: was?.clearance?.text ?? '',
});
const limits = ref<{ kind: WrittenLimit['kind']; movement: Movement; number: string }[]>(
  (was?.clearance?.limits ?? []).map((limit) => ({
    kind: limit.kind,
    movement: limit.kind === 'bend' ? limit.movement : 'knee flexion',
    number: String(limit.kind === 'bend' ? limit.deg : limit.kind === 'effort' ? limit.pct : limit.score),
  })),
);
const { busy, problem, run } = useAction();

const facts = computed(() => (fields.code ? conditionFacts(fields.code) : null));
const GROUPS = [...new Set(CONDITIONS.map((each) => each.group))].map((group) => ({
  label: group[0]!.toUpperCase() + group.slice(1),
  options: CONDITIONS.filter((each) => each.group === group).map((each) => ({
    value: each.code,
    label: `${each.name} (${each.synonyms.join(', ')})`,
  })),
}));
const KINDS = [
  { value: 'bend', label: t('movementTo') },
  { value: 'effort', label: t('effortTo') },
  { value: 'ceiling', label: t('discomfortTo') },
] as const;
/** Muscles that lie or end in the region chosen come first. */
const muscleChoices = computed(() => {
  const here = fields.region ? [...bellyIn(fields.region), ...endIn(fields.region)] : [];
  const sorted = [...MUSCLES].sort((a, b) => Number(here.includes(b.id)) - Number(here.includes(a.id)));
  return [{ value: 'none' as const, label: t('notKnownAllLie') }, ...sorted.map((each) => ({ value: each.id, label: each.name }))];
});
const GRADES = [
  { value: '0', label: t('notGraded') },
  { value: '1', label: t('n1Mild') },
  { value: '2', label: t('n2PartialTear') },
  { value: '3', label: t('n3CompleteTear') },
] as const;
const MOVES = MOVEMENTS.map((movement) => ({ value: movement, label: movement }));
const UNIT = { bend: '°', effort: '%', ceiling: t('of10') } as const;
const MOST = { bend: 200, effort: 100, ceiling: 10 } as const;

const past = (value: string) => (value > practice.today ? t('dayLiesFuture') : null);
const anyDay = dayRule(practice.today, { optional: true, check: past });
const form = ref<HTMLElement | null>(null);
const { tried, wrong, isSound } = useForm(
  () =>
    Joi.object({
      code: Joi.string()
        .required()
        .messages({ '*': t('chooseCondition') }),
      ...(facts.value?.chooseRegion
        ? {
            region: Joi.string()
              .required()
              .messages({ '*': t('chooseWhere') }),
          }
        : {}),
      onset: anyDay,
      surgeryOn: anyDay,
      resolvedOn: dayRule(practice.today, {
        optional: true,
        check: (value) => past(value) ?? (fields.code && stillProtected(sent(), practice.today) ? t('withinYearOperationOver') : null),
      }),
      ...(fields.cleared
        ? {
            by: Joi.string()
              .trim()
              .min(1)
              .required()
              .messages({ '*': t('whoCleared') }),
            on: ruled((value) =>
              value === ''
                ? t('dayWritten')
                : (dayProblem(value, practice.today) ??
                  past(value) ??
                  (fields.surgeryOn !== '' && value < fields.surgeryOn ? t('goAheadGivenAfter') : null)),
            ),
          }
        : {}),
    }),
  () => fields,
);
const limitWrong = (limit: { kind: WrittenLimit['kind']; number: string }) => {
  const value = Number(limit.number.replace(',', '.'));
  return limit.number.trim() !== '' && value >= 0 && value <= MOST[limit.kind] && (limit.kind !== 'ceiling' || Number.isInteger(value))
    ? null
    : t('n0To', { what: MOST[limit.kind] });
};

function written(): WrittenLimit[] {
  return limits.value.map(({ kind, movement, number }) => {
    const value = Number(number.replace(',', '.'));
    return kind === 'bend' ? { kind, movement, deg: value } : kind === 'effort' ? { kind, pct: value } : { kind, score: value };
  });
}

/** The condition as it would be kept. */
function sent(): ConditionFields {
  const coded = facts.value!;
  return {
    code: fields.code!,
    region: coded.chooseRegion ? (fields.region ?? null) : null,
    side: coded.sided && fields.side !== 'none' ? fields.side : null,
    onset: fields.onset || null,
    surgeryOn: coded.surgery ? fields.surgeryOn || null : null,
    muscle: coded.ofMuscle && fields.muscle !== 'none' ? fields.muscle : null,
    grade: coded.ofMuscle && fields.grade !== '0' ? (Number(fields.grade) as 1 | 2 | 3) : null,
    words: fields.words.trim(),
    resolvedOn: fields.resolvedOn || null,
    clearance: fields.cleared ? { by: fields.by.trim(), on: fields.on, text: fields.text.trim(), limits: written() } : null,
  };
}

async function keep(): Promise<void> {
  if (!isSound(form.value) || (fields.cleared && limits.value.some((limit) => limitWrong(limit)))) return;
  const kept = await run(() => store.putCondition(sent(), was));
  if (kept) emit('done');
}
</script>

<template>
  <form ref="form" class="fields form" novalidate @submit.prevent="keep">
    <div class="field">
      <label for="condition-code">{{ t('condition2') }}</label>
      <PickOne
        input-id="condition-code"
        :label="t('condition2')"
        search
        :value="fields.code"
        :options="GROUPS"
        :placeholder="t('typeWordKneeTorn')"
        @change="
          (code) => {
            fields.code = code;
          }
        "
      />
      <p v-if="wrong.code" class="wrong" role="alert">{{ wrong.code }}</p>
    </div>
    <div v-if="facts" class="pair">
      <div v-if="facts.chooseRegion" class="field">
        <label for="condition-region">{{ t('where') }}</label>
        <PickOne
          input-id="condition-region"
          :label="t('where')"
          search
          :value="fields.region"
          :options="REGION_CHOICES"
          :placeholder="t('region')"
          @change="
            (region) => {
              fields.region = region;
            }
          "
        />
        <p v-if="wrong.region" class="wrong" role="alert">{{ wrong.region }}</p>
      </div>
      <div v-if="facts.sided" class="field">
        <label for="condition-side">{{ t('side') }}</label>
        <PickOne
          input-id="condition-side"
          :label="t('side')"
          :value="fields.side"
          :options="BODY_SIDES"
          @change="
            (side) => {
              fields.side = side;
            }
          "
        />
      </div>
      <DayField
        v-if="facts.surgery"
        id="condition-surgery"
        v-model:value="fields.surgeryOn"
        :label="t('operatedOn')"
        :wrong="wrong.surgeryOn ?? null"
      />
      <template v-if="facts.ofMuscle">
        <div class="field">
          <label for="condition-muscle">{{ t('muscle') }}</label>
          <PickOne
            input-id="condition-muscle"
            :label="t('muscle')"
            search
            :value="fields.muscle"
            :options="muscleChoices"
            @change="
              (muscle) => {
                fields.muscle = muscle;
              }
            "
          />
        </div>
        <div class="field">
          <label for="condition-grade">{{ t('grade') }}</label>
          <PickOne
            input-id="condition-grade"
            :label="t('grade')"
            :value="fields.grade"
            :options="GRADES"
            @change="
              (grade) => {
                fields.grade = grade;
              }
            "
          />
        </div>
      </template>
      <DayField
        id="condition-onset"
        v-model:value="fields.onset"
        :label="facts.onsetMeans ? t('since', { onsetMeans: facts.onsetMeans }) : t('since2')"
        :wrong="wrong.onset ?? null"
      />
      <DayField
        id="condition-over"
        v-model:value="fields.resolvedOn"
        :label="t('overSince')"
        :wrong="wrong.resolvedOn ?? null"
        :placeholder="t('stillThere2')"
      />
    </div>
    <div class="field">
      <label for="condition-words">{{ t('inWords') }}</label>
      <TextInput id="condition-words" v-model="fields.words" :maxlength="LIMITS.textLength" />
    </div>
    <Checkbox v-model:checked="fields.cleared">{{ t('clearedWritingSurgeonPhysician') }}</Checkbox>
    <template v-if="fields.cleared">
      <div class="pair">
        <div class="field">
          <label for="clear-by">{{ t('by3') }}</label><TextInput
            id="clear-by"
            v-model="fields.by"
            :maxlength="LIMITS.lineLength"
            :aria-invalid="wrong.by ? 'true' : undefined"
          />
          <p v-if="wrong.by" class="wrong" role="alert">{{ wrong.by }}</p>
        </div>
        <DayField id="clear-on" v-model:value="fields.on" :label="t('on')" :wrong="wrong.on ?? null" />
      </div>
      <div class="field">
        <label for="clear-text">{{ t('asWritten') }}</label><TextInput
          id="clear-text"
          v-model="fields.text"
          :maxlength="LIMITS.textLength"
          :placeholder="t('kneeBend110')"
        />
      </div>
      <div class="field">
        <span class="label">{{ t('limitsTableKeeps') }}</span>
        <div v-for="(limit, i) in limits" :key="i" class="limit">
          <PickOne
            :label="t('kindLimit', { what: i + 1 })"
            :value="limit.kind"
            :options="KINDS"
            @change="
              (kind) => {
                limit.kind = kind;
              }
            "
          />
          <PickOne
            v-if="limit.kind === 'bend'"
            :label="t('movement', { what: i + 1 })"
            search
            :value="limit.movement"
            :options="MOVES"
            @change="
              (movement) => {
                limit.movement = movement;
              }
            "
          />
          <span v-else />
          <span class="number"
            ><TextInput
              v-model="limit.number"
              class="num"
              inputmode="decimal"
              maxlength="5"
              :aria-label="t('limit', { what: i + 1 })"
              :aria-invalid="tried && limitWrong(limit) ? 'true' : undefined"
            />
            {{ UNIT[limit.kind] }}</span
          >
          <button type="button" class="link small" :aria-label="t('removeLimit', { what: i + 1 })" @click="limits.splice(i, 1)">
            {{ t('remove') }}
          </button>
          <p v-if="tried && limitWrong(limit)" class="wrong" role="alert">{{ limitWrong(limit) }}</p>
        </div>
        <button
          v-if="limits.length < 12"
          type="button"
          class="link"
          @click="limits.push({ kind: 'bend', movement: 'knee flexion', number: '' })"
        >
          {{ t('addLimit') }}
        </button>
      </div>
    </template>
    <p v-if="problem" class="wrong" role="alert">{{ problem.message }}</p>
    <div class="choices">
      <Button type="primary" html-type="submit" :loading="busy">{{ t('keep') }}</Button><Button @click="emit('done')">{{
        t('leaveIt')
      }}</Button>
    </div>
  </form>
</template>

<style scoped>
.form {
  width: 100%;
  padding: 14px 16px;
  border-left: 4px solid var(--spruce);
  background: var(--ground);
}

.limit {
  display: grid;
  grid-template-columns: 128px minmax(0, 1fr) 120px auto;
  align-items: center;
  gap: 8px;
}

.limit .wrong {
  grid-column: 1 / -1;
}

.number {
  display: flex;
  align-items: center;
  gap: 6px;
  white-space: nowrap;
}

.number .input {
  width: 66px;
}

.link {
  justify-self: start;
}
</style>
