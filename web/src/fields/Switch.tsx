import { useId } from 'react';
import './fields.css';

interface Props<Value extends string> {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly { readonly value: Value; readonly label: string }[];
  readonly onChange: (value: Value) => void;
}

/** One of two or three, all in sight; arrow keys go from one to the next. */
export function Switch<Value extends string>({ label, value, options, onChange }: Props<Value>) {
  const name = useId();
  return (
    <fieldset className="switch" aria-label={label}>
      {options.map((option) => (
        <label key={option.value}>
          <input
            type="radio"
            name={name}
            checked={option.value === value}
            onChange={() => onChange(option.value)}
          />
          {option.label}
        </label>
      ))}
    </fieldset>
  );
}
