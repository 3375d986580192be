import { textProblem } from '@acorn-tally/core';
import { TextInput } from '@mantine/core';
import { type FieldLayout, fieldProps } from './shape';
import { useTyped } from './useTyped';

interface Props extends FieldLayout {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  /** What is wrong with a text, or null. */
  readonly problem?: (text: string) => string | null;
  readonly hint?: string;
  readonly placeholder?: string;
}

/** A line of text. A wrong one stays as typed with its message, and what stood before the typing stands again. */
export function TextField(props: Props) {
  const { label, value, onChange, placeholder, hint } = props;
  const problem = props.problem ?? ((text: string) => textProblem(label, text));
  const { text: draft, type: take, drop, leave } = useTyped(value, onChange);
  const message = draft === null ? null : problem(draft);
  const edit = (text: string) => {
    const wrong = problem(text);
    take(text, wrong ? { message: wrong } : { value: text });
  };
  return (
    <TextInput
      {...fieldProps(props, 'text')}
      label={label}
      description={hint}
      value={draft ?? value}
      placeholder={placeholder}
      autoComplete="off"
      error={message}
      onChange={(event) => edit(event.currentTarget.value)}
      onBlur={message === null ? drop : leave}
      onKeyDown={(event) => event.key === 'Escape' && drop()}
    />
  );
}
