import {
  type AircraftRecord,
  type BatteryRecord,
  type ConditionsRecord,
  estimate,
  explain,
  minutesAndSeconds,
  type PowerCurve,
  powerCurve,
  type Refusal,
  unitNamed,
} from '@acorn-tally/core';
import { IconAlertTriangle } from '@tabler/icons-react';
import { useMemo } from 'react';
import { Wide } from '../app/Wide';
import { AircraftAndBattery } from '../fields/AircraftAndBattery';

import { Say } from '../fields/Say';
import { shownPlan } from '../minutes/planned';
import { useBandsOf } from '../minutes/useBands';
import { requestFor } from '../minutes/useEstimates';
import { beliefAbout } from '../state/belief';
import { useAircraft, useBattery, useConditions, useFlownBatteriesOf } from '../state/current';
import { useWriter } from '../state/units';
import { guesses } from './guesses';
import { PowerChart } from './PowerChart';
import { minuteLines, powerLines } from './powerChart';
import { stepsOf } from './steps';
import './method.css';

/** How the minutes come about, told with the numbers of the chosen battery: power against airspeed, step by step, and what is guessed. */
export function MethodView() {
  const aircraft = useAircraft();
  const conditions = useConditions();
  const batteries = useFlownBatteriesOf(aircraft?.id);
  const battery = useBattery(batteries);
  if (!aircraft || !battery || !conditions) {
    return (
      <main className="empty">
        <h1>Nothing to explain yet</h1>
        <p>Add an aircraft and a battery in Kit: the method is told with their numbers.</p>
      </main>
    );
  }
  return (
    <div className="desk">
      <Chooser aircraft={aircraft} batteries={batteries} battery={battery} />
      <Told aircraft={aircraft} battery={battery} conditions={conditions} />
    </div>
  );
}

interface ChooserProps {
  readonly aircraft: AircraftRecord;
  readonly batteries: readonly BatteryRecord[];
  readonly battery: BatteryRecord;
}

function Chooser({ aircraft, batteries, battery }: ChooserProps) {
  return (
    <aside className="desk-left" aria-label="Whose numbers">
      <h2>Whose numbers</h2>
      <AircraftAndBattery aircraft={aircraft} batteries={batteries} battery={battery} />
      <h2>In three sentences</h2>
      <p className="method-lead">
        The box tells how much power the aircraft takes. Physics tells what your air, wind, flying and battery
        make of it. What is guessed is guessed openly, and 512 flights with other guesses give the band.
      </p>
      <p className="method-lead">
        Calculated here or over the interface for programs (<a href="/api/docs">/api/docs</a>), it is the same
        code and gives the same digits.
      </p>
      <h2>On this page</h2>
      <ul className="method-contents">
        <li>
          <a href="#power">Power against airspeed</a>
        </li>
        <li>
          <a href="#steps">Step by step</a>
        </li>
        <li>
          <a href="#ledger">The ledger and the band</a>
        </li>
        <li>
          <a href="#guesses">What is guessed</a>
        </li>
      </ul>
    </aside>
  );
}

interface ToldProps {
  readonly aircraft: AircraftRecord;
  readonly battery: BatteryRecord;
  readonly conditions: ConditionsRecord;
}

function Told({ aircraft, battery, conditions }: ToldProps) {
  const told = useMemo(() => {
    const request = requestFor(aircraft, battery, conditions);
    const { middle } = beliefAbout(aircraft);
    return {
      requests: [request],
      curve: powerCurve(request, middle),
      estimate: estimate(request, middle),
      explained: explain(request, middle),
    };
  }, [aircraft, battery, conditions]);
  const { curve } = told;
  const bands = useBandsOf(told.requests, beliefAbout(aircraft).known);
  const planned = told.estimate.ok
    ? shownPlan(told.estimate.value, bands.value?.[0] ?? null, bands.fresh)
    : null;
  const boxClock = minutesAndSeconds(aircraft.spec.advertisedFlightTimeS);
  return (
    <main className="desk-main">
      {curve.ok ? <Power name={aircraft.name} curve={curve.value} /> : <Refused refusal={curve.refusal} />}
      {told.estimate.ok && told.explained.ok ? (
        <section id="steps">
          <h2 className="section-title">
            How {boxClock} on the box become {planned ? minutesAndSeconds(planned.usableS) : '…'} to spend
          </h2>
          <ol className="steps">
            {stepsOf({
              aircraft,
              battery,
              conditions,
              estimate: told.estimate.value,
              explained: told.explained.value,
              planned,
            }).map(({ name, says, rule, source }) => (
              <li key={name}>
                <b>{name}</b>
                <p>
                  <Say sentence={says} />
                </p>
                <p className="step-rule">
                  {rule}
                  <cite>{source}</cite>
                </p>
              </li>
            ))}
          </ol>
        </section>
      ) : (
        !told.estimate.ok && curve.ok && <Refused refusal={told.estimate.refusal} />
      )}
      <LedgerAndBand />
      <Guesses />
    </main>
  );
}

