<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import Slider from 'ant-design-vue/es/slider';
import Switch from 'ant-design-vue/es/switch';
import { useEventListener } from '@vueuse/core';
import { computed, ref } from 'vue';
import type { SpokenKinds } from '@pace-bend/core/table';
import PickOne from '../../parts/PickOne.vue';
import SheetDialog from '../../parts/SheetDialog.vue';
import { PEDALS } from '../../parts/keys.ts';
import { canSpeak } from '../../parts/speech.ts';
import { RATE, VOLUME, type TableSettings } from './tableSettings.ts';
import { t } from '../../words/table.ts';

/** How the table sounds and what the pedals send: tried out here, before anybody lies there. */
const open = defineModel<boolean>('open', { required: true });
const props = defineProps<{ settings: TableSettings }>();
const emit = defineEmits<{ try: []; change: [settings: Partial<TableSettings>] }>();
const set = (changed: Partial<TableSettings>) => emit('change', changed);

const KINDS: readonly { readonly id: keyof SpokenKinds; readonly words: string }[] = [
  { id: 'instruction', words: t('whatDoHowHard') },
  { id: 'counts', words: t('howManySeconds') },
  { id: 'side', words: t('nextSideWhereYou') },
  { id: 'rest', words: t('restsReturns') },
];
function says(id: keyof SpokenKinds, on: boolean): void {
  set({ says: { ...props.settings.says, [id]: on } });
}
/** Browsers know their voices a while after the page has opened. */
const voices = ref(canSpeak() ? window.speechSynthesis.getVoices() : []);
if (canSpeak())
  useEventListener(window.speechSynthesis, 'voiceschanged', () => {
    voices.value = window.speechSynthesis.getVoices();
  });
const BROWSERS_OWN = '';
const voiceOptions = computed(() => [
  { value: BROWSERS_OWN, label: t('browsersOwn') },
  ...voices.value.map(({ name, lang }) => ({ value: name, label: `${name} (${lang})` })),
]);

/** The pedal that is being learned: the next key pressed is its own. */
const learning = ref<'down' | 'up' | null>(null);
const wrong = ref('');
const PEDAL_ROWS = [
  { id: 'down', name: t('on'), what: t('pressedBeginGoEnd') },
  { id: 'up', name: t('back'), what: t('pressedAgainOneBefore') },
] as const;
const KEY_NAMES: Readonly<Record<string, string>> = { PageDown: t('page'), PageUp: t('page2'), ' ': 'Space', ArrowDown: '↓', ArrowUp: '↑' };
const named = (key: string) => KEY_NAMES[key] ?? key;
/** Keys that mean something at the table whatever a pedal sends. */
const NOT_FOR_PEDALS = ['Escape', 'Tab', 'Shift', 'Control', 'Alt', 'Meta', ...'0123456789'];
useEventListener(
  window,
  'keydown',
  (event: KeyboardEvent) => {
    const pedal = learning.value;
    if (!pedal) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    if (event.key === 'Escape') {
      learning.value = null;
      return;
    }
    const other = pedal === 'down' ? 'up' : 'down';
    if (NOT_FOR_PEDALS.includes(event.key)) {
      wrong.value = t('anotherMeaningTable', { named: named(event.key) });
      return;
    }
    if (props.settings.pedals[other] === event.key) {
      wrong.value = t('otherPedal', { named: named(event.key) });
      return;
    }
    set({ pedals: { ...props.settings.pedals, [pedal]: event.key } });
    wrong.value = '';
    learning.value = null;
  },
  { capture: true },
);
function learn(pedal: 'down' | 'up'): void {
  wrong.value = '';
  learning.value = pedal;
}
const areOwn = computed(() => props.settings.pedals.down !== PEDALS.down.code || props.settings.pedals.up !== PEDALS.up.code);
function reset(): void {
  set({ pedals: { down: PEDALS.down.code, up: PEDALS.up.code } });
}
</script>

