<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core';
import { computed, ref } from 'vue';
import type { Side } from '@pace-bend/core/body';
import {
  detectable,
  formatNumber,
  formatSigned,
  formatValue,
  gainToAngleDeg,
  noReferenceBecause,
  shinTilt,
  summariseTrials,
  TRIALS_USUAL,
} from '@pace-bend/core/measure';
import type { Moment, MotionComparison, SideComparison } from '@pace-bend/core/record';
import { blocking, cautionsFor, limitWords, measuring as measuringAction, overriddenFor } from '@pace-bend/core/caution';
import SetAside from '../cautions/SetAside.vue';
import { useOutbox } from '../stores/outbox.ts';
import { usePractice } from '../stores/practice.ts';
import { useVisit } from '../stores/visit.ts';
import { INSTRUMENT_WORDS, SIDE_WORDS } from '../parts/words.ts';
import NumberPad from '../parts/NumberPad.vue';
import PickOne from '../parts/PickOne.vue';
import Corrections from './Corrections.vue';
import { fieldCount } from './trialEntry.ts';
import type { Measuring } from './useMeasuring.ts';
import { hintOf, isKey, whichKey } from '../parts/keys.ts';
import { t } from '../words/measuring.ts';

const props = defineProps<{ row: MotionComparison; measuring: Measuring; moment: Moment }>();
const emit = defineEmits<{ advance: [side: Side, index: number]; step: [by: 1 | -1] }>();

const visit = useVisit();
const practice = usePractice();
const motion = computed(() => props.row.motion);
const instrument = computed(() => props.measuring.instrumentFor(motion.value));
const instruments = computed(() => motion.value.instruments.map((value) => ({ value, label: INSTRUMENT_WORDS[value] })));
const unit = computed(() => (motion.value.unit === 'deg' ? '°' : 'cm'));
const unitWords = computed(() => (motion.value.unit === 'deg' ? ('°' as const) : (' cm' as const)));
const root = ref<HTMLElement | null>(null);

/** What cautions say of reading this motion, by side. */
const cautions = computed(
  () =>
    new Map(
      motion.value.sides.map((side) => {
        const result = cautionsFor(visit.cautionContext!, measuringAction(motion.value.id, side));
        return [
          side,
          {
            result,
            blocking: blocking(result, overriddenFor(visit.file!.overrides, motion.value.id, side)),
            limiting: result.cautions.filter((caution) => caution.level === 'modify'),
          },
        ] as const;
      }),
    ),
);
const cautionsOf = (side: Side) => cautions.value.get(side)!;

/** The written limit that today's value is past, or null. */
function pastCap(each: SideComparison): number | null {
  const { cap } = cautionsOf(each.side).result.limits;
  return cap !== null && each.now !== null && each.now.value > cap ? cap : null;
}

/** With fingers the pad beneath types; the machine's own keyboard would cover the figure. */
const byFinger = useMediaQuery('(pointer: coarse)');
/** The trial that has the focus. */
const typing = ref<{ side: Side; index: number } | null>(null);
/** What the pad types goes where the keyboard's digits would: the first one in place of what stood there, as it is selected. */
function padded(change: (text: string) => string): void {
  if (!typing.value) return;
  const { side, index } = typing.value;
  const input = root.value?.querySelector<HTMLInputElement>(`[data-field="${field(side, index)}"]`);
  const text = props.measuring.trialsOf(motion.value.id, side)[index] ?? '';
  const isSelected = text !== '' && input?.selectionStart === 0 && input.selectionEnd === text.length;
  props.measuring.type(motion.value, side, index, change(isSelected ? '' : text).slice(0, 8));
  input?.setSelectionRange(8, 8);
}
const isTypingHere = (side: Side) => byFinger.value && !visit.finished && typing.value?.side === side;

const field = (side: Side, index: number) => `trial-${side}-${index}`;

function focus(side: Side, index: number): void {
  const input = root.value?.querySelector<HTMLInputElement>(`[data-field="${field(side, index)}"]`);
  input?.focus();
  input?.select();
}
defineExpose({ focus });

function onKey(event: KeyboardEvent, side: Side, index: number): void {
  const other = whichKey(event, 'otherMotion');
  if (isKey(event, 'nextTrial')) next(side, index);
  else if (isKey(event, 'sameAsLeft')) {
    if (side === 'right') sameAsLeft();
  } else if (other !== null) emit('step', other === 0 ? -1 : 1);
  else if (isKey(event, 'takeBackTrial')) props.measuring.takeBack(motion.value, side);
  else return;
  event.preventDefault();
}

