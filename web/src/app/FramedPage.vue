<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core';
import { defineAsyncComponent, watch } from 'vue';
import { useRoute } from 'vue-router';
import { keepDayAhead } from '../stores/ahead.ts';
import { useDay } from '../stores/day.ts';
import { useSession } from '../stores/session.ts';
import FailedPage from './FailedPage.vue';
import type { Failed } from './failedPage.ts';
import OfflineBar from './OfflineBar.vue';
import SideRail from './SideRail.vue';
import { t } from '../words/app.ts';

/** Loaded where the page is narrow. */
const BottomBar = defineAsyncComponent(() => import('./BottomBar.vue'));

/** Loaded for whoever sets the practice up. */
const FirstStepsBar = defineAsyncComponent(() => import('./FirstStepsBar.vue'));

/** A page with the way to the others: beside it, or beneath where there is no room beside. */
defineProps<{ failed: Failed | null }>();
defineEmits<{ keys: [] }>();
/** The styles below say the same width. */
const narrow = useMediaQuery('(max-width: 900px)');

// The day stays at hand whatever page is open: its visits stand beside every page, and are read ahead for a lost line.
const route = useRoute();
const day = useDay();
const session = useSession();
keepDayAhead();
// A step that was opened or a visit that was finished shows in the list. The day's own page loads the day itself.
watch(
  () => route.fullPath,
  () => {
    if (!session.isCoach && route.name && route.name !== 'today' && route.name !== 'day') void day.load(day.page?.date);
  },
  { immediate: true },
);
</script>

<template>
  <div class="frame">
    <a class="skip" href="#main">{{ t('skipContent') }}</a>
    <SideRail v-if="!narrow" @keys="$emit('keys')" />
    <main id="main" class="main" tabindex="-1">
      <FirstStepsBar v-if="session.may('GET', '/first-steps')" /><FailedPage v-if="failed" :failed="failed" /><RouterView
        v-else
      /><OfflineBar />
    </main>
    <BottomBar v-if="narrow" @keys="$emit('keys')" />
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-columns: 208px minmax(0, 1fr);
  min-height: 100%;
}

/* What lies in the page answers to the page's own width, whatever stands beside it. */
.main {
  container: page / inline-size;
  min-width: 0;
  outline: none;
}

.skip {
  position: absolute;
  left: -999px;
  top: 8px;
  z-index: 10;
  padding: 8px 14px;
  background: var(--paper);
}

.skip:focus {
  left: 8px;
}

@media (max-width: 900px) {
  .frame {
    --foot: calc(60px + env(safe-area-inset-bottom));

    grid-template-columns: minmax(0, 1fr);
    align-content: start;
    padding-bottom: var(--foot);
  }
}
</style>
