<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import { computed, ref, watch } from 'vue';
import { KIND_WORDS, secondsOf, type BoardRow, type EventRecord } from '@pace-bend/core/eventDay';
import { LIMITS } from '@pace-bend/core/record';
import ChoiceRow from '../parts/ChoiceRow.vue';
import DayField from '../parts/DayField.vue';
import PickOne from '../parts/PickOne.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import TextInput from '../parts/TextInput.vue';
import { useShelf } from '../stores/shelf.ts';
import CautionLine from './CautionLine.vue';
import StopAsk from './StopAsk.vue';
import { NOTHING, useRecordForm } from './useRecordForm.ts';
import type { Records } from './useRecords.ts';
import { areaWords, listed } from './words.ts';
import { t } from '../words/eventDay.ts';

/** Half a minute of writing: what was done of the sequence, two words; or that somebody was sent on instead. */
const props = defineProps<{
  row: BoardRow;
  records: Records;
  /** Something was not answered with no. */
  sendOn: boolean;
  lastEventId: string | null;
}>();
const emit = defineEmits<{ write: [record: EventRecord]; close: [] }>();
const shelf = useShelf();
const form = useRecordForm(props.row, props.records, props.sendOn, props.lastEventId);
const { fields, isGuest, protocols, steps, look, context, raised, isNewWork, moreAreas, birthDateWrong, missing } = form;
const refusal = computed(() => props.records.refusedOf(props.row.state.wish.id)?.refusal ?? null);
const sending = computed(() => props.sendOn || raised.value.length > 0);
const SIDES = [
  { value: 'left', label: t('leftOnly') },
  { value: 'right', label: t('rightOnly') },
] as const;
const WORDS = [t('looseReady'), t('tightBetterAfter'), t('soreKeptLight'), t('cutShort')] as const;
/** What was done of it in one line; the steps are there for whoever did it otherwise. */
const opened = ref(false);
const stepsWords = computed(() => {
  const done = steps.value.filter((step) => step.done).length;
  const minutes = Math.max(1, Math.round(secondsOf(form.done.value, shelf.shelf) / 60));
  const all = steps.value.length;
  if (done === 0) return t('nothingSteps', { all });
  return t('stepsMinPlanned', { what: done === all ? t('all', { all }) : t('of', { done, all }), minutes });
});
// Whatever is held back is seen at once.
watch(
  () => steps.value.some(({ looked }) => looked.against.length > 0),
  (held) => {
    if (held) opened.value = true;
  },
  { immediate: true },
);
function write(): void {
  if (missing.value.length === 0) emit('write', form.record());
}
</script>

