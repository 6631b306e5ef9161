<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { RECORD_TABLES } from '@pace-bend/core/exchange';
import type { Athlete } from '@pace-bend/core/record';
import { api } from '../../api/api.ts';
import { useAction } from '../../parts/useAction.ts';
import { useSession } from '../../stores/session.ts';

/** The whole record as one file, and erasing it for good. */
const props = defineProps<{ athlete: Athlete }>();
const session = useSession();
const router = useRouter();
const erasing = ref(false);
const typed = ref('');
/** What was typed is not the name. */
const other = ref(false);
const { busy, problem, run } = useAction();
const wrong = computed(() => (other.value ? 'Type the name exactly as it stands above.' : (problem.value?.message ?? '')));

async function erase(): Promise<void> {
  other.value = typed.value.trim() !== props.athlete.name;
  if (other.value) return;
  if (await run(() => api('DELETE', `/athletes/${props.athlete.id}`, { confirm: typed.value.trim() }))) await router.push('/squad');
}
</script>

<template>
  <section v-if="session.may('GET', '/athletes/:id/record')" class="card fields" aria-label="Record">
    <h2>Record</h2>
    <p><a :href="`/api/athletes/${athlete.id}/record`" download="athlete-record.json">The whole record as one file (JSON)</a></p>
    <p v-if="session.may('GET', '/athletes/:id/tables/:table')">
      As tables (CSV):
      <template v-for="(table, i) in RECORD_TABLES" :key="table.id"
        >{{ i > 0 ? ', ' : ''
        }}<a :href="`/api/athletes/${athlete.id}/tables/${table.id}`" :download="`${table.id}.csv`">{{
          table.name.toLowerCase()
        }}</a></template
      >
    </p>
    <template v-if="session.may('DELETE', '/athletes/:id')">
      <button v-if="!erasing" type="button" class="link" @click="erasing = true">Erase this athlete</button>
      <form v-else class="fields" @submit.prevent="erase">
        <p>
          Everything goes: file, visits, readings, plans, runs, notes. It cannot be undone. Only the line that it was erased stays in the
          audit.
        </p>
        <div class="field">
          <label for="erase-name">Type the name to erase: {{ athlete.name }}</label>
          <input id="erase-name" v-model="typed" class="input" autocomplete="off" :aria-invalid="wrong ? 'true' : undefined" />
          <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
        </div>
        <div class="choices">
          <Button danger html-type="submit" :disabled="busy">Erase for good</Button><Button @click="erasing = false">Keep</Button>
        </div>
      </form>
    </template>
  </section>
</template>

<style scoped>
.link {
  justify-self: start;
  color: var(--clay-text);
}
</style>
