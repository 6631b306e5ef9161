<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, onMounted, reactive } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { DateTime } from 'luxon';
import { LIMITS } from '@pace-bend/core/record';
import ProblemNote from '../../parts/ProblemNote.vue';
import { useAction } from '../../parts/useAction.ts';
import { dropDraft, keepDraft, readDraft } from '../../api/drafts.ts';
import { usePractice } from '../../stores/practice.ts';
import { useSession } from '../../stores/session.ts';
import { useVisit } from '../../stores/visit.ts';
import { draftLetter, measuredLines } from './letter.ts';
import TextInput from '../../parts/TextInput.vue';
import LongText from '../../parts/LongText.vue';
import { t } from '../../words/referral.ts';

/** A referral: what was seen, no diagnosis. Written here, printed on one page. */
const route = useRoute();
const router = useRouter();
const visit = useVisit();
const practice = usePractice();
const session = useSession();
const fields = reactive({ to: '', seen: '' });
const { busy, problem, run } = useAction();
const id = String(route.params.id);
const ready = computed(() => visit.file !== null && visit.id === id);
const file = computed(() => visit.file!);
const draftKey = `${id}.referral`;

onMounted(open);
async function open(): Promise<void> {
  await practice.load().catch(() => undefined);
  if (visit.id !== id) await visit.load(id);
  if (visit.file)
    Object.assign(
      fields,
      readDraft<typeof fields>(draftKey) ??
        visit.file.referral ??
        draftLetter(
          visit.file,
          visit.stops.map((caution) => caution.refer),
        ),
    );
}

const measured = computed(() => measuredLines(file.value));
const date = computed(() => DateTime.fromISO(file.value.visit.startsAt, { zone: practice.zone }).toFormat('d LLLL yyyy'));
const kept = computed(() => file.value.referral?.to === fields.to && file.value.referral.seen === fields.seen);
const typed = () => keepDraft(draftKey, { to: fields.to, seen: fields.seen });

async function keep(): Promise<void> {
  await visit.refer({ to: fields.to.trim(), seen: fields.seen.trim() });
  Object.assign(fields, { to: fields.to.trim(), seen: fields.seen.trim() });
  dropDraft(draftKey);
}

const act = (what: 'keep' | 'print' | 'end') =>
  run(async () => {
    if (!visit.finished && !kept.value) await keep();
    if (what === 'print') window.print();
    if (what === 'end') {
      await visit.finish();
      await router.push('/');
    }
  });
</script>

<template>
  <div class="page">
    <ProblemNote v-if="visit.problem && !ready" :problem="visit.problem" :retry="open"
      ><RouterLink to="/">{{ t('backDay') }}</RouterLink></ProblemNote
    >
    <p v-else-if="!ready" class="soft">{{ t('openingVisit') }}</p>
    <template v-else>
      <header class="no-print">
        <h1>{{ t('referral') }}</h1>
        <RouterLink :to="`/visit/${id}/arrive`">{{ t('backVisit') }}</RouterLink>
        <span class="end choices">
          <Button :loading="busy" @click="act('print')">{{ t('print') }}</Button>
          <Button v-if="!visit.finished && !kept" :loading="busy" @click="act('keep')">{{ t('keep') }}</Button>
          <Button v-if="!visit.finished" type="primary" :loading="busy" @click="act('end')">{{ t('endVisit') }}</Button>
        </span>
      </header>
      <ProblemNote v-if="problem" :problem="problem" />
      <article class="letter card">
        <p class="from">
          <b>{{ practice.practice?.name }}</b><span>{{ date }}</span>
        </p>
        <div class="field no-print">
          <label for="letter-to">{{ t('to') }}</label>
          <TextInput id="letter-to" v-model="fields.to" :maxlength="LIMITS.aboutLength" :readonly="visit.finished" @input="typed" />
        </div>
        <p class="only-print">{{ t('to2', { to: fields.to }) }}</p>
        <p>
          {{ t('concerning') }} <b>{{ file.athlete.name }}</b>{{
            t('bornSeenHandsWork', { birthDate: file.athlete.birthDate, date, recordTime: practice.recordTime(file.visit.startsAt) })
          }}
        </p>
        <div class="field no-print">
          <label for="letter-seen">{{ t('whatSaidSeen') }}</label>
          <LongText
            id="letter-seen"
            v-model="fields.seen"
            rows="9"
            :maxlength="LIMITS.noteLength"
            :readonly="visit.finished"
            @input="typed"
          />
        </div>
        <p class="only-print seen">{{ fields.seen }}</p>
        <section v-if="measured.length > 0" :aria-label="t('measuredToday')">
          <h2>{{ t('measuredToday') }}</h2>
          <ul>
            <li v-for="line in measured" :key="line">{{ line }}</li>
          </ul>
        </section>
        <p>
          {{ t('letterSaysWhatReported') }}
        </p>
        <p class="sign">{{ file.referral?.by ?? session.me?.name }}</p>
      </article>
    </template>
  </div>
</template>

<style scoped>
.letter {
  display: grid;
  gap: 16px;
  width: min(760px, 100%);
  padding: 28px 32px;
  font-size: 15px;
}

.from {
  display: flex;
  justify-content: space-between;
  gap: 16px;
}

.seen {
  white-space: pre-line;
}

.only-print {
  display: none;
}

.sign {
  margin-top: 34px;
  padding-top: 6px;
  border-top: 1px solid var(--line);
  width: 280px;
}

ul {
  margin: 6px 0 0;
  padding-left: 20px;
}

@container page (max-width: 640px) {
  .letter {
    padding: 16px;
    overflow-wrap: anywhere;
  }

  .from {
    flex-wrap: wrap;
  }
}

@media print {
  .no-print {
    display: none;
  }

  .only-print {
    display: block;
  }

  .letter {
    border: 0;
    padding: 0;
  }
}
</style>
