import {
  Chart,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  ScatterController,
  Tooltip,
} from 'chart.js';
import annotation from 'chartjs-plugin-annotation';

Chart.register(
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  ScatterController,
  Filler,
  Tooltip,
  annotation,
);
Chart.defaults.font.family = '"Atkinson Hyperlegible Next Variable", sans-serif';
Chart.defaults.font.size = 12;

/** A colour token as Chart.js needs it: resolved. */
export function token(name: string): string {
  return getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim();
}

const hatchings = new Map<string, CanvasPattern | string>();

/** Slanting strokes, for what is held back; drawn once for each colour. */
export function hatching(colour: string): CanvasPattern | string {
  const drawn = hatchings.get(colour) ?? drawHatching(colour);
  hatchings.set(colour, drawn);
  return drawn;
}

function drawHatching(colour: string): CanvasPattern | string {
  const tile = document.createElement('canvas');
  tile.width = 8;
  tile.height = 8;
  const pen = tile.getContext('2d');
  if (!pen) return colour;
  pen.strokeStyle = colour;
  pen.lineWidth = 1;
  pen.beginPath();
  for (const shift of [-8, 0, 8]) {
    pen.moveTo(shift, 8);
    pen.lineTo(shift + 8, 0);
  }
  pen.stroke();
  return pen.createPattern(tile, 'repeat') ?? colour;
}
