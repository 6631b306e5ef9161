<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, ref } from 'vue';
import { v7 as uuid } from 'uuid';
import { blockCautions } from '@pace-bend/core/caution';
import { protocolBlocks, protocolGaps, protocolSeconds, stepsFrom, type BlockPlan } from '@pace-bend/core/method';
import { LIMITS } from '@pace-bend/core/record';
import PickOne from '../../parts/PickOne.vue';
import ProblemNote from '../../parts/ProblemNote.vue';
import { useAction } from '../../parts/useAction.ts';
import { SIDE_WORDS } from '../../parts/words.ts';
import { useSession } from '../../stores/session.ts';
import { useShelf } from '../../stores/shelf.ts';
import { useVisit } from '../../stores/visit.ts';
import TextInput from '../../parts/TextInput.vue';
import { t } from '../../words/plan.ts';

/** Sequences that are taught, or kept, as one: looked at, put into the plan as blocks that can be changed, and made from a plan. */
const props = defineProps<{ blocks: readonly BlockPlan[]; disabled: boolean }>();
const emit = defineEmits<{ put: [blocks: readonly BlockPlan[]] }>();
const visit = useVisit();
const shelf = useShelf();
const session = useSession();
const { busy, problem, run } = useAction();

const chosenId = ref<string | null>(null);
const chosen = computed(() => shelf.protocols.find(({ id }) => id === chosenId.value) ?? null);
const isOwn = computed(() => chosen.value !== null && shelf.itemOf(chosen.value.id) !== null);
const options = computed(() =>
  shelf.protocols.map((protocol) => ({
    value: protocol.id,
    label: t('min2', {
      name: protocol.name,
      protocolSeconds: Math.round(protocolSeconds(protocol, shelf.shelf) / 60),
      itemOf: shelf.itemOf(protocol.id) ? t('ours') : '',
    }),
  })),
);
/** What may not be done on this athlete at all today stays out, and says why. */
const closed = computed(() => {
  const context = visit.cautionContext;
  if (!chosen.value || !context) return new Map<string, string>();
  return new Map(
    protocolBlocks(chosen.value, () => 'looked-at').flatMap((block) => {
      const firm = blockCautions(block, context, [], shelf.shelf).map((side) => side.blocking.find((caution) => !caution.canOverride));
      const [first] = firm;
      return first && firm.every((caution) => caution !== undefined) ? [[block.entryId, first.reason] as const] : [];
    }),
  );
});
const steps = computed(() =>
  (chosen.value?.steps ?? []).map((step, i) => ({
    key: `${i} ${step.entryId}`,
    name: shelf.entryOf(step.entryId).name,
    sides: step.sides.map(({ side }) => (side === 'midline' ? '' : SIDE_WORDS[side].toLowerCase())).filter(Boolean),
    out: closed.value.get(step.entryId) ?? null,
  })),
);
const left = computed(() => steps.value.filter(({ out }) => out === null).length);
const tooMany = computed(() => props.blocks.length + left.value > LIMITS.blocksInPlan);

/** In its own order, behind what is planned and before what ends the visit. */
function putIn(): void {
  const fresh = protocolBlocks(chosen.value!, () => uuid()).filter(({ entryId }) => !closed.value.has(entryId));
  const ends = props.blocks.findIndex((block) => shelf.entryOf(block.entryId).stage === 'close');
  const at = ends < 0 ? props.blocks.length : ends;
  emit('put', [...props.blocks.slice(0, at), ...fresh, ...props.blocks.slice(at)]);
  chosenId.value = null;
}

/** Side blocks that were begun and not ended. */
const gaps = computed(() =>
  protocolGaps(props.blocks, shelf.protocols).map(({ protocolId, missing, entryIds }) => ({
    key: `${protocolId} ${missing}`,
    name: shelf.protocols.find(({ id }) => id === protocolId)!.name,
    side: SIDE_WORDS[missing].toLowerCase(),
    entries: entryIds.map((id) => shelf.entryOf(id).name).join(', '),
  })),
);

