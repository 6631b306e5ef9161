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
    unread.value = 'This file is larger than 2 MB. Nothing was read.';
    return;
  }
  const read = readEvents(await file.text(), practice.today, addDays(practice.today, AHEAD_DAYS), practice.dayOf);
  if (read.kind === 'unreadable') unread.value = read.message;
  else if (read.events.length === 0) unread.value = 'Nothing in it lies ahead within 500 days.';
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
      `${added} ${added === 1 ? 'event' : 'events'} added`,
      ...(known > 0 ? [`${known} known already and left as ${known === 1 ? 'it is' : 'they are'}`] : []),
      ...otherDay.map(
        ({ name, onDate, thereOn }) =>
          `${name} stands on ${dayWords(onDate, practice.today)} here and on ${dayWords(thereOn, practice.today)} there: move it if that is right`,
      ),
    ].join('. ');
    found.value = null;
    emit('readIn');
  });
</script>

<template>
  <SheetDialog v-model:open="open" title="Calendar" :width="560">
    <section>
      <h3>Out: {{ name === 'everybody' ? 'everybody' : name }}</h3>
      <p class="soft small">
        {{
          owner === 'squad'
            ? 'Blocks, camps and events of the squad.'
            : owner === 'athlete'
              ? 'Blocks, camps, events and visits of the athlete, without a name.'
              : 'Blocks, camps, events and all visits with names.'
        }}
        No word about anybody’s health is in it.
      </p>
      <div class="choices">
        <a class="choice" :href="`/api${seasonPath({ owner, id: ownerId })}/calendar`" download="season.ics">Save the file</a>
        <Button v-if="mayOpen" :disabled="busy" @click="subscribe">Make an address to subscribe to</Button>
      </div>
      <p v-if="address" class="address" role="status">
        <label for="calendar-address">Copy it now: it is shown this once.</label>
        <TextInput id="calendar-address" readonly :model-value="address" @focus="($event.target as HTMLInputElement).select()" />
      </p>
      <ul v-if="ofThis.length > 0">
        <li v-for="link in ofThis" :key="link.id">
          <span>Address made {{ practice.shortDate(link.madeAt) }} by {{ link.madeBy }}</span
          ><Button v-if="mayOpen" size="small" :disabled="busy" @click="end(link.id)">End it</Button>
        </li>
      </ul>
    </section>
    <section v-if="session.may('POST', '/import/events')">
      <h3>In: events from a calendar file</h3>
      <FilePick label="Choose a calendar file (.ics)" accept=".ics,text/calendar" @pick="look" />
      <p v-if="unread" class="wrong" role="alert">{{ unread }}</p>
      <template v-if="found">
        <ul class="found">
          <li v-for="each in found" :key="each.key + each.onDate">
            <Checkbox :checked="chosen.includes(each.key)" @change="(event) => tick(each.key, event.target.checked)"
              ><b>{{ each.name }}</b
              >, {{ dayWords(each.onDate, practice.today) }}<span v-if="!each.allDay" class="soft">, with a time</span></Checkbox
            >
          </li>
        </ul>
        <PickOne
          label="Importance"
          :value="importance"
          :options="importances"
          @change="
            (value) => {
              importance = value;
            }
          "
        />
        <div class="choices">
          <Button type="primary" :loading="busy" :disabled="chosen.length === 0" @click="readIn">Import {{ chosen.length }}</Button>
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
