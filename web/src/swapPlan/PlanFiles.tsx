import type { DayAtPlace, PlanRequest, ShootRecord, SwapPlan } from '@acorn-tally/core';
import { Anchor } from '@mantine/core';
import { Link } from 'react-router';
import { LinkButton } from '../parts/LinkButton';
import { saveFile } from '../parts/saveFile';
import styles from './PlanFiles.module.css';

interface Props {
  readonly plan: SwapPlan;
  readonly request: PlanRequest;
  readonly shoot: ShootRecord;
  readonly conditions: DayAtPlace;
}

/** The plan to take along: in a calendar, a spreadsheet, as points on a map, on paper. */
export function PlanFiles({ plan, request, shoot, conditions }: Props) {
  const coordinates = conditions.site.coordinates ?? null;
  const name = shoot.name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();
  const calendar = async () => {
    const { writePlanCalendar } = await import('./planFiles');
    const made = { name: shoot.name, request, plan, madeAt: new Date().toISOString() };
    saveFile(`${name}.ics`, 'text/calendar', writePlanCalendar(made));
  };
  const csv = async () => {
    const { writePlanCsv } = await import('./planFiles');
    saveFile(`${name}.csv`, 'text/csv', writePlanCsv({ request, plan }));
  };
  const gpx = async () => {
    if (!coordinates) return;
    const { writePointsGpx } = await import('./planFiles');
    const text = writePointsGpx(request, coordinates, conditions.weather.elevationM);
    saveFile(`${name}.gpx`, 'application/gpx+xml', text);
  };
  return (
    <nav className={styles.files} aria-label="Take the plan along">
      <span>Take it along:</span>
      <Anchor component={Link} to="/card">
        Card to print
      </Anchor>
      <LinkButton onClick={() => void calendar()}>Calendar</LinkButton>
      <LinkButton onClick={() => void csv()}>CSV</LinkButton>
      {coordinates && <LinkButton onClick={() => void gpx()}>Points as GPX</LinkButton>}
    </nav>
  );
}
