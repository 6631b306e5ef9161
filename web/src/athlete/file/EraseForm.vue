<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import Joi from 'joi';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { KEPT_KINDS, type KeepingPage, type KeptKind } from '@pace-bend/core/keeping';
import type { Athlete } from '@pace-bend/core/record';
import { api } from '../../api/api.ts';
import { stillStandsIn } from '../../parts/backupWords.ts';
import { dayWords } from '../../parts/dayWords.ts';
import { lowerFirst } from '../../parts/words.ts';
import ProblemNote from '../../parts/ProblemNote.vue';
import TextInput from '../../parts/TextInput.vue';
import { useAction } from '../../parts/useAction.ts';
import { useForm } from '../../parts/useForm.ts';
import { t } from '../../words/athlete.ts';

/** Erasing somebody on their wish: their copy first, what has to stay and where they still stand, then their name. */
const props = defineProps<{ athlete: Athlete }>();
const emit = defineEmits<{ keep: [] }>();
const router = useRouter();
const { busy, problem, run } = useAction();

interface Erasing {
  readonly keptUntil: string | null;
  readonly kinds: readonly KeptKind[];
  readonly reason: string;
  readonly backups: KeepingPage['backups'];
}
const erasing = ref<Erasing | null>(null);
const load = () =>
  run(async () => {
    erasing.value = await api<Erasing>('GET', `/athletes/${props.athlete.id}/erasing`);
  });
onMounted(load);

const exported = ref(false);
const unwanted = ref(false);
const confirm = ref('');
const form = ref<HTMLFormElement | null>(null);
const { wrong, isSound } = useForm(
  () =>
    Joi.object({
      copy: Joi.boolean()
        .valid(true)
        .messages({ 'any.only': t('exportTheirRecordFirst') }),
      confirm: Joi.string()
        .trim()
        .valid(props.athlete.name)
        .messages({ '*': t('typeNameExactlyStands') }),
    }),
  () => ({ copy: exported.value || unwanted.value, confirm: confirm.value }),
);
const kinds = computed(() =>
  KEPT_KINDS.filter(({ id }) => erasing.value?.kinds.includes(id)).map(({ name }, i) => (i === 0 ? name : lowerFirst(name))),
);

async function erase(): Promise<void> {
  if (!isSound(form.value)) return;
  const copy = exported.value ? t('handedOver') : t('notWanted');
  if (await run(() => api('DELETE', `/athletes/${props.athlete.id}`, { confirm: confirm.value.trim(), copy }))) await router.push('/squad');
}
</script>

<template>
  <ProblemNote v-if="problem && !erasing" :problem="problem" :retry="load" />
  <p v-else-if="!erasing" class="soft" role="status">{{ t('reading') }}</p>
  <form v-else ref="form" class="fields" novalidate :aria-label="t('eraseAthlete')" @submit.prevent="erase">
    <h3>{{ t('n1TheirCopy') }}</h3>
    <p>
      <a :href="`/api/athletes/${athlete.id}/record`" download="athlete-record.json" @click="exported = true">{{
        t('exportRecordHandOver')
      }}</a>
      <span v-if="exported" class="soft" role="status">{{ ' ' }}{{ t('exported') }}</span>
    </p>
    <Checkbox v-model:checked="unwanted" :disabled="exported" :aria-invalid="wrong.copy ? 'true' : undefined">{{
      t('theyWantNoCopy')
    }}</Checkbox>
    <p v-if="wrong.copy" class="wrong" role="alert">{{ wrong.copy }}</p>
    <h3>{{ t('n2WhatGoesWhat') }}</h3>
    <template v-if="erasing.keptUntil">
      <p>
        {{ t('untilTheseStayThey', { day: dayWords(erasing.keptUntil), reason: erasing.reason, kinds: kinds.join('; ') }) }}
      </p>
    </template>
    <p v-else>{{ t('everythingGoesFileVisits') }}</p>
    <p>{{ t('cannotUndoneLinesAudit') }}</p>
    <p>{{ stillStandsIn(erasing.backups, dayWords) }}</p>
    <h3>{{ t('n3TheirName') }}</h3>
    <div class="field">
      <label for="erase-name">{{ t('typeNameErase', { name: athlete.name }) }}</label>
      <TextInput id="erase-name" v-model="confirm" autocomplete="off" :aria-invalid="wrong.confirm ? 'true' : undefined" />
      <p v-if="wrong.confirm" class="wrong" role="alert">{{ wrong.confirm }}</p>
    </div>
    <ProblemNote v-if="problem" :problem="problem" />
    <div class="choices">
      <Button danger html-type="submit" :disabled="busy">{{ t('eraseGood') }}</Button><Button @click="emit('keep')">{{ t('keep') }}</Button>
    </div>
  </form>
</template>

<style scoped>
p,
h3 {
  margin: 0;
}

h3 {
  font-size: 15px;
}
</style>
