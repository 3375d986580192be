import { Button, createTheme, type MantineColorsTuple } from '@mantine/core';

const home: MantineColorsTuple = [
  '#eef5fa',
  '#dde9f2',
  '#b7d1e4',
  '#8eb8d6',
  '#6ba2ca',
  '#5695c3',
  '#4a8ebf',
  '#3a7aa9',
  '#2f6690',
  '#1f5178',
];

/** Mantine in the product's fonts and colours. The colours by meaning are in tokens.css. */
export const theme = createTheme({
  fontFamily: 'var(--text-font)',
  headings: { fontFamily: 'var(--head-font)', fontWeight: '700' },
  colors: { home },
  primaryColor: 'home',
  primaryShade: 8,
  defaultRadius: 6,
  black: '#1b2420',
  cursorType: 'pointer',
  respectReducedMotion: true,
  components: {
    Button: Button.extend({
      vars: () => ({
        root: {
          '--button-bg': 'var(--ink)',
          '--button-hover': 'var(--ink-soft)',
          '--button-color': 'var(--paper)',
        },
      }),
    }),
  },
});
