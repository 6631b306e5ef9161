<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { v7 as uuid } from 'uuid';
import { computed, ref } from 'vue';
import {
  KIND_WORDS,
  WISH_KINDS,
  type DayEventBody,
  type DayState,
  type EventDaySetUp,
  type WishKind,
  type WishReason,
} from '@pace-bend/core/eventDay';
import { LIMITS } from '@pace-bend/core/record';
import ChoiceRow from '../parts/ChoiceRow.vue';
import PickOne from '../parts/PickOne.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import ReasonsField from './ReasonsField.vue';
import TextInput from '../parts/TextInput.vue';
import { usePractice } from '../stores/practice.ts';
import { newWish } from './newDay.ts';
import { t } from '../words/eventDay.ts';

/** One more who wants something: somebody on the list, or a name. */
const props = defineProps<{ setUp: EventDaySetUp; state: DayState }>();
const emit = defineEmits<{ say: [body: DayEventBody, words: string]; close: [] }>();
const practice = usePractice();
const SOMEBODY = 'new';
const starterId = ref(SOMEBODY);
const name = ref('');
const races = computed(() => [...props.state.races].sort((a, b) => a.startAt - b.startAt));
const raceId = ref(races.value[0]?.id ?? '');
const kind = ref<WishKind>('before');
const nextId = ref('');
const reasons = ref<readonly WishReason[]>([]);
const later = computed(() =>
  races.value.filter(({ startAt }) => startAt > (races.value.find(({ id }) => id === raceId.value)?.startAt ?? 0)),
);
const who = computed(() =>
  starterId.value === SOMEBODY ? name.value.trim() : (props.state.starters.find(({ id }) => id === starterId.value)?.name ?? ''),
);
const sound = computed(
  () => who.value !== '' && raceId.value !== '' && (kind.value !== 'between' || later.value.some(({ id }) => id === nextId.value)),
);
function save(): void {
  if (!sound.value) return;
  const starter = starterId.value === SOMEBODY ? { id: uuid(), athleteId: null, name: name.value.trim() } : null;
  const wish = {
    ...newWish(props.setUp, kind.value, starter?.id ?? starterId.value, raceId.value, kind.value === 'between' ? nextId.value : null),
    reasons: reasons.value,
  };
  emit('say', { kind: 'wish', wish, starter, race: null, nextRace: null }, `${who.value}: one more wish`);
  emit('close');
}
const raceChoices = (list: typeof races.value) =>
  list.map((race) => ({ value: race.id, label: `${race.name}, ${practice.clock(race.startAt)}` }));
</script>

<template>
  <SheetDialog :open="true" :title="t('oneMoreWish')" @update:open="emit('close')">
    <p v-if="races.length === 0" class="soft">{{ t('thereNoRaceDay') }}</p>
    <form v-else class="fields" @submit.prevent="save">
      <div class="field">
        <label for="more-who">{{ t('who') }}</label>
        <PickOne
          input-id="more-who"
          :label="t('who')"
          search
          :value="starterId"
          :options="[
            { value: SOMEBODY, label: t('somebodyNotList') },
            ...state.starters.map(({ id, name: label }) => ({ value: id, label })),
          ]"
          @change="(to) => (starterId = to)"
        />
      </div>
      <div v-if="starterId === SOMEBODY" class="field">
        <label for="more-name">{{ t('name') }}</label>
        <TextInput id="more-name" v-model="name" :maxlength="LIMITS.nameLength" autocomplete="off" />
      </div>
      <div class="field">
        <span class="label">{{ t('when') }}</span>
        <ChoiceRow
          :label="t('when')"
          :value="kind"
          :options="WISH_KINDS.map((each) => ({ value: each, label: KIND_WORDS[each] }))"
          @change="(to) => to && (kind = to)"
        />
      </div>
      <div class="field">
        <label for="more-race">{{ t('race') }}</label>
        <PickOne input-id="more-race" :label="t('race')" :value="raceId" :options="raceChoices(races)" @change="(to) => (raceId = to)" />
      </div>
      <div v-if="kind === 'between'" class="field">
        <label for="more-next">{{ t('nextRace') }}</label>
        <PickOne
          input-id="more-next"
          :label="t('nextRace')"
          :value="nextId"
          :options="raceChoices(later)"
          @change="(to) => (nextId = to)"
        />
      </div>
      <ReasonsField id="more-reasons" :reasons="reasons" @change="(to) => (reasons = to)" />
      <Button type="primary" size="large" html-type="submit" :disabled="!sound">{{ t('addWish') }}</Button>
    </form>
  </SheetDialog>
</template>
