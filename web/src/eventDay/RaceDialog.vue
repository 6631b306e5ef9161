<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, ref } from 'vue';
import { formatClock, readTypedTime } from '@pace-bend/core/record';
import type { DayEventBody, Race } from '@pace-bend/core/eventDay';
import ChoiceRow from '../parts/ChoiceRow.vue';
import PickOne from '../parts/PickOne.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import TimeField from '../parts/TimeField.vue';
import { usePractice } from '../stores/practice.ts';
import { t } from '../words/eventDay.ts';

/** A race that starts at another time: by so many minutes, or at a time. Its call moves with it. */
const props = defineProps<{ races: readonly Race[] }>();
const emit = defineEmits<{ say: [body: DayEventBody, words: string]; close: [] }>();
const practice = usePractice();
const ordered = computed(() => [...props.races].sort((a, b) => a.startAt - b.startAt));
const raceId = ref(ordered.value[0]?.id ?? '');
const race = computed(() => props.races.find(({ id }) => id === raceId.value) ?? null);
const held = ref('');
const by = ref<number | null>(null);
function moveBy(minutes: number | null): void {
  by.value = minutes;
  held.value = minutes === null || !race.value ? '' : formatClock(Math.min(1439, race.value.startAt + minutes), '24');
}
function choose(id: string): void {
  raceId.value = id;
  moveBy(by.value);
}
const startAt = computed(() => {
  const read = readTypedTime(held.value);
  return 'minute' in read ? read.minute : null;
});
function save(): void {
  if (!race.value || startAt.value === null) return;
  const moved = startAt.value - race.value.startAt;
  const callAt = race.value.callAt === null ? null : Math.max(0, Math.min(startAt.value, race.value.callAt + moved));
  emit(
    'say',
    { kind: 'slip', raceId: race.value.id, callAt, startAt: startAt.value },
    `${race.value.name} starts at ${practice.clock(startAt.value)}`,
  );
  emit('close');
}
</script>

<template>
  <SheetDialog :open="true" :title="t('raceLater')" @update:open="emit('close')">
    <form class="fields" @submit.prevent="save">
      <div class="field">
        <label for="late-race">{{ t('race') }}</label>
        <PickOne
          input-id="late-race"
          :label="t('race')"
          :value="raceId"
          :options="ordered.map((each) => ({ value: each.id, label: `${each.name}, ${practice.clock(each.startAt)}` }))"
          @change="choose"
        />
      </div>
      <div class="field">
        <span class="label">{{ t('laterBy') }}</span>
        <ChoiceRow
          :label="t('laterBy')"
          :value="by"
          :options="[5, 10, 15, 20, 30, 45].map((minutes) => ({ value: minutes, label: t('min4', { minutes }) }))"
          @change="moveBy"
        />
      </div>
      <TimeField id="late-start" :label="t('startsAt')" :value="held" @update:value="(to) => (held = to)" />
      <Button type="primary" size="large" html-type="submit" :disabled="startAt === null">{{ t('moveRace') }}</Button>
    </form>
  </SheetDialog>
</template>
