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

export const theme = createTheme({
  primaryColor: 'indigo',
  primaryShade: { light: 6, dark: 4 },
  colors: { indigo },
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
    Tooltip: { defaultProps: { openDelay: 300, multiline: true, maw: 320 } },
  },
});
