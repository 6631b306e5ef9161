<script setup lang="ts">
import { computed } from 'vue';
import type { AthleteFile } from '@pace-bend/core/record';
import { useSession } from '../stores/session.ts';
import ConditionsCard from './file/ConditionsCard.vue';
import ContactsCard from './file/ContactsCard.vue';
import BodyCard from './file/BodyCard.vue';
import NoTouchCard from './file/NoTouchCard.vue';
import PersonCard from './file/PersonCard.vue';
import RecordCard from './file/RecordCard.vue';
import { t } from '../words/athlete.ts';

/** The athlete's file. What is typed is saved as it is made. */
defineProps<{ file: AthleteFile }>();
const session = useSession();
const readOnly = computed(() => !session.may('PATCH', '/athletes/:id'));
</script>

<template>
  <p v-if="readOnly" class="soft">{{ t('therapistChangesFileAreas') }}</p>
  <div class="file">
    <div class="main">
      <ConditionsCard :file="file" :read-only="readOnly" />
      <PersonCard :athlete="file.athlete" :squads="file.squads" :read-only="readOnly" />
      <ContactsCard :athlete="file.athlete" :read-only="readOnly" />
    </div>
    <div class="side">
      <NoTouchCard :file="file" />
      <BodyCard :athlete="file.athlete" :read-only="readOnly" />
      <RecordCard :athlete="file.athlete" />
    </div>
  </div>
</template>

<style scoped>
.file {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 16px;
  align-items: start;
}

.main,
.side {
  display: grid;
  gap: 16px;
  min-width: 0;
}

@container page (max-width: 812px) {
  .file {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
