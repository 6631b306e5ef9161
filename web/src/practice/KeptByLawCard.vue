<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, ref } from 'vue';
import type { KeepingPage, KeptRecord } from '@pace-bend/core/keeping';
import { api } from '../api/api.ts';
import { dayWords } from '../parts/dayWords.ts';
import ProblemNote from '../parts/ProblemNote.vue';
import TextInput from '../parts/TextInput.vue';
import { useAction } from '../parts/useAction.ts';
import { t } from '../words/practice.ts';

/** What has to stay of those who were erased: nobody sees it elsewhere; it is exported as a file, and erased once its day is over. */
const props = defineProps<{ page: KeepingPage }>();
const emit = defineEmits<{ erased: [] }>();
const { busy, problem, run } = useAction();
const erasing = ref<string | null>(null);
const typed = ref('');
const over = (record: KeptRecord) => record.keepUntil < props.page.today;
const free = computed(() => props.page.kept.filter(over).length);

function begin(record: KeptRecord): void {
  erasing.value = record.id;
  typed.value = '';
}
async function erase(record: KeptRecord): Promise<void> {
  if (await run(() => api('DELETE', `/keeping/kept/${record.id}`, { confirm: typed.value }))) {
    erasing.value = null;
    emit('erased');
  }
}
</script>

<template>
  <section class="card fields" :aria-label="t('keptLaw')">
    <h2>{{ t('keptLaw') }}</h2>
    <p v-if="page.kept.length === 0" class="soft">{{ t('nothingKeptAnybodyWho') }}</p>
    <p v-else class="soft">
      {{
        t('whoErasedStandsNo', {
          count: page.kept.length,
          what: page.kept.length === 1 ? t('was') : t('were'),
          what2: free > 0 ? ` ${t('timeOver', { free })}` : '',
        })
      }}
    </p>
    <ul v-if="page.kept.length > 0" class="plain">
      <li v-for="record in page.kept" :key="record.id">
        <div>
          <strong>{{ record.name }}</strong>
          <span class="soft">{{
            t('bornErased', { birthDate: record.birthDate, day: dayWords(record.erasedOn), erasedBy: record.erasedBy })
          }}</span>
          <div>
            {{ over(record) ? t('hadStayUntil') : t('staysUntil') }} {{ dayWords(record.keepUntil) }}
            <span class="soft">{{ record.reason }}</span>
          </div>
        </div>
        <form v-if="erasing === record.id" class="fields" novalidate @submit.prevent="erase(record)">
          <div class="field">
            <label :for="`kept-${record.id}`">{{ t('typeNameErase', { name: record.name }) }}</label>
            <TextInput :id="`kept-${record.id}`" v-model="typed" autocomplete="off" :aria-invalid="problem ? 'true' : undefined" />
          </div>
          <ProblemNote v-if="problem" :problem="problem" />
          <div class="choices">
            <Button danger html-type="submit" :loading="busy">{{ t('eraseForGood') }}</Button><Button @click="erasing = null">{{
              t('keep')
            }}</Button>
          </div>
        </form>
        <div v-else class="choices">
          <a :href="`/api/keeping/kept/${record.id}`" download="kept-record.json">{{ t('exportWhatKept', { name: record.name }) }}</a>
          <Button v-if="over(record)" @click="begin(record)">{{ t('erase2') }}</Button>
        </div>
      </li>
    </ul>
  </section>
</template>

<style scoped>
p {
  margin: 0;
}

strong {
  overflow-wrap: anywhere;
}

li {
  display: grid;
  gap: 6px;
  padding: 10px 0;
  border-top: 1px solid var(--line-faint);
}

.choices {
  align-items: center;
}
</style>
