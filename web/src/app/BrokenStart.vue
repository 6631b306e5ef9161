<script setup lang="ts">
/** The program itself did not come: nothing of the kit is there to say so with. */
const again = () => location.reload();
</script>

<template>
  <main class="broken" role="alert">
    <h1>The program did not load</h1>
    <p>Part of it did not arrive. What you typed before is kept on this device.</p>
    <button type="button" @click="again">Try again</button>
  </main>
</template>

<style scoped>
.broken {
  display: grid;
  gap: 12px;
  justify-items: start;
  padding: 32px;
}

button {
  min-height: 44px;
  padding: 0 18px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  color: inherit;
  font: inherit;
  cursor: pointer;
}
</style>
