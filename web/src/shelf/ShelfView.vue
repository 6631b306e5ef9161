<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { POSITIONS, type Position } from '@pace-bend/core/body';
import { SECTIONS, TOOLS, type Tool } from '@pace-bend/core/catalogue';
import Button from 'ant-design-vue/es/button';
import type { RegionId } from '@pace-bend/core/figure';
import BodyMap from '../parts/BodyMap.vue';
import PickOne from '../parts/PickOne.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { useSlices } from '../parts/useSlices.ts';
import SeenPicture from './SeenPicture.vue';
import { useSession } from '../stores/session.ts';
import { useShelf } from '../stores/shelf.ts';
import { findOnShelf, shelfIndex } from './search.ts';
import ShelfFile from './ShelfFile.vue';
import ShelfTabs from './ShelfTabs.vue';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/shelf.ts';

/** The catalogue: what can be done to what. */
const shelf = useShelf();
const session = useSession();
const route = useRoute();
const router = useRouter();
const text = ref(typeof route.query.q === 'string' ? route.query.q : '');
const section = ref<string | null>(null);
const position = ref<Position | null>(null);
const tool = ref<Tool | null>(null);
const methodId = ref<string | null>(null);
/** Muscles pointed at on the body. */
const regions = ref<{ id: RegionId; words: string }[]>([]);
const pointing = ref(false);
const filing = ref(false);
function point({ id, words }: { id: RegionId; words: string }): void {
  regions.value = regions.value.some((each) => each.id === id)
    ? regions.value.filter((each) => each.id !== id)
    : [...regions.value, { id, words }];
}
onMounted(() => void shelf.load().catch(() => undefined));
watch(text, (typed) => void router.replace({ query: typed ? { q: typed } : {} }));

const index = computed(() => shelfIndex(shelf.entries, shelf.methods));
const found = computed(() =>
  findOnShelf(() => index.value, shelf.entries, shelf.methods, {
    text: text.value,
    section: section.value,
    position: position.value,
    tool: tool.value,
    methodId: methodId.value,
    regions: regions.value.map(({ id }) => id),
  }),
);
/** What is typed into comes first, then what else chooses, then a screenful of entries after the other. */
const fields = useSlices(() => 2);
const SCREEN = 36;
const { drawn, again } = useSlices(() => found.value.length, SCREEN, 0);
watch(found, again);
// Found at the first letter: the index is made while nobody types.
let making: ReturnType<typeof setTimeout> | undefined;
onMounted(() => (making = setTimeout(() => void index.value, 1000)));
onBeforeUnmount(() => clearTimeout(making));
const sorted = computed(() =>
  text.value.trim() === ''
    ? SECTIONS.map((name) => ({ name, entries: found.value.filter((entry) => entry.section === name) })).filter(
        (group) => group.entries.length > 0,
      )
    : [{ name: t('found', { count: found.value.length }), entries: found.value }],
);
/** As much of them as may be drawn by now. */
const groups = computed(() => {
  let room = drawn.value;
  return sorted.value.flatMap(({ name, entries }) => {
    const shown = entries.slice(0, room);
    room -= shown.length;
    return shown.length > 0 ? [{ name, entries: shown }] : [];
  });
});
const any = <V extends string>(label: string, values: readonly V[]) => [
  { value: '' as V, label },
  ...values.map((value) => ({ value, label: value })),
];
const filtered = computed(
  () => section.value !== null || position.value !== null || tool.value !== null || methodId.value !== null || regions.value.length > 0,
);
function clear(): void {
  text.value = '';
  section.value = null;
  position.value = null;
  tool.value = null;
  methodId.value = null;
  regions.value = [];
}
</script>

