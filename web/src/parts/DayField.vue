<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, ref, watch } from 'vue';
import { dayExample, formatDay, isDay, readTypedDay } from '@pace-bend/core/record';
import { usePractice } from '../stores/practice.ts';
import { dayInWords, dayOrder } from './typedDays.ts';
import TextInput from './TextInput.vue';
import { t } from '../words/parts.ts';

/**
 * A day, typed as one is used to or picked from the calendar; how it was read stands beneath in words. What it holds is the day (`YYYY-MM-DD`),
 * or what was typed while that is none.
 */
const props = withDefaults(
  defineProps<{
    id: string;
    value: string;
    label: string;
    /** What is wrong, where a form says so; left out, the field says it by itself. */
    wrong?: string | null | undefined;
    /** What else a day has to be; null is sound. */
    check?: (day: string) => string | null;
    /** May be left empty. */
    optional?: boolean;
    placeholder?: string;
    readOnly?: boolean;
    /** The label is read out only: something beside the field says it. */
    hideLabel?: boolean;
  }>(),
  { wrong: undefined, check: () => null, optional: false, placeholder: '', readOnly: false, hideLabel: false },
);
const emit = defineEmits<{
  'update:value': [held: string];
  /** A sound day, or nothing where it may be left empty. */
  day: [day: string];
}>();
// The calendar comes when somebody wants it.
const DatePicker = defineAsyncComponent(() => import('ant-design-vue/es/date-picker'));

const practice = usePractice();
const order = dayOrder();
const shown = (held: string) => (isDay(held) ? formatDay(held, order) : held);
const text = ref(shown(props.value));
const read = computed(() => readTypedDay(text.value, order, practice.today));
const held = computed(() => ('day' in read.value ? read.value.day : text.value.trim()));
watch(
  () => props.value,
  (value) => {
    if (value !== held.value) text.value = shown(value);
  },
);

const touched = ref(false);
const ownWrong = computed(() => {
  if (!touched.value || (props.optional && held.value === '')) return null;
  return 'problem' in read.value ? read.value.problem : props.check(read.value.day);
});
const said = computed(() => (props.wrong === undefined ? ownWrong.value : props.wrong));

function take(next: string): void {
  text.value = next;
  touched.value = true;
  emit('update:value', held.value);
  const isSound = 'day' in read.value ? props.check(read.value.day) === null : props.optional && held.value === '';
  if (isSound) emit('day', held.value);
}

const isOpen = ref(false);
/** Escape closes the calendar, and nothing that lies under it. */
function onEscape(event: KeyboardEvent): void {
  if (!isOpen.value) return;
  event.stopPropagation();
  close(false);
}
const field = ref<InstanceType<typeof TextInput> | null>(null);
function pick(day: unknown): void {
  if (typeof day === 'string' && isDay(day)) take(formatDay(day, order));
}
function close(open: boolean): void {
  if (open || !isOpen.value) return;
  isOpen.value = false;
  void nextTick(() => field.value?.focus());
}
</script>

<template>
  <div class="field day-field" @keydown.esc="onEscape">
    <label :for="id" :class="{ 'sr-only': hideLabel }">{{ label }}</label>
    <span class="line">
      <TextInput
        :id="id"
        ref="field"
        autocomplete="off"
        maxlength="30"
        :model-value="text"
        :readonly="readOnly"
        :placeholder="placeholder || dayExample(order)"
        :aria-invalid="said ? 'true' : undefined"
        :aria-describedby="`${id}-read`"
        @input="take(($event.target as HTMLInputElement).value)"
        @change="touched = true"
      />
      <button v-if="!readOnly" type="button" class="pick" :aria-expanded="isOpen" @click="isOpen = !isOpen">
        <span class="sr-only">{{ t('openCalendar') }}</span>
        <svg viewBox="0 0 16 16" width="16" height="16" aria-hidden="true">
          <path d="M2 4h12v10H2zM2 7h12M5 2v3M11 2v3" fill="none" stroke="currentColor" stroke-width="1.4" />
        </svg>
      </button>
      <span v-if="isOpen" class="picker"
        ><DatePicker
          open
          autofocus
          input-read-only
          :aria-label="t('calendar')"
          value-format="YYYY-MM-DD"
          :value="(isDay(held) ? held : undefined) as never"
          @update:value="pick"
          @open-change="close"
      /></span>
    </span>
    <p :id="`${id}-read`" class="small" :class="said ? 'wrong' : 'soft'" :role="said ? 'alert' : undefined">
      {{ said ?? ('day' in read ? dayInWords(read.day) : '') }}
    </p>
  </div>
</template>

<style scoped>
.line {
  position: relative;
  display: flex;
  align-items: center;
}

.line :deep(.ant-input) {
  flex: 1 1 120px;
  min-width: 0;
  padding-right: 44px;
}

.pick {
  position: absolute;
  top: 0;
  right: 0;
  bottom: 0;
  display: grid;
  place-items: center;
  width: 44px;
  border: 0;
  background: none;
  color: var(--soft);
  cursor: pointer;
}

.pick:hover {
  color: var(--ink);
}

/* Only its calendar is seen: what is typed is typed above. */
.picker {
  position: absolute;
  bottom: 0;
  left: 0;
  width: 1px;
  height: 1px;
  overflow: hidden;
  opacity: 0;
}

p {
  min-height: 18px;
  margin: 2px 0 0;
}
</style>
