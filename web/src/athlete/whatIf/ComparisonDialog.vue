<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Form, { FormItem } from 'ant-design-vue/es/form';
import { computed, ref } from 'vue';
import type { Motion, Side } from '@pace-bend/core/body';
import { PAIRS, type ComparisonFields, type ResponseFacts } from '@pace-bend/core/cycle';
import NumberField from '../../parts/NumberField.vue';
import PickOne from '../../parts/PickOne.vue';
import SheetDialog from '../../parts/SheetDialog.vue';
import { SIDE_WORDS } from '../../parts/words.ts';
import { useShelf } from '../../stores/shelf.ts';
import { t } from '../../words/athlete.ts';

/** Plans a comparison: on which entry, of which two ways, over how many pairs of visits. The order is drawn when it is planned. */
const props = defineProps<{ motion: Motion; side: Side; facts: ResponseFacts; busy: boolean; refused: string }>();
const open = defineModel<boolean>('open', { required: true });
const emit = defineEmits<{ keep: [fields: ComparisonFields] }>();
const shelf = useShelf();

/** Entries that work on this motion, those this athlete has had lately first. */
const entries = computed(() => {
  const had = props.facts.blocks.filter(({ motionId }) => motionId === props.motion.id).map(({ entryId }) => entryId);
  return [...shelf.shelf.entries.values()]
    .filter(({ motionId }) => motionId === props.motion.id)
    .sort((a, b) => had.lastIndexOf(b.id) - had.lastIndexOf(a.id));
});
const entryId = ref(entries.value[0]?.id ?? '');
const waysOf = (id: string) => {
  const entry = shelf.shelf.entries.get(id);
  return entry ? entry.ways.flatMap((each) => shelf.shelf.methods.get(each) ?? []) : [];
};
const ways = computed(() => waysOf(entryId.value));
const first = ref(ways.value[0]?.id ?? '');
const second = ref(ways.value[1]?.id ?? '');
function pickEntry(id: string): void {
  entryId.value = id;
  first.value = ways.value[0]?.id ?? '';
  second.value = ways.value[1]?.id ?? '';
}
const pairs = ref<number>(PAIRS.usual);
const tried = ref(false);
const wrong = computed(() => {
  if (ways.value.length < 2) return t('entryOneWayAlone');
  if (first.value === second.value) return t('twoDifferentWaysNeeded');
  return Number.isInteger(pairs.value) && pairs.value >= PAIRS.min && pairs.value <= PAIRS.max
    ? ''
    : t('toPairs', { min: PAIRS.min, max: PAIRS.max });
});
function keep(): void {
  tried.value = true;
  if (wrong.value) return;
  emit('keep', {
    motionId: props.motion.id,
    side: props.side,
    entryId: entryId.value,
    ways: [first.value, second.value],
    pairs: pairs.value,
  });
}
</script>

<template>
  <SheetDialog v-model:open="open" :title="t('planComparison')" :width="520">
    <p class="soft">
      {{ t('eachPairVisitsBoth', { name: motion.name, what: side === 'midline' ? '' : `, ${SIDE_WORDS[side].toLowerCase()}` }) }}
    </p>
    <p v-if="entries.length === 0">{{ t('noEntryShelfWorks') }}</p>
    <Form v-else layout="vertical" novalidate @submit.prevent="keep">
      <FormItem :label="t('entry')"
        ><PickOne
          :label="t('entry')"
          :value="entryId"
          :options="entries.map(({ id, name }) => ({ value: id, label: name }))"
          search
          @change="pickEntry"
      /></FormItem>
      <FormItem :label="t('oneWay')"
        ><PickOne
          :label="t('oneWay')"
          :value="first"
          :options="ways.map(({ id, name }) => ({ value: id, label: name }))"
          @change="(id) => (first = id)"
      /></FormItem>
      <FormItem :label="t('theOther')"
        ><PickOne
          :label="t('theOther')"
          :value="second"
          :options="ways.map(({ id, name }) => ({ value: id, label: name }))"
          @change="(id) => (second = id)"
      /></FormItem>
      <FormItem :label="t('pairsVisits')">
        <NumberField
          :value="pairs"
          :label="t('pairsVisits')"
          :unit="t('pairs')"
          :step="1"
          :wrong="tried && wrong !== ''"
          @change="(value) => (pairs = value)"
        />
        <p class="small soft">{{ t('fewerThanNoOutcome', { min: PAIRS.min }) }}</p>
      </FormItem>
      <p v-if="tried && wrong" class="wrong" role="alert">{{ wrong }}</p>
      <p v-if="refused" class="wrong" role="alert">{{ refused }}</p>
      <div class="choices">
        <Button type="primary" html-type="submit" :loading="busy">{{ t('planDrawOrder') }}</Button>
      </div>
    </Form>
  </SheetDialog>
</template>
