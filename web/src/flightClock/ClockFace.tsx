import { Tooltip } from '@mantine/core';
import { IconBackspace, IconSun, IconVolume, IconVolumeOff } from '@tabler/icons-react';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { lazyChart } from '../charts/lazyCharts';
import { percent } from '../fields/percent';
import { IconButton } from '../parts/IconButton';
import { useKeys } from '../parts/keys';
import { usePreferences, voices } from '../state/preferences';
import styles from './ClockFace.module.css';
import { ClockKey } from './ClockKey';
import { ClockTile } from './ClockTile';
import { callOut } from './callOut';
import { type FlightClock, signsInTheAir } from './clocks';
import {
  cellVoltageOf,
  chargeOf,
  type Entry,
  emptyEntry,
  erased,
  held,
  leftOf,
  turnedTo,
  typed,
} from './entry';
import { type ClockEvent, lastCharge, type Running, runningOf } from './events';
import { calls } from './expected';
import { useAwake } from './useAwake';
import { useClocks } from './useClocks';
import { useNow } from './useNow';
import { aheadInWords, lastInWords, oddInWords, onTheClock, signKeys, signNames } from './words';

const MarksPlot = lazyChart(() => import('./MarksPlot').then((module) => module.MarksPlot));

interface Props {
  readonly clocks: readonly FlightClock[];
  /** What is asked when the chosen clock has ended. */
  readonly finish: (clock: FlightClock, running: Running) => ReactNode;
  /** What stands before it begins: what makes it fair, another beside it. */
  readonly before: (clock: FlightClock) => ReactNode;
}

/** One or two running clocks on one screen: seconds large, the next reading wanted, keys for gloves. */
export function ClockFace({ clocks, finish, before }: Props) {
  const [chosenId, choose] = useState<string | null>(null);
  const [entries, setEntries] = useState<Readonly<Record<string, Entry>>>({});
  const chosen = clocks.find(({ id }) => id === chosenId) ?? (clocks[0] as FlightClock);
  const runnings = clocks.map((clock) => runningOf(clock.events, clock.plan));
  const running = runnings[clocks.indexOf(chosen)] as Running;
  const isOn = runnings.some(({ beganMs, endedS }) => beganMs !== null && endedS === null);
  const now = useNow(isOn);
  const awake = useAwake(isOn);
  const trouble = useClocks((state) => state.trouble);
  const elapsedS = elapsedOf(running, now);
  useCalls(clocks, runnings, now);
  const other = () => choose(clocks.find(({ id }) => id !== chosen.id)?.id ?? null);
  useKeys(clocks.length > 1 ? { x: other } : {});

  return (
    <div className={styles.face}>
      <div
        className={styles.told}
        data-waiting={running.beganMs === null || undefined}
        data-ended={running.endedS !== null || undefined}
      >
        <div className={styles.tiles} data-several={clocks.length > 1 || undefined}>
          {clocks.map((clock, i) => (
            <ClockTile
              key={clock.id}
              clock={clock}
              running={runnings[i] as Running}
              elapsedS={elapsedOf(runnings[i] as Running, now)}
              chosen={clock === chosen}
              alone={clocks.length === 1}
              onChoose={() => choose(clock.id)}
            />
          ))}
          <Calling awake={awake} isOn={isOn} />
        </div>
        {running.beganMs !== null && running.endedS === null && (
          <Ahead clock={chosen} running={running} elapsedS={elapsedS} />
        )}
        {trouble && (
          <p className={styles.odd} role="alert">
            This browser keeps nothing ({trouble}): leave this page open until the end.
          </p>
        )}
        {running.beganMs !== null && (
          <MarksPlot
            expected={chosen.plan.expected}
            startCharge={chosen.plan.startCharge}
            stopCharge={chosen.plan.stopCharge}
            marks={running.marks}
            elapsedS={elapsedS}
          />
        )}
      </div>
      {running.beganMs === null ? (
        <ToBegin chosen={chosen} clocks={clocks} runnings={runnings}>
          {before(chosen)}
        </ToBegin>
      ) : running.endedS === null ? (
        <Pad
          clock={chosen}
          running={running}
          elapsedS={elapsedS}
          entry={entries[chosen.id] ?? emptyEntry}
          onEntry={(change) =>
            setEntries((now) => ({ ...now, [chosen.id]: change(now[chosen.id] ?? emptyEntry) }))
          }
        />
      ) : (
        <div className={styles.pad}>{finish(chosen, running)}</div>
      )}
    </div>
  );
}

function elapsedOf({ beganMs, endedS }: Running, nowMs: number): number {
  if (beganMs === null) return 0;
  return endedS ?? Math.max(0, (nowMs - beganMs) / 1000);
}

const stillToldMs = 5000;

