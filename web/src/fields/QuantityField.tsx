import {
  fromShownUnit,
  inChosenUnit,
  inShownUnit,
  marksOf,
  type Quantity,
  readTyped,
  shown,
  violation,
  withUnit,
} from '@acorn-tally/core';
import { Button, Slider } from '@mantine/core';
import { type KeyboardEvent, useId, useMemo } from 'react';
import { useChosen } from '../state/chosen';
import './fields.css';
import { useTyped } from './useTyped';

/** Thousands and decimals as they are written where the pilot lives. */
const marks = marksOf(navigator.language);

interface Props<Value extends number | null> {
  readonly quantity: Quantity;
  /** SI. */
  readonly value: Value;
  readonly onChange: (value: Value) => void;
  readonly label?: string;
  /** What stands when the field is empty, in SI; makes the field optional. */
  readonly assumed?: number | null;
  /** Said under the label, for example what an empty field means. */
  readonly hint?: string;
  readonly stacked?: boolean;
  /** In a table, whose heading is the label for those who see it. */
  readonly bare?: boolean;
  /** Says that the field is empty, once the form it stands in was sent. */
  readonly missing?: boolean;
  /** The field a drawer opens on. */
  readonly first?: boolean;
  /** A slider under it, over the part of the range that is used most, in SI. */
  readonly slider?: { readonly min: number; readonly max: number };
}

/**
 * A number with its unit. What is typed takes effect at once when it is in range; when it is not, it stays as typed with a
 * message beside it, and what stood before the typing stands again. A text that may be two numbers is asked about. Up and
 * down arrows step; a slider is for trying out.
 */
export function QuantityField<Value extends number | null>(props: Props<Value>) {
  const { value, onChange, assumed } = props;
  const units = useChosen((state) => state.units);
  const quantity = useMemo(() => inChosenUnit(props.quantity, units), [props.quantity, units]);
  const { text: draft, type: take, drop, leave } = useTyped<Value>(value, onChange);
  const id = useId();
  const optional = assumed !== undefined;
  const text = draft ?? (value === null ? '' : shown(quantity, value));
  const typed = draft ?? (props.missing && value === null ? '' : null);
  const problem = typed === null ? null : problemOf(quantity, typed, optional);

  const type = (text: string) => {
    if (optional && text.trim() === '') return take(text, { value: null as Value });
    const read = readTyped(quantity, text, marks);
    take(text, 'value' in read ? { value: read.value as Value } : read);
  };
  const step = (event: KeyboardEvent, direction: 1 | -1) => {
    event.preventDefault();
    const next = stepped(quantity, value ?? assumed ?? quantity.min, direction * (event.shiftKey ? 10 : 1));
    drop();
    onChange(next as Value);
  };

  return (
    <div className={`field${shapeOf(props)}${problem ? ' field-wrong' : ''}`}>
      <label htmlFor={id}>
        {props.label ?? quantity.label}
        {props.hint && <span className="field-hint">{props.hint}</span>}
      </label>
      <span className="field-value">
        <input
          id={id}
          value={text}
          size={Math.max(3, Math.min(9, text.length || placeholder(quantity, assumed).length))}
          placeholder={placeholder(quantity, assumed)}
          data-autofocus={props.first || undefined}
          inputMode="decimal"
          autoComplete="off"
          aria-invalid={problem !== null}
          aria-describedby={problem ? `${id}-problem` : undefined}
          onFocus={(event) => event.target.select()}
          onChange={(event) => type(event.target.value)}
          onBlur={problem === null ? drop : leave}
          onKeyDown={(event) => {
            if (event.key === 'ArrowUp') step(event, 1);
            if (event.key === 'ArrowDown') step(event, -1);
            if (event.key === 'Escape') drop();
          }}
        />
        {quantity.unit && <span className="field-unit">{quantity.unit}</span>}
      </span>
      {props.slider && (
        <Slider
          className="field-slider"
          size={2}
          thumbSize={13}
          label={null}
          thumbLabel={`${props.label ?? quantity.label}, slider`}
          min={wholeSteps(quantity, props.slider.min)}
          max={wholeSteps(quantity, props.slider.max)}
          step={quantity.step}
          value={Number(shown(quantity, value ?? assumed ?? 0))}
          onChange={(shownValue) => {
            drop();
            onChange(fromShownUnit(quantity, shownValue) as Value);
          }}
        />
      )}
      {problem && (
        <p className="field-problem" id={`${id}-problem`} role="alert">
          {problem.message} {value !== null && <span>Until then {withUnit(quantity, value)} stands.</span>}
          {problem.either?.map((si) => (
            <Button
              key={si}
              size="compact-xs"
              variant="default"
              onClick={() => {
                drop();
                onChange(si as Value);
              }}
            >
              {withUnit(quantity, si)}
            </Button>
          ))}
        </p>
      )}
    </div>
  );
}

function problemOf(quantity: Quantity, typed: string, optional: boolean) {
  if (optional && typed.trim() === '') return null;
  const read = readTyped(quantity, typed, marks);
  return 'message' in read ? read : null;
}

function placeholder(quantity: Quantity, assumed: number | null | undefined): string {
  return assumed == null ? '–' : shown(quantity, assumed);
}

function shapeOf({ stacked, bare }: { readonly stacked?: boolean; readonly bare?: boolean }): string {
  if (bare) return ' field-bare';
  return stacked ? ' field-stacked' : '';
}

/** An end of the slider, in the shown unit, on a whole step. */
function wholeSteps(quantity: Quantity, si: number): number {
  return Math.round(inShownUnit(quantity, si) / quantity.step) * quantity.step;
}

/** One arrow-key step, held inside the range. */
function stepped(quantity: Quantity, value: number, steps: number): number {
  const inUnit = inShownUnit(quantity, value) + steps * quantity.step;
  const next = fromShownUnit(quantity, Number(inUnit.toPrecision(10)));
  return violation(quantity, next) === null ? next : Math.min(quantity.max, Math.max(quantity.min, next));
}
