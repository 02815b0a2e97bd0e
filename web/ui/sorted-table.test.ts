/** @jest-environment ./tests/support/jsdom.js */
import { afterEach, expect, test } from '@jest/globals';
import { enableAutoUnmount, mount } from '@vue/test-utils';
import SortedTable from './SortedTable.vue';

enableAutoUnmount(afterEach);

interface Row {
  id: string;
  name: string;
  runs: number;
}
const ROWS: Row[] = [
  { id: 'b', name: 'Potters', runs: 2 },
  { id: 'a', name: 'Äbtissin’s choir', runs: 11 },
  { id: 'c', name: 'Nurses', runs: 0 },
];
const table = () =>
  mount(SortedTable<Row>, {
    props: {
      rows: ROWS,
      columns: [
        { key: 'name', label: 'Name', of: ({ name }: Row) => name },
        { key: 'runs', label: 'Sessions', number: true, of: ({ runs }: Row) => runs },
      ],
    },
    slots: { runs: '<template #runs="{ row }">{{ row.runs }} led</template>' },
  });

test('rows stand as given until a head is pressed: words from A on, numbers from the most on, again the other way', async () => {
  const shown = table();
  const names = (): string[] => shown.findAll('tbody th').map((cell) => cell.text());
  const sorted = (): (string | undefined)[] => shown.findAll('thead th').map((head) => head.attributes('aria-sort'));
  const [name, runs] = shown.findAll('thead button');
  expect([names(), sorted()]).toEqual([
    ['Potters', 'Äbtissin’s choir', 'Nurses'],
    [undefined, undefined],
  ]);
  await name!.trigger('click');
  expect([names(), sorted()]).toEqual([
    ['Äbtissin’s choir', 'Nurses', 'Potters'],
    ['ascending', undefined],
  ]);
  await name!.trigger('click');
  expect(names()).toEqual(['Potters', 'Nurses', 'Äbtissin’s choir']);
  await runs!.trigger('click');
  expect([names(), sorted()]).toEqual([
    ['Äbtissin’s choir', 'Potters', 'Nurses'],
    [undefined, 'descending'],
  ]);
});

test('the first column says what a row is; a slot shows a cell its own way; the arrow is not read out', async () => {
  const shown = table();
  expect(shown.findAll('tbody th').every((cell) => cell.attributes('scope') === 'row')).toBe(true);
  expect(shown.findAll('tbody td').map((cell) => cell.text())).toEqual(['2 led', '11 led', '0 led']);
  await shown.get('thead button').trigger('click');
  expect(shown.get('thead button span').attributes('aria-hidden')).toBe('true');
});
