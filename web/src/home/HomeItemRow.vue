<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, ref } from 'vue';
import type { Side } from '@pace-bend/core/body';
import type { Entry } from '@pace-bend/core/catalogue';
import { homeSides, type ItemJudged } from '@pace-bend/core/home';
import { HOME_LIMITS, type HomeItem } from '@pace-bend/core/record';
import EntryPicture from '../parts/EntryPicture.vue';
import NumberField from '../parts/NumberField.vue';
import TextInput from '../parts/TextInput.vue';
import LongText from '../parts/LongText.vue';
import { t } from '../words/home.ts';

/** One exercise of a sheet: its picture, its dose as numbers, and its words, which open to be changed. */
const props = defineProps<{
  item: HomeItem;
  /** Null where it is no longer on the shelf. */
  entry: Entry | null;
  judged: ItemJudged;
  at: number;
  of: number;
  disabled: boolean;
}>();
const emit = defineEmits<{ change: [fields: Partial<HomeItem>]; sides: [sides: Side[]]; off: []; move: [by: -1 | 1] }>();

const open = ref(false);
const SIDE_LABEL: Readonly<Record<Side, string>> = { left: 'left', right: 'right', midline: 'times' };
const possible = computed(() => (props.entry ? homeSides(props.entry) : props.item.sides.map(({ side }) => side)));
const twoSided = computed(() => possible.value.length > 1);
/** The side it is drawn on. */
const drawn = computed(() => {
  const side = props.item.sides[0]!.side;
  return side === 'midline' ? undefined : side;
});

const within = (value: number, { min, max }: { readonly min: number; readonly max: number }) =>
  Number.isInteger(value) && value >= min && value <= max;
/** What was typed and cannot be kept, by field; it stays there until it can. */
const wrong = ref<Record<string, { readonly value: number; readonly said: string }>>({});
function setNumber(
  field: string,
  value: number,
  limits: { readonly min: number; readonly max: number },
  keep: (value: number) => void,
): void {
  const { [field]: _one, ...rest } = wrong.value;
  if (within(value, limits)) {
    wrong.value = rest;
    keep(value);
  } else wrong.value = { ...rest, [field]: { value, said: t('wholeNumbers', { min: limits.min, max: limits.max }) } };
}
const setTimes = (side: Side, times: number) =>
  setNumber(side, times, HOME_LIMITS.times, (kept) =>
    emit('change', { sides: props.item.sides.map((each) => (each.side === side ? { side, times: kept } : each)) }),
  );
function toggleSide(side: Side): void {
  const on = props.item.sides.map((each) => each.side);
  const next = on.includes(side) ? on.filter((each) => each !== side) : [...on, side];
  if (next.length > 0) emit('sides', next);
}
function setWords(field: 'how' | 'stop' | 'when', words: string): void {
  // An exercise without words is none: the field says so, and what stood stays.
  if (field === 'when' || words.trim() !== '') emit('change', { [field]: words });
}
</script>

