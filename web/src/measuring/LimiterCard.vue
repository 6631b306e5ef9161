<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Motion, Side } from '@pace-bend/core/body';
import type { Judgement } from '@pace-bend/core/limiter';
import { SIDE_WORDS } from '../parts/words.ts';
import { t } from '../words/measuring.ts';

/** What may hold a motion on its short sides: ranked, with every finding's push for and against, and what would decide. */
const props = defineProps<{ motion: Motion; judged: readonly { readonly side: Side; readonly judgement: Judgement }[] }>();
const emit = defineEmits<{ measure: [motionId: string] }>();

const MOST = 4;
const opened = ref<string | null>(null);
const keyOf = (side: Side, id: string) => `${side}/${id}`;
/** Enough halvings and doublings to be drawn: five steps either way fill the bar. */
const width = (steps: number) => `${Math.min(50, Math.abs(steps) * 10)}%`;
const sign = (steps: number) => (steps > 0 ? `+${steps}` : `−${Math.abs(steps)}`);
const shown = computed(() => props.judged.map(({ side, judgement }) => ({ side, judgement, causes: judgement.causes.slice(0, MOST) })));
</script>

<template>
  <div class="limits">
    <p v-if="judged.length === 0" class="soft small">{{ t('noSideMotionShort') }}</p>
    <section v-for="{ side, judgement, causes } in shown" :key="side" :aria-label="t('whatMayHold', { side })">
      <h3>
        {{ SIDE_WORDS[side] }}: <span :class="{ unsure: judgement.kind === 'not-enough' }">{{ judgement.words }}</span>
      </h3>
      <ol>
        <li v-for="cause in causes" :key="cause.id">
          <button
            type="button"
            :aria-expanded="opened === keyOf(side, cause.id)"
            @click="opened = opened === keyOf(side, cause.id) ? null : keyOf(side, cause.id)"
          >
            <span>{{ cause.name }}</span>
            <span class="bar" aria-hidden="true"><i :style="{ width: `${Math.round(cause.probability * 100)}%` }" /></span>
            <span class="soft small share">{{ cause.say }}</span>
          </button>
          <ul v-if="opened === keyOf(side, cause.id)" class="pushes small">
            <li v-for="push in cause.pushes" :key="push.words">
              <span>{{ push.words }}</span><span class="push" aria-hidden="true"
                ><i :class="push.steps > 0 ? 'for' : 'against'" :style="{ width: width(push.steps) }" /></span
              ><span class="num">{{ sign(push.steps) }}</span>
            </li>
            <li v-if="cause.pushes.length === 0" class="soft">{{ t('nothingFoundSpeaksAgainst') }}</li>
          </ul>
        </li>
      </ol>
      <p v-if="judgement.decide" class="decide small">
        <b>{{ t('wouldDecide') }}</b>
        <button
          v-if="judgement.decide.question.motionId && judgement.decide.question.motionId !== motion.id"
          type="button"
          class="link"
          @click="emit('measure', judgement.decide!.question.motionId!)"
        >
          {{ judgement.decide.question.words }}
        </button>
        <template v-else>{{ judgement.decide.question.words }}</template>
        <span v-for="says in judgement.decide.says.slice(0, 4)" :key="says" class="soft">{{ says }}</span>
      </p>
    </section>
    <p class="soft small foot">
      {{ t('eachStepDoublesHalves') }}
    </p>
  </div>
</template>

<style scoped>
.limits {
  display: grid;
  gap: 14px;
}

section + section {
  padding-top: 12px;
  border-top: 1px solid var(--line-faint);
}

h3 {
  font-size: 15px;
}

.unsure {
  color: var(--sun-text);
}

ol,
ul {
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}

ol button {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 48px 136px;
  align-items: center;
  gap: 8px;
  width: 100%;
  min-height: 34px;
  padding: 2px 0;
  border: 0;
  border-bottom: 1px solid var(--line-faint);
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}

.bar {
  height: 8px;
  background: var(--fan);
}

.bar i {
  display: block;
  height: 100%;
  background: var(--spruce);
}

.share {
  text-align: right;
}

.pushes {
  margin: 2px 0 8px;
  padding-left: 10px;
  border-left: 2px solid var(--line);
}

.pushes li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 60px 26px;
  align-items: center;
  gap: 8px;
}

/* The middle is no push; for goes right, against goes left. */
.push {
  position: relative;
  height: 8px;
  background: linear-gradient(
    to right,
    transparent calc(50% - 0.5px),
    var(--tick) calc(50% - 0.5px),
    var(--tick) calc(50% + 0.5px),
    transparent calc(50% + 0.5px)
  );
}

.push i {
  position: absolute;
  top: 0;
  height: 100%;
}

.push .for {
  left: 50%;
  background: var(--spruce);
}

.push .against {
  right: 50%;
  background: repeating-linear-gradient(45deg, var(--clay) 0 2px, transparent 2px 4px);
}

.decide {
  display: grid;
  gap: 1px;
  margin: 8px 0 0;
  padding: 6px 10px;
  border-left: 3px solid var(--slate);
  background: var(--slate-soft);
}

.decide .link {
  justify-self: start;
  text-align: left;
}

.foot {
  line-height: 1.4;
}
</style>
