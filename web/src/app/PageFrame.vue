<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import FailedPage from './FailedPage.vue';
import { useFailedPage } from './failedPage.ts';
import SheetDialog from '../parts/SheetDialog.vue';
import { useOutbox } from '../stores/outbox.ts';
import { useSession } from '../stores/session.ts';
import KeySheet from './KeySheet.vue';
import KitTheme from '../parts/KitTheme.vue';
import OutboxSheet from '../unsent/OutboxSheet.vue';
import FramedPage from './FramedPage.vue';
import { usePageTitle } from './pageTitle.ts';
import { useLegend } from '../stores/legend.ts';
import { useGlobalKeys } from '../parts/useGlobalKeys.ts';

const FigureLegend = defineAsyncComponent(() => import('../parts/FigureLegend.vue'));
const SignInForm = defineAsyncComponent(() => import('../access/SignInForm.vue'));

const route = useRoute();
const router = useRouter();
const session = useSession();
const outbox = useOutbox();
const keysOpen = ref(false);
const legend = useLegend();
const { failed } = useFailedPage();
usePageTitle();
useGlobalKeys({
  toggleKeys: () => {
    keysOpen.value = !keysOpen.value;
  },
  toggleLegend: () => {
    legend.isOpen = !legend.isOpen;
  },
});

/** At the table the hands are busy: nothing comes between them and the count. */
const atTable = computed(() => route.meta.fullScreen === true);

/** A coach has one place; whoever has not the right to a place is shown their first. */
const here = computed(() => !session.me || !route.meta.roles || (route.meta.roles as readonly string[]).includes(session.me.role));
watch(
  [here, () => session.state],
  () => {
    if (session.state === 'in' && !here.value) void router.replace(session.isCoach ? '/coach' : '/');
  },
  { immediate: true },
);
</script>

<template>
  <KitTheme>
    <template v-if="here">
      <FailedPage v-if="route.meta.fullScreen && failed" :failed="failed" />
      <RouterView v-else-if="route.meta.fullScreen" />
      <FramedPage v-else :failed="failed" @keys="keysOpen = true" />
    </template>
    <OutboxSheet />
    <KeySheet v-model:open="keysOpen" />
    <FigureLegend v-if="legend.wasOpened" v-model:open="legend.isOpen" />
    <SheetDialog
      :open="session.state === 'expired' && (!atTable || session.wantsIn)"
      title="Sign in again"
      :closable="atTable"
      :width="420"
      @update:open="session.wantsIn = false"
    >
      <p class="soft again">You were signed out. What is on the screen and what you typed stays; it is saved when you are back.</p>
      <SignInForm v-if="session.state === 'expired'" />
    </SheetDialog>
    <SheetDialog :open="session.unsent !== null" title="Not sent yet" :width="460" @update:open="session.stay()">
      <p>{{ (session.unsent ?? []).join(', ') }}: typed here and not on the server yet.</p>
      <p v-if="!outbox.isStored" class="again"><b>This browser keeps nothing on this device just now: if you sign out, it is lost.</b></p>
      <p v-else class="soft again">
        If you sign out now it stays on this machine, locked to your account. It is sent when you sign in here again; nobody else sees it.
      </p>
      <div class="choices">
        <Button type="primary" @click="session.leaveWhenSent()">Send it, then sign out</Button
        ><Button @click="session.leaveNow()">{{ outbox.isStored ? 'Sign out and leave it here' : 'Sign out and lose it' }}</Button
        ><Button @click="session.stay()">Stay</Button>
      </div>
    </SheetDialog>
  </KitTheme>
</template>

<style scoped>
.again {
  margin-bottom: 14px;
}
</style>
