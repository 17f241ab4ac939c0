/** One theme: warm paper, ink, hairlines; indigo is what is predicted, vermilion what is measured, graphite what is asked. */
import { createTheme, type MantineColorsTuple } from '@mantine/core';

const indigo: MantineColorsTuple = [
  '#eeeefb',
  '#d9d9f4',
  '#b3b2e8',
  '#8b89dc',
  '#6a67d1',
  '#5451c4',
  '#4340b0',
  '#37358f',
  '#2b2970',
  '#201f54',
];

/** Greys of paper and ink: nothing bluish beside them. */
const gray: MantineColorsTuple = [
  '#f8f4ea',
  '#f4eee1',
  '#e9e1d0',
  '#ddd4c2',
  '#c6bba6',
  '#9a917f',
  '#645d51',
  '#4d4a45',
  '#36322b',
  '#26231e',
];
const dark: MantineColorsTuple = [
  '#eee7d8',
  '#d3cab8',
  '#b6ad9b',
  '#857c6b',
  '#403a2f',
  '#332e26',
  '#25221c',
  '#1b1915',
  '#141210',
  '#0d0c0a',
];

export const theme = createTheme({
  primaryColor: 'indigo',
  primaryShade: { light: 6, dark: 4 },
  colors: { indigo, gray, dark },
  fontFamily: '"Public Sans Variable", system-ui, sans-serif',
  fontFamilyMonospace: '"Spline Sans Mono Variable", ui-monospace, monospace',
  headings: { fontFamily: '"Public Sans Variable", system-ui, sans-serif', fontWeight: '650' },
  defaultRadius: 3,
  fontSizes: { xs: '0.75rem', sm: '0.8125rem', md: '0.9375rem', lg: '1.0625rem', xl: '1.25rem' },
  components: {
    Button: { defaultProps: { size: 'xs' } },
    ActionIcon: { defaultProps: { variant: 'subtle', color: 'gray' } },
    TextInput: { defaultProps: { size: 'xs' } },
    Textarea: { defaultProps: { size: 'xs' } },
    Select: { defaultProps: { size: 'xs', comboboxProps: { withinPortal: true } } },
    NativeSelect: { defaultProps: { size: 'xs' } },
    Checkbox: { defaultProps: { size: 'xs' } },
    SegmentedControl: { defaultProps: { size: 'xs' } },
    Modal: { defaultProps: { closeButtonProps: { 'aria-label': 'Close' } } },
    Drawer: { defaultProps: { closeButtonProps: { 'aria-label': 'Close' } } },
    Tooltip: { defaultProps: { openDelay: 300, multiline: true, maw: 320 } },
  },
});
