/** @jest-environment ./tests/support/jsdom.js */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { enableAutoUnmount, mount, type VueWrapper } from '@vue/test-utils';
import '../../../tests/support/components';
import DatePicker from 'primevue/datepicker';
import DayField from './DayField.vue';
import NumberField from './NumberField.vue';
import SelectField from './SelectField.vue';
import TagsField from './TagsField.vue';
import TextField from './TextField.vue';
import TimeField from './TimeField.vue';

enableAutoUnmount(afterEach);
beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

const boxOf = (field: VueWrapper): HTMLInputElement => field.get('input').element;
const problemOf = (field: VueWrapper): string =>
  field.find('[role="alert"]').exists() ? field.get('[role="alert"]').text() : '';
async function type(field: VueWrapper, text: string): Promise<void> {
  await field.get('input').setValue(text);
}

describe('a field for a length', () => {
  /** A field whose value follows what it gives, as on a page; lengths over ten minutes are refused. */
  function timeField(props: Partial<InstanceType<typeof TimeField>['$props']> = {}) {
    const given: (number | null)[] = [];
    const field = mount(TimeField, {
      props: {
        modelValue: 90,
        label: 'Hold',
        accept: (seconds: number | null) => {
          if (seconds !== null && seconds > 600) return 'At most 10:00.';
          given.push(seconds);
          void field.setProps({ modelValue: seconds });
          return undefined;
        },
        ...props,
      },
    });
    return { field, given };
  }

  test('it shows the length, and its label belongs to it', () => {
    const { field } = timeField();
    expect(boxOf(field).value).toBe('1:30');
    expect(field.get('label').attributes('for')).toBe(boxOf(field).id);
    expect(boxOf(field).getAttribute('aria-invalid')).toBe('false');
  });

  test.each([
    ['2:15', 135],
    ['45s', 45],
    ['4,5 min', 270],
  ])('“%s” is given as %d seconds, and shown as a clock', async (text, seconds) => {
    const { field, given } = timeField();
    await type(field, text);
    expect(given).toEqual([seconds]);
    expect(problemOf(field)).toBe('');
    expect(boxOf(field).value).toMatch(/^\d+:\d\d$/);
  });

  test('what cannot be read, or is refused, stays typed, and the reason is linked to it; the right length ends it', async () => {
    const { field, given } = timeField();
    for (const [text, reason] of [
      ['soon', /like 4:30|Type a length|read/i],
      ['11:00', /At most 10:00/],
    ] as const) {
      await type(field, text);
      expect(boxOf(field).value).toBe(text);
      expect(problemOf(field)).toMatch(reason);
      expect(boxOf(field).getAttribute('aria-invalid')).toBe('true');
      const described = boxOf(field).getAttribute('aria-describedby');
      expect(field.get('[role="alert"]').attributes('id')).toBe(described);
    }
    expect(given).toEqual([]);
    await type(field, '9:00');
    expect([given, problemOf(field)]).toEqual([[540], '']);
  });

  test('arrows change it by a quarter of a minute, with Shift by a whole one, and never below nothing', async () => {
    const { field, given } = timeField({ modelValue: 20 });
    await field.get('input').trigger('keydown', { key: 'ArrowUp' });
    await field.get('input').trigger('keydown', { key: 'ArrowUp', shiftKey: true });
    await field.get('input').trigger('keydown', { key: 'ArrowDown', shiftKey: true });
    await field.get('input').trigger('keydown', { key: 'ArrowDown', shiftKey: true });
    expect(given).toEqual([35, 95, 35, 0]);
  });

  test('a number alone is minutes where minutes are meant: how it was understood is shown for a moment', async () => {
    const { field, given } = timeField({ bare: 'minutes' });
    await type(field, '5');
    expect(given).toEqual([300]);
    expect(field.get('[role="status"]').text()).toBe('5 → 5:00');
    jest.advanceTimersByTime(7000);
    await field.vm.$nextTick();
    expect(field.find('[role="status"]').exists()).toBe(false);
  });

  test('emptied, it gives no length where there is a usual one, and shows that', async () => {
    const { field, given } = timeField({ usual: 45 });
    await type(field, '');
    expect(given).toEqual([null]);
    expect([boxOf(field).value, boxOf(field).placeholder]).toEqual(['', '0:45']);
  });

  test('in breaths it reads and shows breaths', async () => {
    const { field, given } = timeField({ modelValue: 32, breath: 8 });
    expect(boxOf(field).value).toBe('4 breaths');
    await type(field, '6');
    expect(given).toEqual([48]);
    await field.get('input').trigger('keydown', { key: 'ArrowUp' });
    expect(given).toEqual([48, 56]);
  });
});

