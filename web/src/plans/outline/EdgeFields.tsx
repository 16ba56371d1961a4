import type { VehicleView } from '@wainrope/contract';
import {
  changeEdge,
  type Edit,
  keyWords,
  type Line,
  leadOver,
  type PlainEdge,
  plainBends,
  plainEdges,
  type Rig,
  smallLength,
  takeOffEdge,
  type VehicleBody,
} from '@wainrope/core';
import { useGetHookUpBookQuery } from '../../api/wainrope-api.ts';
import { Choice } from '../../fields/Choice.tsx';
import { Group } from '../../fields/fields.tsx';
import { NumberField } from '../../fields/NumberField.tsx';
import { useFigures } from '../../shell/use-figures.ts';
import { PointFields } from '../site/PointFields.tsx';

interface EdgeFieldsProps {
  readonly rig: Rig;
  readonly vehicles: readonly VehicleView[];
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
}

/** Plain edges that a line runs over, a vehicle's parts above all: which, of what, how round; those of its model from the hook-up book. */
export function EdgeFields({ rig, vehicles, apply }: EdgeFieldsProps) {
  const edges = plainEdges(rig);
  const drawn = rig.lines.flatMap((line) => {
    const body = drivenBy(rig, line);
    return body ? [{ line, body }] : [];
  });
  if (edges.length === 0 && drawn.length === 0) return null;
  return (
    <Group title="What the line touches">
      {edges.map((edge) => (
        <EdgeRow key={edge.point.id} rig={rig} edge={edge} apply={apply} />
      ))}
      {edges.length === 0 && (
        <p className="col-span-2 text-[15px] text-quiet">
          No plain edge. A line that is led back under its vehicle touches parts: write each down.
        </p>
      )}
      {drawn.map(({ line, body }) => (
        <PartsOfModel key={line.id} rig={rig} line={line} body={body} vehicles={vehicles} apply={apply} />
      ))}
    </Group>
  );
}

/** The vehicle whose winch drives a line. */
function drivenBy(rig: Rig, { drive }: Line): VehicleBody | undefined {
  const point = drive.kind === 'winch' ? rig.points.find(({ id }) => id === drive.pointId) : undefined;
  const body = rig.bodies.find(({ id }) => id === point?.bodyId);
  return body?.kind === 'vehicle' ? body : undefined;
}

function EdgeRow({ rig, edge, apply }: { readonly edge: PlainEdge } & Pick<EdgeFieldsProps, 'rig' | 'apply'>) {
  const { bend, point } = edge;
  const { radiusM, ...plain } = bend;
  return (
    <div className="col-span-2 grid grid-cols-2 gap-3 border-b border-rule pb-2" data-edge={point.id}>
      <div className="col-span-2 flex items-center gap-2">
        <strong className="mr-auto">{point.label}</strong>
        <button type="button" className="action" onClick={() => apply(takeOffEdge(rig, edge))}>
          Not touched
        </button>
      </div>
      <Choice
        label="Rope on what"
        value={bend.bend}
        options={plainBends}
        words={keyWords}
        onChange={(own) => apply(changeEdge(edge, { ...bend, bend: own }))}
      />
      <NumberField
        label="Radius"
        unit="mm"
        value={radiusM === undefined ? undefined : radiusM * 1000}
        empty="not measured"
        min={0.5}
        max={2000}
        step={1}
        decimals={1}
        onChange={(millimetres) => apply(changeEdge(edge, { ...bend, radiusM: millimetres / 1000 }), `radius-${point.id}`)}
        onClear={() => apply(changeEdge(edge, plain))}
      />
      <div className="col-span-2">
        <PointFields point={point} apply={apply} />
      </div>
    </div>
  );
}

interface PartsOfModelProps extends EdgeFieldsProps {
  readonly line: Line;
  readonly body: VehicleBody;
}

function PartsOfModel({ rig, line, body, vehicles, apply }: PartsOfModelProps) {
  const { data } = useGetHookUpBookQuery();
  const { figure } = useFigures();
  const model = vehicles.find(({ vehicleId }) => vehicleId === body.vehicleId)?.model.toLowerCase();
  const there = new Set(plainEdges(rig).map(({ point }) => point.label));
  const known = (data?.items ?? []).filter(
    (entry) => entry.kind === 'touched' && entry.model.toLowerCase() === model && !there.has(entry.place),
  );
  const lead = (part: Parameters<typeof leadOver>[3]) => apply(leadOver(rig, line, body, part));
  return (
    <div className="col-span-2 flex flex-wrap gap-2">
      {known.map((entry) => (
        <button key={entry.entryId} type="button" className="action" data-touched onClick={() => lead({ ...entry, name: entry.place })}>
          It touches: {entry.place}
          {entry.radiusM !== undefined && `, radius ${figure(smallLength(entry.radiusM))}`}
        </button>
      ))}
      <button type="button" className="action" onClick={() => lead({ name: `A part of ${body.label}` })}>
        It touches a part of {body.label}
      </button>
    </div>
  );
}
