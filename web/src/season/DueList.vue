<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { DateTime } from 'luxon';
import { v7 as uuid } from 'uuid';
import { computed, onMounted, ref } from 'vue';
import { bringsWords, type DueRow } from '@pace-bend/core/cycle';
import { motionOf } from '@pace-bend/core/body';
import { api } from '../api/api.ts';
import { whichKey } from '../parts/keys.ts';
import ProblemNote from '../parts/ProblemNote.vue';
import { isTyping } from '../parts/useGlobalKeys.ts';
import { useDay } from '../stores/day.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import { useDue, type DueOffer } from './useDue.ts';
import { useWindowKeys } from '../parts/useWindowKeys.ts';
import { t } from '../words/season.ts';

/** Who is due and why, most urgent first, then by what a visit would bring; one key books the time that stands in the row. */
const props = defineProps<{
  /** Does something with a way back. */
  step: (words: string, again: () => Promise<void>, back: () => Promise<void>) => Promise<boolean>;
  busy: boolean;
}>();
const emit = defineEmits<{ booked: [] }>();
const practice = usePractice();
const session = useSession();
const day = useDay();
const { state, share, failure, problem, offers, looked, load } = useDue();
onMounted(load);
defineExpose({ load });

const FIRST = 6;
const all = ref(false);
const shown = computed(() => (all.value ? offers.value : offers.value.slice(0, FIRST)));
const mayBook = computed(() => session.may('PUT', '/visits/:id'));

const atWords = ({ startsAt }: NonNullable<DueOffer['slot']>) =>
  `${DateTime.fromISO(startsAt, { zone: practice.zone }).toFormat('ccc d LLL')}, ${practice.timeOfDay(startsAt)}`;
const MARKS: Readonly<Record<string, string>> = { must: 'must', look: 'look' };
function mark(row: DueRow): { readonly big: string; readonly small: string } {
  const kind = row.reasons[0]!.kind;
  if (kind === 'must') return { big: MARKS.must!, small: 'see' };
  if (kind === 'look') return { big: MARKS.look!, small: 'first' };
  if (row.brings) return { big: bringsWords(row.brings), small: 'kept' };
  return { big: row.held === '' ? '–' : 'keep', small: row.held === '' ? t('noGoal') : 'only' };
}
const bringsTitle = ({ brings }: DueRow) =>
  brings
    ? t('expectedNextVisitEight', {
        motionOf: motionOf(brings.motionId).name,
        what: brings.side === 'midline' ? '' : ` ${brings.side}`,
        brings: bringsWords({ ...brings, kept: { ...brings.kept, middle: brings.kept.low } }),
        brings2: bringsWords({ ...brings, kept: { ...brings.kept, middle: brings.kept.high } }),
      })
    : '';

async function book(offer: DueOffer): Promise<void> {
  if (!offer.slot) return;
  const id = uuid();
  const { startsAt, minutes } = offer.slot;
  const path = `/visits/${id}`;
  let there = false;
  const after = async () => {
    emit('booked');
    await Promise.all([load(), day.load(day.page?.date)]);
  };
  await props.step(
    `${offer.name}, ${atWords(offer.slot)}`,
    async () => {
      if (there) await api('POST', `${path}/restore`, { revision: (await visitOf(path)).revision });
      else await api('PUT', path, { athleteId: offer.athleteId, startsAt, minutes });
      there = true;
      await after();
    },
    async () => {
      await api('POST', `${path}/cancel`, { revision: (await visitOf(path)).revision });
      await after();
    },
  );
}
const visitOf = async (path: string) => (await api<{ visit: { revision: number } }>('GET', path)).visit;

function onKey(event: KeyboardEvent): void {
  if (isTyping(event) || document.querySelector('.ant-modal-wrap:not([style*="display: none"])')) return;
  const which = whichKey(event, 'bookDue');
  const offer = which === null ? undefined : shown.value[which];
  if (!offer?.slot || !mayBook.value) return;
  event.preventDefault();
  void book(offer);
}
useWindowKeys(onKey);
</script>

