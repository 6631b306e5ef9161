<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue';
import { DateTime } from 'luxon';
import { v7 as uuid } from 'uuid';
import type { ScaleId } from '@pace-bend/core/readiness';
import { api, ApiProblem } from '../api/api.ts';
import { fieldsOf, hasAnswer, NOTHING_ANSWERED, type Answers } from './answers.ts';
import { send, sendWaiting, tokenHead, waitingCount } from './queue.ts';
import QuestionList from './QuestionList.vue';
import TrainedForm from './TrainedForm.vue';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/checkIn.ts';

/** A page that sends check-ins and shows nothing: of one athlete for one day, or a squad's tablet, name by name. */
interface Person {
  readonly id: string;
  readonly name: string;
  readonly answered: boolean;
  readonly loadKinds: readonly { readonly id: string; readonly name: string; readonly counts: string | null }[];
}
interface Opened {
  readonly practice: string;
  readonly today: string;
  readonly scale: ScaleId;
  readonly shared: boolean;
  readonly people: readonly Person[];
}

/** What was opened last, so that a page without a line still knows its questions. The token itself is the key it is kept under. */
const KEPT = 'check-in page';
/** The token stands behind the hash: it is sent in no address and stands in no log. */
const token = location.hash.slice(1);
const opened = shallowRef<Opened | null>(null);
const problem = shallowRef<ApiProblem | null>(null);
const who = shallowRef<Person | null>(null);
const answers = ref<Answers>(NOTHING_ANSWERED);
const state = ref<'asking' | 'sending' | 'sent' | 'kept'>('asking');
const refused = shallowRef<readonly ApiProblem[]>([]);
const waiting = ref(0);
const doneToday = ref<ReadonlySet<string>>(new Set());
const typed = ref('');
let checkInId = uuid();

const BACK_AFTER_MS = 4000;
const TRY_EVERY_MS = 15_000;
let timer = 0;
let back = 0;

async function open(): Promise<void> {
  problem.value = null;
  try {
    opened.value = await api<Opened>('GET', '/check-in', undefined, tokenHead(token));
    try {
      localStorage.setItem(KEPT, JSON.stringify({ token, opened: opened.value }));
    } catch {
      // A browser that keeps nothing asks again next time.
    }
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error;
    const kept = JSON.parse(localStorage.getItem(KEPT) ?? 'null') as { token: string; opened: Opened } | null;
    // Without a line, the questions of this page are still known for the day they were asked.
    if (error.mayPass && kept?.token === token && (kept.opened.shared || kept.opened.today === localDay())) opened.value = kept.opened;
    else problem.value = error;
  }
  if (opened.value && !opened.value.shared) who.value = opened.value.people[0] ?? null;
}
const localDay = () => DateTime.now().toISODate();

async function trySending(): Promise<void> {
  const found = await sendWaiting().catch(() => null);
  if (!found) return;
  waiting.value = found.waiting;
  if (found.refused.length > 0) refused.value = found.refused;
  if (found.waiting === 0 && state.value === 'kept') state.value = 'sent';
}

onMounted(async () => {
  document.title = t('checkIn');
  window.addEventListener('online', trySending);
  timer = window.setInterval(() => waiting.value > 0 && void trySending(), TRY_EVERY_MS);
  await open();
  waiting.value = await waitingCount();
  void trySending();
});
onBeforeUnmount(() => {
  window.removeEventListener('online', trySending);
  clearInterval(timer);
  clearTimeout(back);
});

const people = computed(() => {
  const words = typed.value.toLowerCase().split(/\s+/).filter(Boolean);
  return (opened.value?.people ?? []).filter(({ name }) => words.every((word) => name.toLowerCase().includes(word)));
});
const isDone = (person: Person) => person.answered || doneToday.value.has(person.id);
const dayWords = computed(() => (opened.value ? DateTime.fromISO(opened.value.today).toFormat('ccc d LLL') : ''));

function begin(person: Person | null): void {
  clearTimeout(back);
  who.value = person;
  answers.value = NOTHING_ANSWERED;
  state.value = 'asking';
  refused.value = [];
  typed.value = '';
  checkInId = uuid();
}

async function sendAnswers(): Promise<void> {
  if (!opened.value || !who.value || state.value === 'sending') return;
  state.value = 'sending';
  const { today, scale, shared } = opened.value;
  const person = who.value;
  const result = await send({
    path: `/check-in/answers/${checkInId}`,
    token,
    body: { ...fieldsOf(answers.value, today, scale), supersedes: null, athleteId: person.id },
  });
  waiting.value = result.waiting;
  refused.value = result.refused;
  if (result.refused.length > 0) {
    state.value = 'asking';
    checkInId = uuid();
    return;
  }
  doneToday.value = new Set([...doneToday.value, person.id]);
  state.value = result.waiting > 0 ? 'kept' : 'sent';
  window.scrollTo(0, 0);
  if (shared) back = window.setTimeout(() => begin(null), BACK_AFTER_MS);
}

