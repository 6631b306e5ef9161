<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Input from 'ant-design-vue/es/input';
import InputNumber from 'ant-design-vue/es/input-number';
import { v7 as uuid } from 'uuid';
import { computed, reactive, ref } from 'vue';
import { MOTIONS, motionOf, MUSCLES, type Muscle } from '@pace-bend/core/body';
import { checkSport, type Demand, type OwnSport, type Shape, type Sport } from '@pace-bend/core/sport';
import { api } from '../api/api.ts';
import PickMany from '../parts/PickMany.vue';
import PickOne from '../parts/PickOne.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import { usePractice } from '../stores/practice.ts';
import SportShapes from './SportShapes.vue';
import { t } from '../words/practice.ts';

/** A sport of the practice's own, in the form of those that ship. */
const props = defineProps<{ sport: OwnSport | null }>();
const emit = defineEmits<{ done: [] }>();
const practice = usePractice();
const { busy, problem, run } = useAction();
const id = props.sport?.id ?? uuid();
/** Ids of what is named: its words in small letters, as they are referred to from athletes' files. */
const idOf = (name: string) =>
  name
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60);

interface Named {
  id: string;
  name: string;
}
const copy = <T,>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
const fields = reactive({
  name: props.sport?.name ?? '',
  synonyms: (props.sport?.synonyms ?? []).join(', '),
  leading: props.sport?.leading ?? '',
  disciplines: copy([...(props.sport?.disciplines ?? [])]) as Named[],
  roles: copy([...(props.sport?.roles ?? [])]) as (Named & { side?: 'left' | 'right' })[],
  demands: copy([...(props.sport?.demands ?? [])]) as { -readonly [K in keyof Demand]: Demand[K] }[],
  shapes: copy([...(props.sport?.shapes ?? [])]) as Shape[],
  loadKinds: copy([...(props.sport?.loadKinds ?? [{ id: 'training', name: t('training'), muscles: [] }])]) as unknown as (Named & {
    counts?: string;
    muscles: Muscle[];
  })[],
  eventKinds: copy([
    ...(props.sport?.eventKinds ?? [{ id: 'match', name: t('match'), quietHoursBefore: 24, gentleHoursAfter: 24 }]),
  ]) as unknown as (Named & {
    quietHoursBefore: number;
    gentleHoursAfter: number;
  })[],
});
const tried = ref(false);
const MOTION_CHOICES = MOTIONS.map((motion) => ({ value: motion.id, label: `${motion.name}, ${motion.testPosition}` }));
const MUSCLE_CHOICES = MUSCLES.map((muscle) => ({ value: muscle.id as Muscle, label: muscle.name }));
const ON = [
  { value: 'both', label: t('bothSides') },
  { value: 'leading', label: t('leadingSide') },
  { value: 'other', label: t('otherSide') },
  { value: 'role', label: t('sideRole') },
] as const;
const ROLE_SIDES = [
  { value: 'none', label: t('noSide') },
  { value: 'left', label: t('left') },
  { value: 'right', label: t('right') },
] as const;

/** Ids stay once somebody may have them on file; a new name gets its own. */
const named = <T extends Named>(list: readonly T[]): T[] =>
  list.filter((each) => each.name.trim() !== '').map((each) => ({ ...each, name: each.name.trim(), id: each.id || idOf(each.name) }));
const made = computed<Sport>(() => ({
  id,
  name: fields.name.trim(),
  synonyms: fields.synonyms
    .split(',')
    .map((each) => each.trim())
    .filter(Boolean),
  disciplines: named(fields.disciplines),
  roles: named(fields.roles),
  ...(fields.leading.trim() ? { leading: fields.leading.trim() } : {}),
  demands: fields.demands,
  shapes: fields.shapes,
  loadKinds: named(fields.loadKinds).map(({ counts, ...kind }) => ({ ...kind, ...(counts?.trim() ? { counts: counts.trim() } : {}) })),
  eventKinds: named(fields.eventKinds),
}));
const wrong = computed(() =>
  tried.value ? [...(fields.name.trim() === '' ? [{ path: 'name', message: t('sportNeedsName') }] : []), ...checkSport(made.value)] : [],
);

