<script setup lang="ts">
import { computed, ref } from 'vue';
import PickOne from '../../parts/PickOne.vue';
import SheetDialog from '../../parts/SheetDialog.vue';
import { useWindowKeys } from '../../parts/useWindowKeys.ts';
import type { TableHandle } from './useRun.ts';
import { useTableOffers, type CheckedOffer } from './useTableOffers.ts';
import { t } from '../../words/table.ts';

/** What is done instead of the rest of a block, or as well: one digit chooses. Cautions have been asked already. */
const props = defineProps<{ run: TableHandle; how: 'instead' | 'added' }>();
const open = defineModel<boolean>('open', { required: true });
const offers = useTableOffers(props.run);
const shown = computed(() => (props.how === 'instead' ? offers.swaps.value : offers.additions.value));
/** Chosen from the shelf, but cautions forbid it. */
const refused = ref<string | null>(null);

function choose(offer: CheckedOffer): void {
  const event = offers.eventOf(offer, props.how);
  if (event) props.run.act(event);
  open.value = false;
}
function chooseEntry(id: string): void {
  const found = offers.fromShelf(id);
  if (found) choose(found);
  else refused.value = offers.shelf.value.find(({ value }) => value === id)?.label ?? null;
}
useWindowKeys((event) => {
  if (!open.value || (event.target as HTMLElement).closest('input')) return;
  const offer = /^[1-9]$/.test(event.key) ? shown.value[Number(event.key) - 1] : undefined;
  if (!offer) return;
  event.preventDefault();
  choose(offer);
});
</script>

<template>
  <SheetDialog v-model:open="open" :title="how === 'instead' ? t('insteadRestBlock') : t('addAfterSide')" :width="920">
    <p v-if="shown.length === 0" class="soft">
      {{ how === 'instead' ? t('nothingElseFitsHere') : t('nothingSameCanAdded') }}
    </p>
    <ol class="plain offers">
      <li v-for="(each, i) in shown" :key="`${each.offer.entryId}/${each.offer.methodId}`">
        <button type="button" class="offer" @click="choose(each)">
          <kbd>{{ i + 1 }}</kbd>
          <span class="what"
            ><b>{{ each.entryName }}</b
            ><span>{{ each.wayName }}</span
            ><span class="soft"
              >{{ each.offer.words
              }}<template v-if="each.offer.turnTo">{{ ' ' }}{{ t('turn', { turnTo: each.offer.turnTo }) }}</template></span
            ></span
          >
        </button>
      </li>
    </ol>
    <div v-if="how === 'added'" class="shelf">
      <PickOne
        :value="null"
        :label="t('anythingFromShelf')"
        search
        :placeholder="t('anythingFromShelfName')"
        :options="offers.shelf.value"
        @change="chooseEntry"
      />
      <p v-if="refused" class="wrong" role="alert">{{ t('cautionsForbidHereNot', { refused }) }}</p>
    </div>
  </SheetDialog>
</template>

<style scoped>
.offers {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(380px, 100%), 1fr));
  gap: 8px;
}

.offer {
  display: flex;
  align-items: center;
  gap: 16px;
  width: 100%;
  min-height: 60px;
  padding: 8px 16px;
  border: 2px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}

.offer:hover,
.offer:focus-visible {
  border-color: var(--ink);
}

.offer kbd {
  font-size: 22px;
}

.what {
  display: grid;
}

.shelf {
  margin-top: 14px;
}
</style>
