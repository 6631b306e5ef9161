<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, onMounted, reactive, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { checkNumber, checkRounds, findMethod, type Method, type OwnWayFields } from '@pace-bend/core/method';
import { useAction } from '../parts/useAction.ts';
import PickOne from '../parts/PickOne.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { useShelf } from '../stores/shelf.ts';
import NumberField from '../steps/plan/NumberField.vue';
import ShelfTabs from './ShelfTabs.vue';
import { joinWords, splitWords } from './wordList.ts';

/** A way of working of the practice's own: another one copied, its numbers and words changed. */
const shelf = useShelf();
const route = useRoute();
const router = useRouter();
const { busy, problem, run } = useAction();
const ready = ref(false);
onMounted(() => void shelf.load().catch(() => undefined).then(() => { ready.value = true; }));

const from = computed(() => shelf.shelf.methods.get(String(route.query.from)) ?? null);
const base = computed(() => (from.value ? findMethod(from.value.madeFrom ?? from.value.id)! : null));
const item = computed(() => (from.value ? shelf.itemOf(from.value.id) : null));
const fields = reactive<{ name: string; purpose: string; what: string; synonyms: string; schoolsDiffer: string; rounds: number; numbers: Record<string, number[]>; choices: Record<string, string>; lists: Record<string, string> }>({ name: '', purpose: '', what: '', synonyms: '', schoolsDiffer: '', rounds: 1, numbers: {}, choices: {}, lists: {} });
watch([from, ready], () => { if (from.value) fill(from.value); }, { immediate: true });

function fill(method: Method): void {
  Object.assign(fields, {
    name: item.value ? method.name : `${method.name}, ours`, purpose: method.purpose, what: method.what, synonyms: joinWords(method.synonyms.slice(0, 6)), schoolsDiffer: method.schoolsDiffer, rounds: method.rounds.default,
    numbers: Object.fromEntries(method.numbers.flatMap((spec) => (Array.isArray(spec.default) ? [[spec.id, [...(spec.default as readonly number[])]]] : []))), choices: Object.fromEntries(method.choices.map((choice) => [choice.id, choice.default])), lists: Object.fromEntries(method.lists.map((list) => [list.id, joinWords(list.default)])),
  });
}
const specs = computed(() => base.value?.numbers.filter((spec) => Array.isArray(spec.default)) ?? []);
const wrong = computed(() => {
  const messages: Record<string, string> = {};
  if (fields.name.trim().length < 2) messages.name = 'It needs a name.';
  else if (shelf.methods.some((method) => method.name.toLowerCase() === fields.name.trim().toLowerCase() && method.id !== item.value?.id)) messages.name = 'A way of working is called that already.';
  if (base.value) { const rounds = checkRounds(fields.rounds, base.value); if (rounds) messages.rounds = rounds; }
  for (const spec of specs.value) for (const value of fields.numbers[spec.id] ?? []) { const message = checkNumber(value, spec); if (message) messages[spec.id] = message; }
  for (const list of base.value?.lists ?? []) { const places = placesOf()[list.id] ?? []; if (places.length < list.min || places.length > list.max) messages[list.id] = `${list.label}: ${list.min} to ${list.max}.`; }
  return messages;
});
const placesOf = () => Object.fromEntries(Object.entries(fields.lists).map(([id, text]) => [id, splitWords(text)]));
const unitOf = (unit: string) => ({ s: 's', pct: '%', share: '%', score: 'of 10', grade: 'of 4', breaths: 'breaths', times: '×', 'per-s': '/ s', 'per-min': '/ min' })[unit] ?? '';

async function save(): Promise<void> {
  const sent: OwnWayFields = {
    kind: 'way', baseId: base.value!.id, name: fields.name.trim(), purpose: fields.purpose.trim(), what: fields.what.trim(), synonyms: splitWords(fields.synonyms), schoolsDiffer: fields.schoolsDiffer.trim(), rounds: fields.rounds,
    numbers: Object.fromEntries(Object.entries(fields.numbers).map(([id, values]) => [id, [...values]])), choices: { ...fields.choices }, lists: placesOf(),
  };
  if (await run(() => shelf.save(sent, item.value?.id ?? null))) await router.push('/shelf/ways');
}
async function retire(): Promise<void> {
  if (await run(() => shelf.setRetired(item.value!.id, true))) await router.push('/shelf/ways');
}
</script>

