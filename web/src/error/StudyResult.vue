<script setup lang="ts">
import { computed } from 'vue';
import Button from 'ant-design-vue/es/button';
import { motionOf } from '@pace-bend/core/body';
import { formatNumber, formatSigned, formatValue } from '@pace-bend/core/measure';
import { agreement, ICC_WORDS, repeatability, type Icc } from '@pace-bend/core/reliability';
import { partMeans, tableOf, type Study } from '@pace-bend/core/record';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import { INSTRUMENT_WORDS } from '../parts/words.ts';
import { useSession } from '../stores/session.ts';
import AgreementPlot from './AgreementPlot.vue';
import type { Studies } from './useStudies.ts';
import { t } from '../words/error.ts';

/** What came out of a study, in a sentence first and in figures after. */
const props = defineProps<{ study: Study; studies: Studies }>();
const session = useSession();
const { problem, busy, run } = useAction();

const motion = computed(() => motionOf(props.study.motionId));
const unit = computed(() => motion.value.unit);
const nameOf = (id: string) => props.studies.examiners.value.find((each) => each.id === id)?.name ?? t('anExaminer');
/** One table for each examiner, and, with several, one of their means against each other. */
const tables = computed(() => {
  if (props.study.kind !== 'repeatability') return [];
  const own = props.study.examinerIds.map((id, part) => ({ title: nameOf(id), table: tableOf(props.study, part) }));
  const between = props.study.examinerIds.length > 1 ? [{ title: t('betweenExaminersMeansTrials'), table: partMeans(props.study) }] : [];
  return [...own, ...between]
    .filter(({ table }) => table.length >= 2)
    .map(({ title, table }) => ({ title, result: repeatability(table, unit.value) }));
});
const names = computed(
  () => props.study.instruments.map((each) => t('the', { what: INSTRUMENT_WORDS[each].toLowerCase() })) as [string, string],
);
const agreed = computed(() => {
  if (props.study.kind !== 'agreement') return null;
  const pairs = partMeans(props.study).map(([first, second]) => ({ first: first!, second: second! }));
  return pairs.length >= 3 ? agreement(pairs, unit.value, names.value) : null;
});
const icc = ({ value, low, high }: Icc) =>
  value === null
    ? t('cannotSaid')
    : `${formatNumber(value, 2)}${low === null || high === null ? '' : ` (${formatNumber(low, 2)} to ${formatNumber(high, 2)})`}`;
const square = (value: number) => formatNumber(value, 2);
const canUse = computed(() => session.may('POST', '/studies/:id/use'));
const use = () => run(() => props.studies.use(props.study, !props.study.used));
</script>

