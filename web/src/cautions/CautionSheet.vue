<script setup lang="ts">
import { computed } from 'vue';
import { cautionOverview, type CautionContext } from '@pace-bend/core/caution';
import { LEVEL_WORDS } from '../parts/words.ts';
import CautionCard from './CautionCard.vue';
import LimitsTable from './LimitsTable.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { t } from '../words/cautions.ts';

/** Everything that cautions say of an athlete today, in full. */
const props = defineProps<{ context: CautionContext }>();
const open = defineModel<boolean>('open', { required: true });

const overview = computed(() => cautionOverview(props.context));
</script>

<template>
  <SheetDialog v-model:open="open" :title="t('cautions2')" :width="980" :top="28">
    <div class="sheet" tabindex="0">
      <p class="plain-words">
        {{ t('remindersLicensedPersonFrom') }}
      </p>
      <section :aria-label="t('whatLimited')">
        <h2>{{ t('whatLimited') }}</h2>
        <LimitsTable :context="context" />
      </section>
      <p v-if="overview.length === 0" class="soft">{{ t('nothingFile') }}</p>
      <template v-else>
        <section v-for="each in overview" :key="each.because" :aria-label="each.because">
          <h2>
            <span class="level" :class="each.level">{{ LEVEL_WORDS[each.level] }}</span> {{ each.because }}
          </h2>
          <div class="cards">
            <CautionCard v-for="caution in each.cautions" :key="caution.ruleId + caution.reason" :caution="caution" :because="false" />
          </div>
        </section>
      </template>
    </div>
  </SheetDialog>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 20px;
  max-height: calc(100vh - 140px);
  overflow: auto;
}

.plain-words {
  padding: 9px 14px;
  border-left: 4px solid var(--slate);
  background: var(--slate-soft);
  color: var(--slate-text);
}

h2 {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  margin-bottom: 8px;
}

.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(340px, 100%), 1fr));
  gap: 8px;
}
</style>