function Refused({ refusal }: { readonly refusal: Refusal }) {
  return (
    <p className="danger" role="alert">
      <IconAlertTriangle size={16} aria-hidden /> <Say sentence={refusal} />
    </p>
  );
}

function Power({ name, curve }: { readonly name: string; readonly curve: PowerCurve }) {
  const { box, today, windMps } = curve;
  const hoverW = box.points[0]?.powerW ?? 0;
  const { units, write } = useWriter();
  const speed = (mps: number) => write('speed', mps, 1);
  const lines = useMemo(() => {
    const unitMps = unitNamed('m/s', units.speed)?.inBase ?? 1;
    return { power: powerLines(curve, unitMps), minutes: minuteLines(curve, unitMps) };
  }, [curve, units.speed]);
  const against = windMps > 0 ? ` against ${speed(windMps)} of wind` : '';
  const farthest = today.farthest
    ? `goes farthest at ${speed(today.farthest.airspeedMps)}${against}`
    : `makes no way${against}`;
  return (
    <section id="power">
      <div className="headline">
        <h1>
          {name} lasts longest at {speed(today.longest.airspeedMps)}, {farthest}
        </h1>
        <p>
          still air, new battery: {hoverW.toFixed(0)} W in a hover, {box.longest.powerW.toFixed(0)} W at{' '}
          {speed(box.longest.airspeedMps)}
        </p>
        <ul className="chart-key push">
          <li className="key-today">today</li>
          <li className="key-box">as on the box</li>
          <li className="key-longest">lasts longest</li>
          <li className="key-farthest">goes farthest</li>
        </ul>
      </div>
      <div className="method-charts">
        <div>
          <h2 className="section-title">Power</h2>
          <PowerChart
            lines={lines.power}
            unit="W"
            speedUnit={units.speed}
            says={`Power against airspeed. Today it is least, ${today.longest.powerW.toFixed(0)} W, at ${speed(today.longest.airspeedMps)}.`}
          />
        </div>
        <div>
          <h2 className="section-title">Minutes until the gauge shows 0 %</h2>
          <PowerChart
            lines={lines.minutes}
            unit="min"
            speedUnit={units.speed}
            says={`Minutes against airspeed. Today it lasts ${minutesAndSeconds(today.longest.lastsS)} at most, at ${speed(today.longest.airspeedMps)}.`}
          />
        </div>
      </div>
    </section>
  );
}

function LedgerAndBand() {
  return (
    <section id="ledger" className="method-prose">
      <h2 className="section-title">The ledger and the band</h2>
      <p>
        The causes in the ledger work on each other: cold costs more when you fly fast. So each is switched on
        in every order there is, and gets the average of what it then takes (Shapley 1953). The lines add up
        to the second.
      </p>
      <p>
        For the band, all guesses below are drawn together 512 times, evenly rather than by chance (Sobol
        1967; Joe &amp; Kuo 2008), and each flight is flown. One in ten is shorter than the lower figure, one
        in ten longer than the upper. The minute to plan with is the one that lands with the reserve in as
        many flights as you ask for, nine of ten unless you change it; what it is less than the middle is kept
        for doubt. The same draws tell which test or reading would gain most of that back.
      </p>
      <p>
        Ground effect is not credited: below two rotor diameters a hover reads long (Cheeseman &amp; Bennett
        1955). A planning aid, not an authority: the aircraft’s own warnings come first.
      </p>
    </section>
  );
}

function Guesses() {
  const { say } = useWriter();
  const rows = useMemo(() => guesses(say), [say]);
  return (
    <section id="guesses">
      <h2 className="section-title">What is guessed, and how far off it may be</h2>
      <Wide label="Guesses">
        <table className="figures guesses">
          <thead>
            <tr>
              <th scope="col">guess</th>
              <th scope="col">middle</th>
              <th scope="col">one deviation</th>
              <th scope="col">why</th>
              <th scope="col">to know it better</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ name, value, spread, because, better }) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                <td>{value}</td>
                <td>{spread}</td>
                <td>{because}</td>
                <td>{better}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Wide>
    </section>
  );
}
