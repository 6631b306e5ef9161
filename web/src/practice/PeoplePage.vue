<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { onMounted, ref } from 'vue';
import type { Account } from '@pace-bend/core/access';
import type { Squad } from '@pace-bend/core/record';
import { api } from '../api/api.ts';
import { useAction } from '../parts/useAction.ts';
import ProblemNote from '../parts/ProblemNote.vue';
import { roleWords } from '../parts/roleWords.ts';
import { useSession } from '../stores/session.ts';
import AccountForm from './AccountForm.vue';
import { t } from '../words/practice.ts';

/** Who may come in, and as what. */
const session = useSession();
const accounts = ref<readonly Account[] | null>(null);
const squads = ref<readonly Squad[]>([]);
const { problem, run } = useAction();
const writing = ref('');

const load = () =>
  run(async () => {
    [accounts.value, squads.value] = await Promise.all([
      api<{ accounts: Account[] }>('GET', '/accounts').then((found) => found.accounts),
      api<{ squads: Squad[] }>('GET', '/squads').then((found) => found.squads),
    ]);
  });
onMounted(load);
function take(next: readonly Account[]): void {
  accounts.value = next;
  writing.value = '';
}
const ROLES_SAY = {
  owner: t('everythingWhoMayCome'),
  therapist: t('athletesVisitsNotesCautions'),
  assistant: t('worksDayMeasuresRuns'),
  coach: t('readinessAvailabilityRangeSquads'),
} as const;
</script>

<template>
  <section class="card" :aria-label="t('people')">
    <header>
      <h2>{{ t('people') }}</h2>
      <Button v-if="writing === ''" type="primary" @click="writing = 'new'">{{ t('addPerson') }}</Button>
    </header>
    <ProblemNote v-if="problem" :problem="problem" :retry="load" />
    <AccountForm v-if="writing === 'new'" :account="null" :squads="squads" @kept="take" @leave="writing = ''" />
    <ul class="plain">
      <li v-for="account in accounts ?? []" :key="account.id">
        <AccountForm v-if="writing === account.id" :account="account" :squads="squads" @kept="take" @leave="writing = ''" />
        <template v-else>
          <b
            >{{ account.name }}<span v-if="account.id === session.me?.id" class="soft">{{ ' ' }}{{ t('you') }}</span></b
          >
          <span class="soft">{{ account.login }}</span>
          <span
            >{{ roleWords(account.role) }}<span v-if="!account.active" class="care">{{ ' ' }}{{ t('closed') }}</span></span
          >
          <span class="soft small">{{
            account.role === 'coach'
              ? account.squadIds
                  .map((id) => squads.find((squad) => squad.id === id)?.name)
                  .filter(Boolean)
                  .join(', ') || t('noSquadYet')
              : ROLES_SAY[account.role]
          }}</span>
          <button type="button" class="link" :aria-label="t('change2', { name: account.name })" @click="writing = account.id">
            {{ t('change') }}
          </button>
        </template>
      </li>
    </ul>
  </section>
</template>

<style scoped>
header {
  display: flex;
  justify-content: space-between;
  margin-bottom: 8px;
}

li {
  display: grid;
  grid-template-columns: minmax(140px, 1fr) 120px 130px minmax(0, 1.6fr) 60px;
  align-items: center;
  gap: 12px;
  min-height: 54px;
  border-top: 1px solid var(--line-faint);
}

li > form {
  grid-column: 1 / -1;
}

.care {
  color: var(--clay-text);
}

@container page (max-width: 760px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 2px 12px;
    padding: 8px 0;
  }

  li > .small {
    grid-column: 1;
  }
}
</style>
