<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, watch } from 'vue';
import { useRoute } from 'vue-router';
import { blockCautions } from '@pace-bend/core/caution';
import { formatDuration } from '@pace-bend/core/record';
import { sessionStrip, type StripItem } from '@pace-bend/core/session';
import ProblemNote from '../../parts/ProblemNote.vue';
import EntryPicture from '../../parts/EntryPicture.vue';
import { SIDE_WORDS } from '../../parts/words.ts';
import { usePractice } from '../../stores/practice.ts';
import { useShelf } from '../../stores/shelf.ts';
import { useVisit } from '../../stores/visit.ts';
import { sheetRows, sheetType, sheetWatch } from './sheetRows.ts';
import { breathOf, edgesOf, lineOf, mayMeasureIn, measuredIn } from './planFacts.ts';
import { t } from '../../words/plan.ts';

/** The session as one page for the wall: minute by minute, big enough to read from the table. */
const route = useRoute();
const visit = useVisit();
const practice = usePractice();
const shelf = useShelf();
const id = computed(() => String(route.params.id));

async function open(): Promise<void> {
  const wanted = id.value;
  await Promise.all([practice.load().catch(() => undefined), shelf.load().catch(() => undefined)]);
  // Gone elsewhere meanwhile.
  if (id.value !== wanted) return;
  if (visit.id !== id.value) await visit.load(id.value);
}
watch(id, () => void open(), { immediate: true });

const file = computed(() => (visit.id === id.value ? visit.file : null));
const edges = computed(() => (file.value ? edgesOf(file.value) : []));
const line = computed(() => (file.value ? lineOf(file.value.plan.blocks, breathOf(file.value), edges.value, shelf.shelf) : null));
const strip = computed(() => {
  if (!file.value) return null;
  return sessionStrip({
    blocks: file.value.plan.blocks,
    line: line.value,
    isMeasured: measuredIn(edges.value),
    mayMeasure: mayMeasureIn(file.value, visit.cautionContext!),
    shelf: shelf.shelf,
  });
});
const rows = computed(() => {
  if (!file.value || !strip.value) return [];
  const { plan, overrides } = file.value;
  return sheetRows(strip.value, plan.blocks, shelf.shelf, {
    line: line.value,
    cautions: new Map(plan.blocks.map((block) => [block.id, blockCautions(block, visit.cautionContext!, overrides, shelf.shelf)])),
    edgeOf: (motionId, side) => edges.value.find((edge) => edge.motionId === motionId && edge.side === side)?.value ?? null,
  });
});
const watched = computed(() => (file.value ? sheetWatch(file.value.plan.blocks, shelf.shelf) : []));
const clock = (item: StripItem) => formatDuration(item.startS * 1000);
const WORDS: Record<StripItem['kind'], string> = {
  opening: t('settleCoverConsent'),
  turn: t('turn'),
  side: '',
  before: t('measure'),
  block: '',
  after: t('measureAgain2'),
  close: t('closeNoteHomeWork'),
};
const print = () => window.print();
</script>

