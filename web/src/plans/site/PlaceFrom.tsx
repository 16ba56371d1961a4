import { type Apart, apartFrom, type Body, bearingDegrees, DEGREE, FOOT_M, length, placedFrom, type Rig } from '@wainrope/core';
import { useState } from 'react';
import { Choice } from '../../fields/Choice.tsx';
import { NumberField } from '../../fields/NumberField.tsx';
import { type GroundMeasure, groundMeasures, measureChosen, PACE_M, paceSaid } from '../../settings/settings-slice.ts';
import { useFigures } from '../../shell/use-figures.ts';
import { useAppDispatch, useAppSelector } from '../../store.ts';
import { directionsFrom, frontOf, offBy } from './directions.ts';

interface PlaceFromProps {
  readonly rig: Rig;
  readonly body: Body;
  readonly place: (at: { readonly xM: number; readonly yM: number }) => void;
}

/** Further than this nothing stands on one site; and the map's own reach from its origin. Metres. */
const FURTHEST_M = 500;
const MAP_M = 1000;

/** Directions nearer than this are one, degrees. */
const SAME_DEGREES = 1.5;

/** How much one of a measure is, metres. */
function useMeasure() {
  const { measure, units, paceM } = useAppSelector((state) => state.settings);
  const chosen: GroundMeasure = measure ?? (units === 'lbf' ? 'feet' : 'metres');
  return { chosen, paceM, oneM: { paces: paceM, metres: 1, feet: FOOT_M }[chosen] };
}

/** The body from which another is measured at first: the one that is to move, else the first other. */
const usualOther = ({ bodies, load }: Rig, body: Body): Body | undefined =>
  bodies.find(({ id }) => id === load.bodyId && id !== body.id) ?? bodies.find(({ id }) => id !== body.id);

/** Places a body by distance and direction from any other, as one paces it out. */
export function PlaceFrom({ rig, body, place }: PlaceFromProps) {
  const dispatch = useAppDispatch();
  const { chosen, paceM, oneM } = useMeasure();
  const { figure } = useFigures();
  const [otherId, setOtherId] = useState<string>();
  const [isOff, setOff] = useState(false);
  const other = rig.bodies.find(({ id }) => id === otherId && id !== body.id) ?? usualOther(rig, body);
  if (!other) return null;
  const heading = frontOf(other);
  const directions = directionsFrom(other);
  const apart = apartFrom(other, body);
  const put = (next: Partial<Apart>) => {
    const at = placedFrom(other, body, { ...apart, ...next });
    const isOff = Math.max(Math.abs(at.xM), Math.abs(at.yM)) > MAP_M;
    setOff(isOff);
    if (!isOff) place(at);
  };
  const degrees = bearingDegrees(apart.bearingRad - heading);
  const near = directions.find((direction) => offBy(other, apart, direction) <= SAME_DEGREES);
  return (
    <fieldset className="col-span-2 grid grid-cols-2 gap-2 border-y border-rule py-2">
      <legend className="sr-only">Where {body.label} stands from another</legend>
      <NumberField
        label="Distance between"
        unit={chosen}
        value={apart.gapM / oneM}
        min={0}
        max={Math.floor(FURTHEST_M / oneM)}
        step={chosen === 'metres' ? 0.1 : 1}
        decimals={1}
        onChange={(count) => put({ gapM: count * oneM })}
      />
      <Choice
        label="Measured in"
        value={chosen}
        options={groundMeasures}
        words={(measure) => measure}
        onChange={(measure) => dispatch(measureChosen(measure))}
      />
      <Choice
        label="Direction"
        value={near ? String(near[0]) : ''}
        options={['', ...directions.map(([at]) => String(at))]}
        words={(at) => directions.find(([own]) => String(own) === at)?.[1] ?? 'as the degrees say'}
        onChange={(at) => at !== '' && put({ bearingRad: heading + Number(at) * DEGREE })}
      />
      <NumberField
        label={'headingRad' in other ? 'Clockwise from ahead' : 'Clockwise from north'}
        unit="°"
        value={Math.round(degrees) % 360}
        min={0}
        max={360}
        step={1}
        decimals={0}
        onChange={(turned) => put({ bearingRad: heading + turned * DEGREE })}
      />
      <Choice
        label="From"
        value={other.id}
        options={rig.bodies.flatMap(({ id }) => (id === body.id ? [] : [id]))}
        words={(id) => rig.bodies.find((entry) => entry.id === id)?.label ?? ''}
        onChange={setOtherId}
      />
      {isOff && (
        <p role="alert" className="col-span-2 text-rust">
          That would be more than {figure(length(MAP_M))} from the origin, where the map ends; {body.label} stays where it was.
        </p>
      )}
      {chosen === 'paces' && (
        <NumberField
          label="My pace"
          unit="m"
          value={paceM}
          min={PACE_M.least}
          max={PACE_M.most}
          step={0.01}
          onChange={(metres) => dispatch(paceSaid(metres))}
        />
      )}
    </fieldset>
  );
}
