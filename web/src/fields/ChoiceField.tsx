import { Select } from '@mantine/core';
import { type FieldLayout, fieldProps } from './shape';

interface Props<Value extends string> extends FieldLayout {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly { readonly value: Value; readonly label: string }[];
  readonly onChange: (value: Value) => void;
  readonly hint?: string;
}

/** One of a few, opened by tap, click or arrow key. */
export function ChoiceField<Value extends string>(props: Props<Value>) {
  const { label, value, options, onChange, hint } = props;
  return (
    <Select
      {...fieldProps(props, 'choice')}
      label={label}
      description={hint}
      data={[...options]}
      value={value}
      onChange={(picked) => picked !== null && onChange(picked as Value)}
    />
  );
}
