import { hasHouses } from '../air/roughness';
import { lightAt, sunPosition } from '../air/sun';
import { byItself, heightHomeM } from '../reserve/homing';
import { type Sentence, sentence } from '../units/sentence';
import type { Situation } from './situation';

/** What practice knows of a way home and no computation shows; each told only where it holds (common practice). */
export type MindCode = 'into-low-sun' | 'in-the-dark' | 'many-radios' | 'may-tip';

const lowSunDeg = 20;
const sunConeDeg = 30;
/** The sun's upper edge is up from here on, refraction included. */
const upDeg = -0.3;
/** Where a hand-held reading is taken, and a small aircraft sets down. */
const nearGroundM = 2;
/** A gust that may tip a small aircraft as it touches down (assumed; a fresh breeze). */
const tipsMps = 8;

/** The most pressing first. */
export function toMind(situation: Situation): Sentence<MindCode>[] {
  const found = [mayTip(situation), intoLowSun(situation), inTheDark(situation), manyRadios(situation)];
  return found.filter((one) => one !== null);
}

function intoLowSun({ request }: Situation): Sentence<MindCode> | null {
  const { at, coordinates, position } = request;
  if (!at || !coordinates || position.distanceM === 0) return null;
  const { azimuthDeg, altitudeDeg: sunUpDeg } = sunPosition(at, coordinates);
  const offDeg = between(azimuthDeg, position.bearingDeg + 180);
  if (!(sunUpDeg > upDeg && sunUpDeg < lowSunDeg && offDeg <= sunConeDeg)) return null;
  return sentence(
    'into-low-sun',
    'The way home leads towards a low sun ({offDeg} beside it, {sunUpDeg} up): obstacle sensing may stop it there. Be ready to fly it by hand',
    { offDeg, sunUpDeg: Math.max(0, sunUpDeg) },
  );
}

/** The angle between two directions, 0 to 180°. */
function between(aDeg: number, bDeg: number): number {
  const apart = Math.abs(aDeg - bDeg) % 360;
  return Math.min(apart, 360 - apart);
}

function inTheDark({ request, rule }: Situation): Sentence<MindCode> | null {
  const { at, coordinates } = request;
  if (!at || !coordinates) return null;
  const light = lightAt(at, coordinates);
  if (light !== 'night' && light !== 'twilight') return null;
  return sentence(
    'in-the-dark',
    'Its obstacle sensors do not work in the dark: it flies straight home, at {ownM}',
    {
      ownM: heightHomeM(request.aircraft, request.position, byItself(rule)),
    },
  );
}

function manyRadios({ request }: Situation): Sentence<MindCode> | null {
  if (!hasHouses(request.conditions.roughnessM ?? null) && request.below !== 'people') return null;
  return sentence(
    'many-radios',
    'Many radios near, as among houses, shorten the link: keep it nearer than usual',
  );
}

function mayTip({ atmosphere, request }: Situation): Sentence<MindCode> | null {
  const { gustMps } = atmosphere(nearGroundM);
  if (!(request.conditions.wind.speedMps > 0 && gustMps >= tipsMps)) return null;
  return sentence(
    'may-tip',
    'Gusts of {gustMps:1} near the ground may tip it as it touches down: land at a sheltered place, or only with a practised hand, rotors cut at once',
    { gustMps },
  );
}
