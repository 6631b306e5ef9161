<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import Switch from 'ant-design-vue/es/switch';
import { computed, reactive, ref } from 'vue';
import { useRouter } from 'vue-router';
import { MOTIONS, POSITIONS, REGIONS, type Position } from '@pace-bend/core/body';
import { SECTIONS, STAGES, TOOLS, type Tool } from '@pace-bend/core/catalogue';
import { checkOwnEntry, METHODS } from '@pace-bend/core/method';
import { HOME_LIMITS } from '@pace-bend/core/record';
import NumberField from '../parts/NumberField.vue';
import PickMany from '../parts/PickMany.vue';
import PickOne from '../parts/PickOne.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import { SIDE_WORDS } from '../parts/words.ts';
import { ADDS, BLANK, HOME_NUMBERS, formOf, missingIn, sentOf, type EntryForm } from './ownEntryForm.ts';
import ShelfTabs from './ShelfTabs.vue';
import VariantsField from './VariantsField.vue';
import { useOwnSource } from './useOwnSource.ts';
import EntryRehearsal from './EntryRehearsal.vue';
import WaysHere from './WaysHere.vue';
import { joinWords } from './wordList.ts';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/shelf.ts';

/** An entry of the practice's own, with everything those that ship say of themselves. */
const router = useRouter();
const { busy, problem, run } = useAction();
const form = reactive<EntryForm>(structuredClone(BLANK));
const { shelf, ready, from, item } = useOwnSource(
  (all, id) => all.entries.get(id),
  (entry, own) => {
    Object.assign(form, formOf(entry), own ? {} : { name: t('ours', { name: entry.name }) });
  },
);

/** Lists that the chosen ways of working take, each once. */
const lists = computed(() => [
  ...new Map(
    METHODS.filter((method) => form.ways.includes(method.id)).flatMap((method) => method.lists.map((list) => [list.id, list] as const)),
  ).values(),
]);
const motions = MOTIONS.map((motion) => ({ value: motion.id, label: `${motion.name}, ${motion.testPosition}` }));
const variants = computed(() =>
  shelf.entries
    .filter((entry) => entry.id !== item.value?.id)
    .map((entry) => ({ value: entry.id, name: entry.name, label: `${entry.name}, ${entry.section.toLowerCase()}` })),
);

/** A list that no chosen way takes is not sent: it would be refused and could not be seen. */
const sent = computed(() => sentOf({ ...form, lists: Object.fromEntries(lists.value.map(({ id }) => [id, form.lists[id] ?? ''])) }));
const wrong = computed<Record<string, string>>(() => ({
  ...Object.fromEntries(checkOwnEntry(sent.value).map(({ path, message }) => [path, message])),
  ...missingIn(form),
}));
/** The entry as it is typed, to be rehearsed before it is kept. */
const typed = computed(() => {
  const { kind: _kind, ...fields } = sent.value;
  return { ...fields, id: 'typed' };
});
const tried = ref(false);
const shown = (id: string) => (tried.value ? wrong.value[id] : undefined);

async function save(): Promise<void> {
  tried.value = true;
  if (Object.keys(wrong.value).length > 0) return;
  let id = '';
  if (
    await run(async () => {
      id = await shelf.save(sent.value, item.value?.id ?? null);
    })
  )
    await router.push(`/shelf/entry/${id}`);
}
const toggle = <V extends string>(values: V[], value: V) =>
  values.includes(value) ? values.filter((each) => each !== value) : [...values, value];