<template>
  <li class="item" :data-item="item.entryId">
    <div class="picture">
      <EntryPicture v-if="entry" :entry="entry" :size="96" :shape="1.3" decorative v-bind="drawn ? { side: drawn } : {}" />
    </div>
    <div class="what">
      <h3>{{ at + 1 }}. {{ item.name }}</h3>
      <div class="dose">
        <span v-if="item.seconds !== null" class="pair"
          ><NumberField
            :value="wrong.seconds?.value ?? item.seconds"
            :label="t('seconds', { name: item.name })"
            :unit="t('s')"
            :step="5"
            :wrong="wrong.seconds !== undefined"
            :disabled="disabled"
            @change="(value) => setNumber('seconds', value, HOME_LIMITS.seconds, (seconds) => emit('change', { seconds }))"
        /></span>
        <span v-for="each in item.sides" :key="each.side" class="pair"
          ><NumberField
            :value="wrong[each.side]?.value ?? each.times"
            :label="`${item.name}, ${each.side === 'midline' ? t('times2') : t('times', { side: each.side })}`"
            :unit="item.breaths ? t('breaths') : '×'"
            :step="1"
            :wrong="wrong[each.side] !== undefined"
            :disabled="disabled"
            @change="(value) => setTimes(each.side, value)"
          /><span class="small soft">{{ each.side === 'midline' ? '' : SIDE_LABEL[each.side] }}</span></span
        >
        <span class="pair"
          ><NumberField
            :value="wrong.sets?.value ?? item.sets"
            :label="t('sets', { name: item.name })"
            unit=""
            :step="1"
            :wrong="wrong.sets !== undefined"
            :disabled="disabled"
            @change="(value) => setNumber('sets', value, HOME_LIMITS.sets, (sets) => emit('change', { sets }))"
          /><span class="small soft">{{ item.sets === 1 ? t('set') : t('sets2') }}</span></span
        >
        <span class="pair"
          ><NumberField
            :value="wrong.perDay?.value ?? item.perDay"
            :label="t('timesDay', { name: item.name })"
            unit="×"
            :step="1"
            :wrong="wrong.perDay !== undefined"
            :disabled="disabled"
            @change="(value) => setNumber('perDay', value, HOME_LIMITS.perDay, (perDay) => emit('change', { perDay }))"
          /><span class="small soft">{{ t('aDay', { what: item.when === '' ? '' : `, ${item.when}` }) }}</span></span
        >
      </div>
      <p v-for="(each, field) in wrong" :key="field" class="wrong small" role="alert">{{ each.said }}</p>
      <div v-if="twoSided" class="choices">
        <button
          v-for="side in possible"
          :key="side"
          type="button"
          class="choice side"
          :aria-pressed="item.sides.some((each) => each.side === side)"
          :aria-label="`${item.name}, ${side}`"
          :disabled="disabled"
          @click="toggleSide(side)"
        >
          {{ SIDE_LABEL[side] }}
        </button>
      </div>
      <p class="how">{{ item.how }}</p>
      <p class="stop">
        <b>{{ t('stopWhen') }}</b> {{ item.stop }}
      </p>
      <p v-if="judged.forbidden" class="wrong small" role="alert">{{ t('notThingsStand', { forbidden: judged.forbidden }) }}</p>
      <p v-for="caution in judged.cautions.filter(({ level }) => level !== 'note').slice(0, 2)" :key="caution.ruleId" class="small care">
        {{ caution.because }}: {{ caution.reason }}
      </p>
      <div v-if="open && !disabled" class="words">
        <label class="field"
          ><span class="label">{{ t('whatTheyDo') }}</span
          ><LongText
            rows="3"
            :model-value="item.how"
            :maxlength="HOME_LIMITS.howLength"
            @input="setWords('how', ($event.target as HTMLTextAreaElement).value)"
          />
        </label>
        <label class="field"
          ><span class="label">{{ t('stopWhen') }}</span
          ><LongText
            rows="2"
            :model-value="item.stop"
            :maxlength="HOME_LIMITS.stopLength"
            @input="setWords('stop', ($event.target as HTMLTextAreaElement).value)"
          />
        </label>
        <label class="field"
          ><span class="label">{{ t('whenDay') }}</span
          ><TextInput
            :model-value="item.when"
            :maxlength="HOME_LIMITS.whenLength"
            @input="setWords('when', ($event.target as HTMLInputElement).value)"
        /></label>
      </div>
    </div>
    <div v-if="!disabled" class="acts">
      <Button size="small" :aria-expanded="open" @click="open = !open">{{ open ? t('closeWords') : t('changeWords') }}</Button>
      <Button size="small" :disabled="at === 0" :aria-label="t('moveUp', { name: item.name })" @click="emit('move', -1)">{{
        t('up')
      }}</Button>
      <Button size="small" :disabled="at === of - 1" :aria-label="t('moveDown', { name: item.name })" @click="emit('move', 1)">{{
        t('down')
      }}</Button>
      <Button size="small" :aria-label="t('takeOff2', { name: item.name })" @click="emit('off')">{{ t('takeOff') }}</Button>
    </div>
  </li>
</template>

<style scoped>
.item {
  display: grid;
  grid-template-columns: 132px minmax(0, 1fr) auto;
  gap: 14px;
  padding: 12px 0;
  border-top: 1px solid var(--line);
}

.picture {
  display: grid;
  place-items: center;
}

.what {
  display: grid;
  gap: 8px;
  align-content: start;
}

h3 {
  margin: 0;
  font-size: 16px;
}

.dose {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
}

.pair {
  display: inline-flex;
  align-items: baseline;
  gap: 6px;
}

.side {
  min-width: 72px;
}

.how {
  max-width: 68ch;
  line-height: 1.45;
}

.stop {
  padding-left: 10px;
  border-left: 4px solid var(--clay);
}

.care {
  color: var(--clay-text);
}

.words {
  display: grid;
  gap: 10px;
}

.acts {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px;
  align-content: start;
}

.acts > :first-child,
.acts > :last-child {
  grid-column: 1 / -1;
}

@media (pointer: coarse) {
  .acts :deep(.ant-btn) {
    min-height: 44px;
  }

  .side {
    min-height: 44px;
  }
}

@container page (max-width: 720px) {
  .item {
    grid-template-columns: minmax(0, 1fr);
  }

  .picture {
    justify-items: start;
  }
}
</style>
