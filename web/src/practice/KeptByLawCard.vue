<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, ref } from 'vue';
import type { KeepingPage, KeptRecord } from '@pace-bend/core/keeping';
import { api } from '../api/api.ts';
import { dayWords } from '../parts/dayWords.ts';
import ProblemNote from '../parts/ProblemNote.vue';
import TextInput from '../parts/TextInput.vue';
import { useAction } from '../parts/useAction.ts';

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
  <section class="card fields" aria-label="Kept by law">
    <h2>Kept by law</h2>
    <p v-if="page.kept.length === 0" class="soft">Nothing is kept of anybody who was erased.</p>
    <p v-else class="soft">
      Of {{ page.kept.length }} who {{ page.kept.length === 1 ? 'was' : 'were' }} erased. It stands in no list, plan or count; should
      somebody come back, their file can be imported under Export and import.{{ free > 0 ? ` The time of ${free} is over.` : '' }}
    </p>
    <ul v-if="page.kept.length > 0" class="plain">
      <li v-for="record in page.kept" :key="record.id">
        <div>
          <strong>{{ record.name }}</strong>
          <span class="soft">born {{ record.birthDate }}, erased {{ dayWords(record.erasedOn) }} by {{ record.erasedBy }}</span>
          <div>
            {{ over(record) ? 'Had to stay until' : 'Stays until' }} {{ dayWords(record.keepUntil) }}
            <span class="soft">{{ record.reason }}</span>
          </div>
        </div>
        <form v-if="erasing === record.id" class="fields" novalidate @submit.prevent="erase(record)">
          <div class="field">
            <label :for="`kept-${record.id}`">Type the name to erase: {{ record.name }}</label>
            <TextInput :id="`kept-${record.id}`" v-model="typed" autocomplete="off" :aria-invalid="problem ? 'true' : undefined" />
          </div>
          <ProblemNote v-if="problem" :problem="problem" />
          <div class="choices">
            <Button danger html-type="submit" :loading="busy">Erase for good</Button><Button @click="erasing = null">Keep</Button>
          </div>
        </form>
        <div v-else class="choices">
          <a :href="`/api/keeping/kept/${record.id}`" download="kept-record.json">Export what is kept of {{ record.name }}</a>
          <Button v-if="over(record)" @click="begin(record)">Erase</Button>
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
