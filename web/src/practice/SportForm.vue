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
  loadKinds: copy([...(props.sport?.loadKinds ?? [{ id: 'training', name: 'Training', muscles: [] }])]) as unknown as (Named & {
    counts?: string;
    muscles: Muscle[];
  })[],
  eventKinds: copy([
    ...(props.sport?.eventKinds ?? [{ id: 'match', name: 'Match', quietHoursBefore: 24, gentleHoursAfter: 24 }]),
  ]) as unknown as (Named & {
    quietHoursBefore: number;
    gentleHoursAfter: number;
  })[],
});
const tried = ref(false);
const MOTION_CHOICES = MOTIONS.map((motion) => ({ value: motion.id, label: `${motion.name}, ${motion.testPosition}` }));
const MUSCLE_CHOICES = MUSCLES.map((muscle) => ({ value: muscle.id as Muscle, label: muscle.name }));
const ON = [
  { value: 'both', label: 'both sides' },
  { value: 'leading', label: 'leading side' },
  { value: 'other', label: 'other side' },
  { value: 'role', label: 'side of the role' },
] as const;
const ROLE_SIDES = [
  { value: 'none', label: 'no side' },
  { value: 'left', label: 'left' },
  { value: 'right', label: 'right' },
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
  tried.value
    ? [...(fields.name.trim() === '' ? [{ path: 'name', message: 'A sport needs a name.' }] : []), ...checkSport(made.value)]
    : [],
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
  <form class="fields sport-form" aria-label="A sport of your own" novalidate @submit.prevent="keep">
    <div class="pair">
      <div class="field">
        <label for="sport-name">Name</label><Input id="sport-name" v-model:value="fields.name" :maxlength="60" autocomplete="off" />
      </div>
      <div class="field">
        <label for="sport-synonyms">Other names, with commas</label
        ><Input id="sport-synonyms" v-model:value="fields.synonyms" :maxlength="300" autocomplete="off" />
      </div>
      <div class="field">
        <label for="sport-leading">What the leading side is called, if it has one</label
        ><Input id="sport-leading" v-model:value="fields.leading" :maxlength="40" placeholder="Throwing arm" autocomplete="off" />
      </div>
    </div>
    <fieldset>
      <legend>Disciplines</legend>
      <div v-for="(each, i) in fields.disciplines" :key="i" class="line">
        <Input v-model:value="each.name" :maxlength="60" :aria-label="`Discipline ${i + 1}`" /><button
          type="button"
          class="link small"
          @click="fields.disciplines.splice(i, 1)"
        >
          Remove
        </button>
      </div>
      <Button size="small" @click="fields.disciplines.push({ id: '', name: '' })">Add a discipline</Button>
    </fieldset>
    <fieldset>
      <legend>Roles</legend>
      <div v-for="(each, i) in fields.roles" :key="i" class="line">
        <Input v-model:value="each.name" :maxlength="60" :aria-label="`Role ${i + 1}`" /><PickOne
          :label="`Side of role ${i + 1}`"
          :value="each.side ?? 'none'"
          :options="ROLE_SIDES"
          @change="
            (side) => {
              if (side === 'none') delete each.side;
              else each.side = side;
            }
          "
        /><button type="button" class="link small" @click="fields.roles.splice(i, 1)">Remove</button>
      </div>
      <Button size="small" @click="fields.roles.push({ id: '', name: '' })">Add a role</Button>
    </fieldset>
    <fieldset>
      <legend>Asks for</legend>
      <div v-for="(each, i) in fields.demands" :key="i" class="line demand">
        <PickOne
          :label="`Motion ${i + 1}`"
          search
          :value="each.motionId"
          :options="MOTION_CHOICES"
          @change="(motionId) => (each.motionId = motionId)"
        />
        <InputNumber
          :value="each.value"
          :min="motionOf(each.motionId).possible.min"
          :max="motionOf(each.motionId).possible.max"
          :aria-label="`Value of ${motionOf(each.motionId).name}`"
          :addon-after="motionOf(each.motionId).unit === 'deg' ? '°' : 'cm'"
          @change="(value) => (each.value = Number(value))"
        />
        <PickOne :label="`Side of demand ${i + 1}`" :value="each.on" :options="ON" @change="(on) => (each.on = on)" />
        <Input v-model:value="each.why" :maxlength="80" :aria-label="`What for, demand ${i + 1}`" placeholder="what for" />
        <button type="button" class="link small" @click="fields.demands.splice(i, 1)">Remove</button>
      </div>
      <Button
        size="small"
        @click="fields.demands.push({ motionId: 'hip-flexion', value: 120, on: 'both', sure: 'common practice', why: '' })"
        >Add a demand</Button
      >
    </fieldset>
    <fieldset>
      <legend>What is trained</legend>
      <div v-for="(each, i) in fields.loadKinds" :key="i" class="line kind">
        <Input v-model:value="each.name" :maxlength="60" :aria-label="`Training ${i + 1}`" />
        <Input
          v-model:value="each.counts"
          :maxlength="30"
          :aria-label="`What training ${i + 1} counts`"
          placeholder="counts: metres, throws"
        />
        <PickMany
          :label="`Muscles of training ${i + 1}`"
          :values="each.muscles"
          :options="MUSCLE_CHOICES"
          placeholder="muscles"
          @change="(muscles: readonly Muscle[]) => (each.muscles = [...muscles])"
        />
        <button type="button" class="link small" @click="fields.loadKinds.splice(i, 1)">Remove</button>
      </div>
      <Button size="small" @click="fields.loadKinds.push({ id: '', name: '', muscles: [] })">Add a kind of training</Button>
    </fieldset>
    <fieldset>
      <legend>Side differences it makes</legend>
      <SportShapes v-model="fields.shapes" />
    </fieldset>
    <fieldset>
      <legend>What its calendar holds</legend>
      <div v-for="(each, i) in fields.eventKinds" :key="i" class="line event">
        <Input v-model:value="each.name" :maxlength="60" :aria-label="`Event ${i + 1}`" />
        <InputNumber
          v-model:value="each.quietHoursBefore"
          :min="0"
          :max="168"
          :aria-label="`Hours without long holds before event ${i + 1}`"
          addon-before="no long holds"
          addon-after="h before"
        />
        <InputNumber
          v-model:value="each.gentleHoursAfter"
          :min="0"
          :max="336"
          :aria-label="`Hours of gentle work after event ${i + 1}`"
          addon-before="gentle only"
          addon-after="h after"
        />
        <button type="button" class="link small" @click="fields.eventKinds.splice(i, 1)">Remove</button>
      </div>
      <Button size="small" @click="fields.eventKinds.push({ id: '', name: '', quietHoursBefore: 24, gentleHoursAfter: 24 })"
        >Add a kind of event</Button
      >
    </fieldset>
    <ul v-if="wrong.length > 0" class="plain wrong" role="alert">
      <li v-for="each in wrong" :key="each.path">{{ each.message }}</li>
    </ul>
    <ProblemNote v-if="problem" :problem="problem" />
    <div class="choices">
      <Button type="primary" html-type="submit" :loading="busy">Keep the sport</Button><Button @click="emit('done')">Leave it</Button>
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