<template>
  <div class="result">
    <section class="card" :aria-label="t('whatCameOut')">
      <h2>{{ motion.name }}, {{ motion.testPosition }}</h2>
      <p class="soft">
        {{
          t('sidesTrials', {
            what:
              study.kind === 'agreement'
                ? t('against', { what: names[0], what2: names[1] })
                : INSTRUMENT_WORDS[study.instruments[0]!].toLowerCase(),
            count: study.subjects.length,
            trials: study.trials,
            what2: study.spacing === 'one-day' ? t('allOneDay') : t('eachDayOwn'),
          })
        }}
      </p>
      <ProblemNote v-if="problem" :problem="problem" />
      <p class="use">
        <b>{{
          study.kind === 'agreement'
            ? study.used
              ? t('differenceTakenIntoAccount')
              : t('changeInstrumentFlaggedDifference')
            : study.used
              ? t('theseErrorsUsedThese')
              : t('notUseDefaultsHold')
        }}</b>
        <Button v-if="canUse" size="small" :disabled="busy" @click="use">{{
          study.used ? t('stopUsing') : study.kind === 'agreement' ? t('takeIntoAccount') : t('useIt')
        }}</Button>
      </p>
    </section>
    <section v-for="each in tables" :key="each.title" class="card" :aria-label="each.title">
      <h2>{{ each.title }}</h2>
      <p class="sentence">{{ each.result.words }}</p>
      <div class="figures">
        <dl>
          <dt>{{ t('sem') }}</dt>
          <dd>
            <b class="num">{{ formatValue(each.result.sem, unit) }}</b>
            {{ ' '
            }}<span class="soft">{{
              t('to', { value: formatValue(each.result.semLow, unit), value2: formatValue(each.result.semHigh, unit) })
            }}</span>
          </dd>
          <dt>{{ t('mdc95') }}</dt>
          <dd>
            <b class="num">{{ formatValue(each.result.mdc, unit) }}</b>
          </dd>
          <dt>{{ t('firstLastTrial') }}</dt>
          <dd class="num">{{ formatSigned(each.result.shift, unit) }}</dd>
        </dl>
        <table class="num">
          <caption>
            {{
              t('meanSquares')
            }}
          </caption>
          <tbody>
            <tr>
              <th scope="row">{{ t('betweenSides') }}</th>
              <td>{{ square(each.result.squares.betweenRows) }}</td>
            </tr>
            <tr>
              <th scope="row">{{ t('withinSides') }}</th>
              <td>{{ square(each.result.squares.withinRows) }}</td>
            </tr>
            <tr>
              <th scope="row">{{ t('betweenTrials') }}</th>
              <td>{{ square(each.result.squares.betweenColumns) }}</td>
            </tr>
            <tr>
              <th scope="row">{{ t('error') }}</th>
              <td>{{ square(each.result.squares.error) }}</td>
            </tr>
          </tbody>
        </table>
        <table>
          <caption>
            {{
              t('intraclassCorrelations95Limits')
            }}
          </caption>
          <tbody>
            <tr v-for="one in each.result.iccs" :key="one.form">
              <th scope="row">{{ t('icc', { form: one.form }) }}</th>
              <td class="num">{{ icc(one) }}</td>
              <td class="soft small">{{ ICC_WORDS[one.form] }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="soft small">
        {{ t('semErrorsMeanSquare') }}
      </p>
    </section>
    <section v-if="agreed" class="card" :aria-label="t('agreement')">
      <h2>{{ t('agreement') }}</h2>
      <p class="sentence">{{ agreed.words }}</p>
      <div class="figures plot">
        <AgreementPlot :result="agreed" :unit="unit" :names="names" />
        <dl>
          <dt>{{ t('meanDifference') }}</dt>
          <dd>
            <b class="num">{{ formatSigned(agreed.bias.value, unit) }}</b>
            {{ ' '
            }}<span class="soft">{{
              t('to2', { signed: formatSigned(agreed.bias.low, unit), signed2: formatSigned(agreed.bias.high, unit) })
            }}</span>
          </dd>
          <dt>{{ t('sdDifferences') }}</dt>
          <dd class="num">{{ formatValue(agreed.sd, unit) }}</dd>
          <dt>{{ t('upperLimit2') }}</dt>
          <dd>
            <b class="num">{{ formatSigned(agreed.upper.value, unit) }}</b>
            {{ ' '
            }}<span class="soft">{{
              t('to2', { signed: formatSigned(agreed.upper.low, unit), signed2: formatSigned(agreed.upper.high, unit) })
            }}</span>
          </dd>
          <dt>{{ t('lowerLimit2') }}</dt>
          <dd>
            <b class="num">{{ formatSigned(agreed.lower.value, unit) }}</b>
            {{ ' '
            }}<span class="soft">{{
              t('to2', { signed: formatSigned(agreed.lower.low, unit), signed2: formatSigned(agreed.lower.high, unit) })
            }}</span>
          </dd>
          <dt>{{ t('sides4') }}</dt>
          <dd class="num">{{ agreed.n }}</dd>
        </dl>
      </div>
      <p class="soft small">{{ t('limitsAgreementMean1') }}</p>
    </section>
  </div>
</template>

<style scoped>
.result {
  display: grid;
  gap: 16px;
}

section {
  display: grid;
  gap: 8px;
}

.use {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}

.sentence {
  max-width: 78ch;
  font-size: 16px;
}

.figures {
  display: flex;
  flex-wrap: wrap;
  align-items: start;
  gap: 14px 40px;
}

.figures.plot {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
}

dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 14px;
  margin: 0;
}

dt {
  color: var(--soft);
}

dd {
  margin: 0;
}

table {
  border-collapse: collapse;
}

caption {
  caption-side: top;
  padding-bottom: 3px;
  color: var(--soft);
  text-align: left;
  font: 400 14px var(--words);
}

th,
td {
  padding: 3px 14px 3px 0;
  border-bottom: 1px solid var(--line-faint);
  text-align: left;
  font-weight: 400;
}

p {
  margin: 0;
}

@container page (max-width: 900px) {
  .figures.plot {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
