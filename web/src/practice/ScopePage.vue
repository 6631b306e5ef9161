<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import { computed, reactive, ref } from 'vue';
import { REGIONS, type Region } from '@pace-bend/core/body';
import { LIMITS, type Practice } from '@pace-bend/core/record';
import { api } from '../api/api.ts';
import { useAction } from '../parts/useAction.ts';
import PickOne from '../parts/PickOne.vue';
import LongText from '../parts/LongText.vue';
import TextInput from '../parts/TextInput.vue';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import { t } from '../words/practice.ts';

/** What the practice may do where it is. What is out of scope cannot be planned; the plan shows the rule written here. */
const practice = usePractice();
const session = useSession();
const readOnly = computed(() => !session.may('PATCH', '/practice'));
const now = practice.practice!;
const fields = reactive({
  name: now.name,
  timeZone: now.timeZone,
  mobilizationGrade: now.scope.mobilizationGrade,
  byRegion: { ...now.scope.byRegion } as Partial<Record<Region, number>>,
  frontOfNeck: now.scope.frontOfNeck,
  ruleText: now.scope.ruleText,
  ruleLink: now.scope.ruleLink,
});
const tried = ref(false);
const kept = ref(false);
const { busy, problem, run } = useAction();
const GRADES = [
  { value: '0', label: t('notAllowed') },
  { value: '1', label: t('gradeI') },
  { value: '2', label: t('gradeIi') },
  { value: '3', label: t('gradeIii') },
  { value: '4', label: t('gradeIv') },
] as const;
const exceptions = computed(() => Object.entries(fields.byRegion) as [Region, number][]);
const free = computed(() =>
  REGIONS.filter((region) => fields.byRegion[region.id] === undefined).map((region) => ({ value: region.id, label: region.name })),
);
/** What can be seen to be wrong here; the server says the rest. */
const mine = computed<Record<string, string>>(() =>
  tried.value
    ? {
        ...(fields.name.trim() === '' ? { name: t('practiceNeedsName') } : {}),
        ...(linkOk(fields.ruleLink.trim()) ? {} : { ruleLink: t('linkBeginsHttpHttps') }),
      }
    : {},
);
const wrong = computed<Record<string, string>>(() => ({ ...problem.value?.fieldMessages(), ...mine.value }));
const linkOk = (text: string) => text === '' || /^https?:\/\/\S+\.\S+/.test(text);

async function keep(): Promise<void> {
  tried.value = true;
  if (Object.keys(mine.value).length > 0) return;
  const { name, timeZone, ...scope } = fields;
  kept.value = await run(async () =>
    practice.take(
      await api<Practice>('PATCH', '/practice', {
        revision: practice.practice!.revision,
        name: name.trim(),
        timeZone: timeZone.trim(),
        scope: { ...scope, ruleText: scope.ruleText.trim(), ruleLink: scope.ruleLink.trim() },
      }),
    ),
  );
}

function drop(region: Region): void {
  const { [region]: _gone, ...rest } = fields.byRegion;
  fields.byRegion = rest;
}
</script>

