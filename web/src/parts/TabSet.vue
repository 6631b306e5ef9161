<script setup lang="ts">
import Tabs, { TabPane } from 'ant-design-vue/es/tabs';
import { nextTick, ref } from 'vue';

/** The kit's tabs, one page at a time, each a slot by its id; the arrow keys go from tab to tab as well, which the kit's own do not. */
const props = defineProps<{
  tabs: readonly { readonly id: string; readonly label: string }[];
  label: string;
  /** What was typed on one page is still there after a look at another. */
  keep?: boolean;
}>();
const active = defineModel<string>('active', { required: true });
const root = ref<HTMLElement | null>(null);

function onKey(event: KeyboardEvent): void {
  const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
  if (by === 0 || (event.target as HTMLElement).getAttribute('role') !== 'tab') return;
  event.preventDefault();
  const ids = props.tabs.map((each) => each.id);
  active.value = ids[(ids.indexOf(active.value) + by + ids.length) % ids.length]!;
  void nextTick(() => root.value?.querySelector<HTMLElement>('[role="tab"][aria-selected="true"]')?.focus());
}
</script>

<template>
  <div ref="root" role="group" :aria-label="label" @keydown="onKey">
    <Tabs v-model:active-key="active" :animated="false" :destroy-inactive-tab-pane="!keep" size="small">
      <TabPane v-for="each in tabs" :key="each.id" :tab="each.label"><slot :name="each.id" /></TabPane>
    </Tabs>
  </div>
</template>

<style scoped>
div {
  min-width: 0;
}

/* Four tabs in a narrow card: close together, and in two lines before one is put away. */
div :deep(.ant-tabs-nav-wrap) {
  white-space: normal;
}

div :deep(.ant-tabs-nav-list) {
  flex-wrap: wrap;
  width: 100%;
  min-width: 0;
  transform: none !important;
}

div :deep(.ant-tabs-tab) {
  flex: 0 1 auto;
  padding: 0;
}

div :deep(.ant-tabs-tab + .ant-tabs-tab) {
  margin-left: 8px;
}

div :deep(.ant-tabs-tab-btn) {
  display: grid;
  place-content: center;
  text-align: center;
  min-width: 44px;
  min-height: 38px;
}

@media (pointer: coarse) {
  div :deep(.ant-tabs-tab-btn) {
    min-height: 44px;
  }
}

div :deep(.ant-tabs-tab.ant-tabs-tab-active .ant-tabs-tab-btn) {
  color: var(--ink);
  font-weight: 700;
  text-shadow: none;
}
</style>
