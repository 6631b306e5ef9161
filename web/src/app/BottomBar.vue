<script setup lang="ts">
import AppstoreOutlined from '@ant-design/icons-vue/AppstoreOutlined';
import CalendarOutlined from '@ant-design/icons-vue/CalendarOutlined';
import MenuOutlined from '@ant-design/icons-vue/MenuOutlined';
import CoffeeOutlined from '@ant-design/icons-vue/CoffeeOutlined';
import TeamOutlined from '@ant-design/icons-vue/TeamOutlined';
import UserOutlined from '@ant-design/icons-vue/UserOutlined';
import { computed, defineAsyncComponent, ref, watch, type Component } from 'vue';
import { useRoute } from 'vue-router';
import OutboxStatus from '../unsent/OutboxStatus.vue';
import { usePages } from './pages.ts';
import { t } from '../words/app.ts';

/** Where a thumb is: the pages used most, and a drawer with the rest. Takes the place of the rail where the page is narrow. */
defineEmits<{ keys: [] }>();
const MoreDrawer = defineAsyncComponent(() => import('./MoreDrawer.vue'));
const ICONS: Record<string, Component> = {
  '/': CalendarOutlined,
  '/squad': TeamOutlined,
  '/morning': CoffeeOutlined,
  '/shelf': AppstoreOutlined,
  '/coach': TeamOutlined,
  '/practice/me': UserOutlined,
};
const { places, isOn } = usePages();
const first = computed(() => places.value.filter((place) => place.first));
const more = ref(false);
const wasOpened = ref(false);
const route = useRoute();
watch(
  () => route.fullPath,
  () => {
    more.value = false;
  },
);
function open(): void {
  wasOpened.value = true;
  more.value = true;
}
</script>

<template>
  <div class="bottom">
    <OutboxStatus class="unsent-line" />
    <nav :aria-label="t('pages')">
      <RouterLink
        v-for="place in first"
        :key="place.to"
        :to="place.to"
        :class="{ on: isOn(place) }"
        :aria-current="isOn(place) ? 'page' : undefined"
        ><component :is="ICONS[place.to]" class="icon" aria-hidden="true" />{{ place.label }}</RouterLink
      >
      <button type="button" aria-haspopup="dialog" :aria-expanded="more" @click="open">
        <MenuOutlined class="icon" aria-hidden="true" />{{ t('more') }}
      </button>
    </nav>
    <MoreDrawer v-if="wasOpened" v-model:open="more" @keys="$emit('keys')" />
  </div>
</template>

<style scoped>
.bottom {
  position: fixed;
  right: 0;
  bottom: 0;
  left: 0;
  z-index: 8;
  border-top: 1px solid var(--line);
  background: var(--ground);
  padding-bottom: env(safe-area-inset-bottom);
}

.unsent-line {
  display: grid;
  justify-items: stretch;
}

nav {
  display: grid;
  grid-auto-columns: minmax(0, 1fr);
  grid-auto-flow: column;
}

a,
button {
  display: grid;
  place-content: center;
  justify-items: center;
  gap: 3px;
  min-height: 56px;
  padding: 4px 2px;
  border: 0;
  border-top: 3px solid transparent;
  background: none;
  color: var(--soft);
  font: 500 12.5px/1.1 var(--words);
  text-decoration: none;
  cursor: pointer;
}

.on {
  border-top-color: var(--spruce);
  color: var(--ink);
  font-weight: 700;
}

.icon {
  font-size: 20px;
}

@media print {
  .bottom {
    display: none;
  }
}
</style>
