<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, reactive, ref } from 'vue';
import { SIGNED_IN_HOURS } from '@pace-bend/core/access';
import { api } from '../api/api.ts';
import { useAction } from '../parts/useAction.ts';
import { roleWords } from '../parts/roleWords.ts';
import ClockCard from './ClockCard.vue';
import HandsCard from './HandsCard.vue';
import { useSession } from '../stores/session.ts';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/practice.ts';

/** One's own account: password, and signing out. */
const session = useSession();
const fields = reactive({ current: '', password: '' });
const { busy, problem, run } = useAction();
const wrong = computed(() => problem.value?.fieldMessages('current') ?? {});
const done = ref(false);

async function change(): Promise<void> {
  done.value = false;
  done.value = await run(() => api('POST', '/me/password', fields));
  if (done.value) Object.assign(fields, { current: '', password: '' });
}
</script>

<template>
  <div class="me">
    <section class="card fields" :aria-label="t('signedIn')">
      <h2>{{ session.me!.name }}</h2>
      <p class="soft">{{ roleWords(session.me!.role) }}</p>
      <div class="choices">
        <Button @click="session.signOut()">{{ t('signOut') }}</Button><Button @click="session.signOutEverywhere()">{{
          t('signOutEverywhere')
        }}</Button>
      </div>
      <p class="soft small">
        {{ t('signedOutItselfWhen', { idle: SIGNED_IN_HOURS.idle, longest: SIGNED_IN_HOURS.longest }) }}
      </p>
    </section>
    <ClockCard />
    <HandsCard v-if="!session.isCoach" />
    <form class="card fields" novalidate :aria-label="t('password')" @submit.prevent="change">
      <h2>{{ t('anotherPassword') }}</h2>
      <div class="field">
        <label for="me-current">{{ t('passwordFar') }}</label><TextInput
          id="me-current"
          v-model="fields.current"
          type="password"
          autocomplete="current-password"
          maxlength="200"
          :aria-invalid="wrong.current ? 'true' : undefined"
        />
        <p v-if="wrong.current" class="wrong" role="alert">{{ wrong.current }}</p>
      </div>
      <div class="field">
        <label for="me-new">{{ t('newPassword') }}</label><TextInput
          id="me-new"
          v-model="fields.password"
          type="password"
          autocomplete="new-password"
          maxlength="200"
          :aria-invalid="wrong.password ? 'true' : undefined"
        />
        <p v-if="wrong.password" class="wrong" role="alert">{{ wrong.password }}</p>
        <p v-else class="soft small">{{ t('n12LettersMoreEvery') }}</p>
      </div>
      <div class="choices">
        <Button type="primary" html-type="submit" :loading="busy">{{ t('changeIt') }}</Button><span
          v-if="done"
          role="status"
          class="soft"
          >{{ t('changed') }}</span
        >
      </div>
    </form>
  </div>
</template>

<style scoped>
.me {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(300px, 100%), 420px));
  gap: 16px;
  align-items: start;
}
</style>
