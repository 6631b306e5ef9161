<template>
  <section class="nowhere">
    <h1>There is no such page</h1>
    <p class="soft">The address is not part of the program. <RouterLink to="/">Back to today</RouterLink></p>
  </section>
</template>

<style scoped>
.nowhere {
  padding: 48px 32px;
  display: grid;
  gap: 10px;
}
</style>