<template>
  <SheetDialog v-model:open="open" :title="t('soundVoicePedals')" :width="560" :top="40">
    <div class="settings">
      <section :aria-label="t('sound')">
        <h2>{{ t('sound') }}</h2>
        <label class="line"
          ><Switch :checked="!settings.muted" :aria-label="t('tones')" @update:checked="set({ muted: !settings.muted })" />
          {{ t('tonesOneEachKind') }}</label
        >
        <label class="line"
          ><Switch :checked="settings.ticks" @update:checked="set({ ticks: !settings.ticks })" :aria-label="t('ticks')" />
          {{ t('ticksLastThreeSeconds') }}</label
        >
        <div class="slide">
          <span id="volume">{{ t('loudness') }}</span>
          <Slider
            :value="settings.volume"
            @update:value="(volume) => set({ volume: Number(volume) })"
            :min="VOLUME.min"
            :max="VOLUME.max"
            :step="0.05"
            :tip-formatter="(share?: number) => `${Math.round((share ?? 0) * 100)} %`"
            aria-labelled-by-for-handle="volume"
          />
        </div>
      </section>
      <section :aria-label="t('voice')">
        <h2>{{ t('voice') }}</h2>
        <p v-if="!canSpeak()" class="soft">{{ t('browserNoVoice') }}</p>
        <template v-else>
          <label class="line"
            ><Switch :checked="settings.spoken" @update:checked="set({ spoken: !settings.spoken })" :aria-label="t('voice')" />
            {{ t('saysWhatDone') }}</label
          >
          <div class="kinds" role="group" :aria-label="t('whatSays')">
            <Checkbox
              v-for="kind in KINDS"
              :key="kind.id"
              :checked="settings.says[kind.id]"
              :disabled="!settings.spoken"
              @change="(event) => says(kind.id, event.target.checked)"
              >{{ kind.words }}</Checkbox
            >
          </div>
          <div class="slide">
            <span id="rate">{{ t('speed') }}</span>
            <Slider
              :value="settings.rate"
              @update:value="(rate) => set({ rate: Number(rate) })"
              :min="RATE.min"
              :max="RATE.max"
              :step="0.05"
              aria-labelled-by-for-handle="rate"
            />
          </div>
          <div class="slide">
            <label for="voice">{{ t('whoseVoice') }}</label>
            <PickOne
              input-id="voice"
              :label="t('whoseVoice')"
              :value="settings.voice ?? BROWSERS_OWN"
              :options="voiceOptions"
              @change="
                (name) => {
                  set({ voice: name === BROWSERS_OWN ? null : String(name) });
                }
              "
            />
          </div>
        </template>
        <Button @click="$emit('try')">{{ t('hearNow') }}</Button>
      </section>
      <section :aria-label="t('pedals')">
        <h2>{{ t('pedals') }}</h2>
        <div v-for="row in PEDAL_ROWS" :key="row.id" class="pedal">
          <b>{{ row.name }}</b>
          <span class="key">{{ named(settings.pedals[row.id]) }}</span>
          <Button size="small" :aria-label="t('learnPedal', { name: row.name })" @click="learn(row.id)">{{
            learning === row.id ? t('pressYourPedal') : t('learn')
          }}</Button>
          <span class="soft small what">{{ row.what }}</span>
        </div>
        <p class="soft small">{{ t('bothOnceUntilSoftens') }}</p>
        <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
        <Button v-if="areOwn" size="small" @click="reset">{{ t('backPageKeys') }}</Button>
      </section>
      <p class="soft small">{{ t('keptYourAccountDevice') }}</p>
    </div>
  </SheetDialog>
</template>

<style scoped>
.settings {
  display: grid;
  gap: 16px;
}

section {
  display: grid;
  gap: 8px;
  justify-items: start;
}

h2 {
  font-size: 16px;
}

.line {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 40px;
}

.kinds {
  display: grid;
  gap: 6px;
  padding-left: 54px;
}

.kinds :deep(.ant-checkbox-wrapper) {
  margin: 0;
}

.slide {
  display: grid;
  grid-template-columns: 100px minmax(0, 1fr);
  align-items: center;
  width: 100%;
}

.pedal {
  display: grid;
  grid-template-columns: 48px minmax(70px, auto) auto minmax(0, 1fr);
  align-items: center;
  gap: 4px 10px;
  width: 100%;
}

.what {
  grid-column: 1 / -1;
}
</style>
