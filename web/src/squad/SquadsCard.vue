<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { v7 as uuid } from 'uuid';
import { computed, onMounted, ref, watch } from 'vue';
import { LIMITS, type AthleteList, type AthleteRow, type Squad } from '@pace-bend/core/record';
import { api } from '../api/api.ts';
import { useAction } from '../parts/useAction.ts';
import PickOne from '../parts/PickOne.vue';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/squad.ts';

/** Who is in which squad. A coach is given squads, so this decides whom they see. */
const props = defineProps<{ squads: readonly Squad[] }>();
const emit = defineEmits<{ change: [squads: Squad[]] }>();

const openId = ref(props.squads[0]?.id ?? 'new');
const name = ref('');
const nameless = ref(false);
const { busy, problem, run } = useAction();
const wrong = computed(() => (nameless.value ? t('squadNeedsName') : (problem.value?.message ?? '')));
const known = ref<readonly AthleteRow[]>([]);
const squad = computed(() => props.squads.find((each) => each.id === openId.value) ?? null);
watch(
  squad,
  (now, before) => {
    name.value = now?.name ?? '';
    nameless.value = false;
    // The same squad as it stands now, after a refusal: what was refused is still said.
    if (now?.id !== before?.id) problem.value = null;
  },
  { immediate: true },
);

async function find(typed: string): Promise<void> {
  const found = await api<AthleteList>('GET', `/athletes?q=${encodeURIComponent(typed)}`).then(
    (list) => list.athletes,
    () => [],
  );
  known.value = [...known.value, ...found.filter((athlete) => !known.value.some((each) => each.id === athlete.id))];
}
onMounted(() => void find(''));
const members = computed(() => known.value.filter((athlete) => squad.value?.athleteIds.includes(athlete.id)));

/** Members that were not looked up yet stay members. */
async function keep(athleteIds: readonly string[]): Promise<void> {
  const wanted = name.value.trim();
  nameless.value = wanted === '';
  if (nameless.value) return;
  const id = squad.value?.id ?? uuid();
  await run(async () => {
    emit(
      'change',
      (await api<{ squads: Squad[] }>('PUT', `/squads/${id}`, { name: wanted, athleteIds, revision: squad.value?.revision ?? 0 })).squads,
    );
    openId.value = id;
  });
  // Somebody else was quicker: what stands now is shown beside what was refused.
  if (problem.value?.isStale)
    emit(
      'change',
      await api<{ squads: Squad[] }>('GET', '/squads').then(
        (found) => found.squads,
        () => [...props.squads],
      ),
    );
}
</script>

<template>
  <section class="card fields" :aria-label="t('squads')">
    <div class="choices" role="group" :aria-label="t('whichSquad')">
      <button
        v-for="each in squads"
        :key="each.id"
        type="button"
        class="choice"
        :aria-pressed="each.id === openId"
        @click="openId = each.id"
      >
        {{ each.name }} <span class="small">{{ each.athleteIds.length }}</span>
      </button>
      <button type="button" class="choice" :aria-pressed="!squad" @click="openId = 'new'">{{ t('newSquad') }}</button>
    </div>
    <form class="line" @submit.prevent="keep(squad?.athleteIds ?? [])">
      <TextInput v-model="name" :aria-label="t('nameSquad')" :placeholder="t('name')" :maxlength="LIMITS.squadName" />
      <Button html-type="submit" :disabled="busy">{{ squad ? t('rename') : t('makeSquad') }}</Button>
      <PickOne
        v-if="squad"
        class="add"
        :label="t('addMember')"
        search
        :value="null"
        :placeholder="t('addMember')"
        :options="
          known.filter((athlete) => !squad!.athleteIds.includes(athlete.id)).map((athlete) => ({ value: athlete.id, label: athlete.name }))
        "
        @search="find"
        @change="(id) => keep([...squad!.athleteIds, id])"
      />
    </form>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <ul v-if="squad" class="plain choices">
      <li v-for="member in members" :key="member.id" class="member">
        {{ member.name }}
        <button
          type="button"
          class="link"
          :aria-label="t('takeOut', { name: member.name, name2: squad.name })"
          :disabled="busy"
          @click="keep(squad!.athleteIds.filter((id) => id !== member.id))"
        >
          ×
        </button>
      </li>
      <li v-if="squad.athleteIds.length > members.length" class="soft small member">
        {{ t('andMore', { count: squad.athleteIds.length - members.length }) }}
      </li>
      <li v-if="squad.athleteIds.length === 0" class="soft">{{ t('nobodyYet') }}</li>
    </ul>
  </section>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: minmax(0, 240px) auto minmax(0, 280px);
  gap: 8px;
}

.member {
  padding: 3px 10px;
  border-radius: 3px;
  background: var(--raised);
}
</style>
