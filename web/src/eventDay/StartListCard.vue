<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, defineAsyncComponent, ref } from 'vue';
import { KIND_WORDS, REASON_WORDS, spanOf, WISH_KINDS, type EventDaySetUp, type Wish, type WishKind } from '@pace-bend/core/eventDay';
import { usePractice } from '../stores/practice.ts';
import { newWish, nextRaceOf, withStarts } from './newDay.ts';
import type { StartRow } from '@pace-bend/core/exchange';
import { t } from '../words/eventDay.ts';

const AddStart = defineAsyncComponent(() => import('./AddStart.vue'));
const ImportStarts = defineAsyncComponent(() => import('./ImportStarts.vue'));
const WishDialog = defineAsyncComponent(() => import('./WishDialog.vue'));

/** Who starts when, and what they want: a row for every start, pressed for what is wanted before it, before the next one, or after it. */
const props = defineProps<{ setUp: EventDaySetUp; therapists: readonly { readonly id: string; readonly name: string }[] }>();
const emit = defineEmits<{ change: [fields: Partial<EventDaySetUp>] }>();
const practice = usePractice();
const adding = ref(false);
const importing = ref(false);
const opened = ref<Wish | null>(null);

const offered = computed(() => WISH_KINDS.filter((kind) => props.setUp.offers.find((offer) => offer.kind === kind)!.offered));
const rows = computed(() =>
  props.setUp.starts
    .map((start) => {
      const race = props.setUp.races.find(({ id }) => id === start.raceId)!;
      const starter = props.setUp.starters.find(({ id }) => id === start.starterId)!;
      const next = nextRaceOf(props.setUp, starter.id, race.id);
      const of = (kind: WishKind) =>
        props.setUp.wishes.find((wish) => wish.starterId === starter.id && wish.raceId === race.id && wish.kind === kind) ?? null;
      return {
        key: `${starter.id} ${race.id}`,
        race,
        starter,
        next,
        wishes: { before: of('before'), between: of('between'), after: of('after') },
      };
    })
    .sort(
      (a, b) => a.race.startAt - b.race.startAt || a.race.name.localeCompare(b.race.name) || a.starter.name.localeCompare(b.starter.name),
    ),
);
type Row = (typeof rows.value)[number];

function toggle(row: Row, kind: WishKind): void {
  const there = row.wishes[kind];
  if (there) emit('change', { wishes: props.setUp.wishes.filter(({ id }) => id !== there.id) });
  else
    emit('change', {
      wishes: [...props.setUp.wishes, newWish(props.setUp, kind, row.starter.id, row.race.id, kind === 'between' ? row.next!.id : null)],
    });
}
/** Everybody's wish of a kind at once; before the first of somebody's races only where there is work between them. */
function everybody(kind: WishKind): void {
  const more = rows.value
    .filter((row) => row.wishes[kind] === null && (kind !== 'between' || row.next !== null))
    .map((row) => newWish(props.setUp, kind, row.starter.id, row.race.id, kind === 'between' ? row.next!.id : null));
  if (more.length > 0) emit('change', { wishes: [...props.setUp.wishes, ...more] });
}
function remove(row: Row): void {
  const { starterId, raceId } = { starterId: row.starter.id, raceId: row.race.id };
  const starts = props.setUp.starts.filter((start) => start.starterId !== starterId || start.raceId !== raceId);
  emit('change', {
    starts,
    races: props.setUp.races.filter(({ id }) => starts.some((start) => start.raceId === id)),
    starters: props.setUp.starters.filter(({ id }) => starts.some((start) => start.starterId === id)),
    wishes: props.setUp.wishes.filter((wish) => wish.starterId !== starterId || (wish.raceId !== raceId && wish.nextRaceId !== raceId)),
  });
}
function add(found: readonly Omit<StartRow, 'row'>[]): void {
  emit('change', withStarts(props.setUp, found));
}
function save(wish: Wish): void {
  emit('change', { wishes: props.setUp.wishes.map((each) => (each.id === wish.id ? wish : each)) });
  opened.value = null;
}
const spanWords = (wish: Wish) => {
  const span = spanOf(wish, props.setUp.races, props.setUp.rules);
  if (!span || span.latestEnd - span.earliest < wish.minutes) return t('noTimeForIt');
  return t('to2', { clock: practice.clock(Math.max(0, span.earliest)), clock2: practice.clock(Math.min(1439, span.latestEnd)) });
};
const wishWords = (wish: Wish) =>
  [
    t('min4', { minutes: wish.minutes }),
    ...wish.reasons.map((reason) => REASON_WORDS[reason]),
    ...(wish.therapistId ? [props.therapists.find(({ id }) => id === wish.therapistId)?.name ?? ''] : []),
  ].join(', ');
