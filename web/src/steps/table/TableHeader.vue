<script setup lang="ts">
import { formatDuration } from '@pace-bend/core/record';
import type { RunStatus } from '@pace-bend/core/table';
import { SIDE_WORDS } from '../../parts/words.ts';
import { keptWords } from '../../outbox/words.ts';
import { useOutbox } from '../../stores/outbox.ts';
import { useSession } from '../../stores/session.ts';
import type { TableHandle } from './useRun.ts';
import { keyOf } from '../../parts/keys.ts';
import { t } from '../../words/table.ts';

/** Who is on the table, what is being done on which side, and how far the session is. */
const props = defineProps<{ run: TableHandle; status: RunStatus; far: boolean }>();
defineEmits<{ far: []; settings: [] }>();
const outbox = useOutbox();
const session = useSession();
const { clockFailed, visit, view, wholeMs, linkState, muted, spoken } = props.run;
</script>

<template>
  <header v-if="view" :class="{ running: status === 'running' }">
    <RouterLink v-if="status !== 'running'" class="back" :to="`/visit/${visit.id}/plan`">{{ t('plan') }}</RouterLink>
    <h1 class="name">{{ visit.file!.athlete.name }}</h1>
    <span class="block-name">{{ view.blockName }}</span>
    <span class="which" :class="view.cue.side"
      >{{ view.cue.side === 'left' ? '◂ ' : '' }}{{ SIDE_WORDS[view.cue.side] }}{{ view.cue.side === 'right' ? ' ▸' : '' }}</span
    >
    <RouterLink v-if="(status === 'ready' || status === 'finished') && !visit.finished" class="back" :to="`/visit/${visit.id}/letter`"
      >{{ t('refer') }} <kbd>{{ keyOf('refer') }}</kbd></RouterLink
    >
    <span class="tail">
      <span v-if="run.clockRate > 1" class="tag">{{ t('walkThrough', { clockRate: run.clockRate }) }}</span>
      <span v-if="clockFailed" class="tag" role="status">{{ t('clockWithoutHelperKeep') }}</span>
      <template v-if="session.state === 'expired'"
        ><span class="tag" role="status">{{ t('signedOut', { kept: keptWords(outbox.isStored) }) }}</span
        ><button v-if="status !== 'running'" type="button" class="back" @click="session.wantsIn = true">
          {{ t('signAgain') }}
        </button></template
      >
      <span v-else-if="linkState === 'waiting'" class="tag" role="status">{{ t('notSentYet', { kept: keptWords(outbox.isStored) }) }}</span>
      <button type="button" class="switch" :aria-pressed="!muted" @click="run.toggleMuted">
        {{ t('sound2', { what: muted ? t('off') : t('on2') }) }} <kbd>{{ keyOf('muted') }}</kbd>
      </button>
      <button type="button" class="switch" :aria-pressed="spoken" @click="run.toggleSpoken">
        {{ t('voice2', { what: spoken ? t('on2') : t('off') }) }} <kbd>{{ keyOf('spoken') }}</kbd>
      </button>
      <button type="button" class="switch" :aria-pressed="far" @click="$emit('far')">
        {{ far ? t('farView') : t('nearView') }} <kbd>{{ keyOf('far') }}</kbd>
      </button>
      <button v-if="status !== 'running'" type="button" class="switch" @click="$emit('settings')">{{ t('settings') }}</button>
      <span class="times"
        ><span class="num clock">{{
          t('of2', { duration: formatDuration(view.elapsedMs), duration2: formatDuration(view.totalMs) })
        }}</span>
        {{ t('work')
        }}<template v-if="wholeMs !== null"
          >{{ ' '
          }}<span class="whole"
            >{{ t('wholeVisit') }} <span class="num">{{ formatDuration(wholeMs) }}</span></span
          ></template
        ></span
      >
    </span>
  </header>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 20px;
  min-height: 52px;
  padding: 8px 28px;
  font-size: 16px;
  color: var(--soft);
}

.back {
  padding: 6px 12px;
  border: 1px solid var(--line);
  border-radius: 4px;
  color: var(--ink);
  text-decoration: none;
  background: none;
  font: inherit;
  cursor: pointer;
}

.name {
  color: var(--ink);
  font: 700 16px var(--words);
}

.which {
  color: var(--sun);
  font-weight: 700;
}

.tail {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 16px;
  margin-left: auto;
}

.clock {
  color: var(--ink);
}

@media (max-width: 1100px) {
  .whole {
    display: none;
  }
}

@media (max-width: 640px) {
  header {
    gap: 2px 12px;
    min-height: 0;
    padding: 6px 14px;
    font-size: 14px;
  }

  /* While it counts, the thumb has nothing to do up here. */
  .running .switch,
  .running .block-name {
    display: none;
  }

  .tail {
    gap: 2px 8px;
    margin-left: 0;
  }
}

.tag {
  padding: 2px 9px;
  border-radius: 3px;
  background: var(--clay-soft);
  color: #f7c9b1;
  font-size: 14px;
}

@media (pointer: coarse) {
  .switch,
  .back {
    min-height: 44px;
  }
}

.switch {
  padding: 5px 8px;
  border: 0;
  background: none;
  color: var(--soft);
  font: inherit;
  font-size: 14px;
  cursor: pointer;
}
</style>
