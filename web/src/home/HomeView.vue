<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { DateTime } from 'luxon';
import QRCode from 'qrcode';
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { entryScene } from '@pace-bend/core/catalogue';
import { drawScene, LIGHT, svgText } from '@pace-bend/core/figure';
import { doseNumbers, sheetText } from '@pace-bend/core/home';
import type { HomeItem } from '@pace-bend/core/record';
import EntryPicture from '../parts/EntryPicture.vue';
import { saveAsPdf } from '../parts/pdf.ts';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import { useShelf } from '../stores/shelf.ts';
import { useVisit } from '../stores/visit.ts';
import { dayWords } from './homeDays.ts';
import { homeDocument } from './homePdf.ts';
import { t } from '../words/home.ts';

/** The sheet for home on a page of its own: large, to show, to print, to save, and to take along on a phone. */
const route = useRoute();
const visit = useVisit();
const practice = usePractice();
const session = useSession();
const shelf = useShelf();
const { busy, problem, run } = useAction();
const id = String(route.params.id);
const ready = computed(() => visit.file !== null && visit.id === id);
onMounted(open);
async function open(): Promise<void> {
  await Promise.all([practice.load().catch(() => undefined), shelf.load().catch(() => undefined)]);
  if (visit.id !== id) await visit.load(id);
}
const sheet = computed(() => visit.file!.home);
const name = computed(() => visit.file!.athlete.name);
const visitDay = computed(() => practice.dayOf(visit.file!.visit.startsAt));
const again = computed(() => {
  const next = visit.file!.nextVisitAt;
  return next === null ? null : DateTime.fromISO(next, { zone: practice.zone }).toFormat("cccc d LLLL 'at' HH:mm");
});
const entryOf = (item: HomeItem) => shelf.shelf.entries.get(item.entryId) ?? null;
const sideOf = (item: HomeItem) => (item.sides[0]!.side === 'midline' ? {} : { side: item.sides[0]!.side });

/** So many bytes a code takes that a phone still reads off a tablet. */
const CODE_BYTES = 1400;
const words = computed(() => sheetText(sheet.value, name.value, dayWords(sheet.value.until), CODE_BYTES));
const code = ref('');
watch(
  () => (ready.value && sheet.value.items.length > 0 ? words.value : ''),
  async (text) => {
    code.value = text === '' ? '' : await QRCode.toDataURL(text, { errorCorrectionLevel: 'L', margin: 2, scale: 4 });
  },
  { immediate: true },
);

const print = () => window.print();
const save = () =>
  run(() =>
    saveAsPdf(
      homeDocument({
        name: name.value,
        by: session.me?.name ?? '',
        practice: practice.practice?.name ?? '',
        visitDay: visitDay.value,
        until: sheet.value.until,
        again: again.value,
        items: sheet.value.items,
        words: sheet.value.words,
        picture: (item) => {
          const entry = entryOf(item);
          return entry
            ? svgText(drawScene(entryScene(entry), { size: 240, shape: 1.25, ...sideOf(item) }), LIGHT, `h${item.id.slice(0, 8)}`)
            : null;
        },
      }),
      `home-${visitDay.value}`,
    ),
  );
</script>

