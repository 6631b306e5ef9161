<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import { motionOf, type Position } from '@pace-bend/core/body';
import { positionsFor, type Entry } from '@pace-bend/core/catalogue';
import { axisOf, compile, findMethod, newBlock, shelfWith, sidesOf, SLOW_BREATH, type Line } from '@pace-bend/core/method';
import { formatDuration } from '@pace-bend/core/record';
import PickOne from '../parts/PickOne.vue';
import { canSpeak, speakInOrder } from '../parts/speech.ts';
import StairDrawing from '../parts/StairDrawing.vue';
import StairLegend from '../parts/StairLegend.vue';
import { t } from '../words/shelf.ts';

/** What the table will say of an entry while it is being typed: one side, in a way and a position, line by line. */
const props = defineProps<{
  entry: Entry;
  /** Something typed is wrong: what is shown is what it last came to. */
  wrong: boolean;
}>();

const wayId = ref(props.entry.ways[0]);
const position = ref<Position>(props.entry.positions[0]);
/** Positions in which the way that is rehearsed goes. */
const here = computed(() => {
  const method = findMethod(wayId.value);
  return method ? positionsFor(props.entry, method) : props.entry.positions;
});
watch(
  () => [props.entry.ways, here.value] as const,
  ([ways, positions]) => {
    if (!ways.includes(wayId.value)) wayId.value = ways[0];
    if (!positions.includes(position.value)) position.value = props.entry.positions[0];
  },
  { flush: 'sync' },
);

/** Compiled anew with everything that is typed; while that cannot be, the last that could. */
const line = shallowRef<Line | null>(null);
watch(
  () => [props.entry, props.wrong, wayId.value, position.value] as const,
  ([entry, wrong]) => {
    if (wrong || !findMethod(wayId.value)) return;
    const shelf = shelfWith({ entries: [entry], methods: [] });
    const [side] = sidesOf(entry);
    const block = { ...newBlock('x', entry.id, wayId.value, [side!], shelf), position: position.value };
    line.value = compile([block], { breath: SLOW_BREATH, edgeOf: () => null, shelf });
  },
  { immediate: true },
);
const cues = computed(() => line.value?.cues ?? []);
const axis = computed(() => axisOf(findMethod(wayId.value)!, motionOf(props.entry.motionId)));
const ways = computed(() => props.entry.ways.map((id) => ({ value: id, label: findMethod(id)?.name ?? id })));
const positions = computed(() => here.value.map((each) => ({ value: each, label: each })));
const WORKS = { athlete: 'they', therapist: 'you', nobody: '' };

/** Which line is being read aloud, or null. */
const reading = ref<number | null>(null);
let stop: (() => void) | null = null;
function read(): void {
  stop = speakInOrder(
    cues.value.map((cue) => cue.text),
    (at) => {
      reading.value = at;
      if (at === null) stop = null;
    },
  );
}
function quiet(): void {
  stop?.();
  stop = null;
  reading.value = null;
}
watch(line, quiet);
onBeforeUnmount(quiet);
</script>

<template>
  <section class="card rehearsal" :aria-label="t('whatTableWillSay')">
    <header>
      <h2>{{ t('whatTableWillSay') }}</h2>
      <Button v-if="canSpeak() && reading === null" size="small" @click="read">{{ t('readAloud') }}</Button>
      <Button v-else-if="canSpeak()" size="small" @click="quiet">{{ t('beQuiet') }}</Button>
    </header>
    <div class="picks">
      <PickOne :label="t('rehearsedWayWorking')" :value="wayId" :options="ways" @change="(id) => (wayId = id)" />
      <PickOne
        v-if="positions.length > 1"
        :label="t('rehearsedPosition')"
        :value="position"
        :options="positions"
        @change="(each) => (position = each)"
      />
    </div>
    <p v-if="wrong" class="soft small" role="status">{{ line ? t('beforeWhatMissing') : t('soonNothingMissing') }}</p>
    <template v-if="line">
      <p class="soft small">{{ t('oneSideSlowBreath', { duration: formatDuration(line.totalMs) }) }}</p>
      <StairDrawing
        :cues="cues"
        :better="axis.better"
        :unit="axis.unit"
        :height="150"
        :label="t('stairOfPhases', { what: entry.name || t('thisEntry'), count: cues.length })"
      />
      <StairLegend :cues="cues" />
      <ol tabindex="0" :aria-label="t('linesTheirOrder')">
        <li v-for="cue in cues" :key="cue.index" :class="{ now: reading === cue.index }">
          <span class="num soft">{{ formatDuration(cue.startMs) }}</span><span
            ><b>{{ cue.text }}</b
            ><span class="small soft">
              {{ cue.detail }}<template v-if="WORKS[cue.works]"> · {{ WORKS[cue.works] }}</template></span
            ></span
          >
        </li>
      </ol>
    </template>
  </section>
</template>

<style scoped>
.rehearsal {
  position: sticky;
  top: 12px;
  display: grid;
  gap: 8px;
}

header,
.picks {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
}

.picks > * {
  flex: 1 1 150px;
  min-width: 0;
}

ol {
  display: grid;
  gap: 4px;
  max-height: 46vh;
  margin: 0;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 44px minmax(0, 1fr);
  gap: 6px;
  padding: 2px 4px;
}

li .small {
  display: block;
}

.now {
  background: var(--sun-soft);
}

@container page (max-width: 892px) {
  .rehearsal {
    position: static;
  }
}
</style>