<template>
  <aside class="due" :aria-label="t('whoDue')">
    <header>
      <h2>{{ t('due') }}</h2>
      <p class="soft small">
        {{ t('allSquadsMostGain') }}<template v-if="looked">{{ t('ofLookedAt', { of: looked.of, all: looked.all }) }}</template>
      </p>
    </header>
    <div v-if="state === 'failed'" class="pad">
      <ProblemNote v-if="problem" :problem="problem" />
      <p v-else role="alert">{{ failure }}</p>
      <Button @click="load">{{ t('tryAgain') }}</Button>
    </div>
    <p v-else-if="state !== 'ready'" class="pad soft" role="status">
      {{ state === 'reading' ? t('reading') : t('workingOutWhatVisits', { share: Math.round(share * 100) }) }}
    </p>
    <p v-else-if="offers.length === 0" class="pad soft">
      {{ t('nobodyDueEverybodySeen') }}
    </p>
    <ol v-else>
      <li v-for="(offer, i) in shown" :key="offer.athleteId" :class="offer.reasons[0]!.kind">
        <div class="top">
          <RouterLink :to="`/athlete/${offer.athleteId}`" class="name">{{ offer.name }}</RouterLink>
          <span class="mark" :title="bringsTitle(offer)"
            ><b>{{ mark(offer).big }}</b> <small>{{ mark(offer).small }}</small></span
          >
        </div>
        <p v-for="reason in offer.reasons.slice(0, 2)" :key="reason.words" class="why">{{ reason.words }}</p>
        <p v-if="offer.reasons.length > 2" class="why soft">
          {{
            t('andMore', {
              what: offer.reasons.length - 2,
              what2: offer.reasons
                .slice(2)
                .map(({ words }) => words)
                .join('; '),
            })
          }}
        </p>
        <div class="slot">
          <button v-if="offer.slot && mayBook" type="button" class="book" :disabled="busy" @click="book(offer)">
            <span v-if="i < FIRST" class="key">{{ i + 1 }}</span> {{ t('book') }}<span class="sr-only">{{ ' ' }}{{ offer.name }}</span>
          </button>
          <span v-if="offer.slot" class="soft small num">{{ t('free', { what: atWords(offer.slot) }) }}</span>
          <span v-else class="soft small">{{ t('noFreeTimeWithin') }}</span>
        </div>
      </li>
    </ol>
    <p v-if="state === 'ready' && offers.length > FIRST" class="pad">
      <button type="button" class="link" @click="all = !all">
        {{ all ? t('showFirstSix') : t('showMore', { what: offers.length - FIRST }) }}
      </button>
    </p>
    <p v-if="state === 'ready' && offers.length > 0" class="pad soft small">
      {{ t('free818Not') }}
    </p>
  </aside>
</template>

<style scoped>
.due {
  align-self: start;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
}

header {
  padding: 12px 14px 8px;
  border-bottom: 1px solid var(--line);
}

h2,
header p {
  margin: 0;
}

ol {
  list-style: none;
  margin: 0;
  padding: 0;
}

@container page (max-width: 972px) {
  ol {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(260px, 100%), 1fr));
  }
}

li {
  padding: 10px 14px;
  border-bottom: 1px solid var(--line);
}

.top {
  display: flex;
  justify-content: space-between;
  gap: 10px;
}

.name {
  color: var(--ink);
  font-weight: 600;
  text-decoration: none;
}

.name:hover {
  text-decoration: underline;
}

.mark {
  flex: none;
  text-align: right;
}

.mark b {
  font-family: var(--figures);
  font-size: 16px;
}

.must .mark b {
  color: var(--clay-text);
}

.mark small {
  color: var(--soft);
}

.why {
  margin: 2px 0 0;
  font-size: 13px;
  overflow-wrap: anywhere;
}

.slot {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 2px 8px;
  margin-top: 4px;
}

.book {
  min-height: 32px;
  border: 0;
  background: none;
  color: var(--spruce);
  font: inherit;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

.pad {
  margin: 0;
  padding: 10px 14px;
}

@media (pointer: coarse) {
  .book {
    min-height: 44px;
  }
}
</style>
