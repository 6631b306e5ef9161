<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { onMounted, ref } from 'vue';
import type { Failed } from './failedPage.ts';
import { t } from '../words/app.ts';

/** In place of a page that could not be shown. Trying again loads it anew from the server. */
defineProps<{ failed: Failed }>();
const heading = ref<HTMLElement | null>(null);
onMounted(() => heading.value?.focus());
const again = (path: string) => location.assign(path);
</script>

<template>
  <section class="page" role="alert">
    <h1 ref="heading" tabindex="-1">{{ t('pageCouldNot', { what: failed.reason === 'load' ? t('loaded') : t('shown') }) }}</h1>
    <p v-if="failed.reason === 'load'">
      {{ t('partProgramDidNot') }}
    </p>
    <p v-else>{{ t('somethingFailedWhatYou') }}</p>
    <p class="choices">
      <Button type="primary" @click="again(failed.path)">{{ t('tryAgain') }}</Button><Button @click="again('/')">{{ t('backDay') }}</Button>
    </p>
  </section>
</template>
