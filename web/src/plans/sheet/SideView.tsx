import { groundHeightM, length, lineWords, type Report, type Rig } from '@wainrope/core';
import { useFigures } from '../../shell/use-figures.ts';

const SIZE = { width: 380, height: 150, rim: 22 };

interface Station {
  readonly alongM: number;
  readonly ropeM: number;
  readonly groundM: number;
}

/** The line from the side: how far along it, how high the rope and the ground are. Heights and lengths to one scale. */
export function sideStations(rig: Rig, report: Report, lineId: string): readonly Station[] {
  const strands = report.strands.filter((strand) => strand.lineId === lineId);
  const points = [strands[0]?.from, ...strands.map(({ to }) => to)].filter((point) => point !== undefined);
  let along = 0;
  return points.map((point, index) => {
    const before = points[index - 1];
    if (before) along += Math.hypot(point.x - before.x, point.y - before.y);
    return { alongM: along, ropeM: point.z, groundM: groundHeightM(rig.ground, point.x, point.y) };
  });
}

export function SideView({ rig, report }: { readonly rig: Rig; readonly report: Report }) {
  const { figure } = useFigures();
  return rig.lines.map(({ id }) => {
    const stations = sideStations(rig, report, id);
    const last = stations.at(-1);
    if (stations.length < 2 || !last) return null;
    const heights = stations.flatMap(({ ropeM, groundM }) => [ropeM, groundM]);
    const [low, high] = [Math.min(...heights) - 0.3, Math.max(...heights) + 0.3];
    const scale = Math.min((SIZE.width - 2 * SIZE.rim) / Math.max(1, last.alongM), (SIZE.height - 2 * SIZE.rim) / (high - low));
    const x = (alongM: number) => SIZE.rim + alongM * scale;
    const y = (heightM: number) => SIZE.height - SIZE.rim - (heightM - low) * scale;
    const path = (of: (station: Station) => number) =>
      stations.map((station, index) => `${index === 0 ? 'M' : 'L'}${x(station.alongM).toFixed(1)} ${y(of(station)).toFixed(1)}`).join('');
    return (
      <figure key={id} className="stitched pb-3" data-side-view={id}>
        <figcaption className="font-head text-lg font-semibold">
          From the side{rig.lines.length > 1 && `: ${lineWords(rig, id)}`}
        </figcaption>
        <svg
          viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
          className="w-full bg-map"
          role="img"
          aria-label={stations
            .map(({ ropeM, groundM, alongM }) => `${figure(length(ropeM - groundM))} above ground at ${figure(length(alongM))}`)
            .join(', ')}
        >
          <path
            d={`${path(({ groundM }) => groundM)}V${SIZE.height}H${SIZE.rim}Z`}
            fill="var(--contour)"
            fillOpacity="0.5"
            stroke="var(--tuft)"
          />
          <path d={path(({ ropeM }) => ropeM)} fill="none" stroke="var(--ink)" strokeWidth="4" />
          <path d={path(({ ropeM }) => ropeM)} fill="none" stroke="var(--rope)" strokeWidth="2.4" />
          {stations.map(({ alongM, ropeM, groundM }) => (
            <g key={`${alongM} ${ropeM}`}>
              <path d={`M${x(alongM)} ${y(groundM)}V${y(ropeM)}`} stroke="var(--ink)" strokeDasharray="2 3" />
              <circle cx={x(alongM)} cy={y(ropeM)} r="4" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.6" />
              <text x={x(alongM)} y={Math.max(14, y(ropeM) - 8)} fontSize="12" textAnchor="middle" fill="var(--ink)">
                {figure(length(ropeM - groundM))}
              </text>
            </g>
          ))}
        </svg>
      </figure>
    );
  });
}
