<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Form, { FormItem } from 'ant-design-vue/es/form';
import Input from 'ant-design-vue/es/input';
import Radio, { RadioGroup } from 'ant-design-vue/es/radio';
import Joi from 'joi';
import { v7 as uuid } from 'uuid';
import { computed, onMounted, reactive, ref } from 'vue';
import { LIMITS, type CalendarEvent, type Squad } from '@pace-bend/core/record';
import { api, ApiProblem } from '../api/api.ts';
import DayField from '../parts/DayField.vue';
import PickOne from '../parts/PickOne.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { dayRule, lineRule } from '../parts/rules.ts';
import { useAction } from '../parts/useAction.ts';
import { useForm } from '../parts/useForm.ts';
import { IMPORTANCE_WORDS } from '../parts/words.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import MoveLook from './MoveLook.vue';
import { useEventMove, type EventMoved } from './useEventMove.ts';
import { t } from '../words/events.ts';

/**
 * An event that is trained for: for everybody, one squad or one athlete, added, changed or taken off. Where something hangs on its day, what
 * moves with it is looked at first.
 */
const props = withDefaults(
  defineProps<{
    event: CalendarEvent | null;
    day: string;
    /** Whose a new one is unless something else is said. */
    squadId?: string | null;
    /** The athlete whose own it may be. */
    athlete?: { readonly id: string; readonly name: string } | null;
  }>(),
  { squadId: null, athlete: null },
);
const open = defineModel<boolean>('open', { required: true });
const emit = defineEmits<{ saved: [moved: EventMoved | null] }>();

// Made when the form opens, so that trying again adds one event.
const id = props.event?.id ?? uuid();
const fields = reactive({
  name: props.event?.name ?? '',
  onDate: props.event?.onDate ?? props.day,
  importance: props.event?.importance ?? (2 as const),
  whose: whoseOf(),
});
function whoseOf(): string {
  if (props.event) return props.event.athleteId ? `athlete/${props.event.athleteId}` : (props.event.squadId ?? 'all');
  return props.athlete ? `athlete/${props.athlete.id}` : (props.squadId ?? 'all');
}
const practice = usePractice();
const session = useSession();
const { busy, problem, run } = useAction();
const move = useEventMove();
const { look, visits, goals } = move;
const squads = ref<readonly Squad[]>([]);
onMounted(async () => {
  squads.value = await api<{ squads: Squad[] }>('GET', '/squads').then(
    (found) => found.squads,
    () => [],
  );
});
const choices = computed(() => [
  { value: 'all', label: t('everybody') },
  ...(props.athlete
    ? [{ value: `athlete/${props.athlete.id}`, label: props.athlete.name }]
    : props.event?.athleteId
      ? [{ value: `athlete/${props.event.athleteId}`, label: t('oneAthlete') }]
      : []),
  ...squads.value.map((squad) => ({ value: squad.id, label: squad.name })),
]);

const form = ref<HTMLElement | null>(null);
const { wrong, isSound } = useForm(
  () => Joi.object({ name: lineRule(LIMITS.eventName), onDate: dayRule(practice.today) }),
  () => fields,
);

async function keep(): Promise<void> {
  if (!isSound(form.value)) return;
  const sent = {
    name: fields.name.trim(),
    onDate: fields.onDate,
    importance: fields.importance,
    squadId: fields.whose === 'all' || fields.whose.startsWith('athlete/') ? null : fields.whose,
    athleteId: fields.whose.startsWith('athlete/') ? fields.whose.slice('athlete/'.length) : null,
  };
  const { event } = props;
  if (event && event.onDate !== sent.onDate && move.look.value?.toDay !== sent.onDate) {
    if (!(await run(() => move.lookAt(event.id, sent.onDate)))) return;
    // With something hanging on its day it is looked at; with nothing it is one change like every other.
    if (move.depends.value) return;
    move.leave();
  }
  let moved: EventMoved | null = null;
  const worked = await run(async () => {
    if (move.look.value) moved = await move.go();
    const revision = (event?.revision ?? 0) + (moved ? 1 : 0);
    const others =
      event === null ||
      sent.name !== event.name ||
      sent.importance !== event.importance ||
      sent.squadId !== event.squadId ||
      sent.athleteId !== event.athleteId;
    if (others || !moved) await api('PUT', `/events/${id}`, { revision, ...sent });
  });
  if (worked) done(moved);
}

/** One that somebody else has taken off already is off. */
async function takeOff(): Promise<void> {
  const gone = await run(() =>
    api('DELETE', `/events/${id}`).catch((error: unknown) => {
      if (!(error instanceof ApiProblem) || error.status !== 404) throw error;
    }),
  );
  if (gone) done(null);
}

function done(moved: EventMoved | null): void {
  open.value = false;
  emit('saved', moved);
}
</script>

<template>
  <SheetDialog v-model:open="open" :title="look ? t('moveEvent') : event ? t('event') : t('addEvent')" :width="look ? 620 : 460">
    <form v-if="look" @submit.prevent="keep">
      <MoveLook v-model:visits="visits" v-model:goals="goals" :look="look" />
      <p v-if="problem" class="wrong" role="alert">{{ problem.message }}</p>
      <div class="choices">
        <Button type="primary" html-type="submit" :loading="busy">{{ t('moveAll') }}</Button><Button :disabled="busy" @click="move.leave">{{
          t('back')
        }}</Button>
      </div>
    </form>
    <div v-else ref="form">
      <Form layout="vertical" novalidate @submit.prevent="keep">
        <FormItem :label="t('name')" html-for="event-name" :validate-status="wrong.name ? 'error' : ''" :help="wrong.name || undefined"
          ><Input
            id="event-name"
            v-model:value="fields.name"
            :aria-invalid="wrong.name ? 'true' : undefined"
            :maxlength="LIMITS.eventName"
            :placeholder="t('autumnHead')"
            autocomplete="off"
        /></FormItem>
        <DayField id="event-day" v-model:value="fields.onDate" :label="t('day')" v-bind="wrong.onDate ? { wrong: wrong.onDate } : {}" />
        <FormItem :label="t('importance')">
          <RadioGroup v-model:value="fields.importance" role="radiogroup" :aria-label="t('importance')"
            ><Radio v-for="each in [1, 2, 3] as const" :key="each" :value="each"
              >{{ each }}: {{ IMPORTANCE_WORDS[each] }}</Radio
            ></RadioGroup
          >
        </FormItem>
        <FormItem :label="t('whose')"
          ><PickOne
            :label="t('whoseEvent')"
            :value="fields.whose"
            :options="choices"
            class="whose"
            @change="
              (value) => {
                fields.whose = value;
              }
            "
        /></FormItem>
        <p v-if="problem" class="wrong" role="alert">{{ problem.message }}</p>
        <div class="choices">
          <Button type="primary" html-type="submit" :loading="busy">{{ event ? t('keepChange') : t('addTheEvent') }}</Button><Button
            v-if="event"
            :disabled="busy"
            @click="takeOff"
            >{{ t('takeOff') }}</Button
          >
          <RouterLink v-if="event && session.may('PUT', '/event-days/:id')" :to="`/event-days?event=${event.id}`">{{
            t('setUpDay')
          }}</RouterLink>
        </div>
      </Form>
    </div>
  </SheetDialog>
</template>

<style scoped>
.choices {
  margin-top: 14px;
}

.whose {
  width: 100%;
}
</style>
