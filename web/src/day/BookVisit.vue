<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Joi from 'joi';
import { v7 as uuid } from 'uuid';
import { computed, onMounted, reactive, ref } from 'vue';
import { useRouter } from 'vue-router';
import { checkBirthDate, isDay, LIMITS, type AthleteFields, type AthleteList, type AthleteRow } from '@pace-bend/core/record';
import { SLOW_BREATH } from '@pace-bend/core/method';
import { api, ApiProblem } from '../api/api.ts';
import { dayRule, lineRule, ruled, timeRule, wholeRule } from '../parts/rules.ts';
import { useAction } from '../parts/useAction.ts';
import DayField from '../parts/DayField.vue';
import TimeField from '../parts/TimeField.vue';
import PickOne from '../parts/PickOne.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { useDay } from '../stores/day.ts';
import { useForm } from '../parts/useForm.ts';
import { usePractice } from '../stores/practice.ts';
import { dayProblem, NO_SUCH_TIME } from '../parts/typedDays.ts';
import SportsField from '../parts/SportsField.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/day.ts';

/** Somebody is on the table now, or comes later: a known athlete, or a new one with just what the tables need. */
const props = defineProps<{ when: 'now' | 'later'; day: string }>();
const open = defineModel<boolean>('open', { required: true });

const practice = usePractice();
const dayStore = useDay();
const router = useRouter();
const athletes = ref<readonly AthleteRow[]>([]);
/** Null until chosen: with nobody in the practice yet, it can only be somebody new. */
const choseNew = ref<boolean | null>(null);
const loaded = ref(false);
const isNew = computed(() => choseNew.value ?? (loaded.value && athletes.value.length === 0));
const fields = reactive({
  athleteId: undefined as string | undefined,
  minutes: '45',
  on: props.day,
  at: '',
  name: '',
  birthDate: '',
  referenceSex: 'none' as AthleteFields['referenceSex'],
  sports: [] as AthleteFields['sports'],
});
const { busy, problem, run } = useAction();
// Made once, so that pressing twice or trying again makes one athlete and one visit.
const ids = { athlete: uuid(), visit: uuid() };
const startedAt = new Date(Math.floor(Date.now() / 60_000) * 60_000).toISOString();

onMounted(() => void find(''));
let asked = 0;
/** The first names are there at once; what is typed is looked for on the server as well. */
async function find(typed: string): Promise<void> {
  const turn = ++asked;
  try {
    const found = await api<AthleteList>('GET', `/athletes?q=${encodeURIComponent(typed)}`);
    if (turn !== asked) return;
    athletes.value = [...athletes.value, ...found.athletes.filter((athlete) => !athletes.value.some((each) => each.id === athlete.id))];
    loaded.value = true;
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error;
    problem.value = error;
  }
}

const { min, max } = LIMITS.visitMinutes;
const form = ref<HTMLElement | null>(null);
/** A day of another century is no birth date; what is no day at all says so. */
const birth = ruled((value) =>
  /^\d{4}-\d{2}-\d{2}$/.test(value) ? checkBirthDate(value, practice.today) : dayProblem(value, practice.today),
);
const { wrong, isSound } = useForm(
  () =>
    Joi.object({
      minutes: wholeRule(min, max, t('wholeMinutes')),
      ...(isNew.value
        ? { name: lineRule(LIMITS.nameLength), birthDate: birth }
        : {
            athleteId: Joi.string()
              .required()
              .messages({ 'any.required': t('chooseWho') }),
          }),
      ...(props.when === 'later'
        ? {
            on: dayRule(practice.today),
            at: timeRule((value) => (isDay(fields.on) && !practice.instantAt(fields.on, value) ? NO_SUCH_TIME : null)),
          }
        : {}),
    }),
  () => fields,
);

async function book(overlap = false): Promise<void> {
  if (!isSound(form.value)) return;
  const startsAt = props.when === 'now' ? startedAt : practice.instantAt(fields.on, fields.at)!;
  const { name, birthDate, referenceSex, sports } = fields;
  await run(async () => {
    if (isNew.value)
      await api('PUT', `/athletes/${ids.athlete}`, {
        name: name.trim(),
        birthDate,
        referenceSex,
        sports,
        about: '',
        breathPeriodMs: SLOW_BREATH.periodMs,
      });
    await api('PUT', `/visits/${ids.visit}`, {
      athleteId: isNew.value ? ids.athlete : fields.athleteId,
      startsAt,
      minutes: Number(fields.minutes),
      overlap,
    });
    open.value = false;
    // The rail shows the day that the visit is on.
    await dayStore.load(props.when === 'now' ? undefined : fields.on);
    await router.push(props.when === 'now' ? `/visit/${ids.visit}` : fields.on === practice.today ? '/' : `/day/${fields.on}`);
  });
}
</script>

