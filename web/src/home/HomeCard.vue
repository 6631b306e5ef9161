<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { DateTime } from 'luxon';
import { computed } from 'vue';
import { HOME_LIMITS } from '@pace-bend/core/record';
import DayField from '../parts/DayField.vue';
import PickOne from '../parts/PickOne.vue';
import { usePractice } from '../stores/practice.ts';
import { useShelf } from '../stores/shelf.ts';
import { useVisit } from '../stores/visit.ts';
import HomeItemRow from './HomeItemRow.vue';
import { useHome } from './useHome.ts';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/home.ts';

/** What goes home: chosen from the shelf, with its dose and in the athlete's words, held against the cautions. */
const visit = useVisit();
const practice = usePractice();
const shelf = useShelf();
const { sheet, day, canGive, offers, judged, isFull, until, taken, give, giveLastAgain, change, setSides, takeOff, putBack, move } =
  useHome();

const given = computed(() => new Set(sheet.value.items.map(({ entryId }) => entryId)));
/** What today speaks for, at one press each. */
const NEAR = 4;
const near = computed(() =>
  offers.value.filter(({ entry, why, forbidden }) => why !== '' && !forbidden && !given.value.has(entry.id)).slice(0, NEAR),
);
const options = computed(() =>
  offers.value
    .filter(({ entry }) => !given.value.has(entry.id))
    .map(({ entry, forbidden }) => ({
      value: entry.id,
      label: forbidden ? t('notToday', { name: entry.name, reason: forbidden.reason }) : entry.name,
      disabled: forbidden !== null,
    })),
);
const last = computed(() => visit.file!.lastHome);
const outside = (picked: string) =>
  picked < day.value
    ? t('dayFromVisit')
    : picked > DateTime.fromISO(day.value).plus({ days: HOME_LIMITS.days }).toISODate()!
      ? t('mostDaysAfterVisit', { days: HOME_LIMITS.days })
      : null;
</script>

<template>
  <section class="card home" :aria-label="t('homeWork')">
    <header>
      <h2>{{ t('homeWork') }}</h2>
      <span class="soft small">{{
        sheet.items.length === 0 ? t('nothingGivenYet') : t('ofAtMost', { count: sheet.items.length, items: HOME_LIMITS.items })
      }}</span>
      <RouterLink v-if="sheet.items.length > 0" class="small end" :to="`/visit/${visit.id}/home`">{{ t('showPrintSave') }}</RouterLink>
    </header>
    <ol v-if="sheet.items.length > 0" class="plain list">
      <HomeItemRow
        v-for="(item, i) in sheet.items"
        :key="item.id"
        :item="item"
        :entry="shelf.shelf.entries.get(item.entryId) ?? null"
        :judged="judged.get(item.id)!"
        :at="i"
        :of="sheet.items.length"
        :disabled="!canGive"
        @change="(fields) => change(item.id, fields)"
        @sides="(sides) => setSides(item, sides)"
        @off="takeOff(item.id)"
        @move="(by) => move(item.id, by)"
      />
    </ol>
    <p v-if="taken && canGive" class="small" role="status">
      {{ t('offSheet', { name: taken.item.name }) }} <button type="button" class="link" @click="putBack">{{ t('putBack') }}</button>
    </p>
    <template v-if="canGive">
      <div v-if="(last && sheet.items.length === 0) || near.length > 0" class="choices">
        <Button v-if="last && sheet.items.length === 0" @click="giveLastAgain">{{
          t('giveSheetAgain', { shortDate: practice.shortDate(last.startsAt) })
        }}</Button>
        <Button v-for="{ entry, why } in near" :key="entry.id" :disabled="isFull" @click="give(entry.id)"
          >{{ entry.name }} <span class="soft small">{{ why }}</span></Button
        >
      </div>
      <div class="foot">
        <label class="field grow"
          ><span class="label">{{ t('addExercise') }}</span
          ><PickOne
            :value="null"
            search
            :label="t('addExercise')"
            :placeholder="isFull ? t('sheetFull') : t('anyShelfsHomeWork')"
            :disabled="isFull"
            :options="options"
            :nothing="t('nothingShelfCalled')"
            @change="give"
        /></label>
        <DayField
          id="home-until"
          :label="t('until')"
          :value="until"
          :check="outside"
          :read-only="sheet.items.length === 0"
          @day="(picked) => visit.setHome({ until: picked })"
        />
      </div>
      <div v-if="sheet.items.length > 0" class="field">
        <label for="home-words">{{ t('sentenceYourOwn') }}</label>
        <TextInput
          id="home-words"
          :model-value="sheet.words"
          :maxlength="HOME_LIMITS.wordsLength"
          :placeholder="t('standsFootSheet')"
          @input="visit.setHome({ words: ($event.target as HTMLInputElement).value, until })"
        />
      </div>
    </template>
  </section>
</template>

<style scoped>
.home {
  display: grid;
  gap: 12px;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 12px;
}

.end {
  margin-left: auto;
}

.list {
  display: grid;
  gap: 0;
}

.foot {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}

.grow {
  flex: 1 1 260px;
}
</style>