<template>
  <form class="scope" novalidate @submit.prevent="keep" @input="kept = false">
    <section class="card fields" :aria-label="t('jointMobilization')">
      <h2>{{ t('jointMobilization') }}</h2>
      <p class="soft">
        {{ t('outsideMassageLicenceSome') }}
      </p>
      <div class="pair">
        <div class="field">
          <label for="scope-grade">{{ t('everywhere') }}</label><PickOne
            input-id="scope-grade"
            :label="t('jointMobilizationEverywhere')"
            :value="String(fields.mobilizationGrade)"
            :options="GRADES"
            :disabled="readOnly"
            @change="
              (grade) => {
                fields.mobilizationGrade = Number(grade);
                kept = false;
              }
            "
          />
        </div>
      </div>
      <div class="field">
        <span class="label">{{ t('byRegion') }}</span>
        <p v-if="exceptions.length === 0" class="soft">{{ t('noRegionDiffers') }}</p>
        <div v-for="[region, grade] in exceptions" :key="region" class="exception">
          <span>{{ REGIONS.find((each) => each.id === region)!.name }}</span>
          <PickOne
            :label="t('gradeForThe', { region })"
            :value="String(grade)"
            :options="GRADES"
            :disabled="readOnly"
            @change="
              (to) => {
                fields.byRegion = { ...fields.byRegion, [region]: Number(to) };
                kept = false;
              }
            "
          />
          <button v-if="!readOnly" type="button" class="link small" @click="drop(region)">{{ t('asEverywhere') }}</button>
        </div>
        <PickOne
          v-if="!readOnly"
          class="add"
          :label="t('regionDiffers')"
          search
          :value="null"
          :placeholder="t('regionDiffers')"
          :options="free"
          @change="
            (region) => {
              fields.byRegion = { ...fields.byRegion, [region]: fields.mobilizationGrade };
              kept = false;
            }
          "
        />
      </div>
      <h2>{{ t('frontNeck') }}</h2>
      <p class="soft">
        {{ t('practitionersDifferHereSome') }}
      </p>
      <Checkbox
        :checked="fields.frontOfNeck"
        :disabled="readOnly"
        @change="
          (event) => {
            fields.frontOfNeck = event.target.checked;
            kept = false;
          }
        "
        >{{ t('handsPressFrontNeck') }}</Checkbox
      >
    </section>
    <section class="card fields" :aria-label="t('localRule2')">
      <h2>{{ t('localRule') }}</h2>
      <div class="field">
        <label for="rule-text">{{ t('wordsYourLawLicence') }}</label><LongText
          id="rule-text"
          v-model="fields.ruleText"
          :rows="5"
          :maxlength="LIMITS.textLength"
          :readonly="readOnly"
        />
      </div>
      <div class="field">
        <label for="rule-link">{{ t('whereStands') }}</label><TextInput
          id="rule-link"
          v-model="fields.ruleLink"
          :maxlength="500"
          :placeholder="t('https')"
          :readonly="readOnly"
          :aria-invalid="wrong.ruleLink ? 'true' : undefined"
        />
        <p v-if="wrong.ruleLink" class="wrong" role="alert">{{ wrong.ruleLink }}</p>
      </div>
      <p v-if="fields.ruleLink && linkOk(fields.ruleLink)">
        <a :href="fields.ruleLink" target="_blank" rel="noopener noreferrer">{{ t('openRule') }}</a>
      </p>
      <p class="soft small">
        {{ t('cautionsProgramRemindersLicensed') }}
      </p>
    </section>
    <section class="card fields" :aria-label="t('thePractice')">
      <h2>{{ t('thePractice') }}</h2>
      <div class="field">
        <label for="practice-name">{{ t('name') }}</label><TextInput
          id="practice-name"
          v-model="fields.name"
          :maxlength="LIMITS.nameLength"
          :readonly="readOnly"
          :aria-invalid="wrong.name ? 'true' : undefined"
        />
        <p v-if="wrong.name" class="wrong" role="alert">{{ wrong.name }}</p>
      </div>
      <div class="field">
        <label for="practice-zone">{{ t('timeZone') }}</label><TextInput
          id="practice-zone"
          v-model="fields.timeZone"
          :maxlength="64"
          :readonly="readOnly"
          :aria-invalid="wrong.timeZone ? 'true' : undefined"
        />
        <p v-if="wrong.timeZone" class="wrong" role="alert">{{ wrong.timeZone }}</p>
      </div>
      <p v-if="wrong['']" class="wrong" role="alert">{{ wrong[''] }}</p>
      <div v-if="!readOnly" class="choices">
        <Button type="primary" size="large" html-type="submit" :loading="busy">{{ t('keep') }}</Button><span
          v-if="kept"
          class="soft"
          role="status"
          >{{ t('kept') }}</span
        >
      </div>
      <p v-else class="soft">{{ t('ownerPracticeSets') }}</p>
    </section>
  </form>
</template>

<style scoped>
.scope {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 16px;
  align-items: start;
}

.exception {
  display: grid;
  grid-template-columns: minmax(80px, 1fr) minmax(110px, 150px) minmax(0, 110px);
  align-items: center;
  gap: 10px;
  min-height: 40px;
}

.add {
  width: 240px;
}

@container page (max-width: 812px) {
  .scope {
    grid-template-columns: minmax(0, 1fr);
  }
}

@container page (max-width: 420px) {
  .exception {
    grid-template-columns: minmax(0, 1fr);
    gap: 2px;
    padding: 6px 0;
  }
}
</style>
