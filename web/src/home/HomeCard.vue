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
      label: forbidden ? `${entry.name}: not today, ${forbidden.reason}` : entry.name,
      disabled: forbidden !== null,
    })),
);
const last = computed(() => visit.file!.lastHome);
const outside = (picked: string) =>
  picked < day.value
    ? 'A day from this visit on.'
    : picked > DateTime.fromISO(day.value).plus({ days: HOME_LIMITS.days }).toISODate()!
      ? `At most ${HOME_LIMITS.days} days after this visit.`
      : null;
</script>

<template>
  <section class="card home" aria-label="Home work">
    <header>
      <h2>Home work</h2>
      <span class="soft small">{{
        sheet.items.length === 0 ? 'nothing given yet' : `${sheet.items.length} of at most ${HOME_LIMITS.items}`
      }}</span>
      <RouterLink v-if="sheet.items.length > 0" class="small end" :to="`/visit/${visit.id}/home`">Show, print or save it</RouterLink>
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
      {{ taken.item.name }} is off the sheet. <button type="button" class="link" @click="putBack">Put it back</button>
    </p>
    <template v-if="canGive">
      <div v-if="(last && sheet.items.length === 0) || near.length > 0" class="choices">
        <Button v-if="last && sheet.items.length === 0" @click="giveLastAgain"
          >Give the sheet of {{ practice.shortDate(last.startsAt) }} again</Button
        >
        <Button v-for="{ entry, why } in near" :key="entry.id" :disabled="isFull" @click="give(entry.id)"
          >{{ entry.name }} <span class="soft small">{{ why }}</span></Button
        >
      </div>
      <div class="foot">
        <label class="field grow"
          ><span class="label">Add an exercise</span
          ><PickOne
            :value="null"
            search
            label="Add an exercise"
            :placeholder="isFull ? 'the sheet is full' : 'Any of the shelf’s home work'"
            :disabled="isFull"
            :options="options"
            nothing="Nothing on the shelf is called so."
            @change="give"
        /></label>
        <DayField
          id="home-until"
          label="Until"
          :value="until"
          :check="outside"
          :read-only="sheet.items.length === 0"
          @day="(picked) => visit.setHome({ until: picked })"
        />
      </div>
      <div v-if="sheet.items.length > 0" class="field">
        <label for="home-words">A sentence of your own</label>
        <TextInput
          id="home-words"
          :model-value="sheet.words"
          :maxlength="HOME_LIMITS.wordsLength"
          placeholder="Stands at the foot of the sheet"
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
