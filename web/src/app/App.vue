<script setup lang="ts">
import { defineAsyncComponent } from 'vue';
import BrokenStart from './BrokenStart.vue';
import { useSession } from '../stores/session.ts';
import { t } from '../words/opening.ts';

/** Who is in decides what is loaded: whoever has to sign in is sent nothing of the rest. */
const SignInView = defineAsyncComponent({ loader: () => import('../access/SignInView.vue'), errorComponent: BrokenStart });
const PageFrame = defineAsyncComponent({ loader: () => import('./PageFrame.vue'), errorComponent: BrokenStart });
const ProblemNote = defineAsyncComponent(() => import('../parts/ProblemNote.vue'));

const CheckInPage = defineAsyncComponent({ loader: () => import('../checkIn/CheckInPage.vue'), errorComponent: BrokenStart });

/** A check-in page knows no account and is sent nothing of the program but its own questions. */
const checksIn = location.pathname === '/check-in';
const session = useSession();
if (!checksIn) void session.load();
</script>

<template>
  <CheckInPage v-if="checksIn" />
  <div v-else-if="session.state === 'unknown'" class="wait">
    <ProblemNote v-if="session.problem" :problem="session.problem" :retry="session.load" />
    <p v-else class="soft">{{ t('opening') }}</p>
  </div>
  <SignInView v-else-if="session.state === 'out'" />
  <PageFrame v-else />
</template>

<style scoped>
.wait {
  padding: 32px;
}
</style>