<template>
  <SheetDialog v-model:open="open" :title="when === 'now' ? t('walkIn') : t('bookVisit')" :width="520">
    <form ref="form" class="fields" novalidate @submit.prevent="book()">
      <div class="switch" role="group" :aria-label="t('who')">
        <button type="button" :aria-pressed="!isNew" @click="choseNew = false">{{ t('knownAthlete') }}</button>
        <button type="button" :aria-pressed="isNew" @click="choseNew = true">{{ t('somebodyNew') }}</button>
      </div>

      <div v-if="!isNew" class="field">
        <label for="book-athlete">{{ t('who') }}</label>
        <PickOne
          input-id="book-athlete"
          :label="t('who')"
          search
          :value="fields.athleteId"
          :options="athletes.map((athlete) => ({ value: athlete.id, label: athlete.name }))"
          :placeholder="t('typeName')"
          @search="find"
          @change="
            (id) => {
              fields.athleteId = id;
            }
          "
        />
        <p v-if="wrong.athleteId" class="wrong" role="alert">{{ wrong.athleteId }}</p>
      </div>
      <template v-else>
        <div class="field">
          <label for="book-name">{{ t('name') }}</label>
          <TextInput
            id="book-name"
            v-model="fields.name"
            autocomplete="off"
            :maxlength="LIMITS.nameLength + 20"
            :aria-invalid="wrong.name ? 'true' : undefined"
          />
          <p v-if="wrong.name" class="wrong" role="alert">{{ wrong.name }}</p>
        </div>
        <DayField id="book-birth" v-model:value="fields.birthDate" :label="t('birthDate')" :wrong="wrong.birthDate ?? null" />
        <div class="pair">
          <div class="field">
            <label for="book-sex">{{ t('referenceTable') }}</label>
            <PickOne
              input-id="book-sex"
              :label="t('referenceTable')"
              :value="fields.referenceSex"
              :options="[
                { value: 'female', label: t('women') },
                { value: 'male', label: t('men') },
                { value: 'none', label: t('womenMen') },
              ]"
              @change="
                (value) => {
                  fields.referenceSex = value;
                }
              "
            />
          </div>
        </div>
        <SportsField :sports="fields.sports" :most="1" @change="(sports) => (fields.sports = sports)" />
      </template>

      <div class="pair">
        <template v-if="when === 'later'">
          <DayField id="book-day" v-model:value="fields.on" :label="t('day')" :wrong="wrong.on ?? null" />
          <TimeField id="book-time" v-model:value="fields.at" :wrong="wrong.at ?? null" />
        </template>
        <div class="field">
          <label for="book-minutes">{{ t('minutes') }}</label>
          <TextInput
            id="book-minutes"
            v-model="fields.minutes"
            class="num short"
            inputmode="numeric"
            maxlength="4"
            :aria-invalid="wrong.minutes ? 'true' : undefined"
          />
          <p v-if="wrong.minutes" class="wrong" role="alert">{{ wrong.minutes }}</p>
        </div>
      </div>
      <ProblemNote v-if="problem" :problem="problem">
        <Button v-if="problem.overlaps.length > 0" @click="book(true)">{{ t('allowOverlap') }}</Button>
      </ProblemNote>
      <Button type="primary" size="large" html-type="submit" :loading="busy">{{ when === 'now' ? t('arriveNow') : t('book') }}</Button>
    </form>
  </SheetDialog>
</template>

<style scoped>
form {
  padding-top: 6px;
}

.switch {
  display: grid;
  grid-template-columns: 1fr 1fr;
  border: 1px solid var(--line);
  border-radius: 4px;
  overflow: hidden;
}

.switch button {
  padding: 9px;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}

.switch button[aria-pressed='true'] {
  background: var(--spruce-fill);
  color: var(--on-spruce);
}
</style>
