<script setup lang="ts">
import { formatValue } from '@pace-bend/core/measure';
import type { Line } from '@pace-bend/core/method';
import { formatDuration, type SideDone } from '@pace-bend/core/record';
import { SIDE_WORDS } from '../../parts/words.ts';
import { t } from '../../words/close.ts';

/** Planned and real, side by side, for every block and side of a run. */
defineProps<{ sides: readonly SideDone[]; line: Line }>();

const seconds = (ms: number) => `${Math.round(ms / 1000)} s`;

const often = (n: number) => (n === 1 ? t('once') : n === 2 ? t('twice') : t('times', { n }));

/** What the gauge heard, in percent where a strongest press is known, else in newtons. */
const reachedWords = ({ reached }: SideDone) =>
  reached.every(({ pct }) => pct !== null)
    ? `${reached.map(({ pct }) => pct).join(', ')} %`
    : `${reached.map(({ n }) => Math.round(n)).join(', ')} N`;

function remarks(side: SideDone): string {
  const words: string[] = [];
  if (side.real.totalMs === 0) words.push(t('notReached'));
  if (side.unplanned) words.push(side.unplanned === 'added' ? t('addedTable') : t('placePlan'));
  if (side.stopped) words.push('stopped');
  if (side.left) words.push(t('leftChoice'));
  if (side.timesEased > 0) words.push(t('easedOff', { often: often(side.timesEased) }));
  if (side.timesBraced > 0) words.push(t('breathHeld', { often: often(side.timesBraced) }));
  if (side.timesDrifted > 0) words.push(t('drifted', { often: often(side.timesDrifted) }));
  words.push(...side.offPlane);
  for (const { seconds: took, before, after } of side.softened)
    words.push(t('softenedAfterS', { took, what: before === null ? '' : t('to2', { before, after }) }));
  // Ended before it was through, by nothing that has a word of its own.
  if (words.length === 0 && side.real.rounds < side.planned.rounds) words.push(t('notAllRounds'));
  return words.join(', ');
}
</script>

<template>
  <div class="scroll" tabindex="0" role="region" :aria-label="t('plannedReal')">
    <table>
      <thead>
        <tr>
          <th scope="col">{{ t('block') }}</th>
          <th scope="col">{{ t('side') }}</th>
          <th scope="col">{{ t('rounds') }}</th>
          <th scope="col">{{ t('endRange') }}</th>
          <th scope="col">{{ t('press') }}</th>
          <th scope="col">{{ t('inAll') }}</th>
          <th scope="col">{{ t('efforts') }}</th>
          <th scope="col">{{ t('discomfort') }}</th>
          <th scope="col">{{ t('edgeRead') }}</th>
          <th scope="col">{{ t('remarks') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="side in sides" :key="`${side.blockIndex}/${side.side}`" :class="{ undone: side.real.totalMs === 0 }">
          <th scope="row">{{ side.name }}</th>
          <td>{{ SIDE_WORDS[side.side] }}</td>
          <td class="num">
            {{ side.real.rounds
            }}<span class="of">{{
              side.real.rounds > side.planned.rounds
                ? t('planned', { rounds: side.planned.rounds })
                : ` ${t('of3', { rounds: side.planned.rounds })}`
            }}</span>
          </td>
          <td class="num">
            {{ seconds(side.real.endRangeMs) }}<span class="of">{{ ' ' }}{{ t('of', { seconds: seconds(side.planned.endRangeMs) }) }}</span>
          </td>
          <td class="num">
            <template v-if="side.planned.contractMs > 0"
              >{{ seconds(side.real.contractMs)
              }}<span class="of">{{ ' ' }}{{ t('of', { seconds: seconds(side.planned.contractMs) }) }}</span></template
            ><template v-else>–</template>
          </td>
          <td class="num">
            {{ formatDuration(side.real.totalMs)
            }}<span class="of">{{ ' ' }}{{ t('of2', { duration: formatDuration(side.planned.totalMs) }) }}</span>
          </td>
          <td class="num">
            {{ side.efforts.length > 0 ? `${side.efforts.join(', ')} %` : '–' }}
            <span v-if="side.reached.length > 0" class="of">{{ t('reached', { reached: reachedWords(side) }) }}</span>
          </td>
          <td class="num">{{ side.discomfort.length > 0 ? side.discomfort.join(', ') : '–' }}</td>
          <td class="num">
            {{
              side.edges.length > 0
                ? side.edges
                    .map((edge) =>
                      formatValue(edge.value, line.blocks[side.blockIndex]!.unit, line.blocks[side.blockIndex]!.unit === 'deg' ? 0 : 1),
                    )
                    .join(', ')
                : '–'
            }}
          </td>
          <td :class="{ care: remarks(side) }">{{ remarks(side) || t('asPlanned') }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
  margin-top: 6px;
}

table {
  width: 100%;
  border-collapse: collapse;
  font-size: 13.5px;
}

th,
td {
  padding: 8px 10px 8px 0;
  border-bottom: 1px solid var(--line-faint);
  text-align: left;
  vertical-align: baseline;
}

tr:last-child th,
tr:last-child td {
  border-bottom: 0;
}

thead th {
  color: var(--soft);
  font-weight: 400;
  font-size: 12.5px;
  white-space: nowrap;
}

tbody th {
  font-weight: 600;
}

.num {
  white-space: nowrap;
}

.of {
  color: var(--soft);
  font-weight: 400;
}

.care {
  color: var(--clay-text);
}
</style>
