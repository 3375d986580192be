import type { TextInputProps } from '@mantine/core';
import styles from './field.module.css';

/** How a field stands: label beside its value, label above it, or in a table whose heading is the label. */
export interface FieldLayout {
  readonly stacked?: boolean;
  readonly bare?: boolean;
}

/** What every field hands on to Mantine's input, whichever it is. */
export function fieldProps({ stacked, bare }: FieldLayout, extra?: keyof typeof styles) {
  const shape = bare ? styles.bare : stacked ? styles.stacked : styles.row;
  return {
    classNames: {
      root: shape,
      label: styles.label,
      description: styles.note,
      error: styles.error,
      wrapper: `${styles.value} ${extra ? styles[extra] : ''}`,
    },
    inputWrapperOrder: ['label', 'description', 'input', 'error'],
    errorProps: { role: 'alert' },
  } satisfies Partial<TextInputProps>;
}