async function keep(): Promise<void> {
  tried.value = true;
  if (wrong.value.length > 0) return;
  const { id: _id, ...sent } = made.value;
  const ok = await run(async () => {
    const { ownSports } = await api<{ ownSports: OwnSport[] }>('PUT', `/sports/${id}`, { revision: props.sport?.revision ?? 0, ...sent });
    practice.take({ ...practice.practice!, ownSports });
  });
  if (ok) emit('done');
}
</script>

<template>
  <form class="fields sport-form" :aria-label="t('sportYourOwn')" novalidate @submit.prevent="keep">
    <div class="pair">
      <div class="field">
        <label for="sport-name">{{ t('name') }}</label><Input
          id="sport-name"
          v-model:value="fields.name"
          :maxlength="60"
          autocomplete="off"
        />
      </div>
      <div class="field">
        <label for="sport-synonyms">{{ t('otherNamesCommas') }}</label><Input
          id="sport-synonyms"
          v-model:value="fields.synonyms"
          :maxlength="300"
          autocomplete="off"
        />
      </div>
      <div class="field">
        <label for="sport-leading">{{ t('whatLeadingSideCalled') }}</label><Input
          id="sport-leading"
          v-model:value="fields.leading"
          :maxlength="40"
          :placeholder="t('throwingArm')"
          autocomplete="off"
        />
      </div>
    </div>
    <fieldset>
      <legend>{{ t('disciplines') }}</legend>
      <div v-for="(each, i) in fields.disciplines" :key="i" class="line">
        <Input v-model:value="each.name" :maxlength="60" :aria-label="t('discipline', { what: i + 1 })" /><button
          type="button"
          class="link small"
          @click="fields.disciplines.splice(i, 1)"
        >
          {{ t('remove') }}
        </button>
      </div>
      <Button size="small" @click="fields.disciplines.push({ id: '', name: '' })">{{ t('addDiscipline') }}</Button>
    </fieldset>
    <fieldset>
      <legend>{{ t('roles') }}</legend>
      <div v-for="(each, i) in fields.roles" :key="i" class="line">
        <Input v-model:value="each.name" :maxlength="60" :aria-label="t('role2', { what: i + 1 })" /><PickOne
          :label="t('sideOfRole', { what: i + 1 })"
          :value="each.side ?? 'none'"
          :options="ROLE_SIDES"
          @change="
            (side) => {
              if (side === 'none') delete each.side;
              else each.side = side;
            }
          "
        /><button type="button" class="link small" @click="fields.roles.splice(i, 1)">{{ t('remove') }}</button>
      </div>
      <Button size="small" @click="fields.roles.push({ id: '', name: '' })">{{ t('addRole') }}</Button>
    </fieldset>
    <fieldset>
      <legend>{{ t('asksFor') }}</legend>
      <div v-for="(each, i) in fields.demands" :key="i" class="line demand">
        <PickOne
          :label="t('motion', { what: i + 1 })"
          search
          :value="each.motionId"
          :options="MOTION_CHOICES"
          @change="(motionId) => (each.motionId = motionId)"
        />
        <InputNumber
          :value="each.value"
          :min="motionOf(each.motionId).possible.min"
          :max="motionOf(each.motionId).possible.max"
          :aria-label="t('valueOf', { motionOf: motionOf(each.motionId).name })"
          :addon-after="motionOf(each.motionId).unit === 'deg' ? '°' : 'cm'"
          @change="(value) => (each.value = Number(value))"
        />
        <PickOne :label="t('sideDemand', { what: i + 1 })" :value="each.on" :options="ON" @change="(on) => (each.on = on)" />
        <Input v-model:value="each.why" :maxlength="80" :aria-label="t('whatDemand', { what: i + 1 })" :placeholder="t('whatFor')" />
        <button type="button" class="link small" @click="fields.demands.splice(i, 1)">{{ t('remove') }}</button>
      </div>
      <Button
        size="small"
        @click="fields.demands.push({ motionId: 'hip-flexion', value: 120, on: 'both', sure: 'common practice', why: '' })"
        >{{ t('addDemand') }}</Button
      >
    </fieldset>
    <fieldset>
      <legend>{{ t('whatTrained') }}</legend>
      <div v-for="(each, i) in fields.loadKinds" :key="i" class="line kind">
        <Input v-model:value="each.name" :maxlength="60" :aria-label="t('training2', { what: i + 1 })" />
        <Input
          v-model:value="each.counts"
          :maxlength="30"
          :aria-label="t('whatTrainingCounts', { what: i + 1 })"
          :placeholder="t('countsMetresThrows')"
        />
        <PickMany
          :label="t('musclesTraining', { what: i + 1 })"
          :values="each.muscles"
          :options="MUSCLE_CHOICES"
          :placeholder="t('muscles')"
          @change="(muscles: readonly Muscle[]) => (each.muscles = [...muscles])"
        />
        <button type="button" class="link small" @click="fields.loadKinds.splice(i, 1)">{{ t('remove') }}</button>
      </div>
      <Button size="small" @click="fields.loadKinds.push({ id: '', name: '', muscles: [] })">{{ t('addKindTraining') }}</Button>
    </fieldset>
    <fieldset>
      <legend>{{ t('sideDifferencesMakes') }}</legend>
      <SportShapes v-model="fields.shapes" />
    </fieldset>
    <fieldset>
      <legend>{{ t('whatCalendarHolds') }}</legend>
      <div v-for="(each, i) in fields.eventKinds" :key="i" class="line event">
        <Input v-model:value="each.name" :maxlength="60" :aria-label="t('event', { what: i + 1 })" />
        <InputNumber
          v-model:value="each.quietHoursBefore"
          :min="0"
          :max="168"
          :aria-label="t('hoursWithoutLongHolds', { what: i + 1 })"
          :addon-before="t('noLongHolds')"
          :addon-after="t('hBefore')"
        />
        <InputNumber
          v-model:value="each.gentleHoursAfter"
          :min="0"
          :max="336"
          :aria-label="t('hoursGentleWorkAfter', { what: i + 1 })"
          :addon-before="t('gentleOnly')"
          :addon-after="t('hAfter')"
        />
        <button type="button" class="link small" @click="fields.eventKinds.splice(i, 1)">{{ t('remove') }}</button>
      </div>
      <Button size="small" @click="fields.eventKinds.push({ id: '', name: '', quietHoursBefore: 24, gentleHoursAfter: 24 })">{{
        t('addKindEvent')
      }}</Button>
    </fieldset>
    <ul v-if="wrong.length > 0" class="plain wrong" role="alert">
      <li v-for="each in wrong" :key="each.path">{{ each.message }}</li>
    </ul>
    <ProblemNote v-if="problem" :problem="problem" />
    <div class="choices">
      <Button type="primary" html-type="submit" :loading="busy">{{ t('keepSport') }}</Button><Button @click="emit('done')">{{
        t('leaveIt')
      }}</Button>
    </div>
  </form>
</template>

<style scoped>
fieldset {
  display: grid;
  gap: 6px;
  justify-items: start;
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  margin: 0;
  padding: 0 0 4px;
  font-size: inherit;
  font-weight: 600;
}

.line {
  display: grid;
  grid-template-columns: minmax(120px, 1fr) auto auto;
  gap: 8px;
  align-items: center;
  width: 100%;
}

.demand {
  grid-template-columns: minmax(160px, 2fr) 120px 130px minmax(100px, 1fr) auto;
}

.kind {
  grid-template-columns: minmax(120px, 1fr) minmax(120px, 1fr) minmax(160px, 2fr) auto;
}

.event {
  grid-template-columns: minmax(120px, 1fr) 240px 240px auto;
}

@container page (max-width: 900px) {
  .demand,
  .event,
  .kind {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
