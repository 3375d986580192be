import { SegmentedControl } from '@mantine/core';

interface Props<Value extends string> {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly { readonly value: Value; readonly label: string }[];
  readonly onChange: (value: Value) => void;
}

/** One of two or three, all in sight; arrow keys go from one to the next. */
export function Switch<Value extends string>({ label, value, options, onChange }: Props<Value>) {
  return <SegmentedControl<Value> aria-label={label} value={value} data={[...options]} onChange={onChange} />;
}
