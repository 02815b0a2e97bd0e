import { definePreset } from '@primeuix/themes';
import { BASE, PARTS } from './parts';

const light = {
  surface: {
    0: '#f7f9f5',
    50: '#f1f4ef',
    100: '#e9ede8',
    200: '#dce3dc',
    300: '#c6cfc7',
    400: '#9ba9a1',
    500: '#6f8078',
    600: '#51645c',
    700: '#3c534b',
    800: '#24423b',
    900: '#14302b',
    950: '#0b1d1a',
  },
  primary: { color: '#1f5f50', contrastColor: '#f7f9f5', hoverColor: '#1a5245', activeColor: '#154539' },
};
const night = {
  surface: {
    0: '#e6e0d0',
    50: '#d5d2c3',
    100: '#c7c6b9',
    200: '#b9bdb0',
    300: '#a8b0a4',
    400: '#98a299',
    500: '#71837b',
    600: '#3a4942',
    700: '#2c3833',
    800: '#1a2320',
    900: '#111815',
    950: '#0b100e',
  },
  primary: { color: '#e3a75e', contrastColor: '#1a140a', hoverColor: '#ebb878', activeColor: '#d3964c' },
};
/** Choices side by side: the chosen one in ink, the others on the sheet. */
const toggle = {
  root: {
    background: 'var(--sheet)',
    hoverBackground: 'var(--well)',
    checkedBackground: 'var(--ink)',
    borderColor: 'var(--line-strong)',
    checkedBorderColor: 'var(--ink)',
    color: 'var(--ink)',
    hoverColor: 'var(--ink)',
    checkedColor: 'var(--paper)',
  },
  content: { checkedBackground: 'transparent', checkedShadow: 'none' },
};
/** Both themes read their colours from the tokens; only what PrimeVue computes with is given as a number. */
const fromTokens = {
  highlight: {
    background: 'var(--ink)',
    focusBackground: 'var(--ink)',
    color: 'var(--paper)',
    focusColor: 'var(--paper)',
  },
  formField: {
    background: 'var(--sheet)',
    borderColor: 'var(--line-strong)',
    hoverBorderColor: 'var(--ink-2)',
    focusBorderColor: 'var(--ink)',
    color: 'var(--ink)',
    placeholderColor: 'var(--ink-2)',
    invalidBorderColor: 'var(--caution)',
  },
  text: { color: 'var(--ink)', hoverColor: 'var(--ink)', mutedColor: 'var(--ink-2)' },
  content: { background: 'var(--sheet)', borderColor: 'var(--line-strong)', color: 'var(--ink)' },
  overlay: {
    select: { background: 'var(--sheet)', borderColor: 'var(--line-strong)', color: 'var(--ink)' },
    popover: { background: 'var(--sheet)', borderColor: 'var(--line-strong)', color: 'var(--ink)' },
    modal: { background: 'var(--sheet)', borderColor: 'var(--line-strong)', color: 'var(--ink)' },
  },
};

const outlined = {
  borderColor: 'var(--line-strong)',
  color: 'var(--ink)',
  hoverBackground: 'var(--well)',
  activeBackground: 'var(--well)',
};

/** The look of PrimeVue's parts in Zovrin. */
export const ZovrinPreset = definePreset(
  { ...BASE, components: PARTS },
  {
    primitive: { borderRadius: { xs: '2px', sm: '3px', md: '4px', lg: '5px', xl: '6px' } },
    semantic: {
      transitionDuration: '.12s',
      focusRing: { width: '2px', style: 'solid', color: 'var(--focus)', offset: '2px', shadow: 'none' },
      disabledOpacity: '.5',
      formField: {
        paddingX: '10px',
        paddingY: '6px',
        borderRadius: '{border.radius.md}',
        shadow: 'none',
        sm: { fontSize: '14px', paddingX: '7px', paddingY: '3px' },
        focusRing: { width: '2px', style: 'solid', color: 'var(--focus)', offset: '1px', shadow: 'none' },
      },
      overlay: {
        select: { borderRadius: '4px', shadow: 'var(--shadow)' },
        popover: { borderRadius: '4px', padding: '12px', shadow: 'var(--shadow)' },
        modal: { borderRadius: '6px', padding: '20px', shadow: 'var(--shadow)' },
        navigation: { shadow: 'var(--shadow)' },
      },
      colorScheme: { light: { ...light, ...fromTokens }, dark: { ...night, ...fromTokens } },
    },
    components: {
      accordion: {
        header: {
          background: 'transparent',
          hoverBackground: 'transparent',
          activeBackground: 'transparent',
          activeHoverBackground: 'transparent',
          color: 'var(--main)',
          hoverColor: 'var(--main)',
          activeColor: 'var(--main)',
          activeHoverColor: 'var(--main)',
        },
        content: { background: 'transparent', color: 'inherit' },
      },
      datatable: {
        row: { background: 'transparent', hoverBackground: 'transparent', color: 'var(--ink)' },
        columnTitle: { fontWeight: '400' },
        headerCell: {
          sm: { padding: '4px 14px 4px 0' },
          borderColor: 'var(--line-strong)',
          background: 'transparent',
          color: 'var(--ink-2)',
          hoverBackground: 'var(--well)',
          hoverColor: 'var(--ink)',
          // The arrow shows which column is sorted by; a slab of colour does not have to.
          selectedBackground: 'transparent',
          selectedColor: 'var(--ink)',
        },
        sortIcon: { color: 'var(--ink-2)', hoverColor: 'var(--ink)' },
        bodyCell: { borderColor: 'var(--line)', sm: { padding: '5px 14px 5px 0' } },
      },
      togglebutton: {
        root: { padding: '0', fontWeight: '400', sm: { fontSize: '14px', padding: '0' } },
        content: { padding: '4px 10px', borderRadius: '3px', sm: { padding: '2px 9px' } },
        colorScheme: { light: toggle, dark: toggle },
      },
      tabs: {
        tablist: { background: 'transparent', borderWidth: '0' },
        tab: {
          padding: '5px 10px 7px',
          borderWidth: '0',
          fontWeight: '400',
          color: 'var(--ink-2)',
          hoverColor: 'var(--ink)',
          activeColor: 'var(--ink)',
          margin: '0',
        },
        activeBar: { height: '3px', bottom: '0', background: 'var(--ink)' },
        navButton: { background: 'var(--paper)', color: 'var(--ink-2)', hoverColor: 'var(--ink)', width: '24px' },
      },
      select: { dropdown: { width: '24px' } },
      message: {
        text: { fontWeight: '400', sm: { fontSize: '13px' } },
        colorScheme: {
          light: { error: { simple: { color: 'var(--caution)' } } },
          dark: { error: { simple: { color: 'var(--caution)' } } },
        },
      },
      button: {
        colorScheme: {
          light: { outlined: { primary: outlined } },
          dark: { outlined: { primary: outlined } },
        },
      },
    },
  },
);