<template>
  <div class="page">
    <ProblemNote v-if="visit.problem" :problem="visit.problem" :retry="open"
      ><RouterLink to="/">{{ t('backDay') }}</RouterLink></ProblemNote
    >
    <p v-else-if="!file || !strip" class="soft">{{ t('openingVisit') }}</p>
    <template v-else>
      <header class="no-print">
        <h1>{{ t('forTheWall') }}</h1>
        <RouterLink :to="`/visit/${id}/plan`">{{ t('backPlan') }}</RouterLink><Button type="primary" class="end" @click="print">{{
          t('print')
        }}</Button>
      </header>
      <article class="sheet card" :style="{ '--type': `${sheetType(rows, watched.length)}px` }">
        <p class="title">
          <b>{{ file.athlete.name }}</b><span
            >{{ practice.shortDate(file.visit.startsAt) }}, {{ practice.timeOfDay(file.visit.startsAt) }}</span
          ><span class="num">{{
            t('ofMin2', { duration: formatDuration(strip.seconds * 1000), minutesAvailable: file.visit.minutesAvailable })
          }}</span>
        </p>
        <p v-if="file.plan.blocks.length === 0" class="soft">{{ t('nothingPlannedYet') }}</p>
        <table v-else>
          <tbody>
            <template v-for="(row, i) in rows" :key="i">
              <tr v-if="row.first" class="position">
                <td colspan="3">{{ row.item.position }}</td>
              </tr>
              <tr :class="[row.item.kind, { late: row.item.startS >= file.visit.minutesAvailable * 60 }]">
                <td class="num time">{{ clock(row.item) }}</td>
                <td v-if="row.work" class="what">
                  <EntryPicture
                    class="pic"
                    :entry="row.work.entry"
                    :position="row.item.position"
                    :side="row.item.side === 'midline' ? undefined : row.item.side"
                    :size="58"
                    :shape="1.4"
                    decorative
                  />
                  <p>
                    <b>{{ row.work.entry.name }}</b><template v-if="row.item.side !== 'midline'"
                      >, <b>{{ SIDE_WORDS[row.item.side!].toLowerCase() }}</b></template
                    >
                  </p>
                  <p class="numbers">
                    <span>{{ row.work.method.name }}, {{ row.work.rounds }}&nbsp;×</span
                    ><span v-if="row.work.edge"
                      >{{ t('today') }} <b class="num">{{ row.work.edge }}</b></span
                    ><span v-if="row.work.effort"
                      >{{ t('effort') }} <b class="num">{{ row.work.effort }}</b></span
                    ><span v-if="row.work.told">“{{ row.work.told }}”</span>
                  </p>
                  <p v-if="row.work.limits.length > 0" class="limits">{{ row.work.limits.join(', ') }}</p>
                </td>
                <td v-else class="what soft">
                  {{ WORDS[row.item.kind]
                  }}<template v-if="row.item.kind === 'turn'">{{ ` ${t('to2', { position: row.item.position })}` }}</template
                  ><template v-if="row.item.motionId"
                    >{{ `: ${row.item.words.toLowerCase()}`
                    }}<template v-if="row.item.side !== 'midline'">, {{ row.item.side }}</template></template
                  >
                </td>
                <td class="num dur">{{ formatDuration(row.item.seconds * 1000) }}</td>
              </tr>
            </template>
          </tbody>
        </table>
        <ul class="watch">
          <li v-for="entry in watched" :key="entry.id">
            <b>{{ entry.name }}</b> {{ entry.watch }}
          </li>
        </ul>
      </article>
    </template>
  </div>
</template>

<style scoped>
.pic {
  float: left;
  margin-right: 10px;
}

.end {
  margin-left: auto;
}

.sheet {
  width: min(860px, 100%);
  padding: 22px 26px;
}

.title {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  font-size: 19px;
}

table {
  width: 100%;
  margin: 12px 0;
  border-collapse: collapse;
  font-size: 15px;
}

td {
  padding: 3px 10px 3px 0;
  border-bottom: 1px solid var(--line-faint);
  vertical-align: baseline;
}

.position td {
  padding-top: 8px;
  border-bottom: 2px solid var(--line);
  font-weight: 600;
}

.position td::first-letter {
  text-transform: uppercase;
}

.time {
  width: 3.6em;
}

.dur {
  width: 3.2em;
  text-align: right;
}

.late {
  color: var(--clay-text);
}

.watch {
  margin: 0;
  padding-left: 18px;
  font-size: 14px;
}

.what {
  overflow-wrap: anywhere;
}

.what p {
  margin: 0;
}

.numbers {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
}

.numbers .num {
  font-size: inherit;
}

/* What must not be forgotten has a bar, also on paper without colours. */
.limits {
  display: table;
  padding-left: 7px;
  border-left: 4px solid var(--sun);
  font-weight: 600;
}

@container page (max-width: 640px) {
  .sheet {
    padding: 12px;
  }

  .title {
    flex-wrap: wrap;
  }

  td {
    padding-right: 6px;
  }

  .dur {
    padding-right: 0;
  }

  .pic {
    display: none;
  }
}

/* Read from the table, two metres away: as large as one page lets it be. */
@media print {
  .sheet {
    width: 100%;
    padding: 0;
    border: 0;
  }

  .pic {
    display: block;
  }

  .title {
    flex-wrap: nowrap;
    font-size: calc(1.25 * var(--type));
  }

  table {
    margin: 6px 0;
    font-size: var(--type);
    line-height: 1.25;
  }

  .watch {
    font-size: calc(0.85 * var(--type));
    line-height: 1.25;
  }

  tr {
    break-inside: avoid;
  }
}
</style>
