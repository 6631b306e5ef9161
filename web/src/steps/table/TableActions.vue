<script setup lang="ts">
import { computed, ref } from 'vue';
import type { RunStatus } from '@pace-bend/core/table';
import DiscomfortKeys from './DiscomfortKeys.vue';
import type { TableHandle } from './useRun.ts';
import { keyOf, type TableAct } from '../../parts/keys.ts';
import HandKeys from './HandKeys.vue';
import { t } from '../../words/table.ts';

/** What can be done now, as keys large enough for an elbow. */
const props = defineProps<{
  run: TableHandle;
  status: RunStatus;
  lastScore: number | null;
  edgeOpen: boolean;
  feltOpen: boolean;
  /** When a number is asked for. */
  numberMode: string;
  /** What the hand does otherwise is a press away: the screen is small. */
  phone: boolean;
}>();
defineEmits<{ space: []; stop: []; close: []; letter: []; number: []; hand: [act: TableAct]; score: [value: number] }>();
const { run } = props;
const { line, state, view, linkState, linkProblem, planChanged } = run;

const cue = computed(() => view.value!.cue);
const moreKeys = ref(false);
const hasOther = computed(() =>
  line.value!.cues.some(
    (each) => each.index > cue.value.index && (each.side !== cue.value.side || each.blockIndex !== cue.value.blockIndex),
  ),
);
const spaceWords = computed(
  () =>
    ({
      ready: t('begin'),
      running: cue.value.open ? t('ready') : t('holdHere'),
      held: t('goOn'),
      waiting: t('ready'),
      eased: t('goShorter'),
      showing: t('roundAgain'),
      softening: t('itSoftened'),
      stopped: t('takeBack'),
      finished: '',
    })[props.status],
);
</script>

<template>
  <footer v-if="view">
    <div v-if="linkState === 'elsewhere'" class="choices" role="alert">
      <p>{{ t('anotherTabLeadingRun') }}</p>
      <button type="button" class="key-button go" @click="run.takeOver">{{ t('takeBackHere') }}</button>
    </div>
    <div v-else-if="linkState === 'refused'" class="choices" role="alert">
      <p>{{ t('runCannotKept', { message: linkProblem?.message }) }}</p>
      <button type="button" class="key-button go" @click="run.startOver">{{ t('startOverFromPlan') }}</button>
    </div>
    <div v-else-if="status === 'finished' && state.referredMs !== null" class="choices" role="group" :aria-label="t('endedRefer')">
      <button type="button" class="key-button go" @click="$emit('letter')">
        {{ t('openReferral') }} <kbd>{{ keyOf('enter') }}</kbd>
      </button>
    </div>
    <div v-else-if="status === 'finished'" class="choices">
      <button type="button" class="key-button" @click="run.startOver">{{ t('runPlanAgain') }}</button>
      <button type="button" class="key-button go" @click="$emit('close')">
        {{ t('measureAgain') }} <kbd>{{ keyOf('enter') }}</kbd>
      </button>
    </div>
    <div v-else-if="status === 'showing'" class="choices" role="group" :aria-label="t('pressWentWrongWay')">
      <button type="button" class="key-button go" @click="$emit('space')">
        {{ t('roundAgain') }} <kbd>{{ keyOf('space') }}</kbd>
      </button>
      <button type="button" class="key-button" @click="run.act({ kind: 'lighter' })">
        {{ t('halfEffort') }} <kbd>{{ keyOf('again') }}</kbd>
      </button>
      <button type="button" class="key-button" @click="$emit('hand', 'swap')">
        {{ t('anotherWay') }} <kbd>{{ keyOf('swap') }}</kbd>
      </button>
      <button type="button" class="key-button stop" @click="$emit('stop')">
        {{ t('stop') }} <kbd>{{ keyOf('stop') }}</kbd>
      </button>
    </div>
    <div v-else-if="status === 'eased'" class="choices" role="group" :aria-label="t('afterEasingOff')">
      <button type="button" class="key-button go" @click="run.act({ kind: 'ease' })">
        {{ t('easeGoShorter') }} <kbd>{{ keyOf('space') }}</kbd>
      </button>
      <button type="button" class="key-button" @click="run.act({ kind: 'lighter' })">
        {{ t('repeatLighter') }} <kbd>{{ keyOf('again') }}</kbd>
      </button>
      <button type="button" class="key-button" @click="$emit('hand', 'swap')">
        {{ t('swap') }} <kbd>{{ keyOf('swap') }}</kbd>
      </button>
      <button type="button" class="key-button stop" @click="$emit('stop')">
        {{ t('stop') }} <kbd>{{ keyOf('stop') }}</kbd>
      </button>
    </div>
    <div v-else-if="status === 'stopped'" class="choices" role="group" :aria-label="t('afterStopping')">
      <button type="button" class="key-button" @click="run.act({ kind: 'go' })">
        {{ t('takeBack') }} <kbd>{{ keyOf('space') }}</kbd>
      </button>
      <button v-if="hasOther" type="button" class="key-button go" @click="run.act({ kind: 'next' })">
        {{ t('nextSideBlock') }} <kbd>{{ keyOf('next') }}</kbd>
      </button>
      <button type="button" class="key-button stop" @click="run.act({ kind: 'stop' })">
        {{ t('endRun') }} <kbd>{{ keyOf('stop') }}</kbd>
      </button>
    </div>
    <template v-else>
      <HandKeys v-if="status !== 'ready' && (!phone || moreKeys)" :run="run" :status="status" @key="(act) => $emit('hand', act)" />
      <DiscomfortKeys
        :ceiling="cue.painCeiling"
        :last="lastScore"
        :disabled="status === 'ready'"
        :edge-open="edgeOpen || feltOpen"
        :asks="numberMode"
        @score="(value) => $emit('score', value)"
        @asks="$emit('number')"
      />
      <div class="actions">
        <template v-if="planChanged && status === 'held'"
          ><button type="button" class="key-button" @click="run.startOver">{{ t('planChangedStartOver') }}</button></template
        >
        <button
          v-if="phone && status !== 'ready'"
          type="button"
          class="key-button slim"
          :aria-label="t('moreKeys')"
          :aria-expanded="moreKeys"
          @click="moreKeys = !moreKeys"
        >
          …
        </button>
        <button
          v-if="status !== 'ready'"
          type="button"
          class="key-button slim"
          :aria-label="t('again')"
          @click="run.act({ kind: 'again' })"
        >
          ← <span class="wide">{{ t('again') }}</span>
        </button>
        <button type="button" class="key-button" :class="{ go: status !== 'running' || cue.open }" @click="$emit('space')">
          {{ spaceWords }} <kbd>{{ keyOf('space') }}</kbd>
        </button>
        <button v-if="status !== 'ready'" type="button" class="key-button slim" :aria-label="t('next')" @click="run.act({ kind: 'next' })">
          <span class="wide">{{ t('next') }}</span> →
        </button>
        <button v-if="status !== 'ready'" type="button" class="key-button stop" @click="$emit('stop')">
          {{ t('stop') }} <kbd>{{ keyOf('stop') }}</kbd>
        </button>
      </div>
    </template>
  </footer>
