<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import DatePicker from 'ant-design-vue/es/date-picker';
import Form, { FormItem } from 'ant-design-vue/es/form';
import { computed, reactive, ref } from 'vue';
import { isDay } from '@pace-bend/core/record';
import { DEVELOP_WORDS, PHASE_IDS, PHASE_NAMES, phaseRule, type Block, type PhaseRule } from '@pace-bend/core/season';
import PickOne from '../parts/PickOne.vue';
import SheetDialog from '../parts/SheetDialog.vue';

/** One block of a season: its phase and its days, picked or typed. What lies on those days gives way to it. */
const props = defineProps<{
  block: Block | null;
  /** Days a new one is offered with. */
  from: string;
  until: string;
  rules: readonly PhaseRule[];
  busy: boolean;
  /** Whether it can be taken out: one that is followed is not this one's to take out. */
  removable: boolean;
}>();
const open = defineModel<boolean>('open', { required: true });
const emit = defineEmits<{ keep: [block: Block]; remove: [] }>();

const fields = reactive({
  phase: props.block?.phase ?? PHASE_IDS[0],
  from: props.block?.from ?? props.from,
  until: props.block?.until ?? props.until,
});
const tried = ref(false);
const options = PHASE_IDS.map((id) => ({ value: id, label: `${PHASE_NAMES[id]}: ${DEVELOP_WORDS[phaseRule(id, props.rules).develop]}` }));
const wrong = computed(() => {
  if (!tried.value) return '';
  if (!isDay(fields.from ?? '') || !isDay(fields.until ?? '')) return 'Both days are needed, like 2027-05-08.';
  return fields.until < fields.from ? 'It ends on the day it begins, or later.' : '';
});
function keep(): void {
  tried.value = true;
  if (wrong.value) return;
  const { block } = props;
  emit('keep', {
    ...fields,
    // An end that stays where it was stays with its event.
    fromAnchor: block && block.from === fields.from ? block.fromAnchor : null,
    untilAnchor: block && block.until === fields.until ? block.untilAnchor : null,
  });
}
</script>

<template>
  <SheetDialog v-model:open="open" :title="block ? PHASE_NAMES[block.phase] : 'Add a block'" :width="460">
    <Form layout="vertical" novalidate @submit.prevent="keep">
      <FormItem label="Phase"
        ><PickOne
          label="Phase"
          :value="fields.phase"
          :options="options"
          class="wide"
          @change="
            (phase) => {
              fields.phase = phase;
            }
          "
      /></FormItem>
      <div class="days">
        <FormItem label="First day" html-for="block-from"
          ><DatePicker id="block-from" v-model:value="fields.from as never" value-format="YYYY-MM-DD" :allow-clear="false"
        /></FormItem>
        <FormItem label="Last day" html-for="block-until"
          ><DatePicker id="block-until" v-model:value="fields.until as never" value-format="YYYY-MM-DD" :allow-clear="false"
        /></FormItem>
      </div>
      <p class="soft small">{{ phaseRule(fields.phase, rules).words }}</p>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <div class="choices">
        <Button type="primary" html-type="submit" :loading="busy">{{ block ? 'Keep the change' : 'Add the block' }}</Button><Button
          v-if="block && removable"
          :disabled="busy"
          @click="emit('remove')"
          >Take it out</Button
        >
      </div>
    </Form>
  </SheetDialog>
</template>

<style scoped>
.wide {
  width: 100%;
}

.days {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
}
</style>