<template>
  <div class="page">
    <header>
      <h1>{{ t('shelf') }}</h1>
      <ShelfTabs here="entries" />
    </header>
    <div class="find">
      <TextInput
        v-model="text"
        type="search"
        :aria-label="t('findShelf')"
        :placeholder="t('muscleMotionNameGoes')"
        maxlength="80"
        autofocus
      />
      <template v-if="fields.drawn.value >= 2">
        <PickOne
          :value="section ?? ''"
          :label="t('partBody')"
          :options="any(t('anyPart'), SECTIONS)"
          @change="(value) => (section = value === '' ? null : value)"
        />
        <PickOne
          :value="(position ?? '') as Position"
          :label="t('position')"
          :options="
            any<Position>(
              t('anyPosition'),
              POSITIONS.filter((each) => each !== 'side-lying right'),
            )
          "
          @change="(value) => (position = (value || null) as Position | null)"
        />
        <PickOne
          :value="(tool ?? '') as Tool"
          :label="t('yourTool')"
          :options="any<Tool>(t('anyTool'), TOOLS)"
          @change="(value) => (tool = (value || null) as Tool | null)"
        />
        <PickOne
          :value="methodId ?? ''"
          :label="t('wayOfWorking2')"
          :options="[{ value: '', label: t('anyWay') }, ...shelf.methods.map((method) => ({ value: method.id, label: method.name }))]"
          @change="(value) => (methodId = value === '' ? null : value)"
        />
      </template>
    </div>
    <p class="pointed">
      <Button @click="pointing = true">{{ t('pointBody') }}</Button>
      <Button @click="filing = true">{{ t('oursFile') }}</Button>
      <Button v-for="region in regions" :key="region.id" :aria-label="t('leaveOut2', { words: region.words })" @click="point(region)"
        >{{ region.words }} <span aria-hidden="true">×</span></Button
      >
    </p>
    <ShelfFile v-model:open="filing" />
    <SheetDialog v-model:open="pointing" :title="t('pointWhatYouWant')" :width="620" :top="20">
      <BodyMap :chosen="regions.map(({ id }) => id)" @choose="point" />
      <div class="foot">
        <span class="soft" role="status">{{ regions.map(({ words }) => words).join(', ') || t('nothingChosen') }}</span>
        <Button type="primary" @click="pointing = false">{{
          t('show', { count: found.length, what: found.length === 1 ? t('entry') : t('entries') })
        }}</Button>
      </div>
    </SheetDialog>
    <p v-if="found.length === 0" class="soft none" role="status">
      {{ t('nothingShelfCalled') }}<template v-if="filtered">{{ ' ' }}{{ t('theseFilters') }}</template
      >. <button type="button" class="link" @click="clear">{{ t('showEverything') }}</button><template
        v-if="session.may('PUT', '/shelf/:id')"
        >{{ ' ' }}{{ t('or') }} <RouterLink to="/shelf/new">{{ t('addYourOwn') }}</RouterLink></template
      >.
    </p>
    <section v-for="group in groups" :key="group.name" :aria-label="group.name">
      <h2>{{ group.name }}</h2>
      <ul class="entries">
        <li v-for="entry in group.entries" :key="entry.id">
          <RouterLink :to="`/shelf/entry/${entry.id}`">
            <SeenPicture :entry="entry" :size="78" />
            <span
              ><b>{{ entry.name }}</b
              ><small class="soft"
                >{{ entry.targets[0] }} · {{ entry.positions[0].replace(/ (left|right)$/, '') }} ·
                {{ shelf.methodOf(entry.ways[0])?.name.toLowerCase() }}</small
              ></span
            >
          </RouterLink>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.find {
  display: grid;
  grid-template-columns: minmax(220px, 1fr) repeat(4, 150px);
  gap: 10px;
  margin: 12px 0 4px;
}

h2 {
  margin: 18px 0 8px;
}

.entries {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(300px, 100%), 1fr));
  gap: 8px;
  margin: 0;
  padding: 0;
  list-style: none;
}

.entries a {
  display: flex;
  align-items: center;
  gap: 10px;
  height: 100%;
  padding: 7px 10px;
  border: 1px solid var(--line-faint);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  text-decoration: none;
}

.entries a:hover {
  border-color: var(--spruce);
}

small {
  display: block;
}

.pointed {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 8px 0 0;
}

.foot {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
}

.none {
  padding: 30px 0;
}

@container page (max-width: 892px) {
  .find {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
