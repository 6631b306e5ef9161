<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Form, { FormItem } from 'ant-design-vue/es/form';
import Joi from 'joi';
import { reactive, ref } from 'vue';
import { DEVELOP_WORDS, PHASE_IDS, PHASE_NAMES, phaseRule, type Block, type PhaseRule } from '@pace-bend/core/season';
import DayField from '../parts/DayField.vue';
import PickOne from '../parts/PickOne.vue';
import { dayRule } from '../parts/rules.ts';
import SheetDialog from '../parts/SheetDialog.vue';
import { useForm } from '../parts/useForm.ts';
import { t } from '../words/season.ts';

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
const options = PHASE_IDS.map((id) => ({ value: id, label: `${PHASE_NAMES[id]}: ${DEVELOP_WORDS[phaseRule(id, props.rules).develop]}` }));
const form = ref<HTMLElement | null>(null);
const { wrong, isSound } = useForm(
  () =>
    Joi.object({
      from: dayRule(props.from),
      until: dayRule(props.from, { check: (until) => (until < fields.from ? t('endsDayBeginsLater') : null) }),
    }),
  () => fields,
);
function keep(): void {
  if (!isSound(form.value)) return;
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
  <SheetDialog v-model:open="open" :title="block ? PHASE_NAMES[block.phase] : t('addBlock')" :width="460">
    <div ref="form">
      <Form layout="vertical" novalidate @submit.prevent="keep">
        <FormItem :label="t('phase')"
          ><PickOne
            :label="t('phase')"
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
          <DayField id="block-from" v-model:value="fields.from" :label="t('firstDay')" v-bind="wrong.from ? { wrong: wrong.from } : {}" />
          <DayField
            id="block-until"
            v-model:value="fields.until"
            :label="t('lastDay')"
            v-bind="wrong.until ? { wrong: wrong.until } : {}"
          />
        </div>
        <p class="soft small">{{ phaseRule(fields.phase, rules).words }}</p>
        <div class="choices">
          <Button type="primary" html-type="submit" :loading="busy">{{ block ? t('keepChange') : t('addTheBlock') }}</Button><Button
            v-if="block && removable"
            :disabled="busy"
            @click="emit('remove')"
            >{{ t('removeIt') }}</Button
          >
        </div>
      </Form>
    </div>
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
