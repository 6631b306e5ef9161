<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import { v7 as uuid } from 'uuid';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { readEvents, type FoundEvent } from '@pace-bend/core/exchange';
import { addDays } from '@pace-bend/core/load';
import type { SeasonOwner } from '@pace-bend/core/record';
import { api } from '../api/api.ts';
import FilePick from '../parts/FilePick.vue';
import PickOne from '../parts/PickOne.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { useAction } from '../parts/useAction.ts';
import { IMPORTANCE_WORDS } from '../parts/words.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import { dayWords } from './scale.ts';
import { seasonPath } from './useSeason.ts';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/season.ts';

/** The season as a calendar: saved as a file, subscribed to by its address, and events imported from another one with a look first. */
const props = defineProps<{ owner: SeasonOwner; ownerId: string | null; name: string; squadId: string | null }>();
const open = defineModel<boolean>('open', { required: true });
const emit = defineEmits<{ readIn: [] }>();
const practice = usePractice();
const session = useSession();
const { busy, problem, run } = useAction();

interface Link {
  readonly id: string;
  readonly owner: SeasonOwner;
  readonly of: string;
  readonly madeAt: string;
  readonly madeBy: string;
}
const links = ref<readonly Link[]>([]);
const address = ref('');
onMounted(() =>
  run(async () => {
    links.value = (await api<{ links: Link[] }>('GET', '/calendar-links')).links;
  }),
);
const ofThis = computed(() => links.value.filter(({ owner, of }) => owner === props.owner && of === props.name));
const mayOpen = computed(() => session.may('POST', '/calendar-links'));
const subscribe = () =>
  run(async () => {
    const made = await api<{ token: string; links: Link[] }>('POST', '/calendar-links', {
      id: uuid(),
      owner: props.owner,
      ownerId: props.owner === 'everybody' ? null : props.ownerId,
    });
    links.value = made.links;
    address.value = `${window.location.origin}/api/calendars/${made.token}.ics`;
  });
const end = (id: string) =>
  run(async () => {
    links.value = (await api<{ links: Link[] }>('DELETE', `/calendar-links/${id}`)).links;
    address.value = '';
  });

const AHEAD_DAYS = 500;
const MOST_BYTES = 2_000_000;
const found = shallowRef<readonly FoundEvent[] | null>(null);
const chosen = ref<readonly string[]>([]);
const importance = ref<'1' | '2' | '3'>('2');
const unread = ref('');
const said = ref('');
const importances = ([1, 2, 3] as const).map((each) => ({
  value: String(each) as '1' | '2' | '3',
  label: `${each}: ${IMPORTANCE_WORDS[each]}`,
}));

async function look(file: File): Promise<void> {
  found.value = null;
  unread.value = '';
  said.value = '';
  if (file.size > MOST_BYTES) {
    unread.value = t('fileLargerThan2');
    return;
  }
  const read = readEvents(await file.text(), practice.today, addDays(practice.today, AHEAD_DAYS), practice.dayOf);
  if (read.kind === 'unreadable') unread.value = read.message;
  else if (read.events.length === 0) unread.value = t('nothingLiesAheadWithin');
  else {
    found.value = read.events;
    chosen.value = read.events.filter(({ allDay }) => allDay).map(({ key }) => key);
  }
}
function tick(key: string, on: boolean): void {
  chosen.value = on ? [...chosen.value, key] : chosen.value.filter((each) => each !== key);
}
const readIn = () =>
  run(async () => {
    const events = found.value!.filter(({ key }) => chosen.value.includes(key));
    const { added, known, otherDay } = await api<{
      added: number;
      known: number;
      otherDay: { name: string; onDate: string; thereOn: string }[];
    }>('POST', '/import/events', {
      squadId: props.squadId,
      events: events.map(({ name, onDate, key }) => ({ id: uuid(), name, onDate, key, importance: Number(importance.value) })),
    });
    said.value = [
      t('added', { added, what: added === 1 ? t('event') : t('events2') }),
      ...(known > 0 ? [t('knownAlreadyLeft', { known, what: known === 1 ? t('itIs') : t('theyAre') })] : []),
      ...otherDay.map(({ name, onDate, thereOn }) =>
        t('standsHereThereMove', { name, day: dayWords(onDate, practice.today), day2: dayWords(thereOn, practice.today) }),
      ),
    ].join('. ');
    found.value = null;
    emit('readIn');
  });
