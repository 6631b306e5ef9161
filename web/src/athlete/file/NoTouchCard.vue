<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { ref } from 'vue';
import { placeWords, type Region } from '@pace-bend/core/body';
import { LIMITS, type AthleteFile } from '@pace-bend/core/record';
import PickOne from '../../parts/PickOne.vue';
import { useAction } from '../../parts/useAction.ts';
import { BODY_SIDES, REGION_CHOICES } from '../../parts/words.ts';
import { useAthlete } from '../../stores/athlete.ts';
import { usePractice } from '../../stores/practice.ts';
import TextInput from '../../parts/TextInput.vue';
import { t } from '../../words/athlete.ts';

/** Areas the athlete does not want touched. The list grows; a wish that has changed is lifted. */
defineProps<{ file: AthleteFile }>();
const store = useAthlete();
const practice = usePractice();
const region = ref<Region | undefined>(undefined);
const side = ref<'left' | 'right' | 'both' | 'none'>('none');
const words = ref('');
/** No area was chosen. */
const missing = ref(false);
const { busy, problem, run } = useAction();

async function add(): Promise<void> {
  missing.value = region.value === undefined;
  if (region.value === undefined) return;
  const area = { region: region.value, side: side.value === 'none' ? null : side.value, words: words.value.trim() };
  if (!(await run(() => store.addNoTouch(area)))) return;
  region.value = undefined;
  words.value = '';
}
</script>

<template>
  <section class="card fields" :aria-label="t('notTouched')">
    <h2>{{ t('notTouched') }}</h2>
    <p v-if="file.noTouch.length === 0" class="soft">{{ t('nothingNamedAskList') }}</p>
    <ul class="plain">
      <li v-for="area in file.noTouch" :key="area.id">
        <span
          ><b>{{ placeWords(area.region, area.side) }}</b> {{ ' '
          }}<span class="soft small">{{ t('since4', { words: area.words, shortDate: practice.shortDate(area.since) }) }}</span></span
        ><button type="button" class="link small" :disabled="busy" @click="run(() => store.liftNoTouch(area))">{{ t('lift') }}</button>
      </li>
    </ul>
    <form class="add" @submit.prevent="add">
      <PickOne
        :label="t('areaNotTouched')"
        :value="region"
        :options="REGION_CHOICES"
        search
        :placeholder="t('area')"
        @change="
          (value) => {
            region = value;
          }
        "
      />
      <PickOne
        :label="t('sideArea')"
        :value="side"
        :options="BODY_SIDES"
        @change="
          (value) => {
            side = value;
          }
        "
      />
      <TextInput v-model="words" :aria-label="t('theirWords')" :placeholder="t('theirWords')" :maxlength="LIMITS.aboutLength" />
      <Button html-type="submit" :disabled="busy">{{ t('add') }}</Button>
    </form>
    <p v-if="missing || problem" class="wrong" role="alert">{{ missing ? t('chooseAreaFirst') : problem!.message }}</p>
  </section>
</template>

<style scoped>
li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 4px 0;
}

.add {
  display: grid;
  grid-template-columns: 1.2fr 96px 1.3fr auto;
  gap: 8px;
}
</style>
