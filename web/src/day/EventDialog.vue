<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import DatePicker from 'ant-design-vue/es/date-picker';
import Form, { FormItem } from 'ant-design-vue/es/form';
import Input from 'ant-design-vue/es/input';
import Radio, { RadioGroup } from 'ant-design-vue/es/radio';
import { v7 as uuid } from 'uuid';
import { computed, onMounted, reactive, ref } from 'vue';
import { isDay, LIMITS, type CalendarEvent, type Squad } from '@pace-bend/core/record';
import { api, ApiProblem } from '../api/api.ts';
import PickOne from '../parts/PickOne.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { useAction } from '../parts/useAction.ts';
import { IMPORTANCE_WORDS } from '../parts/words.ts';

/** An event that is trained for: for everybody or one squad, added, changed or taken off. */
const props = defineProps<{ event: CalendarEvent | null; day: string }>();
const open = defineModel<boolean>('open', { required: true });
const emit = defineEmits<{ saved: [] }>();

// Made when the form opens, so that trying again adds one event.
const id = props.event?.id ?? uuid();
const fields = reactive({
  name: props.event?.name ?? '',
  onDate: props.event?.onDate ?? props.day,
  importance: props.event?.importance ?? (2 as const),
  squadId: props.event?.squadId ?? 'all',
});
const tried = ref(false);
const { busy, problem, run } = useAction();
const squads = ref<readonly Squad[]>([]);
onMounted(async () => {
  squads.value = await api<{ squads: Squad[] }>('GET', '/squads').then(
    (found) => found.squads,
    () => [],
  );
});
const choices = computed(() => [
  { value: 'all', label: 'everybody' },
  ...squads.value.map((squad) => ({ value: squad.id, label: squad.name })),
]);

const wrong = computed(() => ({
  name: tried.value && fields.name.trim() === '' ? `A name of 1 to ${LIMITS.eventName} letters.` : '',
  onDate: tried.value && !isDay(fields.onDate ?? '') ? 'A day, like 2027-05-08.' : '',
}));

async function keep(): Promise<void> {
  tried.value = true;
  if (wrong.value.name || wrong.value.onDate) return;
  const sent = {
    name: fields.name.trim(),
    onDate: fields.onDate,
    importance: fields.importance,
    squadId: fields.squadId === 'all' ? null : fields.squadId,
  };
  if (await run(() => api('PUT', `/events/${id}`, { revision: props.event?.revision ?? 0, ...sent }))) done();
}

/** One that somebody else has taken off already is off. */
async function takeOff(): Promise<void> {
  const gone = await run(() =>
    api('DELETE', `/events/${id}`).catch((error: unknown) => {
      if (!(error instanceof ApiProblem) || error.status !== 404) throw error;
    }),
  );
  if (gone) done();
}

function done(): void {
  open.value = false;
  emit('saved');
}
</script>

<template>
  <SheetDialog v-model:open="open" :title="event ? 'Event' : 'Add an event'" :width="460">
    <Form layout="vertical" novalidate @submit.prevent="keep">
      <FormItem label="Name" html-for="event-name" :validate-status="wrong.name ? 'error' : ''" :help="wrong.name || undefined"
        ><Input id="event-name" v-model:value="fields.name" :maxlength="LIMITS.eventName" placeholder="Autumn head" autocomplete="off"
      /></FormItem>
      <FormItem label="Day" html-for="event-day" :validate-status="wrong.onDate ? 'error' : ''" :help="wrong.onDate || undefined"
        ><DatePicker id="event-day" v-model:value="fields.onDate as never" value-format="YYYY-MM-DD" :allow-clear="false" class="day"
      /></FormItem>
      <FormItem label="Importance">
        <RadioGroup v-model:value="fields.importance" role="radiogroup" aria-label="Importance"
          ><Radio v-for="each in [1, 2, 3] as const" :key="each" :value="each">{{ each }}: {{ IMPORTANCE_WORDS[each] }}</Radio></RadioGroup
        >
      </FormItem>
      <FormItem label="Whose"
        ><PickOne
          label="Whose event"
          :value="fields.squadId"
          :options="choices"
          class="whose"
          @change="
            (value) => {
              fields.squadId = value;
            }
          "
      /></FormItem>
      <p v-if="problem" class="wrong" role="alert">{{ problem.message }}</p>
      <div class="choices">
        <Button type="primary" html-type="submit" :loading="busy">{{ event ? 'Keep the change' : 'Add the event' }}</Button><Button
          v-if="event"
          :disabled="busy"
          @click="takeOff"
          >Take it off</Button
        >
      </div>
    </Form>
  </SheetDialog>
</template>

<style scoped>
.day,
.whose {
  width: 100%;
}
</style>
