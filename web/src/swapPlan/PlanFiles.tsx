import type { DayAtPlace, PlanAsRead, PlanRequest, ShootRecord } from '@acorn-tally/core';
import { Anchor } from '@mantine/core';
import { Link } from 'react-router';
import { LinkButton } from '../parts/LinkButton';
import { saveFile } from '../parts/saveFile';
import { fetchPart } from '../state/lazyPart';
import styles from './PlanFiles.module.css';

const fetchFiles = () => fetchPart(() => import('./planFiles'));

interface Props {
  readonly plan: PlanAsRead;
  readonly request: PlanRequest;
  readonly shoot: ShootRecord;
  readonly conditions: DayAtPlace;
}

/** The plan to take along: in a calendar, a spreadsheet, as points on a map, on paper. */
export function PlanFiles({ plan, request, shoot, conditions }: Props) {
  const coordinates = conditions.site.coordinates ?? null;
  const name = shoot.name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();
  const calendar = async () => {
    const files = await fetchFiles();
    const made = { name: shoot.name, request, plan, madeAt: new Date().toISOString() };
    if (files) saveFile(`${name}.ics`, 'text/calendar', files.writePlanCalendar(made));
  };
  const csv = async () => {
    const files = await fetchFiles();
    if (files) saveFile(`${name}.csv`, 'text/csv', files.writePlanCsv({ request, plan }));
  };
  const gpx = async () => {
    const files = coordinates && (await fetchFiles());
    if (!files) return;
    const text = files.writePointsGpx(request, coordinates, conditions.weather.elevationM);
    saveFile(`${name}.gpx`, 'application/gpx+xml', text);
  };
  return (
    <nav className={styles.files} aria-label="Take the plan with you">
      <span>Take with you:</span>
      <Anchor component={Link} to="/card">
        Card to print
      </Anchor>
      <LinkButton onClick={() => void calendar()}>Calendar</LinkButton>
      <LinkButton onClick={() => void csv()}>CSV</LinkButton>
      {coordinates && <LinkButton onClick={() => void gpx()}>Points as GPX</LinkButton>}
    </nav>
  );
}
