<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { useRouter } from 'vue-router';
import { useVisit } from '../../stores/visit.ts';
import CautionCard from '../../cautions/CautionCard.vue';
import { t } from '../../words/referral.ts';

/** Hands stay off: why, and the way out. */
defineProps<{ atArrive?: boolean }>();
const visit = useVisit();
const router = useRouter();
</script>

<template>
  <section class="stop-notice" role="alert" :aria-label="t('stop')">
    <h2>{{ t('stopNoHandsWork') }}</h2>
    <div class="cards"><CautionCard v-for="caution in visit.stops" :key="caution.ruleId" :caution="caution" /></div>
    <div class="choices">
      <Button type="primary" size="large" @click="router.push(`/visit/${visit.id}/letter`)">{{
        visit.file!.referral ? t('theReferral') : t('endReferral')
      }}</Button>
      <Button v-if="!atArrive" size="large" @click="router.push(`/visit/${visit.id}/arrive`)">{{ t('lookAnswersAgain') }}</Button>
    </div>
  </section>
</template>

<style scoped>
.stop-notice {
  display: grid;
  gap: 12px;
  padding: 16px 18px;
  border: 2px solid var(--clay);
  border-radius: 4px;
  background: var(--paper);
}

.cards {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(320px, 100%), 1fr));
  gap: 8px;
}
</style>
