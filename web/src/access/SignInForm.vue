<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, onMounted, ref } from 'vue';
import { useAction } from '../parts/useAction.ts';
import { useSession } from '../stores/session.ts';
import { roleWords } from '../parts/roleWords.ts';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/opening.ts';

/** Name and password; the demo's accounts fill themselves in. */
const session = useSession();
const login = ref('');
const password = ref('');
const missing = ref('');
const { busy, problem, run } = useAction();
const wrong = computed(() => missing.value || (problem.value?.message ?? ''));
const first = ref<InstanceType<typeof TextInput> | null>(null);
onMounted(() => first.value?.focus());

async function signIn(): Promise<void> {
  missing.value = login.value.trim() === '' ? t('typeYourSignName') : password.value === '' ? t('typeYourPassword') : '';
  if (missing.value) return;
  await run(() => session.signIn(login.value, password.value));
  if (problem.value?.status === 401) password.value = '';
}

async function fill(account: { readonly login: string; readonly password: string }): Promise<void> {
  login.value = account.login;
  password.value = account.password;
  await signIn();
}
</script>

<template>
  <form class="fields" novalidate @submit.prevent="signIn">
    <div class="field">
      <label for="sign-in-name">{{ t('signName') }}</label>
      <TextInput
        id="sign-in-name"
        ref="first"
        v-model="login"
        autocomplete="username"
        autocapitalize="none"
        spellcheck="false"
        maxlength="200"
      />
    </div>
    <div class="field">
      <label for="sign-in-password">{{ t('password') }}</label>
      <TextInput id="sign-in-password" v-model="password" type="password" autocomplete="current-password" maxlength="1000" />
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <Button type="primary" size="large" html-type="submit" :loading="busy" block>{{ t('signIn') }}</Button>
    <section v-if="session.welcome?.demoAccounts.length" class="demo" :aria-label="t('accountsDemo')">
      <p class="soft small">{{ t('demoChooseWhoYou') }}</p>
      <ul class="plain">
        <li v-for="account in session.welcome.demoAccounts" :key="account.login">
          <button type="button" :disabled="busy" @click="fill(account)">
            <b>{{ account.name }}</b><span class="soft">{{ roleWords(account.role) }}</span>
            <span class="small typed"
              ><span class="soft">{{ t('name') }}</span> {{ account.login }} <span class="soft">{{ t('password2') }}</span>
              {{ account.password }}</span
            >
          </button>
        </li>
      </ul>
    </section>
  </form>
</template>

<style scoped>
.demo {
  padding-top: 12px;
  border-top: 1px solid var(--line-faint);
}

.demo ul {
  display: grid;
  gap: 6px;
  margin-top: 8px;
}

.demo button {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 12px;
  width: 100%;
  min-height: 54px;
  padding: 7px 12px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}

.demo button:hover {
  background: var(--raised);
}

.typed {
  grid-column: 1 / -1;
}
</style>
