<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, ref, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { checkNumber, findMethod, fits, ownWay, shelfWith, type Method } from '@pace-bend/core/method';
import { formatDuration } from '@pace-bend/core/record';
import { useAction } from '../parts/useAction.ts';
import PickOne from '../parts/PickOne.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import StairDrawing from '../parts/StairDrawing.vue';
import StairLegend from '../parts/StairLegend.vue';
import NumberField from '../parts/NumberField.vue';
import OwnRound from './OwnRound.vue';
import { arranged, typedNumbers, valuesOf, wayFields, wayForm, wrongIn, type WayForm } from './ownWayForm.ts';
import ShelfTabs from './ShelfTabs.vue';
import { useOwnSource } from './useOwnSource.ts';
import { wayLine, type WayLine } from './wayLine.ts';
import TextInput from '../parts/TextInput.vue';
import LongText from '../parts/LongText.vue';
import { t } from '../words/shelf.ts';

/** A way of working of the practice's own: another one copied; its round, numbers and words changed. */
const router = useRouter();
const { busy, problem, run } = useAction();
const form = ref<WayForm | null>(null);
const { shelf, ready, from, item } = useOwnSource(
  (all, id) => all.methods.get(id),
  (way, own) => {
    form.value = wayForm(
      way,
      baseOf(way),
      own?.fields.kind === 'way' ? own.fields.phases : undefined,
      own ? way.name : t('ours', { name: way.name }),
    );
  },
);
const baseOf = (way: Method) => findMethod(way.madeFrom ?? way.id)!;
const base = computed(() => (from.value ? baseOf(from.value) : null));

const way = computed(() => (form.value && base.value ? arranged(form.value, base.value) : null));
const taken = computed(() => shelf.methods.filter((method) => method.id !== item.value?.id).map((method) => method.name));
const wrong = computed(() => (form.value && base.value ? wrongIn(form.value, base.value, taken.value) : {}));
const unitOf = (unit: string) =>
  ({
    s: 's',
    pct: '%',
    share: '%',
    score: t('of102'),
    grade: t('of4'),
    breaths: 'breaths',
    times: '×',
    'per-s': '/ s',
    'per-min': '/ min',
  })[unit] ?? '';
function setNumber(id: string, values: readonly number[], i: number, typed: number): void {
  form.value!.numbers[id] = values.map((value, at) => (at === i ? typed : value));
}

/** What it comes to on an entry it fits; while something is wrong, what it last came to. */
const line = shallowRef<WayLine | null>(null);
/** A missing name changes nothing of what is drawn. */
const stands = computed(() => Object.keys(wrong.value).some((id) => id !== 'name'));
watch(
  [form, wrong],
  () => {
    if (!form.value || !base.value || stands.value) return;
    const made = ownWay('typed', wayFields(form.value, base.value));
    const entry =
      shelf.entries.find((each) => each.stage === 'specific' && fits(each, made)) ?? shelf.entries.find((each) => fits(each, made))!;
    line.value = wayLine(made, entry, shelfWith({ entries: [entry], methods: [made] }));
  },
  { immediate: true, deep: true },
);

async function save(): Promise<void> {
  if (await run(() => shelf.save(wayFields(form.value!, base.value!), item.value?.id ?? null))) await router.push('/shelf/ways');
}
async function retire(): Promise<void> {
  if (await run(() => shelf.setRetired(item.value!.id, true))) await router.push('/shelf/ways');
}
</script>

