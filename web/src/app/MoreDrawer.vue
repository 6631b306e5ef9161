<script setup lang="ts">
import Drawer from 'ant-design-vue/es/drawer';
import { computed, nextTick, ref, watch } from 'vue';
import VisitState from '../parts/VisitState.vue';
import { useDay } from '../stores/day.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import NewVersion from './NewVersion.vue';
import { usePages } from './pages.ts';
import { t } from '../words/app.ts';

/** What the bar beneath has no room for: the day's visits, the other pages, keys and signing out. */
const emit = defineEmits<{ keys: [] }>();
const open = defineModel<boolean>('open', { required: true });
const day = useDay();
const practice = usePractice();
const session = useSession();
const { places, isOn } = usePages();
const rest = computed(() => places.value.filter((place) => !place.first));
const visits = computed(() => (session.isCoach ? [] : (day.page?.visits ?? []).filter((visit) => !visit.cancelledAt)));

const inside = ref<HTMLElement | null>(null);
let opener: Element | null = null;
watch(
  open,
  async (now) => {
    if (now) {
      opener = document.activeElement;
      await nextTick();
      requestAnimationFrame(() => inside.value?.querySelector<HTMLElement>('a, button')?.focus());
    } else if (opener instanceof HTMLElement) opener.focus();
  },
  { immediate: true },
);
function keys(): void {
  open.value = false;
  emit('keys');
}
</script>

<template>
  <Drawer
    v-model:open="open"
    :title="t('more')"
    placement="bottom"
    height="auto"
    :content-wrapper-style="{ maxHeight: '80dvh' }"
    :body-style="{ padding: '8px 16px 16px' }"
  >
    <div ref="inside" class="more">
      <nav v-if="visits.length > 0" :aria-label="t('theDay')">
        <h2>{{ t('visitsDay') }}</h2>
        <ol class="plain">
          <li v-for="visit in visits" :key="visit.id">
            <RouterLink :to="`/visit/${visit.id}`"
              ><span class="num">{{ practice.timeOfDay(visit.startsAt) }}</span
              ><span class="name">{{ visit.athleteName }}</span
              ><VisitState :visit="visit"
            /></RouterLink>
          </li>
        </ol>
      </nav>
      <nav :aria-label="t('morePages')" class="pages">
        <RouterLink v-for="place in rest" :key="place.to" :to="place.to" :aria-current="isOn(place) ? 'page' : undefined">{{
          place.label
        }}</RouterLink>
        <button type="button" @click="keys">{{ t('keys') }}</button>
        <button type="button" @click="session.signOut()">{{ t('signOut', { name: session.me?.name }) }}</button>
        <NewVersion />
      </nav>
    </div>
  </Drawer>
</template>

<style scoped>
.more {
  display: grid;
  gap: 14px;
}

h2 {
  margin-bottom: 4px;
  color: var(--soft);
  font-size: 14px;
}

ol a {
  display: grid;
  grid-template-columns: 52px minmax(0, 1fr) 16px;
  align-items: center;
  gap: 8px;
  min-height: 46px;
  border-bottom: 1px solid var(--line-faint);
  text-decoration: none;
}

.name {
  overflow-wrap: anywhere;
  line-height: 1.2;
}

.pages {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.pages a,
.pages button {
  display: grid;
  align-items: center;
  min-height: 46px;
  padding: 4px 16px;
  border: 1px solid var(--tick);
  border-radius: 4px;
  background: none;
  color: var(--ink);
  font: inherit;
  text-decoration: none;
  cursor: pointer;
}

.pages [aria-current] {
  border-color: var(--spruce);
  font-weight: 700;
}
</style>
