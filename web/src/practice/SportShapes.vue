<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Input from 'ant-design-vue/es/input';
import InputNumber from 'ant-design-vue/es/input-number';
import { MOTIONS, motionOf } from '@pace-bend/core/body';
import type { Shape } from '@pace-bend/core/sport';
import PickOne from '../parts/PickOne.vue';
import { t } from '../words/practice.ts';

/** Side differences that a sport makes and needs: more on one side, or an arc that is turned. The list is changed in place. */
type Changeable<T> = T extends unknown ? { -readonly [K in keyof T]: T[K] } : never;
const shapes = defineModel<Changeable<Shape>[]>({ required: true });
/** Only motions with sides can differ between them. */
const CHOICES = MOTIONS.filter((motion) => !motion.sides.includes('midline')).map((motion) => ({
  value: motion.id,
  label: `${motion.name}, ${motion.testPosition}`,
}));
const ON = [
  { value: 'leading', label: t('leadingSide') },
  { value: 'other', label: t('otherSide') },
  { value: 'role', label: t('sideRole') },
] as const;
const unit = (motionId: string) => (motionOf(motionId).unit === 'deg' ? '°' : 'cm');
const addMore = () =>
  shapes.value.push({
    kind: 'more',
    motionId: CHOICES[0]!.value,
    on: 'leading',
    upTo: 5,
    words: t('madeSport'),
    sure: 'common practice',
  });
const addArc = () =>
  shapes.value.push({
    kind: 'arc',
    gains: 'shoulder-external-rotation',
    loses: 'shoulder-internal-rotation',
    on: 'leading',
    totalWithin: 5,
    findingFrom: 18,
    words: t('madeSport'),
    sure: 'common practice',
  });
</script>

<template>
  <div v-for="(each, i) in shapes" :key="i" class="line">
    <template v-if="each.kind === 'more'">
      <PickOne
        :label="t('motionDifference', { what: i + 1 })"
        search
        :value="each.motionId"
        :options="CHOICES"
        @change="(motionId) => (each.motionId = motionId)"
      />
      <PickOne :label="t('sideDifference', { what: i + 1 })" :value="each.on" :options="ON" @change="(on) => (each.on = on)" />
      <InputNumber
        v-model:value="each.upTo"
        class="narrow"
        :min="0"
        :max="90"
        :aria-label="t('moreUpDifference', { what: i + 1 })"
        :addon-after="unit(each.motionId)"
      />
    </template>
    <template v-else>
      <PickOne
        :label="t('whatLeadingSideGains', { what: i + 1 })"
        search
        :value="each.gains"
        :options="CHOICES"
        @change="(gains) => (each.gains = gains)"
      />
      <PickOne
        :label="t('whatLosesDifference', { what: i + 1 })"
        search
        :value="each.loses"
        :options="CHOICES"
        @change="(loses) => (each.loses = loses)"
      />
      <span class="numbers">
        <InputNumber
          v-model:value="each.totalWithin"
          :min="0"
          :max="90"
          :aria-label="t('bothArcsAlikeWithin', { what: i + 1 })"
          :addon-before="t('alikeWithin')"
          addon-after="°"
        />
        <InputNumber
          v-model:value="each.findingFrom"
          :min="0"
          :max="90"
          :aria-label="t('findingFromLossDifference', { what: i + 1 })"
          :addon-before="t('findingFrom')"
          addon-after="°"
        />
      </span>
    </template>
    <Input
      v-model:value="each.words"
      :maxlength="60"
      :aria-label="t('whyDifference', { what: i + 1 })"
      :placeholder="t('whyFollowsRacket')"
    />
    <button type="button" class="link small" @click="shapes.splice(i, 1)">{{ t('remove') }}</button>
  </div>
  <div class="choices">
    <Button size="small" @click="addMore">{{ t('addSideMore') }}</Button>
    <Button size="small" @click="addArc">{{ t('addTurnedArc') }}</Button>
  </div>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  width: 100%;
}

.line > * {
  flex: 1 1 230px;
}

.line > .numbers,
.line > .narrow,
.line > .link {
  flex: 0 0 auto;
}

.numbers {
  display: grid;
  gap: 4px;
  width: 190px;
}
</style>
