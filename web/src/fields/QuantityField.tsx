import {
  fromShownUnit,
  inChosenUnit,
  inShownUnit,
  numberMarksOf,
  type Quantity,
  readTyped,
  shown,
  violation,
  withUnit,
} from '@acorn-tally/core';
import { Button, Slider, TextInput } from '@mantine/core';
import { type KeyboardEvent, type ReactNode, useMemo } from 'react';
import { usePreferences } from '../state/preferences';
import styles from './field.module.css';
import { type FieldLayout, fieldProps } from './shape';
import { useTyped } from './useTyped';

/** Thousands and decimals as they are written where the pilot lives. */
const marks = numberMarksOf(navigator.language);

interface Props<Value extends number | null> extends FieldLayout {
  readonly quantity: Quantity;
  /** SI. */
  readonly value: Value;
  readonly onChange: (value: Value) => void;
  readonly label?: string;
  /** What stands when the field is empty, in SI; makes the field optional. */
  readonly assumed?: number | null;
  /** Said under the label, for example what an empty field means. */
  readonly hint?: string;
  /** What the form it stands in finds wrong with it. */
  readonly error?: ReactNode;
  /** In a row of fields of one unit, which need not each show it. */
  readonly unitUnseen?: boolean;
  /** The field a drawer opens on, where that is not its first. */
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
  const { value, onChange, assumed, slider } = props;
  const units = usePreferences((state) => state.units);
  // A message calls the field what the field is called.
  const label = props.label ?? props.quantity.label;
  const quantity = useMemo(
    () => ({ ...inChosenUnit(props.quantity, units), label }),
    [props.quantity, units, label],
  );
  const { text: draft, type: take, drop, leave } = useTyped<Value>(value, onChange);
  const optional = assumed !== undefined;
  const shownUnit = props.unitUnseen ? '' : quantity.unit;
  const text = draft ?? (value === null ? '' : shown(quantity, value));
  const problem = draft === null ? null : problemOf(quantity, draft, optional);

  const type = (text: string) => {
    if (optional && text.trim() === '') return take(text, { value: null as Value });
    const read = readTyped(quantity, text, marks);
    take(text, 'value' in read ? { value: read.value as Value } : read);
  };
  const set = (si: number) => {
    drop();
    onChange(si as Value);
  };
  const step = (event: KeyboardEvent, direction: 1 | -1) => {
    event.preventDefault();
    const next = stepped(quantity, value ?? assumed ?? quantity.min, direction * (event.shiftKey ? 10 : 1));
    set(next);
  };

  return (
    <div className={slider && styles.withSlider}>
      <TextInput
        {...fieldProps(props)}
        label={label}
        description={props.hint}
        value={text}
        placeholder={placeholder(quantity, assumed)}
        data-autofocus={props.first || undefined}
        inputMode="decimal"
        autoComplete="off"
        error={
          !problem ? (
            props.error
          ) : (
            <span className={styles.problem}>
              {problem.message}{' '}
              {value !== null && <span>Until then {withUnit(quantity, value)} stands.</span>}
              {problem.either?.map((si) => (
                <Button key={si} size="compact-xs" variant="default" onClick={() => set(si)}>
                  {withUnit(quantity, si)}
                </Button>
              ))}
            </span>
          )
        }
        rightSection={shownUnit && <span className={styles.unit}>{shownUnit}</span>}
        rightSectionWidth={shownUnit ? `calc(${shownUnit.length}ch + 10px)` : 6}
        rightSectionPointerEvents="none"
        onFocus={(event) => event.target.select()}
        onChange={(event) => type(event.currentTarget.value)}
        onBlur={problem === null ? drop : leave}
        onKeyDown={(event) => {
          if (event.key === 'ArrowUp') step(event, 1);
          if (event.key === 'ArrowDown') step(event, -1);
          if (event.key === 'Escape') drop();
        }}
      />
      {slider && (
        <Slider
          className={styles.slider}
          thumbLabel={`${label}, slider`}
          min={wholeSteps(quantity, slider.min)}
          max={wholeSteps(quantity, slider.max)}
          step={quantity.step}
          value={Number(shown(quantity, value ?? assumed ?? 0))}
          onChange={(shownValue) => set(fromShownUnit(quantity, shownValue))}
        />
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
