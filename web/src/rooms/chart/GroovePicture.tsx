import { type BandPart, type GrooveBar, type GrooveName, grooveBar, swung, type TimedBar } from '@aurora/core';
import { CHART_WORDS } from '../../wording/chart.ts';

interface GroovePictureProps {
  readonly groove: GrooveName;
  readonly meter: TimedBar['meter'];
  /** Beats a minute: the faster, the more even it swings. */
  readonly tempo: number;
  readonly parts: Readonly<Record<BandPart, boolean>>;
}

const ROW = 20;
const WIDTH = 220;
const EDGE = 8;

/** One bar of a groove as it is counted: a line for each drum and player, a dot where they strike. */
export function GroovePicture({ groove, meter, tempo, parts }: GroovePictureProps) {
  const bar = grooveBar(groove, meter, 0);
  const rows = rowsOf(bar);
  const x = (at: number) => EDGE + (at / bar.beats) * (WIDTH - 2 * EDGE);
  const swing = (at: number) => x(swung(groove, meter, at, tempo));
  const height = (rows.length + 1) * ROW;
  const names = rows.map(({ name }) => CHART_WORDS.grooveRows[name] ?? name);
  return (
    <figure
      className="mt-3 flex gap-2 text-fine text-quiet"
      aria-label={CHART_WORDS.oneBarOf(CHART_WORDS.grooveNames[groove], names.join(', '))}
    >
      <div aria-hidden="true" className="shrink-0 text-right leading-5">
        {names.map((name) => (
          <div key={name}>{name}</div>
        ))}
      </div>
      <svg aria-hidden="true" viewBox={`0 0 ${WIDTH} ${height}`} className="min-w-0 flex-1">
        {Array.from({ length: bar.beats }, (_, beat) => (
          <g key={x(beat)}>
            <line x1={x(beat)} x2={x(beat)} y1={0} y2={height - ROW} className="stroke-edge" />
            <text x={x(beat)} y={height - 5} textAnchor="middle" className="fill-quiet" fontSize={13}>
              {beat + 1}
            </text>
          </g>
        ))}
        {rows.map(({ name, cells }, row) => (
          <g key={name} className={fillOf(name)} opacity={parts[partOf(name)] ? 1 : 0.25}>
            {cells.map(({ at, sign }) => (
              <circle key={at} cx={swing(at)} cy={(row + 0.5) * ROW} r={sizeOf(sign)} />
            ))}
          </g>
        ))}
      </svg>
    </figure>
  );
}

/** From the top of the kit down to the bass. */
const ORDER = ['crash', 'ride', 'hat', 'pedal', 'snare', 'rim', 'kick', 'guitar', 'bass'];

function rowsOf({ cells }: GrooveBar) {
  return ORDER.map((name) => ({ name, cells: cells.filter(({ row }) => row === name) })).filter((row) => row.cells.length > 0);
}

function partOf(row: string): BandPart {
  return row === 'guitar' || row === 'bass' ? row : 'drums';
}

function fillOf(row: string): string {
  return partOf(row) === 'drums' ? 'fill-ink' : 'fill-accent';
}

const SOFT_SIGNS = 'gdum';

function sizeOf(sign: string): number {
  return SOFT_SIGNS.includes(sign) ? 2.5 : sign === 'X' ? 5.5 : 4;
}