function next(side: Side, index: number): void {
  // A field that cannot be read keeps the focus: the message stands beside it.
  if (props.measuring.checked(motion.value, side).messages[index]) return;
  // Earlier trials are saved together with the last, when the focus leaves the side.
  if (index + 1 >= TRIALS_USUAL) props.measuring.commit(motion.value, side);
  emit('advance', side, index);
}

/** The left side's trials can stand for the right while nothing was read there. */
const canCopyLeft = computed(
  () =>
    !visit.finished &&
    props.measuring.trialsOf(motion.value.id, 'left').some((text) => text !== '') &&
    props.measuring.trialsOf(motion.value.id, 'right').every((text) => text === ''),
);
function sameAsLeft(): void {
  if (!canCopyLeft.value) return;
  for (const [i, text] of props.measuring.trialsOf(motion.value.id, 'left').entries()) props.measuring.type(motion.value, 'right', i, text);
  props.measuring.commit(motion.value, 'right');
}

/** Saved when the focus leaves the side's fields altogether. */
function onLeave(event: FocusEvent, side: Side): void {
  const into = event.relatedTarget as HTMLElement | null;
  if (into?.dataset.field?.startsWith(`trial-${side}-`)) return;
  if (typing.value?.side === side) typing.value = null;
  props.measuring.commit(motion.value, side);
}

function message(side: Side): string | null {
  return (
    props.measuring.problemOf(motion.value.id, side) ??
    props.measuring.checked(motion.value, side).messages.find((each) => each !== null) ??
    null
  );
}

function spread(side: Side): string {
  const { values } = props.measuring.checked(motion.value, side);
  if (values.length === 0) return '';
  const { n, spread: width } = summariseTrials(values);
  return n === 1 ? t('n1Trial') : t('meanSpread', { n, value: formatValue(width, motion.value.unit, Number.isInteger(width) ? 0 : 1) });
}

/** A distance gained at the end of a lever whose length is on file is an angle too. */
function asAngle(each: SideComparison): { what: string; says: string }[] {
  const leverCm = motion.value.lever ? visit.file!.athlete[motion.value.lever] : null;
  const change = each.gained ?? each.sinceLast ?? each.sinceBaseline;
  if (leverCm === null || !change || Math.abs(change.gain) > 2 * leverCm) return [];
  const now = each.now!.value;
  // Leaning to the wall the shin turns about the ankle: its own tilt then and now, not a chord.
  if (motion.value.leverAs === 'tilt' && now < leverCm / 2 && now - change.delta > -leverCm / 2)
    return [
      {
        what: t('asAnAngle'),
        says: t('shinFromUprightShin', {
          value: formatValue(shinTilt(now, leverCm), 'deg'),
          signed: formatSigned(shinTilt(now, leverCm) - shinTilt(now - change.delta, leverCm), 'deg'),
          what: each.gained ? t('sinceBefore') : each.sinceLast ? t('sinceLastVisit') : t('sinceBaseline'),
          number: formatNumber(leverCm),
        }),
      },
    ];
  return [
    {
      what: t('asAnAngle'),
      says: t('leverCm', {
        signed: formatSigned(gainToAngleDeg(change.gain, leverCm), 'deg'),
        what: each.gained ? t('sinceBefore') : each.sinceLast ? t('sinceLastVisit') : t('sinceBaseline'),
        number: formatNumber(leverCm),
      }),
    },
  ];
}

/** Another instrument than the value compared with: said, with what the practice knows of the two. */
function instrumentLines({ otherInstrument: { last, baseline, before } }: SideComparison): { what: string; says: string }[] {
  const swap = before ?? last ?? baseline;
  if (!swap) return [];
  const [from, to] = [INSTRUMENT_WORDS[swap.from].toLowerCase(), INSTRUMENT_WORDS[swap.to].toLowerCase()];
  const than = before ? t('beforeWork') : last ? t('lastVisit') : t('atTheBaseline');
  const says =
    swap.correction === null
      ? t('nowPartDifferenceMay', { to, from, than })
      : swap.used
        ? t('nowTakenIntoAccount', { to, from, than, signed: formatSigned(swap.correction, motion.value.unit) })
        : t('nowTheyDifferNot', { to, from, than, signed: formatSigned(-swap.correction, motion.value.unit) });
  return [{ what: t('instrument'), says }];
}