/** A further position brings lines of its own for how it is set up there. Where it becomes the usual one, they become the usual ones. */
function togglePosition(position: Position): void {
  const usual = form.positions[0];
  form.positions = toggle(form.positions, position);
  const next = form.positions[0];
  const words = next === usual || next === undefined ? undefined : form.places[next];
  if (words?.setUp.trim()) {
    form.setUp = words.setUp;
    form.supports = words.supports.trim() || form.supports;
    form.hands = words.hands.trim() || form.hands;
  }
  for (const each of form.positions.slice(1)) form.places[each] ??= { setUp: '', supports: '', hands: '', without: [] };
}
const furtherPlaces = computed(() =>
  form.positions.slice(1).map((position) => ({ position, name: position.replace(' left', ''), words: form.places[position]! })),
);
const PLACE_WORDS = [
  { id: 'setUp', label: t('setUp3') },
  { id: 'supports', label: t('supportsWhereTheyDiffer') },
  { id: 'hands', label: t('handsWhereTheyDiffer') },
] as const;
const toolOf = (tool: Tool) => form.tools.find((each) => each.tool === tool);
function toggleTool(tool: Tool): void {
  form.tools = toolOf(tool) ? form.tools.filter((each) => each.tool !== tool) : [...form.tools, { tool, pct: 50 }];
}
const NAMES = [
  { id: 'name', label: t('name') },
  { id: 'synonyms', label: t('alsoCalledSemicolons') },
  { id: 'targets', label: t('worksMainOneFirst') },
] as const;
const HOME_WORDS = [
  { id: 'how', label: t('whatTheyDoTheir'), most: HOME_LIMITS.howLength },
  { id: 'stop', label: t('stopWhen'), most: HOME_LIMITS.stopLength },
] as const;
const WORDS = [
  { id: 'setUp', label: t('setUpOneSpoken') },
  { id: 'lead', label: t('whereCarriedFiveWords') },
  { id: 'ease', label: t('whereEasesFiveWords') },
  { id: 'play', label: t('whatPlaysJointWhere') },
  { id: 'supports', label: t('supports') },
  { id: 'hands', label: t('whatEachHandDoes') },
  { id: 'press', label: t('theyTold') },
  { id: 'pressLine', label: t('directionPressHand') },
  { id: 'bringHome', label: t('wayHome') },
  { id: 'watch', label: t('watch') },
  { id: 'cautions', label: t('cautions') },
  { id: 'sign', label: t('workedWhatSeenFelt') },
  { id: 'longer', label: t('whenStayLonger') },
  { id: 'leaveOut', label: t('whenLeaveOut') },
] as const;
</script>

