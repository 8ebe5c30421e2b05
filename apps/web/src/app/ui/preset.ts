import { definePreset } from '@primeuix/themes';
import base from '@primeuix/themes/aura/base';
import button from '@primeuix/themes/aura/button';
import datatable from '@primeuix/themes/aura/datatable';
import dialog from '@primeuix/themes/aura/dialog';
import paginator from '@primeuix/themes/aura/paginator';
import popover from '@primeuix/themes/aura/popover';
import select from '@primeuix/themes/aura/select';

/** The measures of the parts that are used, and of no others: every page waits for them. */
const parts = { ...base, components: { button, datatable, dialog, paginator, popover, select } };

const accent = {
  50: '#e6e8fb',
  100: '#d3d7f8',
  200: '#b0b7f1',
  300: '#8c96ea',
  400: '#6975e0',
  500: '#2b3fd0',
  600: '#2638bb',
  700: '#2030a2',
  800: '#1a2785',
  900: '#141d66',
  950: '#0d1345',
};

/** The component library in Lisse's own clothes: square, ruled, flat, one accent. */
export const LISSE_PRESET = definePreset(parts, {
  primitive: {
    borderRadius: { none: '0', xs: '2px', sm: '2px', md: '2px', lg: '2px', xl: '2px' },
  },
  semantic: {
    primary: accent,
    transitionDuration: '0.12s',
    focusRing: { width: '2px', style: 'solid', color: 'var(--accent)', offset: '2px', shadow: 'none' },
    formField: {
      paddingX: '0.5rem',
      paddingY: '0.35rem',
      borderRadius: '2px',
      shadow: 'none',
      focusRing: { width: '2px', style: 'solid', color: 'var(--accent)', offset: '-1px', shadow: 'none' },
    },
    list: { padding: '0.25rem 0', option: { padding: '0.4rem 0.6rem', borderRadius: '0' } },
    overlay: {
      select: { borderRadius: '2px', shadow: 'none' },
      popover: { borderRadius: '2px', padding: '0.9rem 1rem', shadow: 'none' },
      modal: { borderRadius: '2px', padding: '1.25rem', shadow: 'none' },
    },
    colorScheme: {
      light: {
        surface: {
          0: '#fbfaf6',
          50: '#f3f0e9',
          100: '#e8e3d9',
          200: '#dcd6ca',
          300: '#c6bfb1',
          400: '#97917f',
          500: '#6d6a62',
          600: '#55534d',
          700: '#3f3e3a',
          800: '#2d2e31',
          900: '#24262b',
          950: '#17181b',
        },
        primary: {
          color: '{primary.500}',
          contrastColor: '#ffffff',
          hoverColor: '{primary.600}',
          activeColor: '{primary.700}',
        },
        text: { color: '#24262b', mutedColor: '#6d6a62', hoverColor: '#24262b', hoverMutedColor: '#55534d' },
        formField: {
          background: '#fbfaf6',
          borderColor: '#c6bfb1',
          hoverBorderColor: '#97917f',
          focusBorderColor: '{primary.500}',
          color: '#24262b',
          iconColor: '#6d6a62',
        },
        highlight: {
          background: '#e6e8fb',
          focusBackground: '#d3d7f8',
          color: '#1a2785',
          focusColor: '#1a2785',
        },
      },
      dark: {
        surface: {
          0: '#ffffff',
          50: '#f3f0e9',
          100: '#dcd6ca',
          200: '#c6bfb1',
          300: '#a8a294',
          400: '#97917f',
          500: '#6d6a62',
          600: '#4a4842',
          700: '#34332f',
          800: '#232320',
          900: '#161614',
          950: '#0c0c0b',
        },
        primary: {
          color: '#a9b4ff',
          contrastColor: '#0c0c0b',
          hoverColor: '#c3cbff',
          activeColor: '#c3cbff',
        },
        text: { color: '#f7f4ec', mutedColor: '#c9c3b5', hoverColor: '#ffffff', hoverMutedColor: '#e8e3d9' },
        formField: {
          background: '#161614',
          borderColor: '#6d6a62',
          hoverBorderColor: '#97917f',
          focusBorderColor: '#a9b4ff',
          color: '#f7f4ec',
          iconColor: '#c9c3b5',
        },
        highlight: {
          background: '#2a2f63',
          focusBackground: '#343a78',
          color: '#ffffff',
          focusColor: '#ffffff',
        },
      },
    },
  },
});
