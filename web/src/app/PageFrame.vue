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
import { t } from '../words/app.ts';

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
      :title="t('signAgain')"
      :closable="atTable"
      :width="420"
      @update:open="session.wantsIn = false"
    >
      <p class="soft again">{{ t('youSignedOutWhat') }}</p>
      <SignInForm v-if="session.state === 'expired'" />
    </SheetDialog>
    <SheetDialog :open="session.unsent !== null" :title="t('notSentYet')" :width="460" @update:open="session.stay()">
      <p>{{ t('typedHereNotServer', { what: (session.unsent ?? []).join(', ') }) }}</p>
      <p v-if="!outbox.isStored" class="again">
        <b>{{ t('browserKeepsNothingDevice') }}</b>
      </p>
      <p v-else class="soft again">
        {{ t('ifYouSignOut') }}
      </p>
      <div class="choices">
        <Button type="primary" @click="session.leaveWhenSent()">{{ t('sendThenSignOut') }}</Button><Button @click="session.leaveNow()">{{
          outbox.isStored ? t('signOutLeaveHere') : t('signOutLose')
        }}</Button
        ><Button @click="session.stay()">{{ t('stay') }}</Button>
      </div>
    </SheetDialog>
  </KitTheme>
</template>

<style scoped>
.again {
  margin-bottom: 14px;
}
</style>