<template>
  <div class="page">
    <ProblemNote v-if="visit.problem && !ready" :problem="visit.problem" :retry="open"
      ><RouterLink to="/">{{ t('backDay') }}</RouterLink></ProblemNote
    >
    <p v-else-if="!ready" class="soft">{{ t('openingVisit') }}</p>
    <template v-else>
      <header class="no-print acts">
        <h1>{{ t('atHome') }}</h1>
        <RouterLink :to="`/visit/${id}/close`">{{ t('backVisit') }}</RouterLink>
        <span v-if="sheet.items.length > 0" class="end choices"
          ><Button :loading="busy" @click="save">{{ t('savePdf') }}</Button
          ><Button type="primary" @click="print">{{ t('print') }}</Button></span
        >
      </header>
      <ProblemNote v-if="problem" :problem="problem" />
      <p v-if="sheet.items.length === 0" class="soft">{{ t('nothingGivenDoHome') }}</p>
      <div v-else class="beside">
        <article class="card on-paper sheet" :aria-label="t('sheetHome')">
          <h2>{{ t('atHome2', { name }) }}</h2>
          <p class="until">
            {{ t('until2', { day: dayWords(sheet.until) })
            }}<template v-if="again !== null">{{ ' ' }}{{ t('weMeet', { again }) }}</template>
          </p>
          <ol class="plain">
            <li v-for="(item, i) in sheet.items" :key="item.id">
              <div class="picture">
                <EntryPicture v-if="entryOf(item)" :entry="entryOf(item)!" :size="150" :shape="1.25" v-bind="sideOf(item)" />
              </div>
              <div>
                <h3>{{ i + 1 }}. {{ item.name }}</h3>
                <p class="dose">
                  <span v-for="(each, n) in doseNumbers(item)" :key="n"
                    ><b class="num">{{ each.number }}</b> <span class="said">{{ each.said }}</span></span
                  >
                </p>
                <p>{{ item.how }}</p>
                <p class="stop">
                  <b>{{ t('stopWhen') }}</b> {{ item.stop }}
                </p>
              </div>
            </li>
          </ol>
          <p class="foot">
            <b>{{ t('missedDayMissedDay') }}</b> {{ t('doNotMakeUp') }}
          </p>
          <p v-if="sheet.words.trim() !== ''" class="foot">{{ sheet.words }}</p>
        </article>
        <aside class="no-print phone" :aria-label="t('onThePhone')">
          <img v-if="code" :src="code" :alt="t('codeHoldsWordsSheet')" />
          <p class="small">
            {{ t('phonesCameraReadsWords') }}
          </p>
        </aside>
      </div>
    </template>
  </div>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}

.end {
  margin-left: auto;
}

.beside {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 260px;
  gap: 20px;
  align-items: start;
}

.sheet {
  padding: 26px 30px;
  background: var(--paper);
  color: var(--ink);
  font-size: 18px;
  line-height: 1.45;
}

h2 {
  margin: 0;
  font: 700 32px/1.15 var(--figures);
}

.until {
  margin: 4px 0 10px;
}

li {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  gap: 22px;
  padding: 18px 0;
  border-top: 2px solid var(--ink);
  break-inside: avoid;
}

h3 {
  margin: 0 0 4px;
  font-size: 22px;
}

.dose {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 26px;
  margin-bottom: 8px;
}

.dose > span {
  display: grid;
}

.dose .num {
  font-size: 30px;
  line-height: 1.15;
}

.said {
  color: var(--soft);
  font-size: 15px;
}

.stop {
  margin-top: 10px;
  padding-left: 12px;
  border-left: 4px solid var(--clay);
}

.foot {
  padding-top: 12px;
  border-top: 2px solid var(--ink);
}

.foot + .foot {
  border-top: 0;
}

.phone {
  display: grid;
  gap: 8px;
}

.phone img {
  width: 100%;
  border-radius: 4px;
  image-rendering: pixelated;
}

@container page (max-width: 892px) {
  .beside {
    grid-template-columns: minmax(0, 1fr) 200px;
  }

  .sheet {
    padding: 22px;
  }

  .beside li {
    grid-template-columns: 150px minmax(0, 1fr);
    gap: 16px;
  }

  .picture :deep(svg) {
    max-width: 100%;
    height: auto;
  }
}

@container page (max-width: 900px) {
  .beside,
  li {
    grid-template-columns: minmax(0, 1fr);
  }

  .phone img {
    max-width: 320px;
  }
}

@media print {
  .sheet {
    border: 0;
    padding: 0;
    font-size: 14px;
  }
}
</style>