/** What is expected is called at its moment, once. */
function useCalls(clocks: readonly FlightClock[], runnings: readonly Running[], nowMs: number): void {
  const voice = usePreferences((state) => state.voice);
  const heard = useRef(nowMs);
  useEffect(() => {
    // What was missed while the page slept is not called afterwards.
    const since = Math.max(heard.current, nowMs - stillToldMs);
    heard.current = nowMs;
    if (voice === 'off') return;
    for (const [i, { plan }] of clocks.entries()) {
      const { beganMs, endedS } = runnings[i] as Running;
      if (!plan.expected || beganMs === null || endedS !== null) continue;
      for (const { timeS, charge, isStop } of calls(plan.expected, plan.startCharge, plan.stopCharge)) {
        const atMs = beganMs + timeS * 1000;
        if (atMs <= since || atMs > nowMs) continue;
        const words = isStop ? `${percent(charge)}, end of the test` : `${percent(charge)} expected`;
        callOut(voice, clocks.length > 1 ? `${plan.label}: ${words}` : words, isStop);
      }
    }
  });
}

const voiceWords = {
  off: 'Silent. Press for a tone at each 10 % expected and at the end',
  tone: 'A tone at each 10 % expected and at the end. Press for a voice',
  voice: 'A voice at each 10 % expected and at the end. Press for silence',
} as const;

function Calling({ awake, isOn }: { readonly awake: boolean; readonly isOn: boolean }) {
  const { voice, choose } = usePreferences();
  const next = voices[(voices.indexOf(voice) + 1) % voices.length] ?? 'off';
  return (
    <div className={styles.calling}>
      {isOn && awake && (
        <Tooltip label="The screen stays on">
          <IconSun size={18} aria-label="The screen stays on" role="img" />
        </Tooltip>
      )}
      <IconButton
        icon={voice === 'off' ? IconVolumeOff : IconVolume}
        label={voiceWords[voice]}
        onClick={() => choose({ voice: next })}
      />
      {voice !== 'off' && <span>{voice}</span>}
    </div>
  );
}

interface OnClock {
  readonly clock: FlightClock;
  readonly running: Running;
  readonly elapsedS: number;
}

function Ahead({ clock, running, elapsedS }: OnClock) {
  const { plan } = clock;
  const charge = lastCharge(running, plan.startCharge);
  const read = [...running.marks].reverse().find((mark) => mark.charge !== null);
  const lastRead = read ? { timeS: read.timeS, charge: read.charge as number } : null;
  const { toGo, next } = aheadInWords(clock, charge, elapsedS, lastRead);
  const odd = oddInWords(clock, running);
  const note = useClocks((state) => state.note);
  return (
    <>
      <p className={styles.ahead}>
        {toGo !== null && (
          <>
            about <b>{toGo}</b> to {percent(plan.stopCharge)} ·{' '}
          </>
        )}
        {next === null ? (
          <b>{plan.kind === 'flight' ? 'Land now' : 'Charged as far as you wanted'}</b>
        ) : (
          <>
            next reading near <b>{next}</b>
          </>
        )}
      </p>
      {odd && (
        <p className={styles.odd} role="status">
          {odd}
        </p>
      )}
      {running.held?.charge != null && (
        <ClockKey onPress={() => note([clock.id], { what: 'confirmed', atMs: Date.now() })}>
          {percent(running.held.charge)} is right
        </ClockKey>
      )}
    </>
  );
}

interface ToBeginProps {
  readonly chosen: FlightClock;
  readonly clocks: readonly FlightClock[];
  readonly runnings: readonly Running[];
  readonly children: ReactNode;
}

/** Before lift-off: the one key that starts it, or both. */
function ToBegin({ chosen, clocks, runnings, children }: ToBeginProps) {
  const note = useClocks((state) => state.note);
  const waiting = clocks.filter((_, i) => runnings[i]?.beganMs === null);
  const begin = (ids: readonly string[]) => note(ids, { what: 'began', atMs: Date.now() });
  useEnter(() => begin([chosen.id]));
  return (
    <div className={styles.pad}>
      {children}
      <div className={styles.row}>
        <ClockKey filled wide onPress={() => begin([chosen.id])}>
          {chosen.plan.kind === 'flight' ? 'Lift off' : 'Begin'}
          {clocks.length > 1 && `: ${chosen.plan.label}`}
        </ClockKey>
      </div>
      {waiting.length > 1 && (
        <div className={styles.row}>
          <ClockKey wide onPress={() => begin(waiting.map(({ id }) => id))}>
            Start both together
          </ClockKey>
        </div>
      )}
    </div>
  );
}

interface PadProps extends OnClock {
  readonly entry: Entry;
  readonly onEntry: (change: (now: Entry) => Entry) => void;
}

