import '@mantine/core/styles/Checkbox.css';
import {
  type AircraftRecord,
  airspeedHomeMps,
  type BatteryRecord,
  clearanceM,
  type DayAtPlace,
  defaultCeilingM,
  defaultComesHome,
  defaultReturnHeightM,
  type LiftOffCheck,
  liftOffChecks,
  liftOffNotes,
  minSatellites,
  packAtTheHour,
  suggestedReturnHeight,
  takeoffCharge,
  tallestThingM,
  warmHoverS,
} from '@acorn-tally/core';
import { Checkbox } from '@mantine/core';
import { IconAlertTriangle, IconPrinter } from '@tabler/icons-react';
import { airAt } from '../answers/air';
import { trustInWords } from '../answers/trust';
import { percent, turnBackPercent } from '../fields/percent';
import { Say } from '../fields/Say';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { Section } from '../parts/Section';
import { Warning } from '../parts/Warning';
import { beliefAbout, likeliest } from '../state/belief';
import { clockAt } from '../state/clock';
import { useLiftOff } from '../state/liftOff';
import { useWriter, type Writer } from '../state/units';
import styles from './LiftOffCard.module.css';

interface Props {
  readonly aircraft: AircraftRecord;
  readonly battery: BatteryRecord;
  readonly conditions: DayAtPlace;
  /** The gauge to turn back at; null where there is none, or it is being computed. */
  readonly turnBackCharge: number | null;
  /** Why this flight is not to be flown, in words; null where nothing stands against it. */
  readonly refusal: string | null;
  /** What is warned of, in words. */
  readonly warnings: readonly string[];
}

/** What is looked at before lift-off, with this flight’s numbers; ticked, printed, and kept with the flight when it is recorded. */
export function LiftOffCard(props: Props) {
  const { aircraft, battery, conditions, turnBackCharge, refusal, warnings } = props;
  const { ticked, setTicked } = useLiftOff(battery.id);
  const { write } = useWriter();
  const clock = clockAt(conditions);
  const tick = (check: LiftOffCheck, isTicked: boolean) => {
    const rest = ticked.filter((one) => one !== check);
    setTicked(isTicked ? [...rest, check] : rest);
  };
  const words = wordsFor(props, write);
  return (
    <Section
      title="Before you lift off"
      label="Before you lift off"
      className={styles.card}
      end={
        <LinkButton className={styles.print} onClick={() => window.print()}>
          <IconPrinter size={15} aria-hidden /> Print
        </LinkButton>
      }
    >
      {refusal !== null && (
        <p className={styles.refusal} role="alert">
          <IconAlertTriangle size={22} aria-hidden /> Do not fly: {refusal}
        </p>
      )}
      <div className={styles.whose}>
        {battery.label}, {conditions.place}, {clock.format(conditions.at, 'ddd D MMM, HH:mm')}
        {turnBackCharge !== null && refusal === null && (
          <>
            ; turn back by <b>{turnBackPercent(turnBackCharge)}</b>, {trustInWords(aircraft)}
          </>
        )}
      </div>
      {warnings.length > 0 && (
        <ul className={styles.warnings} aria-label="Warnings for this flight">
          {warnings.map((warning) => (
            <li key={warning}>
              <Warning>{warning}.</Warning>
            </li>
          ))}
        </ul>
      )}
      <ul className={styles.checks}>
        {liftOffChecks.map((check) => (
          <li key={check}>
            <Checkbox
              label={words[check]}
              checked={ticked.includes(check)}
              onChange={(event) => tick(check, event.currentTarget.checked)}
            />
          </li>
        ))}
      </ul>
      <ul className={styles.notes} aria-label="Keep in mind">
        {liftOffNotes(conditions.weather.airTemperatureC).map((note) => (
          <li key={note.code}>
            <Say sentence={note} />.
          </li>
        ))}
      </ul>
      <Note>
        {ticked.length} of {liftOffChecks.length} ticked; they go with the test flight you record next with{' '}
        {battery.label}. Your aircraft’s own checks come first.
      </Note>
    </Section>
  );
}

function wordsFor(
  { aircraft, battery, conditions }: Props,
  write: Writer['write'],
): Record<LiftOffCheck, string> {
  const { flight, spec: sheet } = aircraft;
  const pack = packAtTheHour(battery, conditions);
  const air = airAt(conditions.weather, flight.heightM, beliefAbout(aircraft).middle);
  const homeMps = airspeedHomeMps(sheet, aircraft.policy.comesHome ?? defaultComesHome, 1);
  const gust = `gusts of ${write('speed', air.gustMps, 1)} at ${write('distance', flight.heightM)} against the ${write('speed', homeMps, 1)} it flies home with`;
  return {
    props: 'Propellers undamaged, clean and tight; arms locked',
    pack: `${battery.label} latched, about ${percent(takeoffCharge(pack, likeliest(aircraft.id)))}, neither puffed nor frozen`,
    controller: 'Controller and phone charged (a controller lasts six or seven flights)',
    compass: 'No steel underfoot, no car or mast beside it; compass quiet',
    satellites: `${minSatellites} satellites or more`,
    'home-point': 'Home point marked, and looked at on the map',
    'return-height': returnHeightInWords(conditions, flight.returnHeightM ?? defaultReturnHeightM, write),
    wind: `Wind: ${gust}`,
    'warm-hover': `Hover for ${warmHoverS} s after lift-off: pack warm, gauge steady, it stands still`,
  };
}

/** The height to look for on the aircraft: never one that is known to be too low. */
function returnHeightInWords({ site }: DayAtPlace, returnHeightM: number, write: Writer['write']): string {
  const tallestM = tallestThingM(site ?? {});
  const set = write('distance', returnHeightM);
  if (tallestM === null) return `Return height set to ${set}: look round first, no obstacles are entered`;
  const { heightM, isClear } = suggestedReturnHeight(tallestM, site?.ceilingM ?? defaultCeilingM);
  const tallest = write('distance', tallestM);
  if (!isClear) return `Return height: ${tallest} stands here, and your ceiling leaves too little over it`;
  return returnHeightM < tallestM + clearanceM
    ? `Return height set to ${write('distance', heightM)}, not ${set}: ${tallest} stands here`
    : `Return height set to ${set}, checked again after an update`;
}