function lines(each: SideComparison): { what: string; says: string }[] {
  return [
    ...(each.gained ? [{ what: t('sinceBefore2'), says: each.gained.words }] : []),
    ...(each.sinceLast ? [{ what: t('lastVisit2'), says: each.sinceLast.words }] : []),
    ...instrumentLines(each),
    ...(each.sinceBaseline ? [{ what: t('baseline2'), says: each.sinceBaseline.words }] : []),
    ...asAngle(each),
    ...(each.reference ? [{ what: t('reference'), says: each.reference.words }] : []),
  ];
}

/** Below so many degrees of freedom a study is called small. */
const FEW = 15;
const error = computed(() => props.row.sides.find((each) => each.error)?.error ?? null);
const overDays = computed(() => props.row.sides.find((each) => each.errorOverDays)?.errorOverDays ?? null);
/** A reference as it is printed in its source: whole where it is whole. */
const printed = (value: number) => formatValue(value, motion.value.unit, motion.value.unit === 'cm' ? 1 : 0);
const unreferenced = computed(() => noReferenceBecause(motion.value.id, visit.file!.athlete, practice.dayOf(visit.file!.visit.startsAt)));
const references = computed(() =>
  props.row.bands.map((band) => ({
    key: band.people + band.source.short,
    text: t('n95100HealthyLie', {
      people: band.people,
      printed: printed(band.low),
      printed2: printed(band.high),
      printed3: printed(band.middle),
    }),
    kind:
      band.source.kind === 'mean-ci'
        ? t('spreadWorkedOutFrom')
        : band.source.kind === 'clinical'
          ? t('clinicalValueStatedSpread')
          : t('workingValueStatedSpread'),
    citation: band.source.citation,
  })),
);
const outbox = useOutbox();
const unsent = (side: Side) => props.measuring.isUnsent(motion.value.id, side);
</script>

<template>
  <div ref="root" class="panel">
    <div v-for="each in row.sides" :key="each.side" class="one" @focusout="onLeave($event, each.side)">
      <div class="head">
        <span class="side-name">{{ SIDE_WORDS[each.side] }}</span>
        <span class="num value" :class="{ low: each.short, unsent: unsent(each.side) }" :data-testid="`value-${each.side}`"
          >{{ each.now ? formatNumber(each.now.value) : '–' }}<span class="unit">{{ unit }}</span></span
        >
        <span class="soft small"
          >{{ spread(each.side) }}<b v-if="unsent(each.side) && outbox.isStuck" class="not-sent">{{ ' ' }}{{ t('notSent') }}</b></span
        >
        <button
          v-if="each.side === 'right' && canCopyLeft"
          type="button"
          class="link small same"
          :title="t('trialField', { hintOf: hintOf('sameAsLeft') })"
          @click="sameAsLeft"
        >
          {{ t('sameLeft') }}
        </button>
      </div>
      <SetAside
        v-if="cautionsOf(each.side).blocking.length > 0 && !visit.finished"
        :cautions="cautionsOf(each.side).blocking"
        :motion-id="motion.id"
        :side="each.side"
        :unit="unitWords"
      />
      <template v-else>
        <p v-for="caution in cautionsOf(each.side).limiting" :key="caution.ruleId + caution.because" class="limit small">
          <span class="level modify">{{
            limitWords(caution.limits, unitWords)
              .filter((words) => !words.startsWith('effort'))
              .join(', ') || t('withCare')
          }}</span>
          {{ caution.because }}: {{ caution.reason }}
        </p>
        <p v-if="pastCap(each) !== null" class="wrong-words" role="alert">
          {{ t('pastWrittenLimitNot', { pastCap: pastCap(each), unit }) }}
        </p>
        <div class="trials" role="group" :aria-label="t('trials', { side: each.side })">
          <input
            v-for="n in fieldCount(measuring.trialsOf(motion.id, each.side))"
            :key="n"
            class="num trial"
            :inputmode="byFinger ? 'none' : 'decimal'"
            autocomplete="off"
            maxlength="8"
            :class="{ wrong: measuring.checked(motion, each.side).messages[n - 1], extra: n > 3 }"
            :data-field="field(each.side, n - 1)"
            :aria-label="t('trial2', { what: SIDE_WORDS[each.side], n })"
            :aria-invalid="measuring.checked(motion, each.side).messages[n - 1] ? 'true' : undefined"
            :aria-describedby="message(each.side) ? `wrong-${each.side}` : undefined"
            :value="measuring.trialsOf(motion.id, each.side)[n - 1] ?? ''"
            :readonly="visit.finished"
            @input="measuring.type(motion, each.side, n - 1, ($event.target as HTMLInputElement).value)"
            @keydown="onKey($event, each.side, n - 1)"
            @focus="
              ($event.target as HTMLInputElement).select();
              typing = { side: each.side, index: n - 1 };
            "
          />
        </div>
        <NumberPad
          v-if="isTypingHere(each.side)"
          :label="t('digitsTrial', { side: each.side, what: typing!.index + 1 })"
          :next="t('nextTrial')"
          @digit="(key) => padded((text) => text + (key === '−' ? '-' : key))"
          @erase="padded((text) => text.slice(0, -1))"
          @next="next(typing!.side, typing!.index)"
        />
      </template>
      <Corrections :motion="motion" :side="each.side" :moment="moment" />
      <p v-if="message(each.side)" :id="`wrong-${each.side}`" class="wrong-words" role="alert">{{ message(each.side) }}</p>
      <dl v-if="lines(each).length > 0" class="small">
        <template v-for="line in lines(each)" :key="line.what"
          ><dt class="soft">{{ line.what }}</dt>
          <dd>{{ line.says }}</dd></template
        >
      </dl>
    </div>

    <div class="facts small">
      <div class="instrument">
        <span class="soft">{{ t('with') }}</span>
        <b v-if="visit.finished || instruments.length === 1">{{ INSTRUMENT_WORDS[instrument] }}</b>
        <PickOne
          v-else
          size="small"
          :value="instrument"
          :options="instruments"
          :label="t('instrument')"
          @change="(value) => measuring.setInstrument(motion, value)"
        />
      </div>
      <p v-if="error && overDays">
        {{
          t('hereWithinOneVisit', {
            what: error.own ? t('yourError') : t('defaultError'),
            value: formatValue(error.sem, motion.unit),
            value2: formatValue(overDays.sem, motion.unit),
            source: overDays.source,
          })
        }}
        <b class="num">{{ formatValue(detectable(error, error), motion.unit) }}</b> {{ t('withinVisitFrom') }}
        <b class="num">{{ formatValue(detectable(overDays, overDays), motion.unit) }}</b> {{ t('betweenVisitsMdc95')
        }}<template v-if="error.own && error.df < FEW">{{ t('widenedBecauseYourStudy') }}</template
        >).
      </p>
      <p v-for="reference in references" :key="reference.key" :title="reference.citation">
        {{ t('reference2', { text: reference.text, kind: reference.kind }) }}
      </p>
      <p v-if="unreferenced" class="soft">
        {{ unreferenced === 'age' ? t('noReferenceFitsAge') : t('noReferencePositionCompare') }}
      </p>
      <p>
        <span class="soft">{{ t('landmarks2') }}</span> {{ motion.landmarks }}.
      </p>
      <p>
        <span class="soft">{{ t('block2') }}</span> {{ motion.block }}.
      </p>
    </div>
  </div>
