<script setup lang="ts">
import { KEY_GROUPS } from '../parts/keys.ts';
import SheetDialog from '../parts/SheetDialog.vue';
import { t } from '../words/app.ts';

const open = defineModel<boolean>('open', { required: true });
</script>

<template>
  <SheetDialog v-model:open="open" :title="t('keys')" :width="620">
    <div class="groups">
      <section v-for="group in KEY_GROUPS" :key="group.title">
        <h3>{{ group.title }}</h3>
        <dl>
          <template v-for="{ keys, what } in group.rows" :key="keys.join()">
            <dt>
              <span
                v-for="key in keys.flatMap((each) => each.split(' ')).filter((each, i, all) => all.indexOf(each) === i)"
                :key="key"
                class="key"
                >{{ key }}</span
              >
            </dt>
            <dd>{{ what }}</dd>
          </template>
        </dl>
      </section>
    </div>
  </SheetDialog>
</template>

<style scoped>
.groups {
  display: grid;
  gap: 18px;
}

dl {
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: 6px 14px;
  margin: 8px 0 0;
}

dt {
  display: flex;
  gap: 4px;
}

dd {
  margin: 0;
}
</style>
