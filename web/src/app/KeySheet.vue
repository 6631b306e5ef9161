<script setup lang="ts">
import SheetDialog from '../parts/SheetDialog.vue';

const open = defineModel<boolean>('open', { required: true });

const GROUPS = [
  { title: 'Anywhere', keys: [['/', 'find an athlete'], ['?', 'this sheet'], ['C', 'cautions of the open visit or athlete, in full']] },
  { title: 'The day', keys: [['Alt ↑ ↓', 'move the visit by five minutes; with Shift fifteen'], ['Alt ← →', 'shorten, lengthen'], ['Del', 'cancel the visit'], ['Ctrl Z', 'undo']] },
  { title: 'Arriving', keys: [['A', 'none of the stop questions'], ['S', 'may be touched: same as last time']] },
  { title: 'Measuring', keys: [['0–9', 'into the focused trial'], ['Enter', 'next trial, then the other side, then the next motion'], ['↑ ↓', 'another motion'], ['=', 'right side: same as left'], ['Alt P', 'what to measure today'], ['Alt L', 'the set of the last visit'], ['Alt R', 'one round, position by position'], ['Esc', 'take back what was typed in this trial']] },
  { title: 'Planning', keys: [['Ctrl Z', 'undo'], ['Ctrl Shift Z', 'redo']] },
  {
    title: 'At the table',
    keys: [
      ['Space', 'begin, hold here, go on'],
      ['→ Page ↓', 'next'],
      ['← Page ↑', 'again; pressed at once, the one before'],
      ['0–9', 'discomfort'],
      ['E', 'edge now: E and its last two digits'],
      ['M', 'sounds on or off'],
      ['V', 'spoken cues on or off'],
      ['Esc', 'stop'],
    ],
  },
] as const;
</script>

<template>
  <SheetDialog v-model:open="open" title="Keys" :width="620">
    <div class="groups">
      <section v-for="group in GROUPS" :key="group.title">
        <h3>{{ group.title }}</h3>
        <dl>
          <template v-for="[keys, what] in group.keys" :key="keys">
            <dt><span v-for="key in keys.split(' ')" :key="key" class="key">{{ key }}</span></dt>
            <dd>{{ what }}</dd>
          </template>
        </dl>
      </section>
    </div>
  </SheetDialog>
</template>

<style scoped>
.groups {
  display: grid;
  gap: 18px;
}

dl {
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: 6px 14px;
  margin: 8px 0 0;
}

dt {
  display: flex;
  gap: 4px;
}

dd {
  margin: 0;
}
</style>
