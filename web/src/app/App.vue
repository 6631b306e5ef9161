<script setup lang="ts">
import { defineAsyncComponent } from 'vue';
import BrokenStart from './BrokenStart.vue';
import { useSession } from '../stores/session.ts';

/** Who is in decides what is loaded: whoever has to sign in is sent nothing of the rest. */
const SignInView = defineAsyncComponent({ loader: () => import('../access/SignInView.vue'), errorComponent: BrokenStart });
const PageFrame = defineAsyncComponent({ loader: () => import('./PageFrame.vue'), errorComponent: BrokenStart });
const ProblemNote = defineAsyncComponent(() => import('../parts/ProblemNote.vue'));

const session = useSession();
void session.load();
</script>

<template>
  <div v-if="session.state === 'unknown'" class="wait">
    <ProblemNote v-if="session.problem" :problem="session.problem" :retry="session.load" />
    <p v-else class="soft">Opening …</p>
  </div>
  <SignInView v-else-if="session.state === 'out'" />
  <PageFrame v-else />
</template>

<style scoped>
.wait {
  padding: 32px;
}
</style>
