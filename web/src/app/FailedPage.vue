<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { onMounted, ref } from 'vue';
import type { Failed } from './failedPage.ts';

/** In place of a page that could not be shown. Trying again loads it anew from the server. */
defineProps<{ failed: Failed }>();
const heading = ref<HTMLElement | null>(null);
onMounted(() => heading.value?.focus());
const again = (path: string) => location.assign(path);
</script>

<template>
  <section class="page" role="alert">
    <h1 ref="heading" tabindex="-1">This page could not be {{ failed.reason === 'load' ? 'loaded' : 'shown' }}</h1>
    <p v-if="failed.reason === 'load'">
      A part of the program did not come from the server: the line is cut, or a new version has replaced it. What you typed is kept in this
      browser.
    </p>
    <p v-else>Something in it failed. What you typed is kept in this browser.</p>
    <p class="choices">
      <Button type="primary" @click="again(failed.path)">Try again</Button><Button @click="again('/')">Back to the day</Button>
    </p>
  </section>
</template>
