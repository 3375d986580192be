import { useId } from 'react';
import './fields.css';
import { useTyped } from './useTyped';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  /** What is wrong with a text, or null. */
  readonly problem?: (text: string) => string | null;
  readonly type?: 'text' | 'datetime-local' | 'date';
  readonly stacked?: boolean;
  /** In a table, whose heading is the label for those who see it. */
  readonly bare?: boolean;
  readonly hint?: string;
  readonly placeholder?: string;
}

/** A line of text. A wrong one stays as typed with its message, and what stood before the typing stands again. */
export function TextField(props: Props) {
  const { label, value, onChange, problem, type = 'text', stacked, bare, placeholder, hint } = props;
  const { text: draft, type: take, drop, leave } = useTyped(value, onChange);
  const id = useId();
  const message = draft === null ? null : (problem?.(draft) ?? null);
  const edit = (text: string) => {
    const wrong = problem?.(text);
    take(text, wrong ? { message: wrong } : { value: text });
  };
  return (
    <div
      className={`field${bare ? ' field-bare' : stacked ? ' field-stacked' : ''}${message ? ' field-wrong' : ''}`}
    >
      <label htmlFor={id}>
        {label}
        {hint && <span className="field-hint">{hint}</span>}
      </label>
      <span className="field-value field-text">
        <input
          id={id}
          type={type}
          value={draft ?? value}
          placeholder={placeholder}
          autoComplete="off"
          aria-invalid={message !== null}
          aria-describedby={message ? `${id}-problem` : undefined}
          onChange={(event) => edit(event.target.value)}
          onBlur={message === null ? drop : leave}
          onKeyDown={(event) => event.key === 'Escape' && drop()}
        />
      </span>
      {message && (
        <p className="field-problem" id={`${id}-problem`} role="alert">
          {message}
        </p>
      )}
    </div>
  );
}