async function sendLoad(fields: object): Promise<void> {
  clearTimeout(back);
  const result = await send({ path: `/check-in/loads/${uuid()}`, token, body: { ...fields, athleteId: who.value!.id } });
  waiting.value = result.waiting;
  refused.value = result.refused;
}
</script>

<template>
  <main id="main" class="check-in" data-large>
    <header>
      <svg width="34" height="20" aria-hidden="true">
        <path d="M1 18H10L15 11H21L26 4H33" fill="none" stroke="currentColor" stroke-width="3.2" stroke-linejoin="round" />
      </svg>
      <h1>{{ who ? t('morning', { split: who.name.split(' ')[0] }) : t('checkIn') }}</h1>
      <span class="soft small">{{ dayWords }}</span>
    </header>

    <div v-if="problem" class="note" role="alert">
      <p>{{ problem.message }}</p>
      <button v-if="problem.mayPass" type="button" class="wide" @click="open">{{ t('tryAgain') }}</button>
    </div>
    <p v-else-if="!opened" class="soft">{{ t('opening') }}</p>

    <template v-else-if="opened.shared && !who">
      <p class="soft">{{ t('whoYou', { practice: opened.practice }) }}</p>
      <TextInput
        v-if="opened.people.length > 12"
        v-model="typed"
        class="find"
        :aria-label="t('findName')"
        :placeholder="t('typeName')"
        autocomplete="off"
        maxlength="60"
      />
      <p v-if="opened.people.length === 0" class="soft">{{ t('nobodySquadYet') }}</p>
      <ul class="names">
        <li v-for="person in people" :key="person.id">
          <button type="button" @click="begin(person)">
            <span>{{ person.name }}</span><span v-if="isDone(person)" class="soft small">{{ t('answered') }}</span>
          </button>
        </li>
      </ul>
    </template>

    <template v-else-if="who && (state === 'sent' || state === 'kept')">
      <section class="note" :class="state" role="status">
        <h2>{{ state === 'sent' ? t('thankYou') : t('keptDevice') }}</h2>
        <p>
          {{ state === 'sent' ? t('yourAnswersArrived') : t('thereNoLineJust') }}
        </p>
      </section>
      <TrainedForm v-if="who.loadKinds.length > 0" :kinds="who.loadKinds" :today="opened.today" @send="sendLoad" />
      <p v-for="each in refused" :key="each.message" class="wrong" role="alert">{{ each.message }}</p>
      <button v-if="opened.shared" type="button" class="wide" @click="begin(null)">{{ t('nextPerson') }}</button>
      <button v-else type="button" class="wide" @click="begin(who)">{{ t('correctMyAnswers') }}</button>
    </template>

    <form v-else-if="who" novalidate @submit.prevent="sendAnswers">
      <p v-if="isDone(who)" class="soft small">{{ t('answeredTodayAlreadyWhat') }}</p>
      <QuestionList :answers="answers" :scale="opened.scale" @change="(next) => (answers = next)" />
      <p v-for="each in refused" :key="each.message" class="wrong" role="alert">{{ each.message }}</p>
      <button type="submit" class="send" :disabled="!hasAnswer(answers) || state === 'sending'">
        {{ state === 'sending' ? t('sending') : t('sendMyAnswers') }}
      </button>
      <p class="soft small centre">
        {{ t('onlyTherapistsRead', { practice: opened.practice, what: opened.shared ? '' : ` ${t('pageEndsTonight')}` }) }}
      </p>
      <button v-if="opened.shared" type="button" class="wide" @click="begin(null)">{{ t('backNames') }}</button>
    </form>
    <p v-if="waiting > 0" class="soft small centre" role="status">{{ t('waitingDeviceSent', { waiting }) }}</p>
  </main>
</template>

<style scoped>
.check-in {
  display: grid;
  gap: 14px;
  max-width: 620px;
  margin: 0 auto;
  padding: 14px 16px 32px;
}

header {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  align-items: center;
  gap: 10px;
}

h1 {
  font-size: 24px;
  overflow-wrap: anywhere;
}

form {
  display: grid;
  gap: 12px;
}

.send,
.wide {
  width: 100%;
  min-height: 56px;
  border: 1.5px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  font: 600 16px var(--words);
  cursor: pointer;
}

.send {
  border-color: var(--spruce-fill);
  background: var(--spruce-fill);
  color: var(--on-spruce);
}

.send:disabled {
  border-color: var(--line);
  background: var(--raised);
  color: var(--soft);
  cursor: default;
}

.centre {
  margin: 0;
  text-align: center;
}

.note {
  display: grid;
  gap: 8px;
  padding: 14px 16px;
  border-left: 4px solid var(--clay);
  background: var(--paper);
}

.note.sent {
  border-left-color: var(--spruce);
}

.note.kept {
  border-left-color: var(--sun);
}

.names {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(240px, 100%), 1fr));
  gap: 6px;
  margin: 0;
  padding: 0;
  list-style: none;
}

.names button {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  width: 100%;
  min-height: 56px;
  padding: 6px 14px;
  border: 1.5px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  font: 600 16px var(--words);
  text-align: left;
  overflow-wrap: anywhere;
  cursor: pointer;
}

.find {
  min-height: 48px;
}
</style>