describe('a field for a number', () => {
  const numberField = (accept: (value: number) => string | undefined) =>
    mount(NumberField, { props: { modelValue: 4, label: 'Rounds', accept } });

  test('a comma will do; the same number is not given again; no number is refused and stays', async () => {
    const accept = jest.fn<(value: number) => string | undefined>(() => undefined);
    const field = numberField(accept);
    await type(field, '4,5');
    await type(field, '4');
    await type(field, 'many');
    expect(accept.mock.calls).toEqual([[4.5]]);
    expect([boxOf(field).value, problemOf(field)]).toEqual(['many', 'Type a number.']);
    await type(field, '');
    expect(problemOf(field)).toBe('Type a number.');
  });

  test('arrows go by its step and keep what was typed where it is refused', async () => {
    const field = numberField((value) => (value > 4 ? 'At most 4.' : undefined));
    await field.get('input').trigger('keydown', { key: 'ArrowUp' });
    expect([boxOf(field).value, problemOf(field)]).toEqual(['5', 'At most 4.']);
    await field.setProps({ modelValue: 3 });
    expect([boxOf(field).value, problemOf(field)]).toEqual(['3', '']);
  });
});

describe('a field for text', () => {
  test('what is refused stays typed with the reason, until the document has something else', async () => {
    const field = mount(TextField, {
      props: {
        modelValue: 'Evening',
        label: 'Title',
        accept: (text: string) => (text.trim() ? undefined : 'A title is needed.'),
      },
    });
    await type(field, ' ');
    expect([boxOf(field).value, problemOf(field)]).toEqual([' ', 'A title is needed.']);
    await field.setProps({ modelValue: 'Morning' });
    expect([boxOf(field).value, problemOf(field)]).toEqual(['Morning', '']);
  });
});

describe('a list that opens', () => {
  const OPTIONS = [
    { value: '', label: 'all plans' },
    { value: 'a', label: 'Potters' },
    { value: 'b', label: 'Nurses' },
  ];
  const list = (modelValue: string | null) =>
    mount(SelectField<string>, {
      props: { label: 'Plan', options: OPTIONS, modelValue, placeholder: 'choose one' },
      global: { stubs: { teleport: true, transition: true } },
    });
  const shown = (field: VueWrapper): string => field.get('[role="combobox"]').text();
  async function choose(field: VueWrapper, name: string): Promise<void> {
    await field.get('[role="combobox"]').trigger('click');
    await field
      .findAll('[role="option"]')
      .find((one) => one.text() === name)!
      .trigger('mousedown');
    await field.vm.$nextTick();
  }

  test('its label names it; a choice that is an empty text is shown as any other', () => {
    const field = list('');
    expect(shown(field)).toBe('all plans');
    const named = field.get('[role="combobox"]').attributes('aria-labelledby');
    expect(field.get('label').attributes('id')).toBe(named);
    expect([shown(list('b')), shown(list(null))]).toEqual(['Nurses', 'choose one']);
  });

  test('what is chosen is given; where it is not taken, the list shows what still stands', async () => {
    const field = list('a');
    await choose(field, 'Nurses');
    expect(field.emitted('update:modelValue')).toEqual([['b']]);
    expect(shown(field)).toBe('Potters');
    await choose(field, 'all plans');
    expect(field.emitted('update:modelValue')).toEqual([['b'], ['']]);
    await field.setProps({ modelValue: '' });
    expect(shown(field)).toBe('all plans');
  });
});

