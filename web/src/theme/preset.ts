import { definePreset } from '@primeuix/themes'
import Aura from '@primeuix/themes/aura'

/** Paper and ink, verdigris for actions. Flat, thin rules, small radii. */
export const paperAndInk = definePreset(Aura, {
  primitive: {
    borderRadius: { none: '0', xs: '2px', sm: '2px', md: '3px', lg: '3px', xl: '4px' },
  },
  semantic: {
    primary: {
      50: '#eef6f4',
      100: '#d5e9e5',
      200: '#aed3cc',
      300: '#7fb6ad',
      400: '#4c938a',
      500: '#1f6f66',
      600: '#1a5f57',
      700: '#154e48',
      800: '#113f3a',
      900: '#0d312d',
      950: '#08201d',
    },
    focusRing: {
      width: '2px',
      style: 'solid',
      color: 'var(--verdigris)',
      offset: '1px',
      shadow: 'none',
    },
    formField: { paddingX: '0.5rem', paddingY: '0.3rem', shadow: 'none' },
    overlay: {
      popover: { shadow: '0 2px 8px rgb(43 38 32 / 0.18)' },
      select: { shadow: '0 2px 8px rgb(43 38 32 / 0.18)' },
    },
    colorScheme: {
      light: {
        surface: {
          0: '#fffdf7',
          50: '#faf6ec',
          100: '#f3ecdc',
          200: '#e6dcc6',
          300: '#d3c6ab',
          400: '#a99c84',
          500: '#7d725f',
          600: '#655c4d',
          700: '#4c453a',
          800: '#37322a',
          900: '#2b2620',
          950: '#1c1915',
        },
      },
      dark: {
        primary: {
          color: '{primary.300}',
          contrastColor: '{surface.900}',
          hoverColor: '{primary.200}',
          activeColor: '{primary.100}',
        },
        surface: {
          0: '#ece5d8',
          50: '#e0d8c9',
          100: '#cfc6b5',
          200: '#c2b8a6',
          300: '#b8ae9b',
          400: '#a2977f',
          500: '#7d725f',
          600: '#655c4d',
          700: '#4d463a',
          800: '#35302a',
          900: '#25221c',
          950: '#1c1a16',
        },
      },
    },
  },
})
