import { definePreset } from '@primeuix/themes'
import base from '@primeuix/themes/aura/base'
import autocomplete from '@primeuix/themes/aura/autocomplete'
import button from '@primeuix/themes/aura/button'
import dialog from '@primeuix/themes/aura/dialog'
import inputtext from '@primeuix/themes/aura/inputtext'
import popover from '@primeuix/themes/aura/popover'
import selectbutton from '@primeuix/themes/aura/selectbutton'
import skeleton from '@primeuix/themes/aura/skeleton'
import textarea from '@primeuix/themes/aura/textarea'
import toast from '@primeuix/themes/aura/toast'
import togglebutton from '@primeuix/themes/aura/togglebutton'

/** Beetroot, the one strong colour. */
const beetroot = {
  50: '#fbf1f6',
  100: '#f6dfea',
  200: '#eebfd5',
  300: '#e194b7',
  400: '#cf6393',
  500: '#a93169',
  600: '#8f2458',
  700: '#7d1d4b',
  800: '#62173b',
  900: '#45102a',
  950: '#2a0819',
}

/** Flour-white to slate: the ground everything lies on. */
const slate = {
  0: '#ffffff',
  50: '#f5f7f9',
  100: '#eaeef2',
  200: '#d8dfe5',
  300: '#bcc7d0',
  400: '#8d9ba7',
  500: '#66757f',
  600: '#4d5b66',
  700: '#3a4650',
  800: '#27313a',
  900: '#1b242b',
  950: '#12191f',
}

/**
 * The look of Swap Pocket over PrimeVue's tokens; the only place where they are set. Only the components that
 * are used are taken in, which keeps the first load small.
 */
export const preset = definePreset(
  {
    ...base,
    components: {
      autocomplete,
      button,
      dialog,
      inputtext,
      popover,
      selectbutton,
      skeleton,
      textarea,
      toast,
      togglebutton,
    },
  },
  {
    semantic: {
      primary: beetroot,
      formField: { paddingX: '0.6rem', paddingY: '0.4rem', borderRadius: '3px' },
      focusRing: { width: '2px', style: 'solid', color: '{primary.color}', offset: '2px' },
      colorScheme: {
        light: {
          surface: slate,
          primary: {
            color: '{primary.700}',
            contrastColor: '#ffffff',
            hoverColor: '{primary.800}',
            activeColor: '{primary.900}',
          },
          text: { color: '{surface.900}', mutedColor: '{surface.600}' },
        },
        dark: {
          surface: slate,
          primary: {
            color: '{primary.300}',
            contrastColor: '{primary.950}',
            hoverColor: '{primary.200}',
            activeColor: '{primary.100}',
          },
          text: { color: '#e9eef2', mutedColor: '#a9b6c0' },
        },
      },
    },
    components: {
      button: {
        root: { borderRadius: '3px', paddingX: '0.8rem', paddingY: '0.4rem' },
        colorScheme: {
          light: {
            text: { secondary: { color: '{surface.700}' } },
            outlined: { secondary: { color: '{surface.700}', borderColor: '{surface.300}' } },
          },
          dark: {
            text: { secondary: { color: '{surface.200}' } },
            outlined: { secondary: { color: '{surface.200}', borderColor: '{surface.600}' } },
          },
        },
      },
      togglebutton: {
        root: { borderRadius: '3px', padding: '0.15rem' },
        colorScheme: {
          light: { root: { color: '{surface.700}' } },
          dark: { root: { color: '{surface.200}' } },
        },
      },
    },
  },
)