</template>

<style scoped>
footer {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 14px;
  min-height: 76px;
  padding: 10px 28px 12px;
  border-top: 1px solid var(--line-faint);
}

.actions,
.choices {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin-left: auto;
}

.choices {
  width: 100%;
  justify-content: flex-end;
}

.choices p {
  margin-right: auto;
  font-size: 18px;
}

.key-button {
  min-width: 54px;
  min-height: 56px;
  padding: 0 18px;
  border: 2px solid var(--line);
  border-radius: 4px;
  background: none;
  color: var(--ink);
  font: 600 17px var(--words);
  white-space: nowrap;
  cursor: pointer;
}

.key-button.go {
  border-color: var(--spruce-fill);
  background: #27705c;
}

.key-button.stop {
  border-color: #b24a22;
  background: #b24a22;
  color: #fff;
}

.key-button:hover {
  border-color: var(--ink);
}

@media (max-width: 1240px) {
  footer {
    padding: 8px 18px 10px;
  }

  .actions .key-button {
    padding: 0 12px;
  }

  /* The keys stand on the sheet; here the words have to fit beside the numbers. */
  .actions :deep(kbd) {
    display: none;
  }
}

@media (max-width: 640px) {
  footer {
    padding: 10px 14px;
  }

  .actions,
  .choices {
    justify-content: flex-start;
    width: 100%;
    margin-left: 0;
  }

  .choices .key-button {
    flex: 1 1 auto;
    padding: 0 10px;
    white-space: normal;
  }

  /* Two large ones, and what is needed less in the row beneath. */
  .actions {
    display: grid;
    grid-template-columns: repeat(6, minmax(0, 1fr));
  }

  .actions .key-button {
    grid-column: span 3;
    order: -1;
    min-height: 64px;
    padding: 0 8px;
    white-space: normal;
  }

  .actions .key-button.slim {
    grid-column: span 2;
    order: 0;
    min-height: 54px;
  }
}

@media (max-width: 1439px) {
  .wide {
    display: none;
  }
}
</style>