<template>
  <div class="page">
    <header>
      <h1>{{ item ? t('changeYourEntry') : t('entryYourOwn') }}</h1>
      <ShelfTabs here="new" />
    </header>
    <p v-if="!ready" class="soft">{{ t('openingShelf') }}</p>
    <div v-else class="beside">
      <form class="form" novalidate @submit.prevent="save">
        <p v-if="from" class="soft">{{ t('fromPlansMadeBefore', { name: from.name }) }}</p>
        <section class="card block" :aria-label="t('whatItIs')">
          <h2>{{ t('whatItIs') }}</h2>
          <div v-for="line in NAMES" :key="line.id" class="line">
            <label :for="`entry-${line.id}`">{{ line.label }}</label><TextInput
              :id="`entry-${line.id}`"
              v-model="form[line.id]"
              maxlength="300"
              :aria-invalid="shown(line.id) ? 'true' : undefined"
            />
            <p v-if="shown(line.id)" class="wrong" role="alert">{{ shown(line.id) }}</p>
          </div>
          <div class="row">
            <label class="line"
              >{{ t('partBody')
              }}<PickOne
                :value="form.section"
                :label="t('partBody')"
                :options="SECTIONS.map((value) => ({ value, label: value }))"
                @change="(value) => (form.section = value)"
            /></label>
            <label class="line"
              >{{ t('whereVisit')
              }}<PickOne
                :value="form.stage"
                :label="t('whereVisit')"
                :options="STAGES.map((value) => ({ value, label: value }))"
                @change="(value) => (form.stage = value)"
            /></label>
            <label class="line"
              >{{ t('whoMoves')
              }}<PickOne
                :value="form.mover"
                :label="t('whoMoves')"
                :options="[
                  { value: 'therapist', label: t('you2') },
                  { value: 'athlete', label: t('theAthlete') },
                  { value: 'both', label: t('both') },
                ]"
                @change="(value) => (form.mover = value)"
            /></label>
          </div>
          <div class="row wide">
            <label class="line"
              >{{ t('motionShowsWhetherWorked')
              }}<PickOne
                :value="form.motionId"
                search
                :label="t('motionShowsWhetherWorked')"
                :options="motions"
                @change="(value) => (form.motionId = value)"
            /></label>
            <label class="line"
              >{{ t('otherMotionsLengthens')
              }}<PickMany
                :values="form.also"
                :label="t('otherMotionsLengthens')"
                :options="motions"
                @change="(values) => (form.also = values)"
            /></label>
          </div>
          <p class="switches">
            <label
              ><Switch v-model:checked="form.measured" size="small" :aria-label="t('aMotionIsExpected')" />
              {{ t('motionExpectedChange') }}</label
            >
            <label
              ><Switch v-model:checked="form.still" size="small" :aria-label="t('theJointStaysWhere')" /> {{ t('jointStaysWhere') }}</label
            >
            <label
              ><Switch v-model:checked="form.vessel" size="small" :aria-label="t('pulseLiesNear')" /> {{ t('pulseLiesNearFelt') }}</label
            >
            <label
              ><Switch v-model:checked="form.afterOperation" size="small" :aria-label="t('onlyAfterOperationGoAhead')" />
              {{ t('onlyAfterOperationGo') }}</label
            >
            <label
              ><Switch v-model:checked="form.onlyAsked" size="small" :aria-label="t('onlyWhenAsked')" />
              {{ t('onlyWhenAskedNeeds') }}</label
            >
          </p>
        </section>

        <section class="card block" :aria-label="t('atTheTable')">
          <h2>{{ t('atTheTable') }}</h2>
          <fieldset>
            <legend>{{ t('positionsUsualOneFirst') }}</legend>
            <Checkbox
              v-for="position in POSITIONS.filter((each) => each !== 'side-lying right')"
              :key="position"
              class="tick"
              :checked="form.positions.includes(position)"
              @change="togglePosition(position)"
              >{{ position.replace(' left', '')
              }}<span v-if="form.positions[0] === position && form.positions.length > 1" class="soft small"
                >{{ ' ' }}{{ t('first2') }}</span
              ></Checkbox
            >
            <p v-if="shown('positions')" class="wrong" role="alert">{{ shown('positions') }}</p>
          </fieldset>
          <div v-for="line in WORDS" :key="line.id" class="line">
            <label :for="`entry-${line.id}`">{{ line.label }}</label><TextInput
              :id="`entry-${line.id}`"
              v-model="form[line.id]"
              maxlength="300"
              :aria-invalid="shown(line.id) ? 'true' : undefined"
            />
            <p v-if="shown(line.id)" class="wrong" role="alert">{{ shown(line.id) }}</p>
          </div>
          <label class="line"
            >{{ t('onTheSkin')
            }}<PickOne
              :value="form.medium"
              :label="t('onTheSkin')"
              :options="[
                { value: '', label: t('either') },
                { value: 'dry', label: t('dry') },
                { value: 'oil', label: t('oil') },
                { value: 'dry first', label: t('dryFirstThenOil') },
              ]"
              @change="(medium) => (form.medium = medium as EntryForm['medium'])"
          /></label>
          <fieldset v-for="{ position, name, words } in furtherPlaces" :key="position" class="sentences">
            <legend>{{ name[0]!.toUpperCase() + name.slice(1) }}</legend>
            <div v-for="line in PLACE_WORDS" :key="line.id" class="line">
              <label :for="`entry-${line.id}-${position}`"
                >{{ line.label }}<span class="sr-only">, {{ name }}</span></label
              ><TextInput
                :id="`entry-${line.id}-${position}`"
                v-model="words[line.id]"
                maxlength="300"
                :aria-invalid="line.id === 'setUp' && shown(`places.${position}`) ? 'true' : undefined"
              />
            </div>
            <label class="line"
              >{{ t('waysDoNotGo')
              }}<PickMany
                :values="words.without.filter((way) => form.ways.includes(way))"
                :label="t('waysThatDoNot', { name })"
                :options="METHODS.filter((method) => form.ways.includes(method.id)).map(({ id, name: label }) => ({ value: id, label }))"
                @change="(values) => (words.without = values)"
            /></label>
            <p v-if="shown(`places.${position}`)" class="wrong" role="alert">{{ shown(`places.${position}`) }}</p>
          </fieldset>
          <fieldset>
            <legend>{{ t('yourToolsMainOne') }}</legend>
            <span v-for="tool in TOOLS" :key="tool" class="tool"
              ><Checkbox class="tick" :checked="toolOf(tool) !== undefined" @change="toggleTool(tool)"
                >{{ tool
                }}<span v-if="form.tools[0]?.tool === tool && form.tools.length > 1" class="soft small"
                  >{{ ' ' }}{{ t('main') }}</span
                ></Checkbox
              ><NumberField
                v-if="toolOf(tool)"
                :value="toolOf(tool)!.pct"
                :label="t('share', { tool })"
                unit="%"
                :step="5"
                :wrong="!(toolOf(tool)!.pct >= 0 && toolOf(tool)!.pct <= 100)"
                @change="(pct) => (toolOf(tool)!.pct = pct)"
            /></span>
            <p v-if="shown('tools')" class="wrong" role="alert">{{ shown('tools') }}</p>
          </fieldset>
          <div class="row wide">
            <fieldset class="narrow">
              <legend>{{ t('sidesWhereTheyNot') }}</legend>
              <Checkbox
                v-for="side in ['left', 'right', 'midline'] as const"
                :key="side"
                class="tick"
                :checked="form.sides.includes(side)"
                @change="form.sides = toggle(form.sides, side)"
                >{{ SIDE_WORDS[side].toLowerCase() }}</Checkbox
              >
            </fieldset>
            <label class="line"
              >{{ t('handsWhereNotMotions')
              }}<PickMany
                :values="form.regions"
                :label="t('handsOn')"
                :options="REGIONS.map((region) => ({ value: region.id, label: region.name }))"
                @change="(values) => (form.regions = values)"
            /></label>
          </div>
        </section>

        <section v-if="form.stage === 'home'" class="card block" :aria-label="t('atHome')">
          <h2>{{ t('atHome') }}</h2>
          <div v-for="line in HOME_WORDS" :key="line.id" class="line">
            <label :for="`entry-home-${line.id}`">{{ line.label }}</label><LongText
              :id="`entry-home-${line.id}`"
              v-model="form.home[line.id]"
              rows="3"
              :maxlength="line.most"
              :aria-invalid="shown(`home.${line.id}`) ? 'true' : undefined"
            />
            <p v-if="shown(`home.${line.id}`)" class="wrong" role="alert">{{ shown(`home.${line.id}`) }}</p>
          </div>
          <div class="row">
            <div v-for="number in HOME_NUMBERS" :key="number.id" class="line">
              <span>{{ number.label }}</span>
              <NumberField
                :value="form.home[number.id]"
                :label="number.label"
                :unit="number.unit"
                :step="1"
                :wrong="Boolean(shown(`home.${number.id}`))"
                @change="(value) => (form.home[number.id] = value)"
              />
              <p v-if="shown(`home.${number.id}`)" class="wrong" role="alert">{{ shown(`home.${number.id}`) }}</p>
            </div>
          </div>
          <div class="line">
            <label for="entry-home-when">{{ t('whenDay') }}</label><TextInput
              id="entry-home-when"
              v-model="form.home.when"
              :maxlength="HOME_LIMITS.whenLength"
            />
          </div>
          <p class="switches">
            <label
              ><Switch v-model:checked="form.home.breaths" size="small" :aria-label="t('theTimesAreBreaths')" />
              {{ t('timesBreaths') }}</label
            >
          </p>
        </section>

        <section class="card block" :aria-label="t('howWorked')">
          <h2>{{ t('howWorked') }}</h2>
          <fieldset>
            <legend>{{ t('waysWorkingFitUsual') }}</legend>
            <Checkbox
              v-for="method in METHODS"
              :key="method.id"
              class="tick"
              :checked="form.ways.includes(method.id)"
              @change="form.ways = toggle(form.ways, method.id)"
              >{{ method.name
              }}<span v-if="form.ways[0] === method.id && form.ways.length > 1" class="soft small"
                >{{ ' ' }}{{ t('usual') }}</span
              ></Checkbox
            >
            <p v-if="shown('ways')" class="wrong" role="alert">{{ shown('ways') }}</p>
          </fieldset>
          <WaysHere
            :ways="form.ways"
            :motion-id="form.motionId"
            :doses="form.doses"
            :says="form.says"
            :wrong="shown"
            @dose="(way, dose) => (form.doses[way] = dose)"
            @say="(way, words, line) => (form.says[way] = { ...form.says[way], [words]: line })"
          />
          <div v-for="list in lists" :key="list.id" class="line">
            <label :for="`entry-list-${list.id}`">{{ t('withSemicolons', { label: list.label }) }}</label><TextInput
              :id="`entry-list-${list.id}`"
              v-model="form.lists[list.id]"
              maxlength="400"
              :placeholder="joinWords(list.default)"
              :aria-invalid="shown(`lists.${list.id}`) ? 'true' : undefined"
            />
            <p v-if="shown(`lists.${list.id}`)" class="wrong" role="alert">{{ shown(`lists.${list.id}`) }}</p>
          </div>
          <div class="row">
            <label class="line"
              >{{ t('handsAdd')
              }}<PickMany :values="form.adds" :label="t('handsAdd')" :options="ADDS" @change="(values) => (form.adds = values)"
            /></label>
          </div>
          <div class="row wide">
            <VariantsField :label="t('easier')" :values="form.easier" :options="variants" @change="(values) => (form.easier = values)" />
            <VariantsField :label="t('harder')" :values="form.harder" :options="variants" @change="(values) => (form.harder = values)" />
          </div>
        </section>
        <ProblemNote v-if="problem" :problem="problem" />
        <p v-if="tried && Object.keys(wrong).length > 0" class="wrong" role="status">
          {{
            t('missingWrongEachMarked', {
              keys: Object.keys(wrong).length === 1 ? t('oneThing') : t('thingsAre', { keys: Object.keys(wrong).length }),
            })
          }}
        </p>
        <p>
          <Button type="primary" html-type="submit" :loading="busy">{{ item ? t('keepNewVersion') : t('putShelf') }}</Button>
        </p>
      </form>
      <EntryRehearsal :entry="typed" :wrong="Object.keys(wrong).length > 0" />
    </div>
  </div>
