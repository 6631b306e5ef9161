<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, nextTick, ref } from 'vue';
import type { StandingSentence } from '@pace-bend/core/note';
import { LIMITS } from '@pace-bend/core/record';
import ProblemNote from '../../parts/ProblemNote.vue';
import { useAction } from '../../parts/useAction.ts';
import { usePractice } from '../../stores/practice.ts';
import { useSession } from '../../stores/session.ts';
import { useVisit } from '../../stores/visit.ts';
import { useNote } from './useNote.ts';
import LongText from '../../parts/LongText.vue';
import { t } from '../../words/close.ts';

/**
 * The note writes itself from the record, sentence by sentence, each with what it comes from. A sentence can be put in other words or left
 * out; then it stays as it is when the data change. Signed, nothing of it changes any more; what is missing is added below, signed by itself.
 */
const visit = useVisit();
const practice = usePractice();
const session = useSession();
const { note, own, text, sections, edit, writeOwn, changedSince } = useNote();
const { busy, problem, run } = useAction();

const signed = computed(() => note.value?.signed ?? null);
const mayWrite = computed(() => session.may('PUT', '/visits/:id/note'));
const canEdit = computed(() => mayWrite.value && !visit.finished && signed.value === null);

/** The sentence that is open, and its words as they are typed. */
const open = ref<string | null>(null);
const typed = ref('');
const root = ref<HTMLElement | null>(null);
function openSentence(each: StandingSentence): void {
  open.value = open.value === each.key ? null : each.key;
  typed.value = each.text;
  if (open.value !== null && canEdit.value)
    void nextTick(() => root.value?.querySelector<HTMLTextAreaElement>('.opened textarea')?.focus());
}
function keep(key: string, words: string): void {
  edit(key, words);
  close(key);
}
/** The focus goes back to the sentence it came from. */
function close(key: string): void {
  open.value = null;
  void nextTick(() => root.value?.querySelector<HTMLElement>(`[data-sentence="${CSS.escape(key)}"]`)?.focus());
}

const addition = ref('');
const sign = () => run(() => visit.signNote(text.value));
const add = () =>
  run(async () => {
    await visit.addToNote(addition.value.trim());
    addition.value = '';
  });
const when = (instant: string) => `${practice.dayOf(instant)}, ${practice.recordTime(instant)}`;
</script>

