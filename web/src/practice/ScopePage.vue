<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import { computed, reactive, ref } from 'vue';
import { REGIONS, type Region } from '@pace-bend/core/body';
import { LIMITS, type Practice } from '@pace-bend/core/record';
import { api } from '../api/api.ts';
import { useAction } from '../parts/useAction.ts';
import PickOne from '../parts/PickOne.vue';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';

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
  { value: '0', label: 'not allowed' },
  { value: '1', label: 'to grade I' },
  { value: '2', label: 'to grade II' },
  { value: '3', label: 'to grade III' },
  { value: '4', label: 'to grade IV' },
] as const;
const exceptions = computed(() => Object.entries(fields.byRegion) as [Region, number][]);
const free = computed(() =>
  REGIONS.filter((region) => fields.byRegion[region.id] === undefined).map((region) => ({ value: region.id, label: region.name })),
);
/** What can be seen to be wrong here; the server says the rest. */
const mine = computed<Record<string, string>>(() =>
  tried.value
    ? {
        ...(fields.name.trim() === '' ? { name: 'The practice needs a name.' } : {}),
        ...(linkOk(fields.ruleLink.trim()) ? {} : { ruleLink: 'A link begins with http:// or https://.' }),
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
    <section class="card fields" aria-label="Joint mobilization">
      <h2>Joint mobilization</h2>
      <p class="soft">
        Outside a massage licence in some places. What is not allowed here cannot be planned, and no reason sets that aside. Thrust is never
        offered.
      </p>
      <div class="pair">
        <div class="field">
          <label for="scope-grade">Everywhere</label
          ><PickOne
            input-id="scope-grade"
            label="Joint mobilization everywhere"
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
        <span class="label">By region</span>
        <p v-if="exceptions.length === 0" class="soft">No region differs.</p>
        <div v-for="[region, grade] in exceptions" :key="region" class="exception">
          <span>{{ REGIONS.find((each) => each.id === region)!.name }}</span>
          <PickOne
            :label="`Grade for the ${region}`"
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
          <button v-if="!readOnly" type="button" class="link small" @click="drop(region)">as everywhere</button>
        </div>
        <PickOne
          v-if="!readOnly"
          class="add"
          label="A region that differs"
          search
          :value="null"
          placeholder="A region that differs"
          :options="free"
          @change="
            (region) => {
              fields.byRegion = { ...fields.byRegion, [region]: fields.mobilizationGrade };
              kept = false;
            }
          "
        />
      </div>
      <h2>Front of the neck</h2>
      <p class="soft">
        Practitioners differ here: some work the muscles at the front of the neck with flat fingertips, others leave them alone. Decide
        once. Until then, entries that press or pin there are left out and say so.
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
        >Hands press at the front of the neck here, off any pulse, one side at a time</Checkbox
      >
    </section>
    <section class="card fields" aria-label="Local rule">
      <h2>The local rule</h2>
      <div class="field">
        <label for="rule-text">In words, as your law, licence or delegation says it</label
        ><textarea id="rule-text" v-model="fields.ruleText" class="textbox" rows="5" :maxlength="LIMITS.textLength" :readonly="readOnly" />
      </div>
      <div class="field">
        <label for="rule-link">Where it stands</label
        ><input
          id="rule-link"
          v-model="fields.ruleLink"
          class="input"
          maxlength="500"
          placeholder="https://"
          :readonly="readOnly"
          :aria-invalid="wrong.ruleLink ? 'true' : undefined"
        />
        <p v-if="wrong.ruleLink" class="wrong" role="alert">{{ wrong.ruleLink }}</p>
      </div>
      <p v-if="fields.ruleLink && linkOk(fields.ruleLink)">
        <a :href="fields.ruleLink" target="_blank" rel="noopener noreferrer">Open the rule</a>
      </p>
      <p class="soft small">
        Cautions in this program are reminders to a licensed person, from common practice and what is on file. They are no clearance.
      </p>
    </section>
    <section class="card fields" aria-label="The practice">
      <h2>The practice</h2>
      <div class="field">
        <label for="practice-name">Name</label
        ><input
          id="practice-name"
          v-model="fields.name"
          class="input"
          :maxlength="LIMITS.nameLength"
          :readonly="readOnly"
          :aria-invalid="wrong.name ? 'true' : undefined"
        />
        <p v-if="wrong.name" class="wrong" role="alert">{{ wrong.name }}</p>
      </div>
      <div class="field">
        <label for="practice-zone">Time zone</label
        ><input
          id="practice-zone"
          v-model="fields.timeZone"
          class="input"
          maxlength="64"
          :readonly="readOnly"
          :aria-invalid="wrong.timeZone ? 'true' : undefined"
        />
        <p v-if="wrong.timeZone" class="wrong" role="alert">{{ wrong.timeZone }}</p>
      </div>
      <p v-if="wrong['']" class="wrong" role="alert">{{ wrong[''] }}</p>
      <div v-if="!readOnly" class="choices">
        <Button type="primary" size="large" html-type="submit" :loading="busy">Keep</Button
        ><span v-if="kept" class="soft" role="status">Kept.</span>
      </div>
      <p v-else class="soft">The owner of the practice sets this.</p>
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
