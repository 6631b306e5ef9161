<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import Joi from 'joi';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { KEPT_KINDS, type KeepingPage, type KeptKind } from '@pace-bend/core/keeping';
import type { Athlete } from '@pace-bend/core/record';
import { api } from '../../api/api.ts';
import { stillStandsIn } from '../../parts/backupWords.ts';
import { dayWords } from '../../parts/dayWords.ts';
import { lowerFirst } from '../../parts/words.ts';
import ProblemNote from '../../parts/ProblemNote.vue';
import TextInput from '../../parts/TextInput.vue';
import { useAction } from '../../parts/useAction.ts';
import { useForm } from '../../parts/useForm.ts';

/** Erasing somebody on their wish: their copy first, what has to stay and where they still stand, then their name. */
const props = defineProps<{ athlete: Athlete }>();
const emit = defineEmits<{ keep: [] }>();
const router = useRouter();
const { busy, problem, run } = useAction();

interface Erasing {
  readonly keptUntil: string | null;
  readonly kinds: readonly KeptKind[];
  readonly reason: string;
  readonly backups: KeepingPage['backups'];
}
const erasing = ref<Erasing | null>(null);
const load = () =>
  run(async () => {
    erasing.value = await api<Erasing>('GET', `/athletes/${props.athlete.id}/erasing`);
  });
onMounted(load);

const exported = ref(false);
const unwanted = ref(false);
const confirm = ref('');
const form = ref<HTMLFormElement | null>(null);
const { wrong, isSound } = useForm(
  () =>
    Joi.object({
      copy: Joi.boolean().valid(true).messages({ 'any.only': 'Export their record first, or say that they want no copy.' }),
      confirm: Joi.string().trim().valid(props.athlete.name).messages({ '*': 'Type the name exactly as it stands above.' }),
    }),
  () => ({ copy: exported.value || unwanted.value, confirm: confirm.value }),
);
const kinds = computed(() =>
  KEPT_KINDS.filter(({ id }) => erasing.value?.kinds.includes(id)).map(({ name }, i) => (i === 0 ? name : lowerFirst(name))),
);

async function erase(): Promise<void> {
  if (!isSound(form.value)) return;
  const copy = exported.value ? 'handed over' : 'not wanted';
  if (await run(() => api('DELETE', `/athletes/${props.athlete.id}`, { confirm: confirm.value.trim(), copy }))) await router.push('/squad');
}
</script>

<template>
  <ProblemNote v-if="problem && !erasing" :problem="problem" :retry="load" />
  <p v-else-if="!erasing" class="soft" role="status">Reading …</p>
  <form v-else ref="form" class="fields" novalidate aria-label="Erase this athlete" @submit.prevent="erase">
    <h3>1. Their copy</h3>
    <p>
      <a :href="`/api/athletes/${athlete.id}/record`" download="athlete-record.json" @click="exported = true"
        >Export the record to hand over</a
      >
      <span v-if="exported" class="soft" role="status"> Exported</span>
    </p>
    <Checkbox v-model:checked="unwanted" :disabled="exported" :aria-invalid="wrong.copy ? 'true' : undefined">They want no copy</Checkbox>
    <p v-if="wrong.copy" class="wrong" role="alert">{{ wrong.copy }}</p>
    <h3>2. What goes, and what stays</h3>
    <template v-if="erasing.keptUntil">
      <p>
        Until {{ dayWords(erasing.keptUntil) }} these have to stay ({{ erasing.reason }}): {{ kinds.join('; ') }}. They are put aside, out
        of everybody’s sight, under Practice, Keeping. Everything else goes.
      </p>
    </template>
    <p v-else>Everything goes: file, visits, readings, plans, runs, notes.</p>
    <p>It cannot be undone. Lines of the audit stay, which hold no content, and that somebody was erased.</p>
    <p>{{ stillStandsIn(erasing.backups, dayWords) }}</p>
    <h3>3. Their name</h3>
    <div class="field">
      <label for="erase-name">Type the name to erase: {{ athlete.name }}</label>
      <TextInput id="erase-name" v-model="confirm" autocomplete="off" :aria-invalid="wrong.confirm ? 'true' : undefined" />
      <p v-if="wrong.confirm" class="wrong" role="alert">{{ wrong.confirm }}</p>
    </div>
    <ProblemNote v-if="problem" :problem="problem" />
    <div class="choices">
      <Button danger html-type="submit" :disabled="busy">Erase for good</Button><Button @click="emit('keep')">Keep</Button>
    </div>
  </form>
</template>

<style scoped>
p,
h3 {
  margin: 0;
}

h3 {
  font-size: 15px;
}
</style>
