<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, onMounted, onUnmounted } from 'vue';
import { useRouter } from 'vue-router';
import { motionOf } from '@pace-bend/core/body';
import { findEntry } from '@pace-bend/core/catalogue';
import { referenceBands } from '@pace-bend/core/measure';
import { formatDuration } from '@pace-bend/core/record';
import { isTyping } from '../../app/useGlobalKeys.ts';
import StairDrawing from '../../parts/StairDrawing.vue';
import StairLegend from '../../parts/StairLegend.vue';
import { SIDE_WORDS } from '../../parts/words.ts';
import { usePractice } from '../../stores/practice.ts';
import OfferClosed from './OfferClosed.vue';
import BlockLimits from './BlockLimits.vue';
import BlockNumbers from './BlockNumbers.vue';
import SessionLine from './SessionLine.vue';
import { usePlan } from './usePlan.ts';

const router = useRouter();
const practice = usePractice();
const plan = usePlan();
const { visit, file, blocks, selected, selectedIndex, selectedSide, line, doses, offers, cautions, forbidden, canUndo, canRedo } = plan;

const entry = computed(() => (selected.value ? findEntry(selected.value.entryId)! : null));
const motion = computed(() => (entry.value ? motionOf(entry.value.motionId) : null));
const cues = computed(() => line.value?.cues.filter((cue) => cue.blockIndex === selectedIndex.value && cue.side === selectedSide.value) ?? []);
const onDay = computed(() => practice.dayOf(file.value.visit.startsAt));
const bands = computed(() => (motion.value ? referenceBands(motion.value.id, file.value.athlete, onDay.value) : []));
const sideDoses = computed(() => doses.value.filter((dose) => dose.blockIndex === selectedIndex.value));
/** Whether the athlete works against the hand at all in this way of working. */
const presses = computed(() => cues.value.some((cue) => cue.effortPct !== null));
const measuredHere = computed(() => visit.readings.some((reading) => reading.motionId === motion.value?.id && reading.side === selectedSide.value && reading.moment === 'before'));

function onKey(event: KeyboardEvent): void {
  if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z' || (isTyping(event) && (event.target as HTMLElement).tagName === 'TEXTAREA')) return;
  event.preventDefault();
  if (event.shiftKey) plan.redo();
  else plan.undo();
}
onMounted(() => window.addEventListener('keydown', onKey));
onUnmounted(() => window.removeEventListener('keydown', onKey));
</script>

