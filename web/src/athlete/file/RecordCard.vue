<script setup lang="ts">
import { computed, ref } from 'vue';
import { RECORD_TABLES } from '@pace-bend/core/exchange';
import type { Athlete } from '@pace-bend/core/record';
import { useSession } from '../../stores/session.ts';
import DayField from '../../parts/DayField.vue';
import EraseForm from './EraseForm.vue';
import { t } from '../../words/athlete.ts';

/** The record as files that others can read, and erasing it for good. */
const props = defineProps<{ athlete: Athlete }>();
const session = useSession();
const erasing = ref(false);

/** The days whose visits go into the FHIR bundle; empty for all. */
const from = ref('');
const to = ref('');
const turned = computed(() => from.value !== '' && to.value !== '' && from.value > to.value);
const fhirHref = computed(() => {
  const span = new URLSearchParams({ ...(from.value && { from: from.value }), ...(to.value && { to: to.value }) }).toString();
  return `/api/athletes/${props.athlete.id}/fhir${span && `?${span}`}`;
});
</script>

<template>
  <section v-if="session.may('GET', '/athletes/:id/record')" class="card fields" :aria-label="t('record')">
    <h2>{{ t('record') }}</h2>
    <div>
      <h3>
        <a :href="`/api/athletes/${athlete.id}/record`" download="athlete-record.json">{{ t('exportWholeRecordJson') }}</a>
      </h3>
      <p class="soft">{{ t('everythingKeptAboutTable', { name: athlete.name }) }}</p>
    </div>
    <div v-if="session.may('GET', '/athletes/:id/fhir')">
      <h3>
        <span v-if="turned">{{ t('exportOtherHealthRecords') }}</span><a v-else :href="fhirHref" download="athlete-fhir.json">{{
          t('exportOtherHealthRecords')
        }}</a>
      </h3>
      <p class="soft">
        {{ t('visitsReadingsTheirError') }}
      </p>
      <div class="span">
        <DayField
          id="fhir-from"
          :label="t('visitsFrom')"
          optional
          :placeholder="t('theFirst')"
          :value="from"
          @day="(day) => (from = day)"
        />
        <DayField id="fhir-to" :label="t('to')" optional :placeholder="t('theLast')" :value="to" @day="(day) => (to = day)" />
      </div>
      <p v-if="turned" class="wrong" role="alert">{{ t('firstDayAfterLast') }}</p>
    </div>
    <div v-if="session.may('GET', '/athletes/:id/tables/:table')">
      <h3>{{ t('exportTablesCsv') }}</h3>
      <p>
        <template v-for="(table, i) in RECORD_TABLES" :key="table.id"
          >{{ i > 0 ? ', ' : ''
          }}<a :href="`/api/athletes/${athlete.id}/tables/${table.id}`" :download="`${table.id}.csv`">{{
            table.name.toLowerCase()
          }}</a></template
        >
      </p>
      <p class="soft">
        <a :href="`/api/athletes/${athlete.id}/tables`" download="athlete-tables.zip">{{ t('exportAllTablesZip') }}</a>{{
          t('whatEveryColumnSays')
        }}
      </p>
    </div>
    <template v-if="session.may('DELETE', '/athletes/:id')">
      <button v-if="!erasing" type="button" class="link" @click="erasing = true">{{ t('eraseAthlete') }}</button>
      <EraseForm v-else :athlete="athlete" @keep="erasing = false" />
    </template>
  </section>
</template>

<style scoped>
.card h3 {
  margin: 0;
  font-size: 15px;
}

.card div > p {
  margin: 2px 0 6px;
}

.span {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(160px, 1fr));
  gap: 12px;
  max-width: 420px;
}

.link {
  justify-self: start;
  color: var(--clay-text);
}
</style>
