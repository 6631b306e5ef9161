import 'ant-design-vue/dist/reset.css';
import Table from 'ant-design-vue/es/table';
import { createApp, h, nextTick, type FunctionalComponent, type SetupContext } from 'vue';
import { MOTIONS } from '@pace-bend/core/body';
import { formatNumber, NOTHING_KNOWN } from '@pace-bend/core/measure';
import { stripOf, type PastReading, type SquadStrip } from '@pace-bend/core/record';
import StripTable from '../../web/src/squad/strip/StripTable.vue';

/** Forty people, twenty-four motions, three readings of each side: the strip, or the same figures in the kit's own table. */
const motions = MOTIONS.filter((motion) => motion.sides.length === 2).slice(0, 24);
const readings = (person: number): PastReading[] =>
  motions.flatMap((motion, m) =>
    motion.sides.flatMap((side, s) =>
      [0, 1, 2].map((visit): PastReading => ({
        visitId: `v${visit}`,
        startsAt: `2026-0${visit + 7}-01T09:00:00.000Z`,
        motionId: motion.id,
        side,
        moment: 'before',
        instrument: motion.instruments[0],
        examinerId: null,
        value: motion.fan.min + (((person * 7 + m * 13 + s * 5 + visit * 11) % 97) / 97) * (motion.fan.max - motion.fan.min),
      })),
    ),
  );
const squad: SquadStrip = {
  squadId: 's',
  name: 'Bench',
  errors: NOTHING_KNOWN,
  athletes: Array.from({ length: 40 }, (_, i) => ({
    id: `a${i}`,
    name: `Rower ${i}`,
    birthDate: '2001-02-03',
    referenceSex: 'female',
    sports: [{ sportId: 'rowing', discipline: 'sweep', role: 'bow-side', leading: null, words: '' }],
    readings: readings(i),
  })),
};

async function paint(kind: 'strip' | 'table'): Promise<{ scriptMs: number; paintMs: number; nodes: number }> {
  document.body.innerHTML = '<div id="app"></div>';
  await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
  const started = performance.now();
  const { rows } = stripOf(squad, (instant) => instant.slice(0, 10));
  const view =
    kind === 'strip'
      ? { render: () => h(StripTable, { motions, rows, order: 'name' }) }
      : {
          render: () =>
            h(Table as never, {
              pagination: false,
              rowKey: 'id',
              dataSource: rows.map((row) => ({
                id: row.id,
                name: row.name,
                ...Object.fromEntries(
                  motions.map((motion) => [
                    motion.id,
                    row.cells
                      .get(motion.id)!
                      .comparison.sides.map((side) => formatNumber(side.now!.value))
                      .join(' / '),
                  ]),
                ),
              })),
              columns: [
                { title: 'Athlete', dataIndex: 'name', key: 'name' },
                ...motions.map((motion) => ({ title: motion.name, dataIndex: motion.id, key: motion.id })),
              ],
            }),
        };
  const app = createApp(view);
  app.component('RouterLink', ((_props: object, { slots }: SetupContext) => h('a', slots.default?.())) as FunctionalComponent);
  app.mount('#app');
  await nextTick();
  const scriptMs = performance.now() - started;
  await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
  const result = { scriptMs, paintMs: performance.now() - started, nodes: document.querySelectorAll('*').length };
  app.unmount();
  return result;
}
Object.assign(window, { paint });