</template>

<style scoped>
.panel {
  display: grid;
  gap: 12px;
}

.one + .one {
  padding-top: 10px;
  border-top: 1px solid var(--line-faint);
}

.head {
  display: flex;
  align-items: baseline;
  gap: 10px;
}

.side-name {
  width: 46px;
  font-weight: 700;
}

.value {
  font-size: 38px;
  line-height: 1.1;
  font-stretch: 120%;
  letter-spacing: -0.03em;
}

.same {
  margin-left: auto;
}

.unit {
  font-size: 0.55em;
  margin-left: 2px;
}

.trials {
  display: flex;
  gap: 8px;
  margin: 6px 0;
}

.trial {
  width: 58px;
  height: 44px;
  border: 1.5px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  font-size: 18px;
  text-align: center;
}

.trial.extra {
  border-style: dashed;
}

.trial:focus {
  border-color: var(--spruce);
  outline: 2px solid var(--spruce);
  outline-offset: 0;
}

.trial.wrong {
  border-color: var(--clay);
}

.limit {
  padding: 5px 10px;
  border-left: 3px solid var(--sun);
  background: var(--sun-soft);
  line-height: 1.4;
}

.wrong-words {
  color: var(--clay-text);
  font-size: 13px;
}

dl {
  display: grid;
  grid-template-columns: 76px 1fr;
  gap: 1px 6px;
  margin: 0;
}

dd {
  margin: 0;
}

.facts {
  display: grid;
  gap: 5px;
  padding-top: 10px;
  border-top: 1px solid var(--line-faint);
  line-height: 1.4;
}

.instrument {
  display: flex;
  align-items: center;
  gap: 10px;
}

.instrument .pick {
  width: 140px;
}
</style>