<template>
  <section ref="root" class="card note" :aria-label="t('note')">
    <header>
      <h2>{{ t('note') }}</h2>
      <span class="soft small">{{ signed ? t('signed') : t('draftFromRecord') }}</span>
      <RouterLink class="small end" :to="`/visit/${visit.id}/note`">{{ t('printSave') }}</RouterLink>
    </header>
    <template v-if="signed">
      <p class="signed" data-testid="signed">{{ signed.text }}</p>
      <p class="by">{{ t('signedBy', { by: signed.by, when: when(signed.at) }) }}</p>
      <p v-if="changedSince" class="outdated">
        {{ t('recordChangedSinceSigned') }}
      </p>
      <ol v-if="(note?.addenda ?? []).length > 0" class="plain addenda" :aria-label="t('additions')">
        <li v-for="each in note!.addenda" :key="each.id">
          <p class="signed">{{ each.text }}</p>
          <p class="by">{{ t('addedBy', { by: each.by, when: when(each.at) }) }}</p>
        </li>
      </ol>
      <form v-if="mayWrite" class="add" @submit.prevent="add">
        <label for="addition">{{ t('addSignedNote') }}</label>
        <LongText id="addition" v-model="addition" rows="2" :maxlength="LIMITS.noteLength" />
        <Button html-type="submit" :disabled="addition.trim() === ''" :loading="busy">{{ t('signAddition') }}</Button>
      </form>
    </template>
    <template v-else>
      <div v-for="section in sections" :key="section.heading" class="section">
        <h3>{{ section.heading }}</h3>
        <p v-if="section.sentences.every((each) => each.text === '')" class="soft small">{{ t('nothingKnown') }}</p>
        <template v-for="each in section.sentences" :key="each.key">
          <button
            type="button"
            class="sentence"
            :class="{ hand: each.byHand, left: each.text === '' }"
            :aria-expanded="open === each.key"
            :data-sentence="each.key"
            @click="openSentence(each)"
          >
            {{ each.text === '' ? t('leftOut', { what: each.record ?? '' }) : each.text }}
          </button>
          <div v-if="open === each.key" class="opened">
            <p class="small">
              {{ each.trace
              }}<template v-if="each.byHand"
                >{{ ' ' }}{{ t('changedHand')
                }}<template v-if="each.record">{{ t('recordSays', { record: each.record }) }}</template></template
              ><b v-if="each.isOutdated">{{ ' ' }}{{ t('recordChangedSince') }}</b>
            </p>
            <template v-if="canEdit">
              <LongText
                v-model="typed"
                rows="2"
                :maxlength="LIMITS.noteLength"
                :aria-label="t('inYourWords')"
                @keydown.esc.stop="close(each.key)"
                @keydown.ctrl.enter.prevent="keep(each.key, typed)"
              />
              <span class="acts">
                <Button size="small" type="primary" @click="keep(each.key, typed)">{{ t('keepTheseWords') }}</Button>
                <Button v-if="each.record" size="small" @click="keep(each.key, each.record)">{{ t('asTheRecordSays') }}</Button>
                <Button v-if="each.text !== ''" size="small" @click="keep(each.key, '')">{{ t('leaveOut') }}</Button>
              </span>
            </template>
          </div>
        </template>
      </div>
      <template v-if="mayWrite">
        <label for="note"
          ><h3>{{ t('yourWords') }}</h3></label
        >
        <LongText
          id="note"
          rows="3"
          :model-value="own"
          :maxlength="LIMITS.noteLength"
          :readonly="!canEdit"
          :placeholder="t('whatYouSaw')"
          @input="writeOwn(($event.target as HTMLTextAreaElement).value)"
        />
        <div class="sign">
          <Button type="primary" :loading="busy" :disabled="text.trim() === ''" @click="sign">{{ t('signLock') }}</Button>
          <span class="small soft">{{ t('afterwardsOnlyAdditionsSigned', { name: session.me?.name }) }}</span>
        </div>
      </template>
    </template>
    <ProblemNote v-if="problem" :problem="problem" />
  </section>
</template>

<style scoped>
.note {
  display: grid;
  gap: 8px;
  align-content: start;
}

header {
  display: flex;
  align-items: baseline;
  gap: 12px;
}

.end {
  margin-left: auto;
}

.section {
  display: grid;
  gap: 2px;
  justify-items: start;
}

h3 {
  margin: 6px 0 2px;
  color: var(--soft);
  font: 600 13.5px var(--words);
}

.sentence {
  padding: 3px 0;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  line-height: 1.45;
  text-align: left;
  text-decoration: underline dotted var(--soft);
  text-underline-offset: 4px;
  cursor: pointer;
}

.sentence.hand {
  text-decoration: underline solid var(--spruce);
}

.sentence.left {
  color: var(--soft);
  text-decoration: line-through;
}

.opened {
  display: grid;
  gap: 6px;
  width: 100%;
  margin: 2px 0 8px;
  padding: 8px 12px;
  border-left: 3px solid var(--spruce);
  background: var(--ground);
}

.opened p {
  margin: 0;
}

.acts,
.sign {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
}

.signed {
  white-space: pre-line;
  overflow-wrap: anywhere;
  line-height: 1.5;
}

.by {
  color: var(--soft);
  font-size: 13px;
}

.outdated {
  padding-left: 10px;
  border-left: 3px solid var(--sun);
}

.addenda {
  display: grid;
  gap: 8px;
}

.addenda li {
  padding-top: 8px;
  border-top: 1px solid var(--line-faint);
}

.add {
  display: grid;
  gap: 6px;
  justify-items: start;
}

.add textarea {
  width: 100%;
}
</style>
