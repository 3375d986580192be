import {
  type AircraftRecord,
  type BatteryRecord,
  type DayAtPlace,
  defaultCeilingM,
  defaultReturnHeightM,
  type FlightPlan,
  groundsBelow,
  type LandingPlace,
  type ReturnHeightAdvice,
  ranges,
  type Site,
  siteRanges,
} from '@acorn-tally/core';
import { AircraftAndBattery } from '../fields/AircraftAndBattery';
import { ChoiceField } from '../fields/ChoiceField';
import { ComesHomeField } from '../fields/ComesHomeField';
import field from '../fields/field.module.css';
import { QuantityField } from '../fields/QuantityField';
import { AsideSection } from '../parts/Desk';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { useRecords } from '../records/records';
import { usePreferences } from '../state/preferences';
import { useWriter } from '../state/units';
import { LandingPlaces } from './LandingPlaces';
import { MovedHome } from './MovedHome';
import { Obstacles } from './Obstacles';

interface Props {
  readonly aircraft: AircraftRecord;
  readonly batteries: readonly BatteryRecord[];
  readonly battery: BatteryRecord;
  readonly conditions: DayAtPlace;
  readonly advice: ReturnHeightAdvice | null;
  readonly onMove: (to: Partial<Pick<FlightPlan, 'farthestM' | 'bearingDeg' | 'heightM'>>) => void;
}

const percentUnit = ranges.battery.startCharge;

/** Where the aircraft will be, what stands in the way, and how high it comes home. */
export function PlacePanel({ aircraft, batteries, battery, conditions, advice, onMove }: Props) {
  const edit = useRecords((state) => state.edit);
  const { chargeThere, choose } = usePreferences();
  const { write } = useWriter();
  const { flight } = aircraft;
  const { site } = conditions;
  const changeSite = (part: Partial<Site>, label: string) => edit('places', conditions.placeId, part, label);
  const seenFrom = site?.home ? 'from where it takes off' : undefined;
  const setHome = (home: LandingPlace | null) => changeSite({ home }, 'where home is');
  return (
    <>
      <AsideSection title="Where you will be">
        <AircraftAndBattery aircraft={aircraft} batteries={batteries} battery={battery} />
        <QuantityField
          quantity={ranges.flight.farthestM}
          label="Distance out"
          hint={seenFrom}
          value={flight.farthestM}
          slider={{ min: 0, max: 1000 }}
          onChange={(farthestM) => onMove({ farthestM })}
        />
        <QuantityField
          quantity={ranges.flight.bearingDeg}
          hint={seenFrom}
          value={flight.bearingDeg}
          onChange={(bearingDeg) => onMove({ bearingDeg })}
        />
        <QuantityField
          quantity={ranges.flight.heightM}
          label="Height"
          value={flight.heightM}
          slider={{ min: 0, max: 150 }}
          onChange={(heightM) => onMove({ heightM })}
        />
        <QuantityField
          quantity={percentUnit}
          label="Charge there"
          value={chargeThere}
          slider={{ min: 0, max: 1 }}
          onChange={(charge) => choose({ chargeThere: charge })}
        />
        <ChoiceField
          label="Under it"
          value={site?.below ?? 'open ground'}
          options={groundsBelow.map((value) => ({ value, label: value }))}
          onChange={(below) => changeSite({ below }, 'what is under it')}
        />
      </AsideSection>
      <AsideSection title="Home">
        <ComesHomeField
          stacked
          policy={aircraft.policy}
          onChange={(part) =>
            edit(
              'aircraft',
              aircraft.id,
              (now) => ({ policy: { ...now.policy, ...part } }),
              'how it comes home',
            )
          }
        />
        <MovedHome home={site?.home ?? null} onChange={setHome} />
      </AsideSection>
      <AsideSection title="Obstacles">
        <Obstacles
          obstacles={site?.obstacles ?? []}
          home={site?.coordinates ?? null}
          bearingDeg={flight.bearingDeg}
          onChange={(obstacles) => changeSite({ obstacles }, 'obstacles')}
        />
      </AsideSection>
      <AsideSection title="Return height">
        {!advice && (
          <div className={field.row}>
            <div className={field.note}>
              What stands in the working area? Add it above, give the tallest obstacle in Conditions, or say
              that nothing does.
            </div>
            <LinkButton onClick={() => changeSite({ tallestM: 0 }, 'that nothing stands there')}>
              No obstacles here
            </LinkButton>
          </div>
        )}
        {advice && (
          <div className={field.row}>
            <div>
              <div className={field.label}>Suggested</div>
              <div className={field.note}>
                {advice.tallestM === 0
                  ? 'nothing stands there, as you said'
                  : advice.isClear
                    ? `tallest obstacle ${write('distance', advice.tallestM)} and ${write('distance', 10)}, rounded up`
                    : 'the ceiling leaves too little over the tallest obstacle'}
              </div>
            </div>
            <LinkButton
              label={`Set the return height to ${write('distance', advice.suggestedM)}`}
              onClick={() =>
                edit(
                  'aircraft',
                  aircraft.id,
                  (now) => ({ flight: { ...now.flight, returnHeightM: advice.suggestedM } }),
                  'return height',
                )
              }
            >
              {write('distance', advice.suggestedM)}
            </LinkButton>
          </div>
        )}
        <QuantityField
          quantity={ranges.flight.returnHeightM}
          label="Set on the aircraft"
          value={flight.returnHeightM ?? null}
          assumed={defaultReturnHeightM}
          onChange={(returnHeightM) =>
            edit(
              'aircraft',
              aircraft.id,
              (now) => ({ flight: { ...now.flight, returnHeightM } }),
              'return height',
            )
          }
        />
        <QuantityField
          quantity={siteRanges.ceilingM}
          value={site?.ceilingM ?? null}
          assumed={defaultCeilingM}
          hint="as you read it in your local rules"
          onChange={(ceilingM) => changeSite({ ceilingM }, 'local ceiling')}
        />
        {advice?.perTenMetres && (
          <Note>
            Every {write('distance', 10)} higher costs {Math.round(advice.perTenMetres.seconds)} s and{' '}
            {(advice.perTenMetres.charge * 100).toFixed(1)} % from here.
          </Note>
        )}
      </AsideSection>
      <AsideSection title="Other places to land">
        <LandingPlaces
          places={site?.landingPlaces ?? []}
          onChange={(landingPlaces) => changeSite({ landingPlaces }, 'places to land')}
          from={site?.home ? 'From take-off' : 'From home'}
          onHome={setHome}
        />
      </AsideSection>
    </>
  );
}
