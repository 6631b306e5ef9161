<script setup lang="ts">
import ConfigProvider from 'ant-design-vue/es/config-provider';
import { useMediaQuery } from '@vueuse/core';
import { computed } from 'vue';
import { useDark } from './useDark.ts';
import { antTheme } from './antTheme.ts';

/** The component kit in the program's own colours, for everything inside it; dark or light as the machine asks, unless it is said. */
const props = withDefaults(defineProps<{ shade?: 'dark' | 'light' | null }>(), { shade: null });
const dark = useDark();
const byFinger = useMediaQuery('(pointer: coarse)');
const theme = computed(() => antTheme(props.shade === null ? dark.value : props.shade === 'dark', byFinger.value));
</script>

<template>
  <ConfigProvider :theme="theme" :auto-insert-space-in-button="false"><slot /></ConfigProvider>
</template>
