<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Radio, { RadioGroup } from 'ant-design-vue/es/radio';
import { computed, ref } from 'vue';
import { SCALES, type ScaleId } from '@pace-bend/core/readiness';
import type { Practice } from '@pace-bend/core/record';
import { allSports, type OwnSport } from '@pace-bend/core/sport';
import { api } from '../api/api.ts';
import PickMany from '../parts/PickMany.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import SportForm from './SportForm.vue';
import SportFacts from './SportFacts.vue';
import { t } from '../words/practice.ts';

/** Which sports the practice serves, the ones it adds, and how it asks in the morning. */
const practice = usePractice();
const session = useSession();
const readOnly = computed(() => !session.may('PATCH', '/practice'));
const { busy, problem, run } = useAction();
const kept = ref(false);
const now = practice.practice!;
const served = ref<readonly string[]>(now.sportsServed);
const scale = ref<ScaleId>(now.checkInScale);
const editing = ref<OwnSport | 'new' | null>(null);
const shown = ref('');
const sports = computed(() => allSports(practice.ownSports).filter((sport) => !sport.standsFor));
const options = computed(() => sports.value.map((sport) => ({ value: sport.id, label: sport.name })));
/** What is looked at is what is served. */
const offeredHere = computed(() => practice.sportsServed.filter((sport) => !sport.standsFor));
const looked = computed(() => sports.value.find(({ id }) => id === shown.value) ?? null);

async function keep(): Promise<void> {
  const { revision, name, timeZone, scope } = practice.practice!;
  kept.value = await run(async () =>
    practice.take(
      await api<Practice>('PATCH', '/practice', { revision, name, timeZone, scope, sportsServed: served.value, checkInScale: scale.value }),
    ),
  );
}
const takeOut = (sport: OwnSport) =>
  run(async () => {
    const { ownSports } = await api<{ ownSports: OwnSport[] }>('DELETE', `/sports/${sport.id}`, {});
    practice.take({ ...practice.practice!, ownSports });
  });
</script>

<template>
  <div class="sports-page">
    <form class="card fields" :aria-label="t('sportsCheck')" @submit.prevent="keep">
      <h2>{{ t('sportsServedHere') }}</h2>
      <p class="soft">{{ t('nobodyAskedAboutAny') }}</p>
      <div class="field">
        <label for="served">{{ t('sports') }}</label>
        <PickMany
          input-id="served"
          :label="t('sportsServedHere')"
          :values="served"
          :options="options"
          :disabled="readOnly"
          :placeholder="t('allThem')"
          @change="
            (to: readonly string[]) => {
              served = to;
              kept = false;
            }
          "
        />
      </div>
      <div class="field">
        <span id="scale-label" class="label">{{ t('morningAsk') }}</span>
        <RadioGroup
          aria-labelledby="scale-label"
          :value="scale"
          :disabled="readOnly"
          @change="
            (event) => {
              scale = event.target.value;
              kept = false;
            }
          "
        >
          <Radio v-for="each in SCALES" :key="each.id" :value="each.id"
            >{{ each.name }}
            <span class="soft small">{{ each.items.map((item) => item.name.toLowerCase()).join(', ') }}. {{ each.source }}</span></Radio
          >
        </RadioGroup>
        <p class="soft small">
          {{ t('answersOneScaleSay') }}
        </p>
      </div>
      <ProblemNote v-if="problem" :problem="problem" />
      <div v-if="!readOnly" class="choices">
        <Button type="primary" html-type="submit" :loading="busy">{{ t('keep') }}</Button><span v-if="kept" class="soft" role="status">{{
          t('kept')
        }}</span>
      </div>
    </form>
    <section class="card fields" :aria-label="t('ownSports')">
      <h2>{{ t('yourOwnSports') }}</h2>
      <p v-if="practice.ownSports.length === 0" class="soft">
        {{ t('noneYetSportYour') }}
      </p>
      <ul class="plain">
        <li v-for="sport in practice.ownSports" :key="sport.id">
          <b>{{ sport.name }}</b>
          <span class="soft small">{{ t('demandsKindsTraining', { count: sport.demands.length, count2: sport.loadKinds.length }) }}</span>
          <template v-if="session.may('PUT', '/sports/:id')"
            ><button type="button" class="link small" :aria-label="t('change2', { name: sport.name })" @click="editing = sport">
              {{ t('change3') }}</button
            ><button type="button" class="link small" :aria-label="t('remove2', { name: sport.name })" @click="takeOut(sport)">
              {{ t('remove') }}
            </button></template
          >
        </li>
      </ul>
      <SportForm
        v-if="editing"
        :key="editing === 'new' ? 'new' : editing.id"
        :sport="editing === 'new' ? null : editing"
        @done="editing = null"
      />
      <Button v-else-if="session.may('PUT', '/sports/:id')" class="add" @click="editing = 'new'">{{ t('addSport') }}</Button>
    </section>
    <section class="card fields" :aria-label="t('whatSportAsks')">
      <h2>{{ t('whatSportAsks') }}</h2>
      <div class="choices">
        <button
          v-for="sport in offeredHere"
          :key="sport.id"
          type="button"
          class="choice"
          :aria-pressed="shown === sport.id"
          @click="shown = shown === sport.id ? '' : sport.id"
        >
          {{ sport.name }}
        </button>
      </div>
      <SportFacts v-if="looked" :sport="looked" />
    </section>
  </div>
</template>

<style scoped>
.sports-page {
  display: grid;
  gap: 14px;
}

.add {
  justify-self: start;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: baseline;
  padding: 6px 0;
  border-top: 1px solid var(--line-faint);
}

.sports-page :deep(.ant-radio-wrapper) {
  display: flex;
  margin: 0 0 8px;
}
</style>
