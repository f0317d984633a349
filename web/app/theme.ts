import { createVuetify } from 'vuetify';
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg';
import 'vuetify/styles';

/** What opens stays where it is: a press while it still grows goes down on one thing and up on another, and is lost. */
const transition = 'fade-transition';
const field = { variant: 'outlined', density: 'comfortable', color: 'primary' } as const;

const nonce = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce;

/** Two grounds: everything is light but the bench, which is dark and without colour so that skin and gloves keep theirs. */
export const vuetify = createVuetify({
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  theme: {
    cspNonce: nonce,
    defaultTheme: 'daylight',
    themes: {
      daylight: {
        dark: false,
        colors: {
          background: '#eceae3',
          surface: '#fbfaf6',
          'on-surface': '#1d2324',
          'on-background': '#1d2324',
          primary: '#17494d',
          secondary: '#8a5a12',
          error: '#a8261a',
          warning: '#8a5a12',
          success: '#1f6b45',
        },
        variables: { 'medium-emphasis-opacity': 0.78, 'border-opacity': 0.2 },
      },
      bench: {
        dark: true,
        colors: {
          background: '#131415',
          surface: '#1d1f20',
          'on-surface': '#eceae3',
          'on-background': '#eceae3',
          primary: '#e9b44c',
          secondary: '#9fc9cc',
          error: '#ff8a75',
          warning: '#f0c060',
          success: '#7fd1a0',
        },
        variables: { 'medium-emphasis-opacity': 0.78 },
      },
    },
  },
  defaults: {
    VBtn: { variant: 'flat', rounded: 'sm' },
    VMenu: { transition },
    VDialog: { transition },
    VTextField: field,
    VNumberInput: field,
    VTextarea: field,
    VSelect: { ...field, transition },
    VAutocomplete: { ...field, transition },
    VCombobox: { ...field, transition },
    VCard: { rounded: 'sm' },
    VTooltip: { openDelay: 500 },
  },
});