/** Digits and signs, each kept with its moment. */
function Pad({ clock, running, elapsedS, entry, onEntry: setEntry }: PadProps) {
  const { plan } = clock;
  const note = useClocks((state) => state.note);
  const last = lastInWords(clock, running);
  const charge = chargeOf(entry);
  const cellVoltageV = cellVoltageOf(entry, plan.cellCount);
  const leftS = leftOf(entry);
  const something = charge !== null || cellVoltageV !== null || leftS !== null;
  const atMs = () => entry.begunMs ?? Date.now();
  const keep = (event: ClockEvent) => {
    note([clock.id], event);
    setEntry(() => emptyEntry);
  };
  const mark = () => something && keep({ what: 'mark', atMs: atMs(), charge, cellVoltageV, leftS });
  const digit = (text: string) => setEntry((now) => typed(now, text, Date.now()));
  const sign = (kind: (typeof signsInTheAir)[number]) => keep({ what: 'sign', kind, charge, atMs: atMs() });
  const end = () => keep({ what: 'ended', atMs: atMs(), charge });
  const undo = () => last !== null && note([clock.id], { what: 'undone', atMs: Date.now() });
  const hold = () => setEntry((now) => held(now, Date.now()));
  const turn = (into: 'volts' | 'left') =>
    setEntry((now) => turnedTo(now, now.into === into ? 'charge' : into));
  const digits = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0'];
  const digitKey = (one: string) => (
    <ClockKey key={one} onPress={() => digit(one)}>
      {one}
    </ClockKey>
  );
  const isFlight = plan.kind === 'flight';
  useKeys({
    ...Object.fromEntries(digits.map((one) => [one, () => digit(one)])),
    Backspace: () => setEntry(erased),
    Space: hold,
    v: () => turn('volts'),
    ...(isFlight && { m: () => turn('left') }),
    u: undo,
    'mod+Z': undo,
    d: end,
    ...(isFlight ? Object.fromEntries(signsInTheAir.map((one) => [signKeys[one], () => sign(one)])) : {}),
  });
  useEnter(mark);

  const heldS = entry.begunMs === null ? null : Math.max(0, (entry.begunMs - (running.beganMs ?? 0)) / 1000);
  return (
    <div className={styles.pad}>
      <div className={styles.row}>
        <output className={styles.entry} aria-label="What is typed">
          <span data-into={entry.into === 'charge' || undefined}>
            <b>{entry.charge || '–'}</b> %
          </span>
          {(entry.into === 'left' || entry.left !== '') && (
            <span data-into={entry.into === 'left' || undefined}>
              <b>{entry.left || '–'}</b> min left
            </span>
          )}
          {(entry.into === 'volts' || entry.volts !== '') && (
            <span data-into={entry.into === 'volts' || undefined}>
              <b>{entry.volts === '' ? '–' : (Number(entry.volts) / 100).toFixed(2)}</b> V{' '}
              {cellVoltageV !== null && plan.cellCount > 1 && <small>{cellVoltageV.toFixed(2)} a cell</small>}
            </span>
          )}
        </output>
        <ClockKey filled wide disabled={!something} onPress={mark} hotkey="Enter">
          {heldS === null ? 'Keep' : `Keep ${onTheClock(heldS)}`}
        </ClockKey>
      </div>
      <div className={styles.digits}>
        {['1', '2', '3'].map(digitKey)}
        <ClockKey pressed={entry.into === 'volts'} onPress={() => turn('volts')} hotkey="V">
          volts
        </ClockKey>
        {['4', '5', '6'].map(digitKey)}
        {isFlight ? (
          <ClockKey
            label="Minutes it shows as left"
            pressed={entry.into === 'left'}
            onPress={() => turn('left')}
            hotkey="M"
          >
            min left
          </ClockKey>
        ) : (
          <span />
        )}
        {['7', '8', '9'].map(digitKey)}
        <ClockKey label="Erase a digit" onPress={() => setEntry(erased)}>
          <IconBackspace size={26} aria-hidden />
        </ClockKey>
        {digitKey('0')}
      </div>
      {isFlight && (
        <div className={styles.signs}>
          {signsInTheAir.map((kind) => (
            <ClockKey key={kind} onPress={() => sign(kind)} hotkey={signKeys[kind].toUpperCase()}>
              {signNames[kind]}
            </ClockKey>
          ))}
        </div>
      )}
      <div className={styles.row}>
        <ClockKey disabled={last === null} onPress={undo} hotkey="U">
          Undo{last !== null && `: ${last}`}
        </ClockKey>
        <ClockKey label="Hold the moment" pressed={heldS !== null} onPress={hold} hotkey="Space">
          Hold
        </ClockKey>
        <ClockKey filled wide onPress={end} hotkey="D">
          {isFlight ? 'Touched down' : 'Charge ends'}
          <span data-unseen> at {onTheClock(elapsedS)}</span>
        </ClockKey>
      </div>
    </div>
  );
}

/** Enter does what comes next, but presses a key that has the focus. */
function useEnter(keep: () => void): void {
  useKeys({
    Enter: () => {
      const focus = document.activeElement;
      if (focus instanceof HTMLButtonElement) focus.click();
      else keep();
    },
  });
}
