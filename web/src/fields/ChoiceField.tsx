import { useId } from 'react';
import './fields.css';

interface Props<Value extends string> {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly { readonly value: Value; readonly label: string }[];
  readonly onChange: (value: Value) => void;
  readonly stacked?: boolean;
  /** In a table, whose heading is the label for those who see it. */
  readonly bare?: boolean;
}

/** One of a few, in a native list: quick by keyboard and on a phone. */
export function ChoiceField<Value extends string>({
  label,
  value,
  options,
  onChange,
  stacked,
  bare,
}: Props<Value>) {
  const id = useId();
  return (
    <div className={`field${bare ? ' field-bare' : stacked ? ' field-stacked' : ''}`}>
      <label htmlFor={id}>{label}</label>
      <span className="field-value field-choice">
        <select id={id} value={value} onChange={(event) => onChange(event.target.value as Value)}>
          {options.map((option) => (
            <option key={option.value} value={option.value}>
              {option.label}
            </option>
          ))}
        </select>
      </span>
    </div>
  );
}
