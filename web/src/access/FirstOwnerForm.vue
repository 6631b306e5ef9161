<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Joi from 'joi';
import { computed, onMounted, reactive, ref } from 'vue';
import { checkLogin, checkPassword } from '@pace-bend/core/access';
import { LIMITS } from '@pace-bend/core/record';
import { useAction } from '../parts/useAction.ts';
import { useSession } from '../stores/session.ts';

/** The very first account: its owner can make all the others. */
const session = useSession();
const fields = reactive({ practiceName: '', name: '', login: '', password: '' });
const tried = ref(false);
const { busy, problem, run } = useAction();
const first = ref<HTMLInputElement | null>(null);
onMounted(() => first.value?.focus());

const says = (check: (value: string) => string | null) => (value: string, helpers: Joi.CustomHelpers) => {
  const message = check(value);
  return message ? helpers.message({ custom: message }) : value;
};
const text = (what: string) =>
  Joi.string()
    .trim()
    .min(1)
    .max(LIMITS.nameLength)
    .required()
    .messages({ '*': `${what} of 1 to ${LIMITS.nameLength} letters.` });
const schema = computed(() =>
  Joi.object({
    practiceName: text('A name for the practice'),
    name: text('Your name'),
    login: Joi.any().custom(says(checkLogin)),
    password: Joi.any().custom(says((value) => checkPassword(value, fields.login))),
  }),
);
const wrong = computed<Record<string, string>>(() =>
  tried.value
    ? Object.fromEntries(
        (schema.value.validate(fields, { abortEarly: false }).error?.details ?? []).map((detail) => [
          String(detail.path[0]),
          detail.message,
        ]),
      )
    : {},
);

async function make(): Promise<void> {
  tried.value = true;
  if (Object.keys(wrong.value).length > 0) return;
  await run(() =>
    session.makeOwner({
      ...fields,
      practiceName: fields.practiceName.trim(),
      name: fields.name.trim(),
      timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    }),
  );
  // Somebody was quicker: there is an owner to sign in as.
  if (problem.value?.type === 'already-set-up') await session.greet();
}

const FIELDS = [
  { id: 'practiceName', label: 'Practice', type: 'text', autocomplete: 'organization', help: '' },
  { id: 'name', label: 'Your name', type: 'text', autocomplete: 'name', help: '' },
  { id: 'login', label: 'Sign-in name', type: 'text', autocomplete: 'username', help: 'Small letters, short: it is typed often.' },
  {
    id: 'password',
    label: 'Password',
    type: 'password',
    autocomplete: 'new-password',
    help: '12 letters or more. A few words in a row are good.',
  },
] as const;
</script>

<template>
  <form class="fields" novalidate @submit.prevent="make">
    <p class="soft">Nobody has an account here yet. Yours comes first: the owner’s. It lets the others in.</p>
    <div v-for="(field, i) in FIELDS" :key="field.id" class="field">
      <label :for="`owner-${field.id}`">{{ field.label }}</label>
      <input
        :id="`owner-${field.id}`"
        :ref="
          (element) => {
            if (i === 0) first = element as HTMLInputElement | null;
          }
        "
        v-model="fields[field.id]"
        class="input"
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
    <Button type="primary" size="large" html-type="submit" :loading="busy" block>Begin</Button>
  </form>
</template>
