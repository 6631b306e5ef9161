<script setup lang="ts">
import { defineAsyncComponent } from 'vue';
import KitTheme from '../parts/KitTheme.vue';
import BrandMark from '../parts/BrandMark.vue';
import { useSession } from '../stores/session.ts';
import SignInForm from './SignInForm.vue';
import { t } from '../words/opening.ts';

const FirstOwnerForm = defineAsyncComponent(() => import('./FirstOwnerForm.vue'));
const session = useSession();
</script>

<template>
  <KitTheme>
    <main class="sign-in">
      <div class="card">
        <BrandMark />
        <h1>{{ session.welcome?.firstStart ? t('newPractice') : session.welcome?.practiceName }}</h1>
        <FirstOwnerForm v-if="session.welcome?.firstStart" />
        <SignInForm v-else />
      </div>
      <p class="soft small">{{ t('cautionsHereRemindersLicensed') }}</p>
    </main>
  </KitTheme>
</template>

<style scoped>
.sign-in {
  display: grid;
  align-content: center;
  justify-items: center;
  gap: 14px;
  min-height: 100%;
  padding: 24px;
}

.card {
  display: grid;
  gap: 16px;
  width: min(440px, 100%);
  padding: 26px 28px;
}

h1 {
  font-size: 26px;
  overflow-wrap: anywhere;
}
</style>