<template>
  <div class="page">
    <header><h1>{{ item ? 'Change your way of working' : 'A way of working of your own' }}</h1><ShelfTabs here="ways" /></header>
    <p v-if="!from" class="soft">Choose one to copy first. <RouterLink to="/shelf/ways">Ways of working</RouterLink></p>
    <form v-else class="card form" novalidate @submit.prevent="save">
      <p class="soft">From {{ base!.name.toLowerCase() }}: its phases stay, its numbers and words are yours. Plans made before keep the numbers they used.</p>
      <div class="field"><label for="way-name">Name</label><input id="way-name" v-model="fields.name" class="input" maxlength="120" :aria-invalid="wrong.name ? 'true' : undefined"><p v-if="wrong.name" class="wrong" role="alert">{{ wrong.name }}</p></div>
      <div class="field"><label for="way-purpose">What it is for</label><textarea id="way-purpose" v-model="fields.purpose" class="textbox" rows="2" maxlength="1000" /></div>
      <div class="field"><label for="way-what">What is done</label><textarea id="way-what" v-model="fields.what" class="textbox" rows="2" maxlength="1000" /></div>
      <div class="field"><label for="way-synonyms">Also called, with semicolons</label><input id="way-synonyms" v-model="fields.synonyms" class="input" maxlength="400"></div>
      <div class="field"><label for="way-schools">What other schools do differently</label><textarea id="way-schools" v-model="fields.schoolsDiffer" class="textbox" rows="2" maxlength="1000" /></div>
      <div class="line"><span>Rounds</span><NumberField :value="fields.rounds" label="Rounds" unit="" :step="1" :wrong="wrong.rounds !== undefined" @change="(value) => fields.rounds = value" /><p v-if="wrong.rounds" class="wrong" role="alert">{{ wrong.rounds }}</p></div>
      <div v-for="spec in specs" :key="spec.id" class="line">
        <span>{{ spec.label }}</span>
        <span class="values"><NumberField v-for="(value, i) in fields.numbers[spec.id]" :key="i" :value="value" :label="fields.numbers[spec.id]!.length > 1 ? `${spec.label}, round ${i + 1}` : spec.label" :unit="unitOf(spec.unit)" :step="spec.step" :wrong="checkNumber(value, spec) !== null" @change="(typed) => fields.numbers[spec.id]![i] = typed" /></span>
        <p v-if="wrong[spec.id]" class="wrong" role="alert">{{ wrong[spec.id] }}</p>
      </div>
      <div v-for="choice in base!.choices" :key="choice.id" class="line"><span>{{ choice.label }}</span><PickOne :value="fields.choices[choice.id]" :label="choice.label" :options="choice.options.map((option) => ({ value: option.id, label: option.label }))" @change="(value) => fields.choices[choice.id] = value" /></div>
      <div v-for="list in base!.lists" :key="list.id" class="field"><label :for="`way-list-${list.id}`">{{ list.label }}, with semicolons</label><input :id="`way-list-${list.id}`" v-model="fields.lists[list.id]" class="input" maxlength="400" :aria-invalid="wrong[list.id] ? 'true' : undefined"><p v-if="wrong[list.id]" class="wrong" role="alert">{{ wrong[list.id] }}</p></div>
      <ProblemNote v-if="problem" :problem="problem" />
      <p class="acts"><Button type="primary" html-type="submit" :loading="busy" :disabled="Object.keys(wrong).length > 0">{{ item ? 'Keep as the new version' : 'Put it on the shelf' }}</Button><Button v-if="item && !item.retiredAt" :loading="busy" @click="retire">Take it off the shelf</Button></p>
    </form>
  </div>
</template>

<style scoped>
.form {
  display: grid;
  gap: 10px;
  width: min(720px, 100%);
}

.field {
  display: grid;
  gap: 3px;
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
