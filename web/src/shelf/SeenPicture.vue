<script setup lang="ts">
import { ref } from 'vue';
import type { Entry } from '@pace-bend/core/catalogue';
import { useSeen } from '../parts/useSeen.ts';
import EntryPicture from '../parts/EntryPicture.vue';

/** An entry's picture in a long list: drawn when it comes into view, its place kept until then. */
const props = withDefaults(defineProps<{ entry: Entry; size: number; shape?: number }>(), { shape: 1.3 });
const place = ref<HTMLElement | null>(null);
const seen = useSeen(place);
</script>

<template>
  <span ref="place" class="place" :style="{ width: `${Math.round(props.size * props.shape)}px`, height: `${props.size}px` }"
    ><EntryPicture v-if="seen" :entry="entry" :size="size" :shape="shape" decorative
  /></span>
</template>

<style scoped>
.place {
  flex: none;
}
</style>