<template>
  <SheetDialog
    :open="true"
    :title="`${row.name}: ${sendOn ? t('notTreatedSent') : t('writeItDown2')}`"
    :width="760"
    @update:open="emit('close')"
  >
    <form class="fields record" @submit.prevent="write">
      <p class="soft">{{ KIND_WORDS[row.state.wish.kind] }}, {{ row.raceName }}</p>
      <p v-if="refusal" class="wrong" role="alert">{{ t('notTakenWriteDownOnce', { message: refusal.message }) }}</p>
      <CautionLine :context="context" :limits="look?.limits ?? []" :unread="records.isUnread(row.state.wish)" />

      <section v-if="isGuest" class="guest" :aria-label="t('aGuest')">
        <div class="field">
          <label for="guest-name">{{ t('name') }}</label>
          <TextInput id="guest-name" v-model="fields.name" :maxlength="LIMITS.nameLength" autocomplete="off" />
        </div>
        <DayField
          id="guest-born"
          :label="t('birthDate')"
          :value="fields.birthDate"
          :wrong="birthDateWrong"
          @update:value="(to) => (fields.birthDate = to)"
        />
        <div class="field wide">
          <label for="guest-about">{{ t('whatMattersHandsThem') }}</label>
          <TextInput
            id="guest-about"
            v-model="fields.about"
            :maxlength="LIMITS.aboutLength"
            autocomplete="off"
            :placeholder="t('nothing')"
          />
        </div>
        <Checkbox v-model:checked="fields.agreed" class="wide">{{ t('theyAgreeFileHere') }}</Checkbox>
      </section>

      <section v-if="sending || !fields.asked" :aria-label="t('stopQuestions')">
        <Button v-if="!sending" size="large" type="primary" @click="fields.asked = true">{{ t('noneStopQuestions') }}</Button>
        <StopAsk :raised="fields.raised" @change="(to) => (fields.raised = to)" />
      </section>

      <Checkbox v-if="moreAreas.length > 0" v-model:checked="fields.agreedMore">{{
        t('theyAgreedHandsWell', { area: areaWords(moreAreas) })
      }}</Checkbox>

      <template v-if="raised.length > 0">
        <div class="field">
          <label for="sent-to">{{ t('sentOnTo') }}</label>
          <TextInput id="sent-to" v-model="fields.to" :maxlength="LIMITS.aboutLength" autocomplete="off" />
        </div>
        <div class="field">
          <label for="sent-seen">{{ t('whatSeen') }}</label>
          <TextInput id="sent-seen" v-model="fields.seen" :maxlength="LIMITS.complaintLength" autocomplete="off" />
        </div>
      </template>
      <section v-else-if="!sendOn" class="done" :aria-label="t('whatDone')">
        <div class="field">
          <label for="record-sequence">{{ t('sequence') }}</label>
          <PickOne
            input-id="record-sequence"
            :label="t('sequence')"
            :value="fields.protocolId"
            :options="[...protocols.map(({ id, name }) => ({ value: id, label: name })), { value: NOTHING, label: t('noneShelf') }]"
            @change="(to) => (fields.protocolId = to)"
          />
        </div>
        <Checkbox v-if="isNewWork" v-model:checked="fields.knowsWork">{{ t('theyKnowWorkFrom') }}</Checkbox>
        <details v-if="steps.length > 0" :open="opened" @toggle="(event) => (opened = (event.target as HTMLDetailsElement).open)">
          <summary>{{ stepsWords }}</summary>
          <ul class="plain steps">
            <li v-for="step in steps" :key="step.planned.id">
              <Checkbox
                :checked="step.done"
                :disabled="step.looked.against.length > 0"
                @update:checked="(to: boolean) => (fields.left[step.planned.id] = !to)"
                >{{ step.name }}</Checkbox
              >
              <ChoiceRow
                v-if="step.planned.sides.length > 1 && step.done"
                tight
                :label="t('sides', { name: step.name })"
                :value="fields.sides[step.planned.id] ?? null"
                :options="SIDES"
                @change="(to) => (fields.sides[step.planned.id] = to ?? '')"
              />
              <span v-if="step.looked.against.length > 0" class="why">{{ step.looked.against.join(' ') }}</span>
            </li>
          </ul>
          <p class="soft small">{{ t('whatCautionForbidsLeft') }}</p>
        </details>
      </section>

      <div v-if="raised.length === 0 && !sendOn" class="field">
        <label for="record-words">{{ t('twoWords') }}</label>
        <TextInput id="record-words" v-model="fields.words" :maxlength="LIMITS.complaintLength" autocomplete="off" />
        <span class="chips">
          <Button v-for="words in WORDS" :key="words" @click="fields.words = words">{{ words }}</Button>
        </span>
      </div>
      <div class="end">
        <p v-if="missing.length > 0" class="soft" role="status">{{ t('stillMissing', { listed: listed(missing) }) }}</p>
        <Button
          type="primary"
          size="large"
          html-type="submit"
          class="write"
          :disabled="missing.length > 0 || (sendOn && raised.length === 0)"
          >{{ t('writeItDown') }}</Button
        >
      </div>
    </form>
  </SheetDialog>
</template>

<style scoped>
.record {
  gap: 12px;
}

p {
  margin: 0;
}

.guest {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(220px, 100%), 1fr));
  gap: 8px 16px;
}

.wide {
  grid-column: 1 / -1;
}

.done {
  display: grid;
  gap: 8px;
}

.steps li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 2px 12px;
  min-height: 46px;
  border-top: 1px solid var(--line-faint);
}

.steps :deep(.ant-checkbox-wrapper) {
  min-height: 44px;
  align-items: center;
  font-size: 16px;
}

.why {
  color: var(--clay-text);
  font-size: 14px;
}

.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 6px;
}

.chips :deep(.ant-btn) {
  min-height: 44px;
}

summary {
  min-height: 44px;
  font-size: 16px;
  font-weight: 600;
  line-height: 44px;
  cursor: pointer;
}

/* Always at hand, however long the list above is. */
.end {
  position: sticky;
  z-index: 1;
  bottom: 0;
  display: grid;
  gap: 6px;
  padding: 10px 0 4px;
  border-top: 1px solid var(--line);
  background: var(--paper);
}

.write {
  min-height: 54px;
  font-size: 17px;
}
</style>
