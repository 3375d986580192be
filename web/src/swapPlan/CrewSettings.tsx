import {
  type AircraftRecord,
  type DayAtPlace,
  defaultCoolingS,
  defaultMoving,
  isFlown,
  type LaunchPlace,
  maxLaunchPlaces,
  planRanges,
  type ShootRecord,
  type SwapTime,
  swapS,
} from '@acorn-tally/core';
import { bearing } from '../answers/air';
import { ChoiceField } from '../fields/ChoiceField';
import { QuantityField } from '../fields/QuantityField';
import { Fields } from '../parts/Fields';
import { PlacedThings } from '../parts/PlacedThings';
import { PlaceFields } from '../parts/PlaceFields';
import { useRecords } from '../records/records';
import { useFleet, useLaunchPlaces } from '../state/current';
import { useWriter } from '../state/units';
import styles from './CrewSettings.module.css';
import { eastAndNorth, seenOnTheGround } from './site';

interface Props {
  readonly aircraft: AircraftRecord;
  readonly shoot: ShootRecord;
  readonly conditions: DayAtPlace;
}

const none = 'none';

/** How the crew works: what a swap is made of, a second aircraft, what rests before it is charged, and where else it takes off from. */
export function CrewSettings({ aircraft, shoot, conditions }: Props) {
  const edit = useRecords((state) => state.edit);
  const change = (part: Partial<ShootRecord>, label: string) => edit('shoots', shoot.id, part, label);
  const moving = (part: NonNullable<ShootRecord['moving']>, label: string) =>
    edit('shoots', shoot.id, (now) => ({ moving: { ...now.moving, ...part } }), label);
  const swapPart = (part: SwapTime, label: string) =>
    edit(
      'shoots',
      shoot.id,
      (now) => {
        const swapParts = { ...now.swapParts, ...part };
        const isTold = Object.values(swapParts).some((one) => one !== null);
        return isTold ? { swapParts, swapTimeS: swapS(swapParts) } : { swapParts: null };
      },
      label,
    );
  const { swapParts } = shoot;
  const charges = (shoot.chargerIds ?? []).length > 0;
  const places = useLaunchPlaces(conditions.placeId);
  return (
    <Fields label="The crew" className={styles.crew}>
      <SecondAircraft aircraft={aircraft} shoot={shoot} />
      {(['landS', 'changeS', 'satellitesS'] as const).map((name) => (
        <QuantityField<number | null>
          key={name}
          stacked
          quantity={planRanges[name]}
          value={swapParts?.[name] ?? null}
          assumed={null}
          hint="part of the swap"
          onChange={(seconds) =>
            swapPart({ [name]: seconds }, `${planRanges[name].label.toLowerCase()} in a swap`)
          }
        />
      ))}
      {charges && (
        <QuantityField<number | null>
          stacked
          quantity={planRanges.coolingS}
          value={shoot.coolingS ?? null}
          assumed={defaultCoolingS}
          hint="before it is charged"
          onChange={(coolingS) => change({ coolingS }, 'cooling')}
        />
      )}
      {places.length > 0 && (
        <>
          <QuantityField<number | null>
            stacked
            quantity={planRanges.packUpS}
            value={shoot.moving?.packUpS ?? null}
            assumed={defaultMoving.packUpS}
            hint="to another launch place"
            onChange={(packUpS) => moving({ packUpS }, 'packing up')}
          />
          <QuantityField<number | null>
            stacked
            quantity={planRanges.speedMps}
            value={shoot.moving?.speedMps ?? null}
            assumed={defaultMoving.speedMps}
            hint="with the gear"
            onChange={(speedMps) => moving({ speedMps }, 'walking speed')}
          />
        </>
      )}
      <LaunchPlaces places={places} conditions={conditions} />
    </Fields>
  );
}

/** One in the air at a time: the other is made ready meanwhile. */
function SecondAircraft({ aircraft, shoot }: Pick<Props, 'aircraft' | 'shoot'>) {
  const edit = useRecords((state) => state.edit);
  const batteries = useRecords((state) => state.batteries);
  const others = useFleet().filter(({ id }) => id !== aircraft.id);
  const choose = (id: string) => {
    const own = shoot.batteryIds.filter((one) =>
      batteries.some((battery) => battery.id === one && battery.aircraftId === aircraft.id),
    );
    const its = batteries.filter(({ aircraftId, keeping }) => aircraftId === id && isFlown(keeping));
    edit(
      'shoots',
      shoot.id,
      { otherAircraftId: id === none ? null : id, batteryIds: [...own, ...its.map((battery) => battery.id)] },
      'second aircraft',
      { apart: true },
    );
  };
  return (
    <ChoiceField
      stacked
      label="Second aircraft"
      value={others.some(({ id }) => id === shoot.otherAircraftId) ? (shoot.otherAircraftId as string) : none}
      options={[
        { value: none, label: 'none' },
        ...others.map(({ id, name }) => ({ value: id, label: name })),
      ]}
      hint="one in the air at a time"
      onChange={choose}
    />
  );
}

/** Where else it takes off from, as seen from the place; kept with the place, for any shoot there. */
function LaunchPlaces({
  places,
  conditions,
}: {
  readonly places: readonly LaunchPlace[];
  readonly conditions: DayAtPlace;
}) {
  const edit = useRecords((state) => state.edit);
  const { write } = useWriter();
  return (
    <div className={styles.places}>
      <h3>Launch places beside {conditions.place}</h3>
      <PlacedThings
        things={places}
        onChange={(launchPlaces) =>
          edit(
            'places',
            conditions.placeId,
            { launchPlaces: launchPlaces.slice(0, maxLaunchPlaces) },
            'launch places',
          )
        }
        line={(place) => {
          const { distanceM, bearingDeg } = seenOnTheGround(place);
          return [place.name, `${write('distance', distanceM)}, ${bearing(bearingDeg)}`];
        }}
        fields={(place, change) => {
          const seen = seenOnTheGround(place);
          return (
            <PlaceFields
              place={seen}
              labels={{ distance: `From ${conditions.place}`, direction: 'Direction' }}
              onChange={(part) => change(eastAndNorth({ ...seen, ...part }))}
            />
          );
        }}
        fresh={(number) => ({
          id: crypto.randomUUID(),
          name: `Launch place ${number}`,
          ...eastAndNorth({ distanceM: 200, bearingDeg: 90 }),
        })}
        addLabel="Add a launch place"
      />
    </div>
  );
}
