/** One row of a log, as far as it tells. Times are seconds; where the log names a date, since 1970. */
export interface LogSample {
  readonly timeS: number;
  /** Gauge 0–1. */
  readonly charge?: number;
  readonly cellVoltageV?: number;
  /** Of the weakest cell, and how far the strongest stood above it, where the log tells cell by cell. */
  readonly lowestCellVoltageV?: number;
  readonly cellSpreadV?: number;
  /** What the aircraft showed as left, s. */
  readonly leftS?: number;
  /** Above take-off as the log has it, m. */
  readonly heightM?: number;
  /** Over ground. */
  readonly speedMps?: number;
  readonly distanceM?: number;
  readonly temperatureC?: number;
  readonly latitudeDeg?: number;
  readonly longitudeDeg?: number;
  readonly motorsOn?: boolean;
}

/** A row or a point that could not be read: kept out, and told by its line. */
export interface LogProblem {
  readonly line: number;
  readonly message: string;
}

/** What a file came to. */
export interface ReadLog {
  readonly samples: readonly LogSample[];
  /** Whether its times say which day it was, so that it can be laid over another file. */
  readonly isDated: boolean;
  readonly problems: readonly LogProblem[];
  /** Rows that were kept out, told or not. */
  readonly leftOut: number;
}

/** So many problems are told one by one. */
export const maxToldProblems = 20;