<template>
  <div class="page">
    <header>
      <h1>{{ item ? t('changeYourWayWorking') : t('wayWorkingYourOwn') }}</h1>
      <ShelfTabs here="ways" />
    </header>
    <p v-if="!ready" class="soft">{{ t('openingShelf') }}</p>
    <p v-else-if="!form || !base || !way" class="soft">
      {{ t('chooseOneCopyFirst') }} <RouterLink to="/shelf/ways">{{ t('waysWorking') }}</RouterLink>
    </p>
    <div v-else class="sides">
      <form class="card form" novalidate @submit.prevent="save">
        <p class="soft">
          {{ t('fromRoundNumbersWords', { name: base.name.toLowerCase() }) }}
        </p>
        <div class="field">
          <label for="way-name">{{ t('name') }}</label><TextInput
            id="way-name"
            v-model="form.name"
            maxlength="120"
            :aria-invalid="wrong.name ? 'true' : undefined"
          />
          <p v-if="wrong.name" class="wrong" role="alert">{{ wrong.name }}</p>
        </div>
        <OwnRound :base="base" :rows="form.phases" :numbers="form.numbers" :wrong="wrong" @change="(rows) => (form!.phases = rows)" />
        <div class="line">
          <span>{{ t('rounds') }}</span><NumberField
            :value="form.rounds"
            :label="t('rounds')"
            unit=""
            :step="1"
            :wrong="wrong.rounds !== undefined"
            @change="(value) => (form!.rounds = value)"
          />
          <p v-if="wrong.rounds" class="wrong" role="alert">{{ wrong.rounds }}</p>
        </div>
        <div v-for="spec in typedNumbers(way)" :key="spec.id" class="line">
          <span>{{ spec.label }}</span>
          <span class="values"
            ><NumberField
              v-for="(value, i) in valuesOf(form, spec)"
              :key="i"
              :value="value"
              :label="valuesOf(form, spec).length > 1 ? t('round', { label: spec.label, what: i + 1 }) : spec.label"
              :unit="unitOf(spec.unit)"
              :step="spec.step"
              :wrong="checkNumber(value, spec) !== null"
              @change="(typed) => setNumber(spec.id, valuesOf(form!, spec), i, typed)"
          /></span>
          <p v-if="wrong[spec.id]" class="wrong" role="alert">{{ wrong[spec.id] }}</p>
        </div>
        <div v-for="choice in way.choices" :key="choice.id" class="line">
          <span>{{ choice.label }}</span><PickOne
            :value="form.choices[choice.id]"
            :label="choice.label"
            :options="choice.options.map((option) => ({ value: option.id, label: option.label }))"
            @change="(value) => (form!.choices[choice.id] = value)"
          />
        </div>
        <div v-for="list in way.lists" :key="list.id" class="field">
          <label :for="`way-list-${list.id}`">{{ t('withSemicolons', { label: list.label }) }}</label><TextInput
            :id="`way-list-${list.id}`"
            v-model="form.lists[list.id]"
            maxlength="400"
            :aria-invalid="wrong[list.id] ? 'true' : undefined"
          />
          <p v-if="wrong[list.id]" class="wrong" role="alert">{{ wrong[list.id] }}</p>
        </div>
        <div class="field">
          <label for="way-purpose">{{ t('whatItIsFor') }}</label><LongText
            id="way-purpose"
            v-model="form.purpose"
            rows="2"
            maxlength="1000"
          />
        </div>
        <div class="field">
          <label for="way-what">{{ t('whatDone') }}</label><LongText id="way-what" v-model="form.what" rows="2" maxlength="1000" />
        </div>
        <div class="field">
          <label for="way-synonyms">{{ t('alsoCalledSemicolons') }}</label><TextInput
            id="way-synonyms"
            v-model="form.synonyms"
            maxlength="400"
          />
        </div>
        <div class="field">
          <label for="way-schools">{{ t('whatOtherSchoolsDo') }}</label><LongText
            id="way-schools"
            v-model="form.schoolsDiffer"
            rows="2"
            maxlength="1000"
          />
        </div>
        <ProblemNote v-if="problem" :problem="problem" />
        <p class="acts">
          <Button type="primary" html-type="submit" :loading="busy" :disabled="Object.keys(wrong).length > 0">{{
            item ? t('keepNewVersion') : t('putShelf')
          }}</Button><Button v-if="item && !item.retiredAt" :loading="busy" @click="retire">{{ t('takeItOffThe') }}</Button>
        </p>
      </form>
      <section v-if="line" class="card comes-to" :aria-label="t('whatComes')">
        <h2>{{ t('whatComes') }}</h2>
        <p class="soft small">
          {{ t('onOneSideA', { entryName: line.entryName }) }}<template v-if="stands">{{ ' ' }}{{ t('beforeWhatMarked') }}</template>
        </p>
        <StairDrawing
          :cues="line.cues"
          :better="line.better"
          :unit="line.unit"
          :height="220"
          :label="t('stairPhases', { name: form.name, count: line.cues.length })"
        />
        <StairLegend :cues="line.cues" />
        <dl>
          <div>
            <dt>{{ t('inAll') }}</dt>
            <dd class="num">{{ t('aSide', { duration: formatDuration(line.dose.totalMs) }) }}</dd>
          </div>
          <div>
            <dt>{{ t('endRange') }}</dt>
            <dd class="num">{{ t('s2', { endRangeMs: Math.round(line.dose.endRangeMs / 1000) }) }}</dd>
          </div>
          <div>
            <dt>{{ t('contracting') }}</dt>
            <dd class="num">{{ t('s3', { contractMs: Math.round(line.dose.contractMs / 1000) }) }}</dd>
          </div>
          <div>
            <dt>{{ t('breath') }}</dt>
            <dd>{{ way.breathWords }}</dd>
          </div>
        </dl>
        <p v-for="claim in way.claims" :key="claim.text" class="soft small">{{ claim.text }}</p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: minmax(0, 640px) minmax(280px, 1fr);
  align-items: start;
  gap: 16px;
}

.form,
.comes-to {
  display: grid;
  gap: 10px;
}

.comes-to {
  position: sticky;
  top: 12px;
}

dl {
  display: grid;
  gap: 3px;
  margin: 0;
}

dl > div {
  display: grid;
  grid-template-columns: 100px 1fr;
}

dt {
  color: var(--soft);
}

dd {
  margin: 0;
}

@container page (max-width: 892px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }

  .comes-to {
    position: static;
  }
}

.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 4px 12px;
  border-bottom: 1px solid var(--line-faint);
  padding-bottom: 6px;
}

.values,
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.wrong {
  flex-basis: 100%;
  color: var(--clay-text);
  font-size: 13px;
}
</style>