const keeping = ref(false);
const name = ref('');
const nameWrong = computed(() => (name.value.trim().length < 2 ? t('needsName') : null));
const tried = ref(false);
const mayKeep = computed(() => session.may('PUT', '/shelf/:id'));
async function keep(): Promise<void> {
  tried.value = true;
  if (nameWrong.value) return;
  const fields = { kind: 'protocol' as const, name: name.value.trim(), what: '', steps: stepsFrom(props.blocks) };
  if (!(await run(async () => void (await shelf.save(fields, null))))) return;
  [keeping.value, tried.value, name.value] = [false, false, ''];
}
const takeOff = () =>
  run(async () => {
    await shelf.setRetired(chosen.value!.id, true);
    chosenId.value = null;
  });
</script>

<template>
  <section class="card" :aria-label="t('sequences')">
    <h2>{{ t('sequences') }}</h2>
    <p v-for="gap in gaps" :key="gap.key" class="gap" role="status">
      {{ t('notPlanned', { name: gap.name, side: gap.side, entries: gap.entries }) }}
    </p>
    <PickOne
      class="any"
      :value="chosenId"
      search
      :disabled="disabled"
      :label="t('sequenceFromShelf')"
      :placeholder="t('sequenceFromShelf')"
      :options="options"
      @change="(id) => (chosenId = id)"
    />
    <p v-if="shelf.unfitProtocols.length > 0" class="soft small">
      {{ t('noLongerFitsWhat', { unfitProtocols: shelf.unfitProtocols.map((each) => each.name).join(', ') }) }}
    </p>
    <template v-if="chosen">
      <p v-if="chosen.what" class="soft small">{{ chosen.what }}</p>
      <ol class="steps" :aria-label="t('steps')">
        <li v-for="step in steps" :key="step.key">
          <span :class="{ out: step.out }">{{ step.name }}</span><span v-if="step.sides.length" class="soft small">{{
            ` ${step.sides.join(', ')}`
          }}</span
          ><span v-if="step.out" class="small soft">{{ ` ${t('staysOut', { out: step.out })}` }}</span>
        </li>
      </ol>
      <p v-if="tooMany" class="wrong" role="alert">{{ t('planMostBlocks', { blocksInPlan: LIMITS.blocksInPlan }) }}</p>
      <p class="acts">
        <Button type="primary" :disabled="disabled || left === 0 || tooMany" @click="putIn">{{ t('putPlan') }}</Button>
        <Button @click="chosenId = null">{{ t('closeIt') }}</Button>
        <Button v-if="isOwn && mayKeep" :loading="busy" @click="takeOff">{{ t('takeOffShelf') }}</Button>
      </p>
    </template>
    <template v-else-if="mayKeep && blocks.length > 1">
      <p v-if="!keeping" class="acts">
        <Button @click="keeping = true">{{ t('keepPlanSequence') }}</Button>
      </p>
      <form v-else class="keep" novalidate @submit.prevent="keep">
        <label
          >{{ t('nameSequence') }}<TextInput v-model="name" maxlength="120" :aria-invalid="tried && nameWrong ? 'true' : undefined"
        /></label>
        <p v-if="tried && nameWrong" class="wrong" role="alert">{{ nameWrong }}</p>
        <p class="acts">
          <Button type="primary" html-type="submit" :loading="busy">{{ t('keepIt') }}</Button>
          <Button @click="keeping = false">{{ t('leaveIt') }}</Button>
        </p>
      </form>
    </template>
    <ProblemNote v-if="problem" :problem="problem" />
  </section>
</template>

<style scoped>
.any {
  width: 100%;
  margin: 8px 0 2px;
}

.steps {
  margin: 6px 0;
  padding-left: 26px;
  columns: 2 260px;
  column-gap: 24px;
}

.steps li {
  break-inside: avoid;
  padding: 2px 0;
}

.out {
  color: var(--soft);
  text-decoration: line-through;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 8px 0 0;
}

.keep label {
  display: grid;
  gap: 2px;
  max-width: 380px;
}

.gap,
.wrong {
  color: var(--clay-text);
}
</style>
