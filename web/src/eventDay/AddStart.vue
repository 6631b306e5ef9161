<script setup lang="ts">
import AutoComplete from 'ant-design-vue/es/auto-complete';
import Button from 'ant-design-vue/es/button';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { DAY_LIMITS, type Race } from '@pace-bend/core/eventDay';
import { formatClock, LIMITS, readTypedTime } from '@pace-bend/core/record';
import type { StartRow } from '@pace-bend/core/exchange';
import { api, ApiProblem } from '../api/api.ts';
import SheetDialog from '../parts/SheetDialog.vue';
import TextInput from '../parts/TextInput.vue';
import TimeField from '../parts/TimeField.vue';
import { t } from '../words/eventDay.ts';

/** One more start: an athlete of the practice or a name only, in a race that is there or a new one. Stays open for the next. */
const props = defineProps<{ races: readonly Race[] }>();
const emit = defineEmits<{ add: [rows: readonly Omit<StartRow, 'row'>[]]; close: [] }>();
const athletes = shallowRef<readonly { readonly id: string; readonly name: string }[]>([]);
const [name, race, call, start] = [ref(''), ref(''), ref(''), ref('')];
const tried = ref(false);
const added = ref('');
onMounted(() => look(''));

let turn = 0;
async function look(typed: string): Promise<void> {
  const mine = ++turn;
  try {
    const found = await api<{ athletes: { id: string; name: string }[] }>('GET', `/athletes?limit=30&q=${encodeURIComponent(typed)}`);
    if (mine === turn) athletes.value = found.athletes;
  } catch (error) {
    // Without the line a name is a name only.
    if (!(error instanceof ApiProblem)) throw error;
  }
}
const known = computed(() => props.races.find((each) => each.name.toLowerCase() === race.value.trim().toLowerCase()) ?? null);
function take(typed: string): void {
  race.value = typed;
  if (known.value)
    [call.value, start.value] = [
      known.value.callAt === null ? '' : formatClock(known.value.callAt, '24'),
      formatClock(known.value.startAt, '24'),
    ];
}
const minute = (held: string) => {
  const read = readTypedTime(held);
  return 'minute' in read ? read.minute : null;
};
const wrong = computed(() => ({
  name: name.value.trim() === '' ? t('whoStarts') : null,
  race: race.value.trim() === '' ? t('whichRace') : null,
  start: minute(start.value) === null ? t('whenDoesStart') : null,
  call:
    call.value !== '' && minute(call.value) === null
      ? t('noTime')
      : call.value !== '' && (minute(call.value) ?? 0) > (minute(start.value) ?? 1440)
        ? t('callBeforeStart')
        : null,
}));
function add(): void {
  tried.value = true;
  if (Object.values(wrong.value).some((each) => each !== null)) return;
  const same = athletes.value.filter((athlete) => athlete.name.toLowerCase() === name.value.trim().toLowerCase());
  emit('add', [
    {
      name: same[0]?.name ?? name.value.trim(),
      athleteId: same.length === 1 ? same[0]!.id : null,
      race: known.value?.name ?? race.value.trim(),
      callAt: call.value === '' ? null : minute(call.value),
      startAt: minute(start.value)!,
    },
  ]);
  added.value = t('added', { value: name.value.trim() });
  name.value = '';
  tried.value = false;
}
</script>

<template>
  <SheetDialog :open="true" :title="t('addAStart')" @update:open="emit('close')">
    <form class="fields" @submit.prevent="add">
      <div class="field">
        <label for="start-name">{{ t('athlete') }}</label>
        <AutoComplete
          id="start-name"
          v-model:value="name"
          :options="athletes.map((athlete) => ({ value: athlete.name }))"
          :maxlength="LIMITS.nameLength"
          :placeholder="t('typeName')"
          @search="look"
        />
        <p v-if="tried && wrong.name" class="wrong small" role="alert">{{ wrong.name }}</p>
        <p v-else class="soft small">{{ t('athleteYoursAnybodysName') }}</p>
      </div>
      <div class="field">
        <label for="start-race">{{ t('race') }}</label>
        <TextInput
          id="start-race"
          :model-value="race"
          :maxlength="DAY_LIMITS.raceName"
          autocomplete="off"
          list="start-races"
          @input="take(($event.target as HTMLInputElement).value)"
        />
        <datalist id="start-races"><option v-for="each in races" :key="each.id" :value="each.name" /></datalist>
        <p v-if="tried && wrong.race" class="wrong small" role="alert">{{ wrong.race }}</p>
      </div>
      <div class="times">
        <TimeField
          id="start-call"
          :label="t('call')"
          :value="call"
          :wrong="tried ? wrong.call : null"
          @update:value="(held) => (call = held)"
        />
        <TimeField
          id="start-start"
          :label="t('start')"
          :value="start"
          :wrong="tried ? wrong.start : null"
          @update:value="(held) => (start = held)"
        />
      </div>
      <p class="soft small" role="status">{{ added }}</p>
      <div class="pair">
        <Button type="primary" html-type="submit">{{ t('addStart') }}</Button>
        <Button @click="emit('close')">{{ t('close') }}</Button>
      </div>
    </form>
  </SheetDialog>
</template>

<style scoped>
.times {
  display: flex;
  gap: 20px;
}
</style>
