import type { Quantity } from '../units/quantity';

export const chemistries = ['lithium-polymer', 'high-voltage lithium-polymer', 'lithium-ion'] as const;
export type Chemistry = (typeof chemistries)[number];

/** A pack as its label and its log say. Charges are fractions of the gauge 0–1, capacity in mAh at the label. */
export interface Battery {
  readonly ratedCapacityMah: number;
  readonly nominalVoltageV: number;
  readonly cellCount: number;
  readonly fullCellVoltageV: number;
  /** On a scale; by its energy where absent. */
  readonly massKg?: number | null;
  /** Told from the voltages when absent. */
  readonly chemistry?: Chemistry | null;
  readonly cycles?: number | null;
  /** Years since it was bought; no wear by age where absent. */
  readonly ageYears?: number | null;
  /** Capacity left as a fraction of the label; assumed from cycles and age when absent. */
  readonly health?: number | null;
  /** Gauge at take-off; with days since the charge, what it was charged to then. */
  readonly startCharge: number;
  /** Days it has stood since it was charged; none when absent. */
  readonly daysSinceCharge?: number | null;
  /** Days after which a smart pack has brought itself to storage charge; 0 for one that never does. By its kind where absent. */
  readonly daysToStorage?: number | null;
  /** Volts of a cell under load at which the pilot lands, whatever the gauge shows, and to which no cell may come. */
  readonly landCellVoltageV?: number | null;
  readonly neverCellVoltageV?: number | null;
  /** The pack's own temperature at take-off; the air's when absent. */
  readonly startTemperatureC?: number | null;
}

/** Energy as the label gives it, Wh. */
export function labelEnergyWh({
  ratedCapacityMah,
  nominalVoltageV,
}: Pick<Battery, 'ratedCapacityMah' | 'nominalVoltageV'>): number {
  return (ratedCapacityMah / 1000) * nominalVoltageV;
}

export const batteryRanges = {
  ratedCapacityMah: { label: 'Rated capacity', unit: 'mAh', siPerUnit: 1, min: 100, max: 60_000, step: 10 },
  nominalVoltageV: { label: 'Nominal voltage', unit: 'V', siPerUnit: 1, min: 3, max: 60, step: 0.1 },
  cellCount: { label: 'Cells in series', unit: '', siPerUnit: 1, min: 1, max: 14, step: 1, whole: true },
  fullCellVoltageV: { label: 'Full cell', unit: 'V', siPerUnit: 1, min: 4.1, max: 4.5, step: 0.05 },
  massKg: { label: 'Mass', unit: 'g', siPerUnit: 0.001, min: 0.005, max: 10, step: 1 },
  cycles: { label: 'Cycles', unit: '', siPerUnit: 1, min: 0, max: 2000, step: 1, whole: true },
  ageYears: { label: 'Age', unit: 'years', siPerUnit: 1, min: 0, max: 30, step: 0.5 },
  health: { label: 'Health', unit: '%', siPerUnit: 0.01, min: 0.4, max: 1.1, step: 1 },
  startCharge: { label: 'Start charge', unit: '%', siPerUnit: 0.01, min: 0, max: 1, step: 1 },
  daysSinceCharge: { label: 'Days since charged', unit: 'd', siPerUnit: 1, min: 0, max: 365, step: 1 },
  daysToStorage: { label: 'Days to storage', unit: 'd', siPerUnit: 1, min: 0, max: 30, step: 1 },
  landCellVoltageV: { label: 'Land at, per cell', unit: 'V', siPerUnit: 1, min: 2.5, max: 3.9, step: 0.05 },
  neverCellVoltageV: {
    label: 'Never below, per cell',
    unit: 'V',
    siPerUnit: 1,
    min: 2.5,
    max: 3.9,
    step: 0.05,
  },
  startTemperatureC: { label: 'Pack temperature', unit: '°C', siPerUnit: 1, min: -30, max: 60, step: 1 },
} as const satisfies Record<string, Quantity>;
