import { checkpointRanges, type LeftTo, leftTos } from '@acorn-tally/core';
import { leftToNames } from '../answers/shownLeft';
import { ChoiceField } from '../fields/ChoiceField';
import { QuantityField } from '../fields/QuantityField';

export interface CellsAtEnd {
  readonly lowestCellVoltageV: number | null;
  readonly cellSpreadV: number | null;
}

interface CellsProps {
  readonly cells: CellsAtEnd;
  readonly onChange: (cells: Partial<CellsAtEnd>) => void;
}

/** The weakest cell as it was shown at the end, and how far the strongest stood above it. */
export function CellFields({ cells, onChange }: CellsProps) {
  return (
    <>
      <QuantityField<number | null>
        quantity={checkpointRanges.lowestCellVoltageV}
        label="Lowest cell at the end"
        hint="if it shows cells one by one"
        value={cells.lowestCellVoltageV}
        assumed={null}
        onChange={(lowestCellVoltageV) => onChange({ lowestCellVoltageV })}
      />
      <QuantityField<number | null>
        quantity={checkpointRanges.cellSpreadV}
        label="Highest less lowest cell"
        value={cells.cellSpreadV}
        assumed={null}
        onChange={(cellSpreadV) => onChange({ cellSpreadV })}
      />
    </>
  );
}

interface LeftToProps {
  readonly leftTo: LeftTo;
  readonly onChange: (leftTo: LeftTo) => void;
}

export function LeftToField({ leftTo, onChange }: LeftToProps) {
  return (
    <ChoiceField
      label="Minutes left counted to"
      value={leftTo}
      options={leftTos.map((value) => ({ value, label: leftToNames[value] }))}
      onChange={onChange}
    />
  );
}
