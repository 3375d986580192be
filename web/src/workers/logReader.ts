import {
  encodingOf,
  Fingerprint,
  flightsIn,
  headingKey,
  inSmallerTimeUnit,
  type LoggedFlight,
  type LogLayout,
  type LogProblem,
  layoutOf,
  mergeTrack,
  type Outcome,
  overlap,
  type ReadLog,
  type Refusal,
  RowReader,
  readGeoJsonTrack,
  readGpx,
  readSamplesCsv,
  refuse,
  success,
  withCoordinates,
  writeGeoJsonTrack,
  writeGpx,
  writeSamplesCsv,
} from '@acorn-tally/core';
import { expose } from 'comlink';

/** What is larger is some other file. */
const maxBytes = 100_000_000;
/** A track is held as a whole while it is read. */
const maxTrackBytes = 20_000_000;
/** As much of a file tells how it is written. */
const headBytes = 65_536;

/** How the files of one lot are to be read. */
export interface LogReading {
  readonly timeZone: string;
  readonly cellCount: number;
  /** Layouts that were corrected, by the headings of their files. */
  readonly layouts: Readonly<Record<string, LogLayout>>;
}

/** What a file came to, without its samples: those stay here. */
export interface FileRead {
  readonly name: string;
  /** Of its bytes; the same file has the same under any name. */
  readonly hash: string;
  readonly refusal: Refusal | null;
  /** Null for a track. */
  readonly layout: LogLayout | null;
  readonly rows: number;
  readonly problems: readonly LogProblem[];
  readonly leftOut: number;
  readonly flights: readonly Omit<LoggedFlight, 'samples'>[];
  /** The track of the same time that was laid over it. */
  readonly withTrack: string | null;
}

type Progress = (share: number) => void;

interface Raw {
  readonly name: string;
  readonly hash: string;
  readonly layout: LogLayout | null;
  readonly outcome: Outcome<ReadLog>;
}

/** Reads logs and tracks away from the thread that draws; logs are streamed, so that their length costs no memory but their rows. */
const logReader = {
  async read(files: readonly File[], reading: LogReading, progress: Progress): Promise<FileRead[]> {
    const bytes = files.reduce((sum, { size }) => sum + size, 0) || 1;
    let done = 0;
    const raws: Raw[] = [];
    for (const file of files) {
      const before = done;
      const own: Progress = (share) => progress(Math.min(1, (before + share) / bytes));
      raws.push(await readFile(file, reading, own).catch((error: Error) => unreadable(file.name, error)));
      done += file.size;
    }
    const tracks = raws.filter(({ layout, outcome }) => layout === null && outcome.ok);
    held.clear();
    return raws.map((raw) => {
      try {
        return told(raw, tracks);
      } catch (error) {
        return told(unreadable(raw.name, error as Error), []);
      }
    });
  },

  /** The samples of a flight that was read, in the form in which they are kept. */
  samples(hash: string, flightNumber: number): Blob {
    return new Blob([writeSamplesCsv(held.get(`${hash} ${flightNumber}`) ?? [])], { type: 'text/csv' });
  },

  /** Kept samples as a track; null where they do not say where it was. */
  async track(samples: Blob, as: 'gpx' | 'geojson', groundM: number): Promise<string | null> {
    const log = readSamplesCsv(await samples.text());
    if (withCoordinates(log.samples).length === 0) return null;
    return as === 'gpx' ? writeGpx(log.samples, groundM) : writeGeoJsonTrack(log.samples, groundM);
  },
};

/** The samples of the flights that were read last, by hash and number of the flight. */
const held = new Map<string, LoggedFlight['samples']>();
export type LogReader = typeof logReader;

function told(raw: Raw, tracks: readonly Raw[]): FileRead {
  const { name, hash, layout, outcome } = raw;
  const nothing = { rows: 0, problems: [], leftOut: 0, flights: [], withTrack: null };
  if (!outcome.ok) return { name, hash, layout, refusal: outcome.refusal, ...nothing };
  const log = outcome.value;
  const track = layout && tracks.find((one) => one.outcome.ok && overlap(log, one.outcome.value));
  const whole = track?.outcome.ok ? mergeTrack(log, track.outcome.value) : log;
  return {
    name,
    hash,
    layout,
    refusal: null,
    rows: log.samples.length,
    problems: log.problems,
    leftOut: log.leftOut,
    flights: flightsIn(whole).map(({ samples, ...flight }, i) => {
      held.set(`${hash} ${i + 1}`, samples);
      return flight;
    }),
    withTrack: track?.name ?? null,
  };
}

