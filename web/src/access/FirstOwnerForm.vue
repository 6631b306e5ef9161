<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Joi from 'joi';
import { onMounted, reactive, ref } from 'vue';
import { checkLogin, checkPassword } from '@pace-bend/core/access';
import { useRouter } from 'vue-router';
import { LIMITS } from '@pace-bend/core/record';
import { lineRule, ruled } from '../parts/rules.ts';
import { useAction } from '../parts/useAction.ts';
import { useForm } from '../parts/useForm.ts';
import { useSession } from '../stores/session.ts';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/access.ts';

/** The very first account: its owner can make all the others. */
const session = useSession();
const router = useRouter();
const fields = reactive({ practiceName: '', name: '', login: '', password: '' });
const { busy, problem, run } = useAction();
const first = ref<InstanceType<typeof TextInput> | null>(null);
onMounted(() => first.value?.focus());

const form = ref<HTMLElement | null>(null);
const { wrong, isSound } = useForm(
  () =>
    Joi.object({
      practiceName: lineRule(LIMITS.nameLength, t('namePractice')),
      name: lineRule(LIMITS.nameLength, t('yourName')),
      login: ruled(checkLogin),
      password: ruled((value) => checkPassword(value, fields.login)),
    }),
  () => fields,
);

async function make(): Promise<void> {
  if (!isSound(form.value)) return;
  await run(() =>
    session.makeOwner({
      ...fields,
      practiceName: fields.practiceName.trim(),
      name: fields.name.trim(),
      timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    }),
  );
  if (!problem.value) await router.push('/practice/first-steps');
  // Somebody was quicker: there is an owner to sign in as.
  if (problem.value?.type === 'already-set-up') await session.greet();
}

const FIELDS = [
  { id: 'practiceName', label: t('practice'), type: 'text', autocomplete: 'organization', help: '' },
  { id: 'name', label: t('yourName'), type: 'text', autocomplete: 'name', help: '' },
  { id: 'login', label: t('signName'), type: 'text', autocomplete: 'username', help: t('smallLettersShortTyped') },
  {
    id: 'password',
    label: t('password'),
    type: 'password',
    autocomplete: 'new-password',
    help: t('n12LettersMoreFew'),
  },
] as const;
</script>

<template>
  <form ref="form" class="fields" novalidate @submit.prevent="make">
    <p class="soft">{{ t('nobodyAccountHereYet') }}</p>
    <div v-for="(field, i) in FIELDS" :key="field.id" class="field">
      <label :for="`owner-${field.id}`">{{ field.label }}</label>
      <TextInput
        :id="`owner-${field.id}`"
        :ref="
          (element) => {
            if (i === 0) first = element as InstanceType<typeof TextInput> | null;
          }
        "
        v-model="fields[field.id]"
        :type="field.type"
        :autocomplete="field.autocomplete"
        maxlength="200"
        :aria-invalid="wrong[field.id] ? 'true' : undefined"
        :aria-describedby="`owner-${field.id}-says`"
      />
      <p :id="`owner-${field.id}-says`" :class="wrong[field.id] ? 'wrong' : 'soft small'" :role="wrong[field.id] ? 'alert' : undefined">
        {{ wrong[field.id] ?? field.help }}
      </p>
    </div>
    <p v-if="problem" class="wrong" role="alert">{{ problem.message }}</p>
    <Button type="primary" size="large" html-type="submit" :loading="busy" block>{{ t('begin') }}</Button>
  </form>
</template>
