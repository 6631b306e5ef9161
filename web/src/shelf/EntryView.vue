<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { motionOf, type Position } from '@pace-bend/core/body';
import {
  arrangedIn,
  asksOf,
  doingOf,
  entryScene,
  lookAgainOf,
  partnersOf,
  positionsFor,
  positionWords,
  setUpIn,
  showsEntry,
  stanceIn,
  stanceWords,
  type Variant,
} from '@pace-bend/core/catalogue';
import { fits, techniquesOf } from '@pace-bend/core/method';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import { originWords } from '../parts/words.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import { hintOf } from '../parts/keys.ts';
import { useLegend } from '../stores/legend.ts';
import { useShelf } from '../stores/shelf.ts';
import EntryPicture from '../parts/EntryPicture.vue';
import SavePictures from '../parts/SavePictures.vue';
import { doseWords } from './doseWords.ts';
import ShelfTabs from './ShelfTabs.vue';
import { sureWords } from './wayWords.ts';
import { t } from '../words/shelf.ts';

/** One entry with everything needed at the table. */
const shelf = useShelf();
const legend = useLegend();
const session = useSession();
const practice = usePractice();
const route = useRoute();
const router = useRouter();
onMounted(() => void shelf.load().catch(() => undefined));
const entry = computed(() => shelf.shelf.entries.get(String(route.params.id)) ?? null);
const item = computed(() => (entry.value ? shelf.itemOf(entry.value.id) : null));
const rankOf = (id: string) => {
  const at = entry.value!.ways.indexOf(id);
  return at < 0 ? entry.value!.ways.length : at;
};
/** The usual one first. */
const ways = computed(() =>
  shelf.methods.filter((method) => fits(entry.value!, method)).sort((a, b) => rankOf(a.madeFrom ?? a.id) - rankOf(b.madeFrom ?? b.id)),
);
/** Variants that are on the shelf, as their newest version, and the same entry done otherwise. */
const variants = (given: readonly Variant[]) =>
  given.flatMap<{ id: string | null; name: string | null; why: string }>(({ id, why }) => {
    if (id === undefined) return [{ id: null, name: null, why }];
    const entry = shelf.shelf.entries.get(shelf.newestOf(id));
    return entry ? [{ id: entry.id, name: entry.name, why }] : [];
  });
const grades = computed(() => {
  const easier = variants(entry.value!.easier);
  const harder = variants(entry.value!.harder);
  return [
    { label: t('easier'), all: easier, none: t('lighterFewerRounds') },
    { label: t('harder'), all: harder, none: t('noneTaught') },
  ];
});

const { problem, start } = useAction();
const mayWrite = computed(() => session.may('PUT', '/shelf/:id'));

const retire = (retired: boolean) => start(() => shelf.setRetired(item.value!.id, retired));
/** Whose direction it is: that of the athlete’s press, or of the hand. */
const endWords = computed(() => {
  if (entryScene(entry.value!).start === undefined) return t('limbStaysHandWorks', { pressLine: entry.value!.pressLine });
  return t('atTheEdge', {
    what: ways.value[0] && techniquesOf(ways.value[0]).includes('contract') ? t('theyPress') : t('direction'),
    pressLine: entry.value!.pressLine,
  });
});
const stanceAt = (position: Position) => {
  const found = stanceIn(entry.value!, position);
  return found ? stanceWords(found) : null;
};
/** How it is set up in the positions besides the usual one. */
const further = computed(() =>
  entry.value!.positions.slice(1).map((position) => ({
    at: position,
    position: position === 'side-lying left' ? t('sideLying') : position[0]!.toUpperCase() + position.slice(1),
    words: setUpIn(entry.value!, position),
    stance: stanceAt(position),
    arranged: arrangedIn(entry.value!, position),
    without: ways.value.filter((method) => !positionsFor(entry.value!, method).includes(position)).map(({ name }) => name.toLowerCase()),
  })),
);
/** Every position by its name, lying on a side once. */
const placesOf = computed(() => [...new Set(entry.value!.positions.map((each) => positionWords(entry.value!, each)))].join('; '));
/** Positions that are drawn otherwise than the usual one. */
const drawnElsewhere = computed(() => {
  const seen = new Set([entryScene(entry.value!)]);
  return further.value.filter(({ at }) => {
    const scene = entryScene(entry.value!, at);
    return !seen.has(scene) && seen.add(scene);
  });
});
/** What is said here in place of a way's own words. */
const said = computed(() =>
  Object.entries(entry.value!.says ?? {}).flatMap(([way, lines]) =>
    Object.values(lines).map(({ text }) => ({ text, name: shelf.shelf.methods.get(way)?.name ?? way })),
  ),
);
/** Every version of it, oldest first; a plan opens the one it was made with. */
const versions = computed(() => {
  if (!item.value) return [];
  const first = (id: string): string => {
    const before = shelf.itemOf(id)?.supersedes;
    return before ? first(before) : id;
  };
  const found = [];
  for (let id: string | undefined = first(item.value.id); id; id = shelf.items.find((each) => each.supersedes === id)?.id) {
    const version = shelf.itemOf(id)!;
    found.push({
      id,
      words: `${version.fields.name}, ${practice.dayOf(version.madeAt)}, ${version.madeBy}`,
      isNewest: shelf.newestOf(id) === id,
    });
  }
  return found;
});
const figures = ref<HTMLElement | null>(null);
const figureAt = (n: number) => figures.value?.querySelectorAll<SVGSVGElement>('figure > svg')[n] ?? null;
const MEDIA = { dry: 'dry', oil: 'oil', 'dry first': t('dryFirstThenOil') };
const again = computed(() => lookAgainOf(entry.value!));
const asks = computed(() => asksOf(entry.value!));
const STROKES = {
  away: t('awayFromHeartHere'),
  both: t('thereBackWayBack'),
};
const strokes = computed(() => {
  const way = doingOf(entry.value!).strokes;
  return way ? STROKES[way] : null;
});
const partners = computed(() => partnersOf(entry.value!));
const MOVERS = { therapist: t('youMove'), athlete: t('athleteMoves'), both: t('bothMove') };
</script>

