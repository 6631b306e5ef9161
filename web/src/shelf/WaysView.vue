<script setup lang="ts">
import { computed, onMounted } from 'vue';
import { fits, type Method } from '@pace-bend/core/method';
import { useSession } from '../stores/session.ts';
import { useShelf } from '../stores/shelf.ts';
import { sureWords } from './wayWords.ts';
import ShelfTabs from './ShelfTabs.vue';
import { t } from '../words/shelf.ts';

/** Every way of working: what it is for, what it claims and how sure that is, what other schools do. */
const shelf = useShelf();
const session = useSession();
onMounted(() => void shelf.load().catch(() => undefined));
/** An entry on which a way is practised: one whose usual way it is, else any that it fits. */
const toPractise = (method: Method) =>
  shelf.entries.find((entry) => entry.ways[0] === (method.madeFrom ?? method.id) && fits(entry, method)) ??
  shelf.entries.find((entry) => fits(entry, method));
const mayWrite = computed(() => session.may('PUT', '/shelf/:id'));
</script>

<template>
  <div class="page">
    <header>
      <h1>{{ t('waysWorking') }}</h1>
      <ShelfTabs here="ways" />
    </header>
    <article v-for="method in shelf.methods" :key="method.id" class="card way" :aria-label="method.name">
      <h2>
        {{ method.name }}
        <span v-if="method.madeFrom" class="own small">{{
          t('yourOwnFrom', { methodOf: shelf.methodOf(method.madeFrom).name.toLowerCase() })
        }}</span>
      </h2>
      <p class="soft small">{{ t('also2', { synonyms: method.synonyms.join(', ') }) }}</p>
      <p>{{ method.what }}</p>
      <dl>
        <div>
          <dt>{{ t('for') }}</dt>
          <dd>{{ method.purpose }}</dd>
        </div>
        <div>
          <dt>{{ t('breath') }}</dt>
          <dd>{{ method.breathWords }}</dd>
        </div>
        <div>
          <dt>{{ t('schoolsDiffer') }}</dt>
          <dd>{{ method.schoolsDiffer }}</dd>
        </div>
        <div>
          <dt>{{ t('claims') }}</dt>
          <dd>
            <p v-for="claim in method.claims" :key="claim.text">
              {{ claim.text }} <span class="sure small" :class="claim.sure">{{ sureWords(claim.sure) }}</span> {{ ' '
              }}<span class="soft small">{{ claim.source }}</span>
            </p>
          </dd>
        </div>
      </dl>
      <p class="acts small">
        <RouterLink :to="`/shelf/compare?a=${method.id}`">{{ t('putBesideAnother') }}</RouterLink><RouterLink
          v-if="toPractise(method)"
          :to="`/shelf/entry/${toPractise(method)!.id}/practise?way=${method.id}`"
          >{{ t('practiseIt') }}</RouterLink
        ><RouterLink v-if="mayWrite" :to="`/shelf/way?from=${method.id}`">{{
          method.madeFrom ? t('changeIt') : t('copyYourOwn')
        }}</RouterLink>
      </p>
    </article>
  </div>
</template>

<style scoped>
.way {
  display: grid;
  gap: 5px;
}

.own {
  margin-left: 8px;
  color: var(--spruce);
  font-weight: 500;
}

dl {
  display: grid;
  gap: 3px;
  margin: 0;
}

dl > div {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
  gap: 10px;
}

dt {
  color: var(--soft);
}

dd {
  margin: 0;
}

.sure {
  padding: 0 6px;
  border: 1px solid var(--line);
  border-radius: 3px;
}

.sure.shown {
  border-color: var(--spruce);
}

.acts {
  display: flex;
  gap: 16px;
}
</style>
