<script setup lang="ts">
import { computed } from 'vue';
import { motionOf } from '@pace-bend/core/body';
import { formatValue } from '@pace-bend/core/measure';
import { againstPlan } from '@pace-bend/core/session';
import { useShelf } from '../../stores/shelf.ts';
import { useVisit } from '../../stores/visit.ts';
import { t } from '../../words/close.ts';

/** What the plan expected of each motion, against what was read: where nine readings in ten would lie, and where this one does. */
const visit = useVisit();
const shelf = useShelf();
const rows = computed(() =>
  againstPlan(visit.file!.runs, visit.readings, visit.file!, shelf.shelf).map((row) => {
    const motion = motionOf(row.motionId);
    const low = Math.min(row.reading.low, row.reading.high, row.before, row.after);
    const high = Math.max(row.reading.low, row.reading.high, row.before, row.after);
    const at = (value: number) => `${high === low ? 50 : (100 * (value - low)) / (high - low)}%`;
    const [from, to] = [Math.min(row.reading.low, row.reading.high), Math.max(row.reading.low, row.reading.high)];
    return {
      ...row,
      name: `${motion.name}, ${motion.testPosition}${row.side === 'midline' ? '' : `, ${row.side}`}`,
      say: (value: number) => formatValue(value, motion.unit, 0),
      band: { left: at(from), width: `calc(${at(to)} - ${at(from)})` },
      beforeAt: at(row.before),
      afterAt: at(row.after),
    };
  }),
);
</script>

<template>
  <section v-if="rows.length > 0" class="card expected" :aria-label="t('whatPlanExpected')">
    <h2>{{ t('whatPlanExpected') }}</h2>
    <ul class="plain">
      <li v-for="row in rows" :key="row.name">
        <b>{{ row.name }}</b>
        <span class="line" aria-hidden="true">
          <i class="band" :style="row.band" /><i class="was" :style="{ left: row.beforeAt }" /><i
            class="is"
            :style="{ left: row.afterAt }"
          />
        </span>
        <span
          >{{ row.say(row.after) }}, <b :class="row.word.split(' ')[0]">{{ row.word }}</b>{{
            t('nineReadingsTen', {
              what: row.say(row.expected),
              what2: row.say(Math.min(row.reading.low, row.reading.high)),
              what3: row.say(Math.max(row.reading.low, row.reading.high)),
            })
          }}<template v-if="row.rounds.done < row.rounds.planned">{{
            t('afterAllRoundsDone', { planned: row.rounds.planned, done: row.rounds.done })
          }}</template
          >.</span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
.expected {
  display: grid;
  gap: 8px;
}

ul {
  display: grid;
  gap: 12px;
}

li {
  display: grid;
  gap: 4px;
}

.line {
  position: relative;
  height: 16px;
  border-bottom: 1px solid var(--line);
}

.line i {
  position: absolute;
  bottom: 0;
}

.band {
  height: 10px;
  background: var(--band);
}

.was,
.is {
  width: 3px;
  margin-left: -1px;
}

.was {
  height: 10px;
  background: var(--tick);
}

.is {
  height: 16px;
  background: var(--spruce);
}

.less {
  color: var(--clay-text);
}
</style>
