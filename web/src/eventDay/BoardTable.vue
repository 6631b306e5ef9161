<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import type { BoardRow, BoardTable } from '@pace-bend/core/eventDay';
import { usePractice } from '../stores/practice.ts';
import { standingWords, STATUS_WORDS } from './words.ts';
import { t } from '../words/eventDay.ts';

/** One table: now, next, later. Late and at risk are words in a frame, not only a colour. */
defineProps<{ table: BoardTable; hands: string; /** Only to be read: no buttons and no words about anybody's race. */ quiet: boolean }>();
const emit = defineEmits<{
  here: [row: BoardRow];
  done: [row: BoardRow];
  onto: [row: BoardRow];
  longer: [row: BoardRow];
  more: [row: BoardRow];
}>();
const practice = usePractice();
</script>

<template>
  <section class="table" :aria-label="t('table', { table: table.table })">
    <h2>
      {{ t('table', { table: table.table }) }} <small>{{ hands }}</small>
    </h2>
    <div class="slot now" :class="table.now?.standing" data-testid="board-now">
      <h3>{{ t('now') }}</h3>
      <template v-if="table.now">
        <p class="name">{{ table.now.name }}</p>
        <p class="when num">
          {{ t('until', { clock: practice.clock(Math.min(1439, table.now.until!)) }) }}
          <span v-if="standingWords(table.now)" class="mark">{{ standingWords(table.now) }}</span>
        </p>
        <div v-if="!quiet" class="keys">
          <Button type="primary" size="large" @click="emit('done', table.now!)">{{ t('done') }}</Button>
          <Button size="large" @click="emit('longer', table.now!)">{{ t('n5MinMore') }}</Button>
          <Button size="large" :aria-label="t('moreAbout', { name: table.now.name })" @click="emit('more', table.now!)">{{
            t('more')
          }}</Button>
        </div>
      </template>
      <p v-else class="name free">{{ t('free') }}</p>
    </div>
    <div class="slot next" :class="table.next?.standing" data-testid="board-next">
      <h3>{{ t('next') }}</h3>
      <template v-if="table.next">
        <p class="name">
          <span class="num at">{{ practice.clock(table.next.at!) }}</span> {{ table.next.name }}
        </p>
        <p class="when">
          <span v-if="!quiet">{{ table.next.raceName }}, </span>{{ STATUS_WORDS[table.next.state.status]
          }}<span v-if="!quiet && table.next.expected! > table.next.at!" class="num">{{
            t('likely', { clock: practice.clock(table.next.expected!) })
          }}</span>
          <span v-if="standingWords(table.next)" class="mark">{{ standingWords(table.next) }}</span>
        </p>
        <div v-if="!quiet" class="keys">
          <Button
            v-if="table.next.state.status === 'waiting'"
            size="large"
            :type="table.now ? 'primary' : 'default'"
            @click="emit('here', table.next!)"
            >{{ t('here') }}</Button
          >
          <Button v-if="!table.now" type="primary" size="large" @click="emit('onto', table.next!)">{{ t('onTheTable') }}</Button>
          <Button size="large" :aria-label="t('moreAbout', { name: table.next.name })" @click="emit('more', table.next!)">{{
            t('more')
          }}</Button>
        </div>
      </template>
      <p v-else class="soft">{{ t('nobody') }}</p>
    </div>
    <div class="slot later">
      <h3>{{ t('later') }}</h3>
      <ol v-if="table.later.length > 0" class="plain">
        <li v-for="row in table.later" :key="row.state.wish.id" :class="row.standing" data-testid="board-later">
          <component :is="quiet ? 'div' : 'button'" :type="quiet ? undefined : 'button'" class="line" @click="quiet || emit('more', row)">
            <span class="num at">{{ practice.clock(row.at!) }}</span>
            <span class="who">{{ row.name }}</span>
            <span v-if="row.state.status === 'here'" class="soft">{{ t('here2') }}</span>
            <span v-if="standingWords(row)" class="mark">{{ standingWords(row) }}</span>
          </component>
        </li>
      </ol>
      <p v-else class="soft">{{ t('nobody') }}</p>
    </div>
  </section>
</template>

<style scoped>
.table {
  display: grid;
  grid-template-rows: auto auto auto 1fr;
  gap: 10px;
  min-width: 0;
  padding: 12px 14px;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--paper);
}

h2 {
  margin: 0;
  font: 650 20px/1.2 var(--figures);
}

h2 small {
  color: var(--soft);
  font: 400 15px var(--words);
}

h3 {
  margin: 0;
  color: var(--soft);
  font: 600 15px var(--words);
}

.slot {
  min-width: 0;
  padding: 8px 10px;
  border-left: 6px solid var(--line);
}

.now {
  border-color: var(--spruce);
  background: var(--spruce-soft);
}

.slot.late,
.slot.at-risk {
  border-left-style: double;
  border-color: var(--clay);
}

p {
  margin: 0;
}

.name {
  overflow-wrap: anywhere;
  font: 650 clamp(26px, calc(30px + (2 - var(--tables, 2)) * 2px), 34px) / 1.1 var(--figures);
  font-stretch: 88%;
}

.next .name {
  font-size: 26px;
}

.free {
  color: var(--soft);
  font-weight: 450;
}

.when {
  font-size: 18px;
}

.mark {
  display: inline-block;
  margin-left: 8px;
  padding: 0 8px;
  border: 2px solid var(--clay);
  border-radius: 6px;
  background: var(--clay-soft);
  color: var(--clay-text);
  font-weight: 650;
}

.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 8px;
}

.keys > * {
  flex: 1 1 auto;
  padding-inline: 12px;
}

.keys :deep(.ant-btn) {
  min-height: 54px;
  font-size: 18px;
}

.later ol {
  display: grid;
  gap: 2px;
}

.line {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 10px;
  width: 100%;
  min-height: 44px;
  padding: 6px 4px;
  border: 0;
  border-bottom: 1px solid var(--line-faint);
  background: none;
  color: var(--ink);
  font: 450 20px/1.2 var(--words);
  text-align: left;
}

button.line {
  cursor: pointer;
}

button.line:hover {
  background: var(--raised);
}

.at {
  font-weight: 650;
}

.who {
  flex: 1 1 0;
  min-width: 0;
  overflow-wrap: anywhere;
}
</style>
