<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, watch } from 'vue';
import { useRoute } from 'vue-router';
import { formatDuration } from '@pace-bend/core/record';
import { sessionStrip, type StripItem } from '@pace-bend/core/session';
import ProblemNote from '../../parts/ProblemNote.vue';
import EntryPicture from '../../parts/EntryPicture.vue';
import { SIDE_WORDS } from '../../parts/words.ts';
import { usePractice } from '../../stores/practice.ts';
import { useShelf } from '../../stores/shelf.ts';
import { useVisit } from '../../stores/visit.ts';
import { sheetRows, sheetWatch } from './sheetRows.ts';
import { breathOf, edgesOf, lineOf, mayMeasureIn, measuredIn } from './planFacts.ts';

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
const strip = computed(() => {
  if (!file.value) return null;
  const edges = edgesOf(file.value);
  const { blocks } = file.value.plan;
  return sessionStrip({
    blocks,
    line: lineOf(blocks, breathOf(file.value), edges, shelf.shelf),
    isMeasured: measuredIn(edges),
    mayMeasure: mayMeasureIn(file.value, visit.cautionContext!),
    shelf: shelf.shelf,
  });
});
const rows = computed(() => (strip.value ? sheetRows(strip.value, file.value!.plan.blocks, shelf.shelf) : []));
const clock = (item: StripItem) => formatDuration(item.startS * 1000);
const WORDS: Record<StripItem['kind'], string> = {
  opening: 'Settle, cover, consent',
  turn: 'Turn',
  side: '',
  before: 'Measure',
  block: '',
  after: 'Measure again',
  close: 'Close: note, home work, next time',
};
const print = () => window.print();
</script>

<template>
  <div class="page">
    <ProblemNote v-if="visit.problem" :problem="visit.problem" :retry="open"><RouterLink to="/">Back to the day</RouterLink></ProblemNote>
    <p v-else-if="!file || !strip" class="soft">Opening the visit …</p>
    <template v-else>
      <header class="no-print">
        <h1>For the wall</h1>
        <RouterLink :to="`/visit/${id}/plan`">Back to the plan</RouterLink><Button type="primary" class="end" @click="print">Print</Button>
      </header>
      <article class="sheet card">
        <p class="title">
          <b>{{ file.athlete.name }}</b><span
            >{{ practice.shortDate(file.visit.startsAt) }}, {{ practice.timeOfDay(file.visit.startsAt) }}</span
          ><span class="num">{{ formatDuration(strip.seconds * 1000) }} of {{ file.visit.minutesAvailable }} min</span>
        </p>
        <p v-if="file.plan.blocks.length === 0" class="soft">Nothing is planned yet.</p>
        <table v-else>
          <tbody>
            <tr
              v-for="(row, i) in rows"
              :key="i"
              :class="[row.item.kind, { first: row.first, late: row.item.startS >= file.visit.minutesAvailable * 60 }]"
            >
              <td class="num time">{{ clock(row.item) }}</td>
              <td class="place">{{ row.first ? row.item.position : '' }}</td>
              <td v-if="row.work" class="what">
                <EntryPicture
                  class="pic"
                  :entry="row.work.entry"
                  :position="row.item.position"
                  :side="row.item.side === 'midline' ? undefined : row.item.side"
                  :size="46"
                  :shape="1.4"
                  decorative
                /><b>{{ row.work.entry.name }}</b
                ><template v-if="row.item.side !== 'midline'">, {{ SIDE_WORDS[row.item.side!].toLowerCase() }}</template> {{ ' '
                }}<small>{{ row.work.method.name.toLowerCase() }}, {{ row.work.rounds }}&nbsp;×</small>
              </td>
              <td v-else class="what soft">
                {{ WORDS[row.item.kind] }}<template v-if="row.item.kind === 'turn'">{{ ` to ${row.item.position}` }}</template
                ><template v-if="row.item.motionId"
                  >{{ `: ${row.item.words.toLowerCase()}`
                  }}<template v-if="row.item.side !== 'midline'">, {{ row.item.side }}</template></template
                >
              </td>
              <td class="press">{{ row.work?.told ? `“${row.work.told}”` : '' }}</td>
              <td class="num dur">{{ formatDuration(row.item.seconds * 1000) }}</td>
            </tr>
          </tbody>
        </table>
        <ul class="watch">
          <li v-for="entry in sheetWatch(file.plan.blocks, shelf.shelf)" :key="entry.id">
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

.first td {
  border-top: 2px solid var(--line);
}

.time {
  width: 58px;
}

.place {
  width: 104px;
  font-weight: 600;
}

.place::first-letter {
  text-transform: uppercase;
}

.press {
  width: 172px;
}

.dur {
  width: 52px;
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

/* Read from the table, two metres away: as large as one page lets it be. */
@media print {
  .sheet {
    width: 100%;
    padding: 0;
    border: 0;
  }

  .title {
    font-size: 19pt;
  }

  table {
    font-size: 15pt;
    line-height: 1.25;
  }

  .watch {
    font-size: 12.5pt;
  }

  .place {
    width: 92pt;
  }

  .time,
  .dur {
    width: 48pt;
  }

  .press {
    width: 150pt;
  }

  tr {
    break-inside: avoid;
  }
}
</style>
