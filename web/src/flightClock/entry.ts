/** What is being typed into the pad: gauge digits, volts, or the minutes it shows as left; and the moment at which it was begun or held. */
export interface Entry {
  readonly into: 'charge' | 'volts' | 'left';
  readonly charge: string;
  readonly volts: string;
  /** Whole minutes. */
  readonly left: string;
  /** ms; null while nothing was begun. */
  readonly begunMs: number | null;
}

export const emptyEntry: Entry = { into: 'charge', charge: '', volts: '', left: '', begunMs: null };

const maxDigits = { charge: 3, volts: 4, left: 2 } as const;

/** A digit goes where it is typed; the first one begins the reading, unless the moment was held before. */
export function typed(entry: Entry, digit: string, nowMs: number): Entry {
  const { into } = entry;
  const text = entry[into] + digit;
  const isTooLong = text.length > maxDigits[into] || (into === 'charge' && Number(text) > 100);
  // One digit too many is the beginning of another number: who corrects himself types it anew.
  const next = isTooLong ? digit : text;
  return { ...entry, [into]: next, begunMs: entry.begunMs ?? nowMs };
}

export function erased(entry: Entry): Entry {
  const next = { ...entry, [entry.into]: entry[entry.into].slice(0, -1) };
  return next.charge === '' && next.volts === '' && next.left === '' ? emptyEntry : next;
}

/** Freezes the moment; the digits may follow when there is time. */
export function held(entry: Entry, nowMs: number): Entry {
  return entry.begunMs === null ? { ...entry, begunMs: nowMs } : entry;
}

export function turnedTo(entry: Entry, into: Entry['into']): Entry {
  return { ...entry, into };
}

export function chargeOf({ charge }: Entry): number | null {
  return charge === '' ? null : Number(charge) / 100;
}

/** What it shows as left, s. */
export function leftOf({ left }: Entry): number | null {
  return left === '' ? null : Number(left) * 60;
}

/** No cell stands higher. */
const maxCellV = 4.6;

/**
 * Volts are typed without a point, its last two digits are hundredths: 372 is 3.72. What no cell has is the whole pack's.
 * Null for nothing, or for what neither a cell nor the pack can have.
 */
export function cellVoltageOf({ volts }: Entry, cellCount: number): number | null {
  if (volts === '') return null;
  const typedV = Number(volts) / 100;
  const cellV = typedV > maxCellV ? typedV / cellCount : typedV;
  return cellV >= 2 && cellV <= maxCellV ? cellV : null;
}
