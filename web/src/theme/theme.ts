import {
  type CSSVariablesResolver,
  createTheme,
  type MantineColorsTuple,
  type MantineThemeComponents,
} from '@mantine/core';
import controls from './controls.module.css';

/** Mantine's scales of ten, from the tokens by what they are for: so every look is all of the interface. */
const scale = (...names: readonly string[]) =>
  names.map((name) => `var(--${name})`) as unknown as MantineColorsTuple;

/** Which place of the scales Mantine takes for what is filled. */
const filled = 8;

/** How each control is dressed. Told by name, so that a control is fetched with the view that uses it. */
const dressed: MantineThemeComponents = {
  Button: { classNames: { root: controls.button }, defaultProps: { color: 'gray' } },
  ActionIcon: {
    classNames: { root: controls.icon },
    defaultProps: { variant: 'subtle', color: 'gray' },
  },
  Anchor: { classNames: { root: controls.link }, defaultProps: { underline: 'hover', inherit: true } },
  Input: {
    classNames: { wrapper: controls.input },
    vars: () => ({ wrapper: { '--input-height': 'var(--control)', '--input-fz': 'var(--control-text)' } }),
  },
  InputWrapper: {
    classNames: { label: controls.label, description: controls.note, error: controls.error },
  },
  Select: {
    classNames: { option: controls.option },
    defaultProps: {
      allowDeselect: false,
      checkIconPosition: 'right',
      comboboxProps: { width: 'max-content', position: 'bottom-start', keepMounted: false },
      rightSectionWidth: 22,
    },
  },
  Checkbox: {
    classNames: { root: controls.checkbox, body: controls.checkboxBody, label: controls.checkboxLabel },
    defaultProps: { size: 'xs', radius: 'xs' },
  },
  SegmentedControl: {
    classNames: {
      root: controls.segments,
      control: controls.segment,
      label: controls.segmentLabel,
      input: controls.segmentInput,
      indicator: controls.segmentMark,
    },
  },
  RadioCard: { classNames: { card: controls.card } },
  Slider: {
    classNames: {
      root: controls.slider,
      trackContainer: controls.along,
      track: controls.track,
      bar: controls.bar,
      thumb: controls.thumb,
    },
    defaultProps: { size: 3, thumbSize: 14, label: null },
  },
  Table: {
    classNames: { table: controls.table },
    defaultProps: { verticalSpacing: 2, horizontalSpacing: 10, withRowBorders: false },
  },
  Tooltip: {
    defaultProps: {
      events: { hover: true, focus: true, touch: true },
      multiline: true,
      maw: 320,
      fz: 'xs',
      // In place, so that it stands within the landmark of what it is about; fixed, so that nothing clips it.
      withinPortal: false,
      floatingStrategy: 'fixed',
    },
  },
  Drawer: { classNames: { content: controls.surface } },
};

/** The one place where tokens.css becomes Mantine: colours, fonts, sizes, radii, and how each control is dressed. */
export const theme = createTheme({
  fontFamily: 'var(--text-font)',
  headings: { fontFamily: 'var(--head-font)', fontWeight: '700' },
  fontSizes: {
    xs: 'var(--text-small)',
    sm: 'var(--text)',
    md: 'var(--text-title)',
    lg: 'var(--text-head)',
    xl: 'var(--text-head)',
  },
  spacing: { xs: '4px', sm: 'var(--gap)', md: '14px', lg: '20px', xl: '34px' },
  radius: { xs: '3px', sm: 'var(--radius)', md: 'var(--radius)', lg: '8px', xl: '999px' },
  defaultRadius: 'sm',
  breakpoints: { sm: '861px', md: '1161px' },
  black: 'var(--ink)',
  white: 'var(--card)',
  colors: {
    home: scale('hover', 'hover', 'home-soft', 'home-soft', 'home', 'home', 'home', 'home', 'home', 'home'),
    gray: scale(
      'hover',
      'hover',
      'line-faint',
      'line',
      'line',
      'ink-soft',
      'ink-soft',
      'ink-soft',
      'ink',
      'ink',
    ),
    dark: scale('ink', 'ink', 'ink-soft', 'ink-soft', 'line', 'hover', 'card', 'paper', 'hover', 'header'),
    red: scale(
      'hover',
      'hover',
      'danger',
      'danger',
      'danger',
      'danger',
      'danger',
      'danger',
      'danger',
      'danger',
    ),
  },
  primaryColor: 'home',
  primaryShade: filled,
  cursorType: 'pointer',
  respectReducedMotion: true,
  components: dressed,
});

const everyLook = {
  '--mantine-color-body': 'var(--paper)',
  '--mantine-color-text': 'var(--ink)',
  '--mantine-color-bright': 'var(--ink)',
  '--mantine-color-dimmed': 'var(--ink-soft)',
  '--mantine-color-placeholder': 'var(--ink-soft)',
  '--mantine-color-anchor': 'var(--home)',
  '--mantine-color-default': 'var(--card)',
  '--mantine-color-default-hover': 'var(--hover)',
  '--mantine-color-default-color': 'var(--ink)',
  '--mantine-color-default-border': 'var(--line)',
  '--mantine-color-disabled': 'transparent',
  '--mantine-color-disabled-color': 'var(--ink-soft)',
  '--mantine-color-disabled-border': 'var(--line)',
  '--mantine-color-error': 'var(--danger)',
  '--mantine-primary-color-contrast': 'var(--on-home)',
};

/** Paper and sunlight are light schemes, dusk is a dark one; in each the tokens say which colours. */
export const fromTokens: CSSVariablesResolver = () => ({ variables: {}, light: everyLook, dark: everyLook });
