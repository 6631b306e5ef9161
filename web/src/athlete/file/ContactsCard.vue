<script setup lang="ts">
import { LIMITS, type Athlete, type Contact } from '@pace-bend/core/record';
import { useAthlete } from '../../stores/athlete.ts';
import TextInput from '../../parts/TextInput.vue';
import { t } from '../../words/athlete.ts';

/** Who to call. A line is kept once it has a name. */
const props = defineProps<{ athlete: Athlete; readOnly: boolean }>();
const store = useAthlete();
const COLUMNS = [
  { id: 'name', label: t('name') },
  { id: 'role', label: t('who') },
  { id: 'phone', label: t('phone') },
  { id: 'email', label: t('eMail') },
] as const;
const BLANK: Contact = { name: '', role: '', phone: '', email: '' };
/** The last line is empty, to be written into. */
const lines = () =>
  props.readOnly || props.athlete.contacts.length >= LIMITS.contacts ? props.athlete.contacts : [...props.athlete.contacts, BLANK];

function type(index: number, column: keyof Contact, text: string): void {
  const next = lines()
    .map((contact, i) => (i === index ? { ...contact, [column]: text } : contact))
    .filter((contact) => contact.name.trim() !== '');
  store.set({ contacts: next });
}
</script>

<template>
  <section class="card fields" :aria-label="t('contacts')">
    <h2>{{ t('contacts') }}</h2>
    <p v-if="readOnly && athlete.contacts.length === 0" class="soft">{{ t('none') }}</p>
    <table>
      <caption class="sr-only">
        {{
          t('contacts')
        }}
      </caption>
      <thead>
        <tr>
          <th v-for="column in COLUMNS" :key="column.id" scope="col" class="soft small">{{ column.label }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(contact, i) in lines()" :key="i">
          <td v-for="column in COLUMNS" :key="column.id">
            <TextInput
              :aria-label="t('contact', { label: column.label, what: i + 1 })"
              :model-value="contact[column.id]"
              :maxlength="LIMITS.lineLength"
              :readonly="readOnly"
              :disabled="!readOnly && column.id !== 'name' && contact.name === ''"
              @input="type(i, column.id, ($event.target as HTMLInputElement).value)"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
table {
  width: 100%;
  border-spacing: 6px 4px;
  border-collapse: separate;
  margin: -4px -6px;
}

th {
  text-align: left;
  font-weight: 600;
}
</style>