</script>

<template>
  <section class="card" :aria-label="t('startList')">
    <div class="bar">
      <Button type="primary" @click="adding = true">{{ t('addAStart') }}</Button>
      <Button @click="importing = true">{{ t('importStartList') }}</Button>
      <span v-if="rows.length > 0" class="soft all"
        >{{ t('everybody') }}
        <template v-for="kind in offered" :key="kind"
          ><button type="button" class="link" @click="everybody(kind)">{{ KIND_WORDS[kind] }}</button>{{ ' ' }}</template
        ></span
      >
      <span class="end soft num">{{ t('wishes', { count: setUp.wishes.length }) }}</span>
    </div>
    <p v-if="rows.length === 0" class="soft">
      {{ t('nobodyStartListAdd') }}
    </p>
    <div v-else class="scroll">
      <table class="rows" :aria-label="t('startsWishes')">
        <thead>
          <tr>
            <th>{{ t('athlete') }}</th>
            <th>{{ t('race') }}</th>
            <th class="num">{{ t('call') }}</th>
            <th class="num">{{ t('start') }}</th>
            <th>{{ t('wantsWork') }}</th>
            <th>
              <span class="sr-only">{{ t('takeOff') }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.key" data-testid="start-row">
            <td>
              <b>{{ row.starter.name }}</b><span v-if="!row.starter.athleteId" class="soft small">{{ ' ' }}{{ t('guest2') }}</span>
            </td>
            <td>{{ row.race.name }}</td>
            <td class="num">{{ row.race.callAt === null ? '' : practice.clock(row.race.callAt) }}</td>
            <td class="num">{{ practice.clock(row.race.startAt) }}</td>
            <td>
              <div class="wants">
                <template v-for="kind in offered" :key="kind">
                  <button
                    v-if="kind !== 'between' || row.next"
                    type="button"
                    class="choice"
                    :aria-pressed="row.wishes[kind] !== null"
                    @click="toggle(row, kind)"
                  >
                    {{ kind === 'between' ? t('beforeAfter', { name: row.next!.name }) : kind }}
                  </button>
                  <button v-if="row.wishes[kind]" type="button" class="link small" @click="opened = row.wishes[kind]">
                    {{ wishWords(row.wishes[kind]!) }}, {{ spanWords(row.wishes[kind]!) }}
                  </button>
                </template>
              </div>
            </td>
            <td>
              <button
                type="button"
                class="link small"
                :aria-label="t('takeOff3', { name: row.starter.name, name2: row.race.name })"
                @click="remove(row)"
              >
                {{ t('takeOff') }}
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <AddStart v-if="adding" :races="setUp.races" @add="add" @close="adding = false" />
    <ImportStarts v-if="importing" @add="add" @close="importing = false" />
    <WishDialog v-if="opened" :wish="opened" :set-up="setUp" :therapists="therapists" @save="save" @close="opened = null" />
  </section>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
  margin-bottom: 12px;
}

.end {
  margin-left: auto;
}

.scroll {
  min-width: 0;
  overflow-x: auto;
}

.card {
  min-width: 0;
}

.rows {
  width: 100%;
}

.rows td:last-child {
  white-space: nowrap;
}

/* Where a row has no room it is a card of its own. */
@container page (max-width: 640px) {
  .rows,
  .rows tbody {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
  }

  .rows thead {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }

  .rows tr {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 10px;
    padding: 8px 0;
    border-bottom: 1px solid var(--line-faint);
  }

  .rows td {
    min-width: 0;
    padding: 0;
    border: 0;
  }

  .rows td:nth-child(5) {
    flex: 1 1 100%;
  }
}

.wants {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
}
</style>
