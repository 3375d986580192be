import { roughnessClasses } from '@acorn-tally/core';
import { Radio } from '@mantine/core';
import type { ReactNode } from 'react';
import styles from './GroundCards.module.css';

interface Props {
  readonly roughnessM: number;
  readonly onChange: (roughnessM: number) => void;
}

/** The kind of ground the wind comes over, each with its picture: rougher ground slows the wind below, not above. */
export function GroundCards({ roughnessM, onChange }: Props) {
  return (
    <Radio.Group
      label="Terrain upwind"
      value={roughnessClasses.find((one) => one.roughnessM === roughnessM)?.name ?? null}
      onChange={(name) => {
        const picked = roughnessClasses.find((one) => one.name === name);
        if (picked) onChange(picked.roughnessM);
      }}
    >
      <div className={styles.grounds}>
        {roughnessClasses.map((one) => (
          <Radio.Card key={one.name} value={one.name} data-choosable className={styles.ground}>
            <svg viewBox="0 0 90 34" aria-hidden="true">
              <line x1="0" y1="31" x2="90" y2="31" />
              {pictures[one.name]}
            </svg>
            {one.name}
          </Radio.Card>
        ))}
      </div>
    </Radio.Group>
  );
}

const along = (count: number, from: number, step: number) =>
  Array.from({ length: count }, (_, i) => from + i * step);
const tree = (x: number, height: number) => (
  <g key={x}>
    <line x1={x} y1="31" x2={x} y2={31 - height * 0.4} />
    <ellipse cx={x} cy={31 - height * 0.68} rx={height * 0.27} ry={height * 0.34} />
  </g>
);

const pictures: Record<(typeof roughnessClasses)[number]['name'], ReactNode> = {
  'open water': along(3, 0, 30).map((x) => (
    <path key={x} d={`M${x} 26q7.5 -4 15 0t15 0M${x + 8} 20q5 -3 10 0`} />
  )),
  'short grass': along(15, 3, 6).map((x) => <path key={x} d={`M${x} 31l-1 -4M${x} 31l2 -5`} />),
  'farmland, low crops': along(9, 5, 10).map((x) => (
    <path key={x} d={`M${x} 31v-9m0 5l-3 -3m3 1l3 -3m-3 -1l-2 -3`} />
  )),
  'hedges, orchards': [
    <path key="hedge" d="M4 31v-8q4 -5 8 0q4 -5 8 0q4 -5 8 0v8" className={styles.full} />,
    ...along(3, 42, 18).map((x) => tree(x, 17)),
  ],
  'scattered trees, village': [
    tree(10, 24),
    <path key="house" d="M26 31v-11l10 -8l10 8v11M33 31v-6h6v6" />,
    tree(60, 20),
    <path key="barn" d="M68 31v-8l8 -6l8 6v8" />,
  ],
  'wood or town': [...along(5, 8, 11).map((x, i) => tree(x, i % 2 ? 30 : 26))].concat(
    <path key="houses" d="M62 31v-21h11v21M73 31v-15h13v15M66 15h3M66 20h3M77 21h4" />,
  ),
};
