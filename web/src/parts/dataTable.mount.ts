import { mount } from '@vue/test-utils';
import DataTable, { type DataColumn } from './DataTable.vue';

interface Row {
  readonly id: number;
  readonly name: string;
  readonly value: number | null;
}
const COLUMNS: readonly DataColumn<Row>[] = [
  { key: 'name', title: 'Name', value: ({ name }) => name, sortable: true },
  { key: 'value', title: 'Value', value: ({ value }) => value, sortable: true, numeric: true },
  { key: 'id', title: 'Id', value: ({ id }) => id },
];
const rows: readonly Row[] = [
  { id: 1, name: 'Row 10', value: 3 },
  { id: 2, name: 'Row 2', value: null },
  { id: 3, name: 'Row 1', value: 20 },
];
const table = (given = rows, pageSize = 25) =>
  mount(DataTable<Row>, { props: { label: 'Rows', rows: given, columns: COLUMNS, rowKey: ({ id }: Row) => id, pageSize } });
const ids = (mounted: ReturnType<typeof table>) => mounted.findAll('tbody tr').map((row) => row.findAll('td').at(-1)!.text());
const press = (mounted: ReturnType<typeof table>, name: string) =>
  mounted
    .findAll('button.sort')
    .find((button) => button.text().startsWith(name))!
    .trigger('click');

test('rows come as they are given; a heading orders them up, down, and then as they came; that is told', async () => {
  const mounted = table();
  expect(ids(mounted)).toEqual(['1', '2', '3']);
  await press(mounted, 'Name');
  // Numbers within names count as numbers.
  expect(ids(mounted)).toEqual(['3', '2', '1']);
  expect(mounted.findAll('th')[0]!.attributes('aria-sort')).toBe('ascending');
  await press(mounted, 'Name');
  expect(ids(mounted)).toEqual(['1', '2', '3']);
  expect(mounted.findAll('th')[0]!.attributes('aria-sort')).toBe('descending');
  await press(mounted, 'Name');
  expect(mounted.findAll('th')[0]!.attributes('aria-sort')).toBe('none');
  await press(mounted, 'Value');
  // What is not known comes last.
  expect(ids(mounted)).toEqual(['1', '3', '2']);
  expect(mounted.findAll('th')[2]!.attributes('aria-sort')).toBeUndefined();
});

test('a table without rows says so, in its own words or in those it is given', async () => {
  const mounted = table([]);
  expect(mounted.find('.ant-empty').exists()).toBe(false);
  expect(mounted.find('tbody').text()).toBe('Nothing here yet.');
  await mounted.setProps({ empty: 'Nobody came.' });
  expect(mounted.find('tbody').text()).toBe('Nobody came.');
});

test('what fits one page has no pages; what does not is turned, and keeps the order over all of it', async () => {
  expect(table().find('.ant-pagination').exists()).toBe(false);
  const many = Array.from({ length: 60 }, (_, i) => ({ id: i, name: `Row ${59 - i}`, value: i }));
  const mounted = table(many, 25);
  expect(ids(mounted)).toHaveLength(25);
  await press(mounted, 'Name');
  expect(ids(mounted)[0]).toBe('59');
  await mounted.find('.ant-pagination-item-3').trigger('click');
  expect(ids(mounted)).toHaveLength(10);
  expect(ids(mounted).at(-1)).toBe('0');
});