describe('a field for a day', () => {
  /** A field whose value follows what it gives, as on a page; days after the 26th of November are refused. */
  function dayField(props: { time?: boolean; modelValue?: string } = {}) {
    const given: string[] = [];
    const field = mount(DayField, {
      props: {
        modelValue: '2026-11-20',
        label: 'Since',
        accept: (when: string) => {
          if (when > '2026-11-26T23:59') return 'That is in the future.';
          given.push(when);
          void field.setProps({ modelValue: when });
          return undefined;
        },
        ...props,
      },
      global: { stubs: { teleport: true, transition: true } },
    });
    return { field, given };
  }
  async function typeDay(field: VueWrapper, text: string): Promise<void> {
    await type(field, text);
    await field.get('input').trigger('blur');
    await field.vm.$nextTick();
  }

  test('it is shown and read as people here write it; emptied, it is none', async () => {
    const { field, given } = dayField();
    expect(boxOf(field).value).toBe('20/11/2026');
    await typeDay(field, '6 Oct 2026');
    expect([given, boxOf(field).value]).toEqual([['2026-10-06'], '06/10/2026']);
    await typeDay(field, '');
    expect([given.at(-1), boxOf(field).value]).toEqual(['', '']);
  });

  test.each([
    ['soon', 'Type a date like 26/11/2026.'],
    ['27/11/2026', 'That is in the future.'],
  ])('“%s” stays typed, with the reason linked to it', async (text, reason) => {
    const { field, given } = dayField();
    await typeDay(field, text);
    expect([boxOf(field).value, problemOf(field), given]).toEqual([text, reason, []]);
    expect(boxOf(field).getAttribute('aria-describedby')).toBe(field.get('[role="alert"]').attributes('id'));
    await typeDay(field, '25/11/2026');
    expect([given, problemOf(field)]).toEqual([['2026-11-25'], '']);
  });

  test('a day picked from the calendar is given; one that is refused stays with its reason, also when it is left', async () => {
    const { field, given } = dayField();
    const calendar = field.getComponent(DatePicker);
    calendar.vm.$emit('date-select', new Date(2026, 10, 24));
    await field.vm.$nextTick();
    expect(given).toEqual(['2026-11-24']);
    calendar.vm.$emit('date-select', new Date(2026, 10, 30));
    await field.vm.$nextTick();
    await field.get('input').trigger('blur');
    await field.vm.$nextTick();
    expect([given.length, problemOf(field), boxOf(field).value]).toEqual([1, 'That is in the future.', '30/11/2026']);
  });

  test('with a time it is a moment', async () => {
    const { field, given } = dayField({ time: true, modelValue: '2026-11-20T18:30' });
    expect(boxOf(field).value).toBe('20/11/2026 18:30');
    await typeDay(field, '21/11/2026 7pm');
    expect(given).toEqual(['2026-11-21T19:00']);
  });
});

describe('a field for tags', () => {
  /** A field that takes at most three tags, each once. */
  function tagsField(modelValue: string[] = ['knees']) {
    const field = mount(TagsField, {
      attachTo: document.body,
      props: {
        modelValue,
        label: 'Tags',
        known: ['Winter term', 'winter workshop', 'knees'],
        accept: (tags: string[]) => {
          if (new Set(tags).size < tags.length) return 'It is there already.';
          if (tags.length > 3) return 'At most three.';
          void field.setProps({ modelValue: tags });
          return undefined;
        },
      },
    });
    return field;
  }
  const chosen = (field: VueWrapper): string[] => field.findAll('.chip').map((chip) => chip.text());
  const offered = (): string[] =>
    [...document.querySelectorAll('.p-autocomplete-option')].map((one) => one.textContent);
  async function typeAndWait(field: VueWrapper, text: string): Promise<void> {
    boxOf(field).focus();
    await type(field, text);
    await jest.runAllTimersAsync();
  }
  const press = async (field: VueWrapper, key: string): Promise<void> => {
    await field.get('input').trigger('keydown', { key, code: key });
    await jest.runAllTimersAsync();
  };

  test('what is typed comes first, then the known ones that begin so and are not there yet', async () => {
    const field = tagsField();
    await typeAndWait(field, 'win');
    expect(offered()).toEqual(['win', 'Winter term', 'winter workshop']);
    await typeAndWait(field, 'winter TERM');
    expect(offered()).toEqual(['Winter term']);
    await press(field, 'Enter');
    expect(chosen(field)).toEqual(['knees', 'Winter term']);
    expect(boxOf(field).value).toBe('');
  });

  test('one that is there already is refused with its reason, and stays in the field', async () => {
    const field = tagsField();
    await typeAndWait(field, 'knees');
    await press(field, 'Enter');
    expect(problemOf(field)).toBe('It is there already.');
    expect(boxOf(field).value).toBe('knees');
    expect(boxOf(field).getAttribute('aria-describedby')).toBe(field.get('[role="alert"]').attributes('id'));
    expect(chosen(field)).toEqual(['knees']);
    await typeAndWait(field, 'shoulders');
    await press(field, 'Enter');
    expect([problemOf(field), chosen(field)]).toEqual(['', ['knees', 'shoulders']]);
  });

  test('what was typed is taken when the field is left, spaces around it or not', async () => {
    const field = tagsField([]);
    await typeAndWait(field, '  slow evenings ');
    await field.get('input').trigger('blur');
    await jest.runAllTimersAsync();
    expect(chosen(field)).toEqual(['slow evenings']);
  });

  test('one is removed by its button, the last by Backspace', async () => {
    const field = tagsField(['a', 'b', 'c']);
    await field.get('button[aria-label="Remove a"]').trigger('click');
    await jest.runAllTimersAsync();
    expect(chosen(field)).toEqual(['b', 'c']);
    await press(field, 'Backspace');
    expect(chosen(field)).toEqual(['b']);
  });
});