<template>
  <div class="plan">
    <div class="left">
      <SessionLine
        :blocks="blocks" :doses="doses" :selected-id="selected?.id ?? ''" :total-ms="line?.totalMs ?? 0" :minutes="file.visit.minutesAvailable" :disabled="visit.finished"
        @select="(id) => plan.select(id)" @move="plan.move" @remove="plan.remove"
      />

      <section v-if="selected && entry && motion" class="card">
        <header class="block-head">
          <h2>{{ entry.name }}</h2>
          <div v-if="selected.sides.length > 1" class="tabs" role="group" aria-label="Side shown">
            <button v-for="each in selected.sides" :key="each.side" type="button" :aria-pressed="each.side === selectedSide" @click="selectedSide = each.side">{{ SIDE_WORDS[each.side] }}</button>
          </div>
          <span v-else class="soft">{{ SIDE_WORDS[selected.sides[0]!.side] }}</span>
          <span class="soft small press">{{ entry.setUp }}.<template v-if="presses"> They press: {{ entry.pressLine }}.</template></span>
        </header>
        <StairDrawing v-if="cues.length > 0" :cues="cues" :better="motion.better" :unit="motion.unit" :bands="bands" :height="268" :label="`Stair of ${entry.name}, ${selectedSide}: ${cues.length} phases, ${formatDuration(sideDoses.find((dose) => dose.side === selectedSide)?.totalMs ?? 0)}`" />
        <p v-else class="soft not-drawn">The stair is drawn again as soon as every number beside it can be.</p>
        <StairLegend v-if="cues.length > 0" :cues="cues" />
        <p v-if="!measuredHere" class="soft small">Not measured today on this side: the stair starts from an assumed edge. <RouterLink :to="`/visit/${visit.id}/measure`">Measure first</RouterLink></p>
      </section>

      <div v-if="sideDoses.length > 0" class="doses">
        <section v-for="dose in sideDoses" :key="dose.side" class="card dose" :aria-label="`Time, ${dose.side}`">
          <p class="soft">{{ SIDE_WORDS[dose.side] }} · {{ dose.rounds }} {{ dose.rounds === 1 ? 'round' : 'rounds' }}</p>
          <dl>
            <div><dt class="soft small">at end range</dt><dd class="num" :data-testid="`end-range-${dose.side}`">{{ Math.round(dose.endRangeMs / 1000) }}<small> s</small></dd></div>
            <div v-if="dose.contractMs > 0"><dt class="soft small">contracting</dt><dd class="num">{{ Math.round(dose.contractMs / 1000) }}<small> s</small></dd></div>
            <div><dt class="soft small">in all</dt><dd class="num">{{ formatDuration(dose.totalMs) }}</dd></div>
          </dl>
        </section>
      </div>

      <p v-if="sideDoses.length > 0" class="soft small guide">Guidance: about 60 s at end range a session for a muscle, in holds of 10–30 s (Garber 2011, ACSM; recalled from memory). A guide, never a limit.</p>

      <section class="card" aria-label="Offers">
        <h2>{{ blocks.length > 0 ? 'More for what is stiff' : 'Stiffest first' }}</h2>
        <p v-if="offers.length === 0" class="soft">Nothing measured yet. <RouterLink :to="`/visit/${visit.id}/measure`">Measure first</RouterLink>, then the stiffest motion offers its blocks here.</p>
        <ul class="offers">
          <li v-for="offer in offers" :key="offer.entry.id">
            <span class="offer"><b>{{ offer.entry.name }}</b> <span class="soft small">{{ offer.motion.name.toLowerCase() }}, {{ offer.motion.testPosition }}</span>
              <span class="small why">{{ offer.reasons.length > 0 ? offer.reasons.join('. ') : 'No shortfall beyond the error: nothing to chase here' }}</span></span>
            <span class="ways">
              <Button v-for="way in offer.ways" :key="way.method.id" :disabled="visit.finished || way.closedBy !== null" @click="plan.add(offer.entry.id, way.method.id, offer.motion.id)">{{ way.method.name }}</Button>
            </span>
            <OfferClosed class="closed" :caution="offer.ways[0]!.closedBy" />
          </li>
        </ul>
      </section>
    </div>

    <aside class="right">
      <div class="actions">
        <Button size="large" :disabled="!canUndo" title="Undo, Ctrl Z" aria-label="Undo" @click="plan.undo">↶</Button>
        <Button size="large" :disabled="!canRedo" title="Redo, Ctrl Shift Z" aria-label="Redo" @click="plan.redo">↷</Button>
        <Button type="primary" size="large" :disabled="blocks.length === 0 || !line || forbidden.length > 0" @click="router.push(`/visit/${visit.id}/table`)">Go to the table</Button>
        <p v-if="blocks.length > 0 && !line" class="wrong" role="alert">A number in the plan cannot be; it is marked.</p>
        <p v-else-if="forbidden.length > 0" class="wrong" role="alert">{{ forbidden.map((block) => findEntry(block.entryId)!.name).join(', ') }}: give the reason below, or take it out. It is not kept until then.</p>
      </div>
      <BlockLimits v-if="selected && entry && motion" :sides="cautions" :motion="motion" />
      <BlockNumbers v-if="selected" :key="selected.id" :block="selected" :disabled="visit.finished" @change="plan.replace" />
      <section v-if="entry" class="card watch"><h3>Watch</h3><p>{{ entry.watch }}.</p><p class="soft small">{{ entry.hands }}.</p></section>
    </aside>
  </div>
</template>

<style scoped>
.plan {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 318px;
  gap: 16px;
  align-items: start;
}

.left,
.right {
  display: grid;
  gap: 16px;
  min-width: 0;
}

.block-head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
}

.press {
  flex: 1 1 260px;
}

.tabs {
  display: flex;
  border: 1px solid var(--line);
  border-radius: 4px;
  overflow: hidden;
}

.tabs button {
  padding: 4px 13px;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}

.tabs button[aria-pressed='true'] {
  background: var(--spruce-fill);
  color: var(--on-spruce);
}

.not-drawn {
  padding: 80px 0;
  text-align: center;
}

.doses {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 16px;
}

.dose dl {
  display: flex;
  gap: 26px;
  margin: 2px 0 0;
}

.dose dd {
  margin: 0;
  font-size: 24px;
  line-height: 1.1;
  white-space: nowrap;
}

.dose dd small {
  font-size: 14px;
  color: var(--soft);
}

.dose dt {
  white-space: nowrap;
}

.guide {
  margin-top: -8px;
}

.offers {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
}

.offers li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 6px 16px;
  padding: 9px 0;
  border-top: 1px solid var(--line-faint);
}

.offer {
  flex: 1 1 280px;
}

.why {
  display: block;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.closed {
  flex-basis: 100%;
}

.watch {
  display: grid;
  gap: 3px;
  border-left: 4px solid var(--sun);
}

.actions {
  display: grid;
  grid-template-columns: 54px 54px 1fr;
  gap: 8px;
}

.wrong {
  grid-column: 1 / -1;
  color: var(--clay-text);
}

@media (max-width: 1020px) {
  .plan {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