async function readFile(file: File, reading: LogReading, progress: Progress): Promise<Raw> {
  const { name } = file;
  const nothing = { name, hash: '', layout: null };
  if (file.size === 0) return { ...nothing, outcome: refuse('not-a-log', 'The file is empty.') };
  if (file.size > maxBytes) return { ...nothing, outcome: tooLarge() };
  const first = new Uint8Array(await file.slice(0, headBytes).arrayBuffer());
  const encoding = encodingOf(first);
  const head = new TextDecoder(encoding).decode(first);
  const begins = head.trimStart()[0] ?? '';
  if (begins === '<' || begins === '{') {
    if (file.size > maxTrackBytes) return { ...nothing, outcome: tooLarge() };
    const buffer = await file.arrayBuffer();
    const text = new TextDecoder(encoding).decode(buffer);
    progress(file.size);
    const hash = new FileHash().add(new Uint8Array(buffer)).text();
    return { name, hash, layout: null, outcome: begins === '<' ? readGpx(text) : readGeoJsonTrack(text) };
  }
  if (head.includes('\0')) {
    return { ...nothing, outcome: refuse('not-a-log', 'This is no text: a log is a table of lines.') };
  }
  return readTable(file, head, encoding, reading, progress);
}

async function readTable(
  file: File,
  head: string,
  encoding: string,
  { timeZone, cellCount, layouts }: LogReading,
  progress: Progress,
): Promise<Raw> {
  const found = layoutOf(head, timeZone);
  if (!found.ok) return { name: file.name, hash: '', layout: null, outcome: found };
  const remembered = layouts[headingKey(found.value.headings)];
  const hash = new FileHash();
  const readBy = (layout: LogLayout) =>
    rowsOf(file, encoding, new RowReader(layout, cellCount, timeZone), hash, progress);
  let layout = remembered ?? found.value;
  let log = await readBy(layout);
  for (;;) {
    const { samples } = log;
    const [first, last] = [samples[0]?.timeS ?? 0, samples[samples.length - 1]?.timeS ?? 0];
    const smaller = remembered ? null : inSmallerTimeUnit(layout, first, last);
    if (!smaller) return { name: file.name, hash: hash.text(), layout, outcome: success(log) };
    layout = smaller;
    log = await readBy(layout);
  }
}

/** Reads the rows of a file; whatever it is read by, its hash is taken once. */
async function rowsOf(
  file: File,
  encoding: string,
  rows: RowReader,
  hash: FileHash,
  progress: Progress,
): Promise<ReadLog> {
  const isFirst = hash.isEmpty;
  const decoder = new TextDecoder(encoding);
  const stream = file.stream().getReader();
  for (let read = 0; ; ) {
    const { value, done } = await stream.read();
    if (done) break;
    if (isFirst) hash.add(value);
    rows.feed(decoder.decode(value, { stream: true }));
    read += value.byteLength;
    progress(read);
  }
  rows.feed(decoder.decode());
  return rows.end();
}

/** One file that breaks the reading takes no others with it. */
function unreadable(name: string, error: Error): Raw {
  const refusal = refuse('not-a-log', 'This file could not be read: {reason}.', { reason: error.message });
  return { name, hash: '', layout: null, outcome: refusal };
}

function tooLarge() {
  return refuse('file-too-long', 'This file is too large: logs are read up to 100 MB, tracks up to 20 MB.');
}

/** Tells files apart by what is in them. */
class FileHash {
  private readonly fingerprint = new Fingerprint();
  private length = 0;

  get isEmpty(): boolean {
    return this.length === 0;
  }

  add(bytes: Uint8Array): this {
    this.fingerprint.add(bytes);
    this.length += bytes.length;
    return this;
  }

  text(): string {
    return `${this.fingerprint.text()}-${this.length}`;
  }
}

expose(logReader);