<template>
  <div class="page">
    <header>
      <h1>{{ entry?.name ?? t('notShelf') }}</h1>
      <ShelfTabs here="entries" />
    </header>
    <p v-if="!entry" class="soft">
      {{ t('thereNoSuchEntry') }} <RouterLink to="/shelf">{{ t('toTheShelf') }}</RouterLink>
    </p>
    <template v-else>
      <p class="soft">
        {{ entry.section
        }}<template v-if="entry.synonyms.length">{{ ' ' }}{{ t('also', { synonyms: entry.synonyms.join(', ') }) }}</template
        ><template v-if="entry.onlyAsked">{{ ' ' }}{{ t('needsWhatNotEvery') }}</template
        ><template v-if="item?.retiredAt">
          · <b>{{ t('takenOffShelf') }}</b></template
        >
      </p>
      <ProblemNote v-if="problem" :problem="problem" />
      <div class="grid">
        <section ref="figures" class="card figures" :aria-label="t('pictures')">
          <figure>
            <EntryPicture :entry="entry" :share="0" :presses="false" :size="300" :shape="1.35" />
            <figcaption class="small">
              {{ t('setUp', { setUp: entry.setUp }) }}
              <SavePictures
                :what="t('theSetUp')"
                :name="`${entry.name}, set-up`"
                :title="t('setUp2', { name: entry.name })"
                :from="entry.setUp"
                :svg="() => figureAt(0)"
              />
            </figcaption>
          </figure>
          <figure>
            <EntryPicture :entry="entry" :size="300" :shape="1.35" />
            <figcaption class="small">
              {{ endWords }}
              <SavePictures
                :what="t('theEnd')"
                :name="`${entry.name}, end`"
                :title="entry.name"
                :from="endWords"
                :svg="() => figureAt(1)"
              />
            </figcaption>
          </figure>
          <figure v-for="each in drawnElsewhere" :key="each.at" class="elsewhere">
            <EntryPicture :entry="entry" :position="each.at" :size="150" :shape="1.35" />
            <figcaption class="small">{{ each.position }}</figcaption>
          </figure>
          <p class="small">
            <button type="button" class="link" @click="legend.isOpen = true">
              {{ t('whatMarksMean') }} <kbd>{{ hintOf('legend') }}</kbd>
            </button>
          </p>
          <p v-if="!showsEntry(entryScene(entry), entry)" class="small soft">
            {{ t('drawnMotionMeasuredDone', { positions: entry.positions.join(' or ') }) }}
          </p>
        </section>
        <section class="card" :aria-label="t('atTheTable')">
          <dl>
            <div>
              <dt>{{ t('theyTold') }}</dt>
              <dd class="press">“{{ entry.press }}”</dd>
            </div>
            <div>
              <dt>{{ t('direction') }}</dt>
              <dd>{{ entry.pressLine }}</dd>
            </div>
            <div v-if="entry.lead">
              <dt>{{ t('carried') }}</dt>
              <dd>“{{ entry.lead }}”</dd>
            </div>
            <div v-if="entry.ease">
              <dt>{{ t('eased') }}</dt>
              <dd>“{{ entry.ease }}”</dd>
            </div>
            <div v-if="entry.play">
              <dt>{{ t('inTheJoint') }}</dt>
              <dd>“{{ entry.play }}”</dd>
            </div>
            <div>
              <dt>{{ t('hands') }}</dt>
              <dd>{{ entry.hands }}</dd>
            </div>
            <div>
              <dt>{{ t('supports') }}</dt>
              <dd>{{ entry.supports }}</dd>
            </div>
            <div v-if="stanceAt(entry.positions[0])">
              <dt>{{ t('youAre') }}</dt>
              <dd>{{ stanceAt(entry.positions[0]) }}</dd>
            </div>
            <div v-for="{ position, words, stance, arranged, without } in further" :key="position">
              <dt>
                {{ position }}<template v-if="arranged">, {{ arranged }}</template>
              </dt>
              <dd>
                {{ words.setUp }}.
                <span class="small soft"
                  >{{ words.hands }}. {{ words.supports === 'None' ? t('noSupports') : words.supports }}.<template v-if="stance"
                    >{{ ' ' }}{{ t('you', { stance }) }}</template
                  ><template v-if="without.length">{{ ' ' }}{{ t('notHere', { without: without.join(', ') }) }}</template></span
                >
              </dd>
            </div>
            <div v-for="{ text, name } in said" :key="text">
              <dt>{{ name }}</dt>
              <dd class="press">“{{ text }}”</dd>
            </div>
            <div>
              <dt>{{ t('whoMoves') }}</dt>
              <dd>{{ MOVERS[entry.mover] }}</dd>
            </div>
            <div>
              <dt>{{ t('wayHome') }}</dt>
              <dd>{{ entry.bringHome }}</dd>
            </div>
            <div v-if="asks.length" class="watch">
              <dt>{{ t('askFirst') }}</dt>
              <dd>{{ asks.join(', ') }}</dd>
            </div>
            <div class="watch">
              <dt>{{ t('watch') }}</dt>
              <dd>{{ entry.watch }}</dd>
            </div>
            <div class="watch">
              <dt>{{ t('cautions') }}</dt>
              <dd>{{ entry.cautions }}</dd>
            </div>
          </dl>
        </section>
        <section class="card" :aria-label="t('whatItIsFor')">
          <dl>
            <div>
              <dt>{{ t('worksOn') }}</dt>
              <dd>{{ entry.targets.join(', ') }}</dd>
            </div>
            <div>
              <dt>{{ t('showsIn') }}</dt>
              <dd>
                {{ entry.measured ? `${motionOf(entry.motionId).name}, ${motionOf(entry.motionId).testPosition}` : t('nothingMeasured')
                }}<template v-for="id in entry.also" :key="id"><br />{{ motionOf(id).name }}, {{ motionOf(id).testPosition }}</template>
              </dd>
            </div>
            <div>
              <dt>{{ t('positions') }}</dt>
              <dd>{{ placesOf }}</dd>
            </div>
            <div>
              <dt>{{ t('yourLoad') }}</dt>
              <dd>{{ entry.tools.map((load) => `${load.tool} ${Math.round(load.share * 100)} %`).join(', ') }}</dd>
            </div>
            <div v-if="strokes">
              <dt>{{ t('strokes') }}</dt>
              <dd>{{ strokes }}</dd>
            </div>
            <div v-if="entry.medium">
              <dt>{{ t('onTheSkin') }}</dt>
              <dd>{{ MEDIA[entry.medium] }}</dd>
            </div>
            <div v-if="entry.sign">
              <dt>{{ t('itWorked') }}</dt>
              <dd>{{ entry.sign }}</dd>
            </div>
            <div v-if="again">
              <dt>{{ t('lookAgain') }}</dt>
              <dd>{{ again.what }} ({{ again.when }})</dd>
            </div>
            <div v-if="entry.longer">
              <dt>{{ t('stayLonger') }}</dt>
              <dd>{{ entry.longer }}</dd>
            </div>
            <div v-if="entry.leaveOut">
              <dt>{{ t('leaveOut') }}</dt>
              <dd>{{ entry.leaveOut }}</dd>
            </div>
            <div v-if="partners.length">
              <dt>{{ t('lookWell') }}</dt>
              <dd>
                <span v-for="each in partners" :key="each.muscle" class="partner"
                  >{{ each.muscle }} <span class="small soft">{{ each.because }}</span></span
                >
              </dd>
            </div>
            <div v-for="(places, name) in entry.lists ?? {}" :key="name">
              <dt>{{ name }}</dt>
              <dd>{{ places.join(', ') }}</dd>
            </div>
            <div v-for="{ label, all, none } in grades" :key="label">
              <dt>{{ label }}</dt>
              <dd>
                <span v-if="all.length === 0" class="soft">{{ none }}</span>
                <span v-for="each in all" :key="each.id ?? each.why" class="partner"
                  ><RouterLink v-if="each.id" :to="`/shelf/entry/${each.id}`">{{ each.name }}</RouterLink
                  ><template v-else>{{ t('sameOtherwise') }}</template> <span v-if="each.why" class="small soft">{{ each.why }}</span></span
                >
              </dd>
            </div>
            <div v-for="claim in entry.claims ?? []" :key="claim.text">
              <dt>{{ t('saidOfIt') }}</dt>
              <dd>
                {{ claim.text }} <span class="small soft">{{ sureWords(claim.sure) }}; {{ claim.source }}</span>
              </dd>
            </div>
          </dl>
        </section>
        <section class="card" :aria-label="t('waysWorkingFit')">
          <h2>{{ t('waysWorkingFit') }}</h2>
          <ul class="ways">
            <li v-for="(method, i) in ways" :key="method.id">
              <RouterLink :to="`/shelf/compare?a=${method.id}&entry=${entry.id}`">{{ method.name }}</RouterLink><span
                v-if="i === 0"
                class="soft small"
                >{{ ' ' }}{{ t('usual') }}</span
              ><span v-if="doseWords(method, entry)" class="small soft begins">{{
                t('beginsWith', { dose: doseWords(method, entry) })
              }}</span>
            </li>
          </ul>
          <p class="acts">
            <Button @click="router.push(`/shelf/entry/${entry.id}/practise`)">{{ t('practiseIt') }}</Button>
          </p>
          <p v-if="mayWrite" class="acts">
            <Button @click="router.push(`/shelf/new?from=${entry.id}`)">{{ item ? t('changeIt') : t('copyYourOwn') }}</Button>
            <Button v-if="item && !item.retiredAt" @click="retire(true)">{{ t('takeOffShelf') }}</Button>
            <Button v-if="item?.retiredAt" @click="retire(false)">{{ t('putBack') }}</Button>
          </p>
          <p v-if="item" class="small soft">
            {{ t('madeChangeNewVersion', { madeBy: item.madeBy, what: item.fields.origin ? `, ${originWords(item.fields.origin)}` : '' }) }}
          </p>
          <ol v-if="versions.length > 1" class="versions small" :aria-label="t('versions')">
            <li v-for="version in versions" :key="version.id">
              <RouterLink v-if="version.id !== entry.id" :to="`/shelf/entry/${version.id}`">{{ version.words }}</RouterLink><b
                v-else
                aria-current="true"
                >{{ version.words }}</b
              ><span v-if="version.isNewest" class="soft">{{ ' ' }}{{ t('standsNow') }}</span>
            </li>
          </ol>
        </section>
      </div>
    </template>
  </div>
</template>

<style scoped>
.ways li {
  break-inside: avoid;
}

.figures {
  align-content: start;
}

.versions {
  margin: 0;
  padding-left: 20px;
}

.partner {
  display: block;
}

.begins {
  display: block;
}

.grid {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(380px, 100%), 1fr));
  gap: 16px;
}

.figures {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}

figure {
  margin: 0;
}

figure.elsewhere {
  max-width: 210px;
}

figcaption {
  margin-top: 5px;
}

dl {
  margin: 0;
}

dl > div {
  display: grid;
  grid-template-columns: 104px minmax(0, 1fr);
  gap: 10px;
  padding: 6px 0;
  border-bottom: 1px solid var(--line-faint);
}

dt {
  color: var(--soft);
}

dt::first-letter {
  text-transform: uppercase;
}

dd {
  margin: 0;
}

.press {
  font-size: 19px;
  font-weight: 600;
}

.watch dd {
  border-left: 4px solid var(--sun);
  padding-left: 9px;
}

.ways {
  columns: 2;
  margin: 6px 0 10px;
  padding: 0;
  list-style: none;
}

.acts {
  display: flex;
  gap: 8px;
}
</style>
