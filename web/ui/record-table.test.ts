/** @jest-environment ./tests/support/jsdom.js */
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { enableAutoUnmount, mount } from '@vue/test-utils';
import { nextTick } from 'vue';
import '../../tests/support/components';
import RecordTable from './RecordTable.vue';

enableAutoUnmount(afterEach);
beforeEach(() => localStorage.clear());

interface Row {
  id: string;
  name: string;
  runs: number | '';
}
const ROWS: Row[] = [
  { id: 'b', name: 'Potters', runs: 2 },
  { id: 'a', name: 'Äbtissin’s choir', runs: 11 },
  { id: 'c', name: 'Nurses', runs: '' },
];
const table = (props: { rows?: Row[]; loading?: boolean } = {}) =>
  mount(RecordTable<Row>, {
    props: {
      name: 'test',
      label: 'Groups',
      rows: ROWS,
      columns: [
        { key: 'name', label: 'Name', of: ({ name }: Row) => name },
        { key: 'runs', label: 'Sessions', number: true, of: ({ runs }: Row) => runs },
        { key: 'more', label: 'More' },
      ],
      ...props,
    },
    slots: {
      runs: '<template #runs="{ row }">{{ row.runs }} led</template>',
      empty: '<p class="nobody">No groups yet.</p>',
    },
  });
const names = (shown: ReturnType<typeof table>): string[] =>
  shown.findAll('tbody [role="rowheader"]').map((cell) => cell.text());
const sorted = (shown: ReturnType<typeof table>) =>
  shown.findAll('thead th').map((head) => head.attributes('aria-sort'));

test('rows stand as given until a head is pressed: from A on, then the other way, then as given', async () => {
  const shown = table();
  const head = shown.findAll('thead th')[0]!;
  expect([names(shown), sorted(shown)]).toEqual([
    ['Potters', 'Äbtissin’s choir', 'Nurses'],
    ['none', 'none', undefined],
  ]);
  await head.trigger('click');
  expect([names(shown), sorted(shown)[0]]).toEqual([['Äbtissin’s choir', 'Nurses', 'Potters'], 'ascending']);
  await head.trigger('click');
  expect([names(shown), sorted(shown)[0]]).toEqual([['Potters', 'Nurses', 'Äbtissin’s choir'], 'descending']);
  await head.trigger('click');
  expect(names(shown)).toEqual(['Potters', 'Äbtissin’s choir', 'Nurses']);
});

test('the keyboard sorts too; what is not known comes last either way', async () => {
  const shown = table();
  const head = shown.findAll('thead th')[1]!;
  expect(head.attributes('tabindex')).toBe('0');
  await head.trigger('keydown', { code: 'Enter' });
  expect(names(shown)).toEqual(['Potters', 'Äbtissin’s choir', 'Nurses']);
  await head.trigger('keydown', { code: 'Space' });
  expect(names(shown)).toEqual(['Äbtissin’s choir', 'Potters', 'Nurses']);
});

test('the order is remembered by this browser', async () => {
  const shown = table();
  await shown.findAll('thead th')[0]!.trigger('click');
  await nextTick();
  shown.unmount();
  expect(names(table())).toEqual(['Äbtissin’s choir', 'Nurses', 'Potters']);
});

test('a slot shows a cell its own way; a column that is not sorted has no order', () => {
  const shown = table();
  expect(shown.findAll('tbody td.number').map((cell) => cell.text())).toEqual(['2 led', '11 led', 'led']);
  expect(shown.findAll('thead th')[2]!.attributes('aria-sort')).toBeUndefined();
});

test('many rows can be searched, whatever the accents; no match is said, and clearing shows all', async () => {
  const many = Array.from({ length: 9 }, (_, i) => ({
    id: `${i}`,
    name: i === 4 ? 'Méabh Öst' : `Person ${i}`,
    runs: i,
  }));
  const shown = table({ rows: many });
  const box = shown.get('input');
  await box.setValue('meabh o');
  expect(names(shown)).toEqual(['Méabh Öst']);
  await box.setValue('nobody');
  expect([names(shown), shown.text()]).toEqual([[], expect.stringContaining('No matches.')]);
  await box.setValue('');
  expect(names(shown)).toHaveLength(9);
});

test('no records: what the page says of it, but not while they load', async () => {
  const shown = table({ rows: [] });
  expect(shown.find('.nobody').exists()).toBe(true);
  await shown.setProps({ loading: true });
  expect([shown.find('.nobody').exists(), shown.text()]).toEqual([false, expect.stringContaining('Loading…')]);
});
