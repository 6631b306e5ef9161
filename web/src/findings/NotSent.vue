<script setup lang="ts">
/** How many findings the server does not have yet. */
defineProps<{ count: number }>();
</script>

<template>
  <span v-if="count > 0" class="not-sent" role="status">{{ count }} not sent</span>
</template>
