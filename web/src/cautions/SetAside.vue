<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, ref } from 'vue';
import type { Side } from '@pace-bend/core/body';
import { overrideKey, type Caution } from '@pace-bend/core/caution';
import { LIMITS } from '@pace-bend/core/record';
import { useAction } from '../parts/useAction.ts';
import { useSession } from '../stores/session.ts';
import { useVisit } from '../stores/visit.ts';
import CautionCard from './CautionCard.vue';
import LongText from '../parts/LongText.vue';
import { t } from '../words/cautions.ts';

/** What forbids something, and the place for a written reason where one can set it aside. */
const props = defineProps<{ cautions: readonly Caution[]; motionId: string; side: Side; unit?: '°' | ' cm' }>();

const visit = useVisit();
const session = useSession();
const writing = ref('');
const reason = ref('');
/** The reason says too little. */
const short = ref(false);
const { busy, problem, run } = useAction();
const wrong = computed(() => (short.value ? t('reasonLeastLettersWho', { min: LIMITS.reasonLength.min }) : (problem.value?.message ?? '')));
const mayOverride = computed(() => !visit.finished && session.may('PUT', '/visits/:id/overrides/:overrideId'));

async function keep(caution: Caution): Promise<void> {
  const text = reason.value.trim();
  short.value = text.length < LIMITS.reasonLength.min;
  if (short.value) return;
  const kept = await run(() =>
    visit.override({ ruleId: caution.ruleId, ground: caution.ground, motionId: props.motionId, side: props.side, reason: text }),
  );
  if (!kept) return;
  writing.value = '';
  reason.value = '';
}
</script>

<template>
  <div class="aside">
    <div v-for="caution in cautions" :key="overrideKey(caution)" class="one">
      <CautionCard :caution="caution" :unit="unit ?? '°'" />
      <p v-if="caution.kind === 'scope'" class="soft small">
        {{ t('scopeCannotSetAside') }} <RouterLink to="/practice/scope">{{ t('practicesScopeLocalRule') }}</RouterLink>
      </p>
      <p v-else-if="!caution.canOverride" class="soft small">{{ t('noReasonSetsAside') }}</p>
      <p v-else-if="!mayOverride" class="soft small">{{ t('therapistCanSetAside') }}</p>
      <template v-else-if="writing === overrideKey(caution)">
        <label :for="`reason-${caution.ruleId}`" class="small">{{ t('whyDoneAnywayKept') }}</label>
        <LongText :id="`reason-${caution.ruleId}`" v-model="reason" rows="2" :maxlength="LIMITS.reasonLength.max" />
        <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
        <div class="choices">
          <Button type="primary" :loading="busy" @click="keep(caution)">{{ t('keepReason') }}</Button><Button @click="writing = ''">{{
            t('leaveIt')
          }}</Button>
        </div>
      </template>
      <button
        v-else
        type="button"
        class="link"
        @click="
          writing = overrideKey(caution);
          short = false;
          problem = null;
        "
      >
        {{ t('doAnywayWrittenReason') }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.aside,
.one {
  display: grid;
  gap: 8px;
}

.link {
  justify-self: start;
}
</style>