</script>

<template>
  <SheetDialog v-model:open="open" :title="t('calendar')" :width="560">
    <section>
      <h3>{{ t('out', { what: name === 'everybody' ? t('everybody') : name }) }}</h3>
      <p class="soft small">
        {{
          t('noWordAboutAnybodys', {
            what:
              owner === 'squad'
                ? t('blocksCampsEventsSquad')
                : owner === 'athlete'
                  ? t('blocksCampsEventsVisits')
                  : t('blocksCampsEventsAll'),
          })
        }}
      </p>
      <div class="choices">
        <a class="choice" :href="`/api${seasonPath({ owner, id: ownerId })}/calendar`" download="season.ics">{{ t('saveFile') }}</a>
        <Button v-if="mayOpen" :disabled="busy" @click="subscribe">{{ t('makeAddressSubscribe') }}</Button>
      </div>
      <p v-if="address" class="address" role="status">
        <label for="calendar-address">{{ t('copyNowShownOnce') }}</label>
        <TextInput id="calendar-address" readonly :model-value="address" @focus="($event.target as HTMLInputElement).select()" />
      </p>
      <ul v-if="ofThis.length > 0">
        <li v-for="link in ofThis" :key="link.id">
          <span>{{ t('addressMade', { shortDate: practice.shortDate(link.madeAt), madeBy: link.madeBy }) }}</span><Button
            v-if="mayOpen"
            size="small"
            :disabled="busy"
            @click="end(link.id)"
            >{{ t('endIt') }}</Button
          >
        </li>
      </ul>
    </section>
    <section v-if="session.may('POST', '/import/events')">
      <h3>{{ t('eventsFromCalendarFile') }}</h3>
      <FilePick :label="t('chooseCalendarFileIcs')" accept=".ics,text/calendar" @pick="look" />
      <p v-if="unread" class="wrong" role="alert">{{ unread }}</p>
      <template v-if="found">
        <ul class="found">
          <li v-for="each in found" :key="each.key + each.onDate">
            <Checkbox :checked="chosen.includes(each.key)" @change="(event) => tick(each.key, event.target.checked)"
              ><b>{{ each.name }}</b
              >, {{ dayWords(each.onDate, practice.today) }}<span v-if="!each.allDay" class="soft">{{ t('withATime') }}</span></Checkbox
            >
          </li>
        </ul>
        <PickOne
          :label="t('importance')"
          :value="importance"
          :options="importances"
          @change="
            (value) => {
              importance = value;
            }
          "
        />
        <div class="choices">
          <Button type="primary" :loading="busy" :disabled="chosen.length === 0" @click="readIn">{{
            t('import', { count: chosen.length })
          }}</Button>
        </div>
      </template>
      <p v-if="said" role="status">{{ said }}.</p>
    </section>
    <p v-if="problem" class="wrong" role="alert">{{ problem.message }}</p>
  </SheetDialog>
</template>

<style scoped>
section + section {
  margin-top: 18px;
  padding-top: 14px;
  border-top: 1px solid var(--line);
}

h3 {
  margin: 0 0 6px;
}

.address {
  display: grid;
  gap: 4px;
  margin: 10px 0 0;
}

ul {
  list-style: none;
  margin: 10px 0;
  padding: 0;
}

li {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  padding: 4px 0;
}

.found {
  max-height: 240px;
  overflow: auto;
}
</style>
