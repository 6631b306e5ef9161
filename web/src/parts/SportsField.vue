<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Input from 'ant-design-vue/es/input';
import { computed, ref, useId } from 'vue';
import { LIMITS } from '@pace-bend/core/record';
import { findSports, playedSports, rolesIn, type AthleteSport, type Sport } from '@pace-bend/core/sport';
import { usePractice } from '../stores/practice.ts';
import PickOne from './PickOne.vue';
import { t } from '../words/parts.ts';

/** What somebody does: one sport or more, each with what it offers and no more. Only sports the practice serves are offered. */
const props = withDefaults(defineProps<{ sports: readonly AthleteSport[]; disabled?: boolean; most?: number }>(), {
  disabled: false,
  most: LIMITS.sports,
});
const emit = defineEmits<{ change: [sports: AthleteSport[]] }>();
const practice = usePractice();
const id = useId();
const typed = ref('');

const rows = computed(() =>
  props.sports.map((entry) => {
    const [played] = playedSports([entry], practice.ownSports);
    return { entry, sport: played?.sport ?? null, roles: played ? rolesIn(played.sport, entry.discipline) : [] };
  }),
);
/** Sports that are offered: served here, not chosen yet, and found by any of their words. */
const offered = computed(() => {
  const served = new Set(practice.sportsServed.map((sport) => sport.id));
  return findSports(typed.value, practice.ownSports).filter(
    (sport) => served.has(sport.id) && props.sports.every((each) => each.sportId !== sport.id),
  );
});
const choices = (sport: Sport | null) => [
  ...(sport ? [{ value: sport.id, label: sport.name }] : []),
  ...offered.value.map((each) => ({ value: each.id, label: each.name })),
];
const BLANK = { discipline: null, role: null, leading: null, words: '' } as const;

function set(at: number, fields: Partial<AthleteSport>): void {
  emit(
    'change',
    props.sports.map((each, i) => (i === at ? { ...each, ...fields } : each)),
  );
}
function choose(at: number, sportId: string): void {
  typed.value = '';
  if (at < props.sports.length) set(at, { ...BLANK, sportId });
  else emit('change', [...props.sports, { ...BLANK, sportId }]);
}
/** A role belongs to its discipline: another discipline may not have it. */
function chooseDiscipline(at: number, sport: Sport, value: string): void {
  const discipline = value === NOTHING ? null : value;
  const role = rolesIn(sport, discipline).some((each) => each.id === props.sports[at]!.role) ? props.sports[at]!.role : null;
  set(at, { discipline, role });
}
const NOTHING = '-';
const orNothing = (list: readonly { readonly id: string; readonly name: string }[]) => [
  { value: NOTHING, label: t('notSaid') },
  ...list.map((each) => ({ value: each.id, label: each.name })),
];
const SIDES = [
  { value: NOTHING, label: t('notSaid') },
  { value: 'left', label: t('left') },
  { value: 'right', label: t('right') },
];
const place = (i: number) => (props.sports.length > 1 ? ` ${i + 1}` : '');

/** What a sport asks about besides its name: each where it has something to choose from. */
function picksOf(i: number, entry: AthleteSport, sport: Sport | null, roles: ReturnType<typeof rolesIn>) {
  const given = (to: string) => (to === NOTHING ? null : to);
  return [
    ...(sport && sport.disciplines.length > 0
      ? [
          {
            id: 'discipline',
            label: t('discipline', { place: place(i) }),
            value: entry.discipline ?? NOTHING,
            options: orNothing(sport.disciplines),
            choose: (to: string) => chooseDiscipline(i, sport, to),
          },
        ]
      : []),
    ...(sport && roles.length > 0
      ? [
          {
            id: 'role',
            label: t('role', { place: place(i) }),
            value: entry.role ?? NOTHING,
            options: orNothing(roles),
            choose: (to: string) => set(i, { role: given(to) }),
          },
        ]
      : []),
    ...(sport?.leading
      ? [
          {
            id: 'leading',
            label: sport.leading,
            value: entry.leading ?? NOTHING,
            options: SIDES,
            choose: (to: string) => set(i, { leading: to === 'left' || to === 'right' ? to : null }),
          },
        ]
      : []),
  ];
}
</script>

<template>
  <div class="sports" role="group" :aria-label="t('sport2')">
    <div v-for="({ entry, sport, roles }, i) in rows" :key="i" class="sport">
      <div class="field">
        <label :for="`${id}-sport-${i}`">{{ t('sport', { place: place(i) }) }}</label>
        <PickOne
          :input-id="`${id}-sport-${i}`"
          :label="t('sport', { place: place(i) })"
          search
          found
          :nothing="t('noSportNameServed')"
          :value="entry.sportId"
          :options="choices(sport)"
          :disabled="disabled"
          @search="(text) => (typed = text)"
          @change="(to) => choose(i, to)"
        />
      </div>
      <div v-for="pick in picksOf(i, entry, sport, roles)" :key="pick.id" class="field">
        <label :for="`${id}-${pick.id}-${i}`">{{ pick.label }}</label>
        <PickOne
          :input-id="`${id}-${pick.id}-${i}`"
          :label="pick.label"
          :value="pick.value"
          :options="pick.options"
          :disabled="disabled"
          @change="pick.choose"
        />
      </div>
      <div v-if="!sport?.standsFor || entry.words !== '' || sport.standsFor === 'another'" class="field">
        <label :for="`${id}-words-${i}`">{{ sport?.standsFor === 'another' ? t('whichOne') : t('inWords') }}</label>
        <Input
          :id="`${id}-words-${i}`"
          :value="entry.words"
          :maxlength="LIMITS.sportWords"
          :disabled="disabled"
          autocomplete="off"
          :placeholder="t('positionDistance')"
          @change="(event) => set(i, { words: (event.target as HTMLInputElement).value })"
        />
      </div>
      <button
        v-if="!disabled"
        type="button"
        class="link small"
        :aria-label="t('remove2', { what: sport?.name ?? t('thisSport') })"
        @click="
          emit(
            'change',
            sports.filter((_, at) => at !== i),
          )
        "
      >
        {{ t('remove') }}
      </button>
    </div>
    <div v-if="sports.length === 0" class="field">
      <label :for="`${id}-first`">{{ t('sport2') }}</label>
      <PickOne
        :input-id="`${id}-first`"
        :label="t('sport2')"
        search
        found
        :placeholder="t('chooseType')"
        :nothing="t('noSportNameServed')"
        :value="null"
        :options="choices(null)"
        :disabled="disabled"
        @search="(text) => (typed = text)"
        @change="(to) => choose(0, to)"
      />
    </div>
    <Button
      v-else-if="!disabled && sports.length < most && offered.length > 0"
      class="add"
      @click="choose(sports.length, offered.find((each) => !each.standsFor)?.id ?? offered[0]!.id)"
      >{{ t('addSport') }}</Button
    >
  </div>
</template>

<style scoped>
.sports {
  display: grid;
  gap: 8px;
}

.sport {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(130px, 100%), 1fr));
  gap: 8px 12px;
  align-items: end;
}

.add,
.link {
  justify-self: start;
}
</style>