</template>

<style scoped>
.form,
.block {
  display: grid;
  gap: 10px;
}

.form {
  gap: 14px;
}

.beside {
  display: grid;
  grid-template-columns: minmax(0, 760px) minmax(280px, 1fr);
  align-items: start;
  gap: 16px;
}

@container page (max-width: 892px) {
  .beside {
    grid-template-columns: minmax(0, 1fr);
  }
}

.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  gap: 3px;
  min-width: 0;
}

.line > label,
label.line,
legend {
  font: 600 13px var(--words);
}

.row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(190px, 100%), 1fr));
  gap: 12px;
}

.row.wide {
  grid-template-columns: repeat(auto-fit, minmax(min(300px, 100%), 1fr));
}

.switches {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 22px;
}

.switches label {
  display: flex;
  align-items: center;
  gap: 7px;
}

fieldset {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(220px, 100%), 1fr));
  gap: 2px 12px;
  min-width: 0;
  margin: 0;
  padding: 4px 12px 8px;
  border: 1px solid var(--line-faint);
  border-radius: 4px;
}

legend {
  width: auto;
  margin: 0;
  padding: 0 5px;
  border: 0;
}

fieldset.narrow {
  grid-template-columns: repeat(auto-fill, minmax(76px, max-content));
}

.tool {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  min-height: 34px;
}

.tick {
  min-height: 28px;
}

.wrong {
  color: var(--clay-text);
  font-size: 13px;
}

fieldset .wrong {
  grid-column: 1 / -1;
}

/* Whole sentences are typed here. */
fieldset.sentences {
  grid-template-columns: minmax(0, 1fr);
}
</style>
