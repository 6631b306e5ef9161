<script setup lang="ts">
import { computed } from 'vue';
import type { Side } from '@pace-bend/core/body';
import type { Level } from '@pace-bend/core/caution';
import { changeWords, formatNumber, formatSigned } from '@pace-bend/core/measure';
import type { Moment, MotionComparison, SideComparison } from '@pace-bend/core/record';
import { useOutbox } from '../stores/outbox.ts';
import BendPair, { type FanValues } from '../parts/BendPair.vue';
import PosedFigure from '../parts/PosedFigure.vue';
import { LEVEL_WORDS } from '../parts/words.ts';
import { t } from '../words/measuring.ts';

/** One motion of the list: its figure, both sides with the bend pair between them, and what it says in words. */
const props = defineProps<{ row: MotionComparison; moment: Moment; active: boolean; care: Level | null; unsent: readonly Side[] }>();
defineEmits<{ choose: [] }>();

const sideOf = (side: Side): SideComparison | undefined => props.row.sides.find((each) => each.side === side);
const ends = computed(() => (props.row.sides.length === 2 ? [sideOf('left'), sideOf('right')] : [props.row.sides[0]]));
const fans = computed<FanValues[]>(() =>
  props.row.sides.map((each) => ({
    side: each.side,
    now: each.now?.value ?? null,
    earlier: props.moment === 'after' ? (each.before?.value ?? null) : null,
    baseline: each.baseline?.value ?? null,
    low: each.short,
  })),
);
const values = computed(() => Object.fromEntries(props.row.sides.map((each) => [each.side, each.now?.value ?? null])));
const short = computed(() => props.row.sides.filter((each) => each.short).map((each) => each.side));
const outbox = useOutbox();
const isUnsent = (each: SideComparison | undefined) => each !== undefined && props.unsent.includes(each.side);
const figure = (each: SideComparison | undefined) => (each?.now ? formatNumber(each.now.value) : '–');
/** After work, the value before stands beneath. */
const was = (each: SideComparison | undefined) =>
  props.moment === 'after' && each?.before ? t('was', { number: formatNumber(each.before.value) }) : '';

/** What a row says: one sentence, after work one for each side. */
const words = computed(() => {
  const { row } = props;
  if (props.moment === 'after') {
    const gains = row.sides
      .filter((each) => each.gained)
      .map((each) => {
        const side = each.side === 'midline' ? '' : `${each.side === 'left' ? t('left') : t('right')} `;
        return `${side}${formatSigned(each.gained!.gain, row.motion.unit)}, ${changeWords(each.gained!.kind)}`;
      });
    return gains.length > 0 ? gains.join('\n') : t('measureAgainSamePosition');
  }
  if (row.sideVerdict && row.sideVerdict.kind !== 'even') return row.sideVerdict.words;
  const below = row.sides.find((each) => each.reference?.kind === 'below');
  if (row.sideVerdict) return below ? t('even', { words: below.reference!.words }) : t('even2');
  const single = row.sides.find((each) => each.now);
  return single ? (single.reference?.words ?? t('noReferencePosition')) : t('notMeasuredToday');
});
</script>

<template>
  <button type="button" class="row" :aria-pressed="active" @click="$emit('choose')">
    <PosedFigure class="posed" :motion="row.motion" :values="values" :short="short" :size="52" :shape="1.2" decorative />
    <span class="what"
      ><b>{{ row.motion.name }}</b
      ><span class="soft small">{{ row.motion.testPosition }}</span
      ><span v-if="care" class="level small" :class="care">{{ LEVEL_WORDS[care] }}</span></span
    >
    <template v-if="ends.length === 2">
      <span class="num figure left" :class="{ low: ends[0]?.short, unsent: isUnsent(ends[0]) }"
        ><span class="sr-only">{{ t('left') }}{{ ' ' }}</span
        >{{ figure(ends[0]) }}<small v-if="was(ends[0])" class="was">{{ was(ends[0]) }}</small
        ><small v-if="isUnsent(ends[0]) && outbox.isStuck" class="not-sent">{{ t('notSent') }}</small></span
      >
      <BendPair class="pair" :motion="row.motion" :fans="fans" :bands="row.bands" :width="196" />
      <span class="num figure right" :class="{ low: ends[1]?.short, unsent: isUnsent(ends[1]) }"
        ><span class="sr-only">{{ t('right') }}{{ ' ' }}</span
        >{{ figure(ends[1]) }}<small v-if="was(ends[1])" class="was">{{ was(ends[1]) }}</small
        ><small v-if="isUnsent(ends[1]) && outbox.isStuck" class="not-sent">{{ t('notSent') }}</small></span
      >
    </template>
    <template v-else>
      <span class="num figure left" :class="{ low: ends[0]?.short, unsent: isUnsent(ends[0]) }"
        >{{ figure(ends[0]) }}<small v-if="was(ends[0])" class="was">{{ was(ends[0]) }}</small
        ><small v-if="isUnsent(ends[0]) && outbox.isStuck" class="not-sent">{{ t('notSent') }}</small></span
      >
      <BendPair class="pair" :motion="row.motion" :fans="fans" :bands="row.bands" :width="196" />
      <span class="soft small unit">{{ row.motion.unit === 'cm' ? t('cm') : '°' }}</span>
    </template>
    <span class="verdict small" data-testid="verdict">{{ words }}</span>
  </button>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 62px minmax(104px, 1.1fr) 60px 196px 60px minmax(100px, 1fr);
  align-items: center;
  gap: 6px;
  width: 100%;
  min-height: 84px;
  padding: 4px 14px 4px 12px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}

.row:focus-visible {
  outline-offset: -3px;
}

.what b {
  display: block;
  font-size: 15px;
  line-height: 1.25;
}

.what .small {
  display: block;
  line-height: 1.35;
}

.what .level {
  display: flex;
}

.figure {
  font-size: 21px;
}

.was {
  display: block;
  color: var(--soft);
  font-size: 12.5px;
  font-weight: 500;
  font-stretch: 100%;
}

.figure.left {
  text-align: right;
}

.low {
  color: var(--clay-text);
}

.verdict {
  line-height: 1.35;
  padding-right: 10px;
  white-space: pre-line;
}

/* Narrower, the verdict goes under its motion; on a phone the fans do too. Nothing is left out and nothing is laid over another. */
@container motion-list (max-width: 640px) {
  .row {
    grid-template:
      'posed what left pair right' auto 'posed verdict verdict verdict verdict' auto / 54px minmax(88px, 1fr) 48px minmax(128px, 190px)
      48px;
    row-gap: 2px;
    padding: 6px 12px;
  }

  .posed {
    grid-area: posed;
    max-width: 100%;
  }

  .what {
    grid-area: what;
  }

  .figure.left {
    grid-area: left;
  }

  .pair {
    grid-area: pair;
    width: 100%;
    height: auto;
  }

  .figure.right,
  .unit {
    grid-area: right;
  }

  .verdict {
    grid-area: verdict;
  }
}

@container motion-list (max-width: 425px) {
  .row {
    grid-template:
      'posed what left right' auto 'pair pair pair pair' auto 'verdict verdict verdict verdict' auto / 54px minmax(0, 1fr)
      58px 58px;
    padding-inline: 10px 16px;
  }

  .pair {
    max-width: 240px;
    justify-self: center;
  }
}
</style>
