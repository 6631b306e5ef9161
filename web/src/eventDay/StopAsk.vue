<script setup lang="ts">
import { STOP_QUESTIONS, type QuestionId } from '@pace-bend/core/caution';
import { t } from '../words/eventDay.ts';

/** The stop questions by exception: what is so, or not certain, is marked; the others are answered with no. */
const props = defineProps<{ raised: Readonly<Partial<Record<QuestionId, 'yes' | 'unsure'>>> }>();
const emit = defineEmits<{ change: [raised: Partial<Record<QuestionId, 'yes' | 'unsure'>>] }>();
function set(id: QuestionId, answer: 'yes' | 'unsure'): void {
  const { [id]: had, ...rest } = props.raised;
  emit('change', had === answer ? rest : { ...rest, [id]: answer });
}
</script>

<template>
  <ul class="plain" :aria-label="t('stopQuestions')">
    <li v-for="question in STOP_QUESTIONS" :key="question.id">
      <span :id="`ask-${question.id}`">{{ question.words }}</span>
      <span class="choices" role="group" :aria-labelledby="`ask-${question.id}`">
        <button type="button" class="choice care" :aria-pressed="raised[question.id] === 'yes'" @click="set(question.id, 'yes')">
          {{ t('yes') }}
        </button>
        <button type="button" class="choice care" :aria-pressed="raised[question.id] === 'unsure'" @click="set(question.id, 'unsure')">
          {{ t('notSure') }}
        </button>
      </span>
    </li>
  </ul>
</template>

<style scoped>
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  min-height: 46px;
  border-top: 1px solid var(--line-faint);
  line-height: 1.3;
}

.choices {
  display: flex;
  flex: none;
  gap: 6px;
}

.choice {
  min-height: 44px;
}
</style>
