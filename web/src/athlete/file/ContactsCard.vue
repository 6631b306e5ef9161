<script setup lang="ts">
import { LIMITS, type Athlete, type Contact } from '@pace-bend/core/record';
import { useAthlete } from '../../stores/athlete.ts';
import TextInput from '../../parts/TextInput.vue';

/** Who to call. A line is kept once it has a name. */
const props = defineProps<{ athlete: Athlete; readOnly: boolean }>();
const store = useAthlete();
const COLUMNS = [
  { id: 'name', label: 'Name' },
  { id: 'role', label: 'Who' },
  { id: 'phone', label: 'Phone' },
  { id: 'email', label: 'E-mail' },
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
  <section class="card fields" aria-label="Contacts">
    <h2>Contacts</h2>
    <p v-if="readOnly && athlete.contacts.length === 0" class="soft">None.</p>
    <table>
      <caption class="sr-only">
        Contacts
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
              :aria-label="`${column.label}, contact ${i + 1}`"
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
