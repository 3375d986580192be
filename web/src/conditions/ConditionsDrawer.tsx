import {
  type ConditionsRecord,
  nameProblem,
  ranges,
  roughnessClasses,
  usualRoughnessM,
} from '@acorn-tally/core';
import dayjs from 'dayjs';
import { SidePanel } from '../app/SidePanel';
import { ChoiceField } from '../fields/ChoiceField';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import { useChosen } from '../state/chosen';
import { useConditions } from '../state/current';
import { useRecords } from '../state/records';
import { airAt } from './air';
import { MetarPaste } from './MetarPaste';

/** Place, hour and weather, by hand; everything on the page follows at once. */
export function ConditionsDrawer() {
  const conditions = useConditions();
  const { conditionsOpen, choose } = useChosen();
  if (!conditions) return null;
  return (
    <SidePanel title="Conditions" opened={conditionsOpen} onClose={() => choose({ conditionsOpen: false })}>
      <ConditionsForm conditions={conditions} />
    </SidePanel>
  );
}

const windHeightsM = [2, 10, 20, 40, 60, 80, 100, 120];

function ConditionsForm({ conditions }: { readonly conditions: ConditionsRecord }) {
  const edit = useRecords((state) => state.edit);
  const { weather } = conditions;
  const change = (part: Partial<typeof weather>, label: string) =>
    edit('conditions', conditions.id, { weather: { ...weather, ...part } }, label);
  const changeWind = (part: Partial<typeof weather.wind>, label: string) =>
    change({ wind: { ...weather.wind, ...part } }, label);
  const { wind } = weather;
  const roughnessM = weather.roughnessM ?? usualRoughnessM;
  return (
    <>
      <TextField
        label="Place"
        value={conditions.place}
        problem={(text) => nameProblem('Place', text)}
        onChange={(place) => edit('conditions', conditions.id, { place }, 'place')}
      />
      <TextField
        label="Day and hour"
        type="datetime-local"
        value={dayjs(conditions.at).format('YYYY-MM-DDTHH:mm')}
        problem={(text) => (dayjs(text).isValid() ? null : 'Day and hour are empty.')}
        onChange={(at) => edit('conditions', conditions.id, { at: dayjs(at).format() }, 'day and hour')}
      />
      <MetarPaste
        weather={weather}
        onUse={(reported) => edit('conditions', conditions.id, { weather: reported }, 'the report')}
      />
      <h3 className="panel-part">Air</h3>
      <QuantityField
        first
        quantity={ranges.conditions.airTemperatureC}
        slider={{ min: -15, max: 35 }}
        value={weather.airTemperatureC}
        onChange={(airTemperatureC) => change({ airTemperatureC }, 'air temperature')}
      />
      <QuantityField
        quantity={ranges.conditions.relativeHumidity}
        value={weather.relativeHumidity ?? null}
        assumed={0.6}
        onChange={(relativeHumidity) => change({ relativeHumidity }, 'humidity')}
      />
      <QuantityField
        quantity={ranges.conditions.elevationM}
        value={weather.elevationM}
        onChange={(elevationM) => change({ elevationM }, 'ground elevation')}
      />
      <QuantityField
        quantity={ranges.conditions.qnhHpa}
        value={weather.qnhHpa ?? null}
        assumed={1013}
        hint="if you know it; else the standard day"
        onChange={(qnhHpa) => change({ qnhHpa }, 'QNH')}
      />
      <h3 className="panel-part">Wind</h3>
      <QuantityField
        quantity={ranges.wind.speedMps}
        slider={{ min: 0, max: 15 }}
        value={wind.speedMps}
        onChange={(speedMps) => changeWind({ speedMps }, 'wind')}
      />
      <QuantityField
        quantity={ranges.wind.gustMps}
        value={wind.gustMps ?? null}
        assumed={null}
        hint="empty: reckoned from the ground’s roughness"
        onChange={(gustMps) => changeWind({ gustMps }, 'gust')}
      />
      <QuantityField
        quantity={ranges.wind.fromDeg}
        value={wind.fromDeg}
        onChange={(fromDeg) => changeWind({ fromDeg }, 'wind direction')}
      />
      <QuantityField
        quantity={ranges.wind.readingHeightM}
        value={wind.readingHeightM}
        hint="2 m in the hand, 10 m in a forecast"
        onChange={(readingHeightM) => changeWind({ readingHeightM }, 'height of the reading')}
      />
      <ChoiceField
        label="Over"
        value={String(roughnessM)}
        options={roughnessClasses.map((one) => ({ value: String(one.roughnessM), label: one.name }))}
        onChange={(value) => change({ roughnessM: Number(value) }, 'kind of ground')}
      />
      <WindByHeight conditions={conditions} />
    </>
  );
}

/** The wind as it grows with height, as bars: the part a pilot on the ground does not feel. */
function WindByHeight({ conditions }: { readonly conditions: ConditionsRecord }) {
  const rows = windHeightsM.map((heightM) => ({ heightM, air: airAt(conditions.weather, heightM) }));
  const refusal = rows[0] && !rows[0].air.ok ? rows[0].air.refusal.message : null;
  if (refusal) return <p className="danger">{refusal}</p>;
  const strongest = Math.max(1, ...rows.map(({ air }) => (air.ok ? air.value.gustMps : 0)));
  return (
    <>
      <h3 className="panel-part">Up there</h3>
      <table className="wind-rows">
        <thead>
          <tr>
            <th>height</th>
            <th aria-hidden />
            <th>wind</th>
            <th>gusts</th>
          </tr>
        </thead>
        <tbody>
          {[...rows].reverse().map(
            ({ heightM, air }) =>
              air.ok && (
                <tr key={heightM}>
                  <td>{heightM} m</td>
                  <td className="wind-bar">
                    <i style={{ width: `${(air.value.gustMps / strongest) * 100}%` }} className="wind-gust" />
                    <i style={{ width: `${(air.value.windMps / strongest) * 100}%` }} />
                  </td>
                  <td>{air.value.windMps.toFixed(1)} m/s</td>
                  <td>{air.value.gustMps.toFixed(1)} m/s</td>
                </tr>
              ),
          )}
        </tbody>
      </table>
    </>
  );
}
