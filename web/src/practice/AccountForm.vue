<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Joi from 'joi';
import { v7 as uuid } from 'uuid';
import { computed, reactive, ref } from 'vue';
import { checkLogin, checkPassword, ROLES, type Account, type Role } from '@pace-bend/core/access';
import { LIMITS, type Squad } from '@pace-bend/core/record';
import { api } from '../api/api.ts';
import { lineRule, ruled } from '../parts/rules.ts';
import { useAction } from '../parts/useAction.ts';
import { useForm } from '../parts/useForm.ts';
import { roleWords } from '../parts/roleWords.ts';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/practice.ts';

/** One account: new with a password, or changed with or without another one. */
const props = defineProps<{ account: Account | null; squads: readonly Squad[] }>();
const emit = defineEmits<{ kept: [accounts: Account[]]; leave: [] }>();

const id = props.account?.id ?? uuid();
const fields = reactive({
  name: props.account?.name ?? '',
  login: props.account?.login ?? '',
  role: (props.account?.role ?? 'therapist') as Role,
  active: props.account?.active ?? true,
  squadIds: [...(props.account?.squadIds ?? [])],
  password: '',
});
const { busy, problem, run } = useAction();
const refused = computed(() => problem.value?.fieldMessages('all') ?? {});
const form = ref<HTMLElement | null>(null);
const { wrong, isSound } = useForm(
  () =>
    Joi.object({
      name: lineRule(LIMITS.nameLength),
      login: ruled(checkLogin),
      password: ruled((value) => (value !== '' ? checkPassword(value, fields.login) : props.account ? null : t('newAccountNeedsPassword'))),
    }),
  () => fields,
);

async function keep(): Promise<void> {
  if (!isSound(form.value)) return;
  const body = { ...fields, name: fields.name.trim(), password: fields.password || null, revision: props.account?.revision ?? 0 };
  await run(async () =>
    emit('kept', (await api<{ accounts: Account[] }>(props.account ? 'PATCH' : 'PUT', `/accounts/${id}`, body)).accounts),
  );
}
const says = (field: string) => wrong.value[field] ?? refused.value[field] ?? null;
const toggle = (squadId: string) => {
  fields.squadIds = fields.squadIds.includes(squadId) ? fields.squadIds.filter((each) => each !== squadId) : [...fields.squadIds, squadId];
};
</script>

<template>
  <form ref="form" class="fields form" novalidate @submit.prevent="keep">
    <div class="pair">
      <div class="field">
        <label for="account-name">{{ t('name') }}</label><TextInput
          id="account-name"
          v-model="fields.name"
          :maxlength="LIMITS.nameLength"
          autocomplete="off"
          :aria-invalid="says('name') ? 'true' : undefined"
        />
        <p v-if="says('name')" class="wrong" role="alert">{{ says('name') }}</p>
      </div>
      <div class="field">
        <label for="account-login">{{ t('signName') }}</label><TextInput
          id="account-login"
          v-model="fields.login"
          maxlength="40"
          autocomplete="off"
          autocapitalize="none"
          :aria-invalid="says('login') ? 'true' : undefined"
        />
        <p v-if="says('login')" class="wrong" role="alert">{{ says('login') }}</p>
      </div>
      <div class="field">
        <label for="account-password">{{ account ? t('newPasswordEmpty') : t('password') }}</label><TextInput
          id="account-password"
          v-model="fields.password"
          type="password"
          maxlength="200"
          autocomplete="new-password"
          :aria-invalid="says('password') ? 'true' : undefined"
        />
        <p v-if="says('password')" class="wrong" role="alert">{{ says('password') }}</p>
      </div>
    </div>
    <div class="field">
      <span id="role-label" class="label">{{ t('role') }}</span>
      <div class="choices" role="group" aria-labelledby="role-label">
        <button
          v-for="role in ROLES"
          :key="role"
          type="button"
          class="choice"
          :aria-pressed="fields.role === role"
          @click="fields.role = role"
        >
          {{ roleWords(role) }}
        </button>
      </div>
      <p v-if="says('role')" class="wrong" role="alert">{{ says('role') }}</p>
    </div>
    <div v-if="fields.role === 'coach'" class="field">
      <span id="squads-label" class="label">{{ t('squadsTheyLookAfter') }}</span>
      <div class="choices" role="group" aria-labelledby="squads-label">
        <button
          v-for="squad in squads"
          :key="squad.id"
          type="button"
          class="choice"
          :aria-pressed="fields.squadIds.includes(squad.id)"
          @click="toggle(squad.id)"
        >
          {{ squad.name }}
        </button>
      </div>
      <p v-if="squads.length === 0" class="soft">{{ t('noSquadsYetMake') }}</p>
    </div>
    <div v-if="account" class="choices">
      <button type="button" class="choice care" :aria-pressed="!fields.active" @click="fields.active = !fields.active">
        {{ fields.active ? t('closeAccount') : t('closedPressOpenAgain') }}
      </button>
    </div>
    <p v-if="refused.all" class="wrong" role="alert">{{ refused.all }}</p>
    <div class="choices">
      <Button type="primary" html-type="submit" :loading="busy">{{ t('keep') }}</Button><Button @click="emit('leave')">{{
        t('leaveIt')
      }}</Button>
    </div>
  </form>
</template>

<style scoped>
.form {
  margin: 8px 0;
  padding: 14px 16px;
  border-left: 4px solid var(--spruce);
  background: var(--ground);
}
</style>
