import { bodyOfPoint, type Edit, lineWords, type Rig, winchFaces } from '@wainrope/core';
import { Choice } from '../../fields/Choice.tsx';
import { Group } from '../../fields/fields.tsx';
import { NumberField } from '../../fields/NumberField.tsx';
import { facesWords } from './how-laid-words.ts';

interface DriveFieldsProps {
  readonly rig: Rig;
  readonly actor: string;
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
}

type Line = Rig['lines'][number];
type WinchLine = Line & { readonly drive: Extract<Line['drive'], { kind: 'winch' }> };

/** Whose drive it is: the body that it is on, and its line's name where several are on one. */
function driveName(rig: Rig, driven: readonly Line[], { id, drive }: Line): string {
  const on = (other: Line['drive']) => ('pointId' in other ? bodyOfPoint(rig, other.pointId) : undefined);
  const body = on(drive);
  return body === undefined || driven.filter((other) => on(other.drive) === body).length > 1 ? lineWords(rig, id) : body.label;
}

/** Which way each winch faces, and how several drives share the pull. */
export function DriveFields({ rig, actor, apply }: DriveFieldsProps) {
  const winches = rig.lines.filter((line): line is WinchLine => line.drive.kind === 'winch');
  const driven = rig.lines.filter(({ drive }) => drive.kind !== 'held');
  if (winches.length === 0 && driven.length < 2) return null;
  return (
    <Group title="What drives the lines">
      {winches.map((line) => (
        <FacesChoice key={line.id} line={line} of={winches.length === 1 ? undefined : driveName(rig, driven, line)} apply={apply} />
      ))}
      {driven.length > 1 && <SharingFields rig={rig} driven={driven} actor={actor} apply={apply} />}
    </Group>
  );
}

interface FacesProps extends Pick<DriveFieldsProps, 'apply'> {
  readonly line: WinchLine;
  /** Whose winch it is, where there are several. */
  readonly of: string | undefined;
}

function FacesChoice({ line, of, apply }: FacesProps) {
  const { faces, ...drive } = line.drive;
  const put = (next: WinchLine['drive']) => apply([{ kind: 'put', list: 'lines', entry: { ...line, drive: next } }]);
  return (
    <Choice
      label={of === undefined ? 'The winch faces' : `The winch of ${of} faces`}
      value={faces ?? ''}
      options={['' as const, ...winchFaces]}
      words={(way) => (way === '' ? 'as its record says' : facesWords[way])}
      onChange={(way) => put(way === '' ? drive : { ...drive, faces: way })}
    />
  );
}

function SharingFields({ rig, driven, actor, apply }: DriveFieldsProps & { readonly driven: readonly Line[] }) {
  const stated = rig.sharing?.shares;
  const shareOf = (lineId: string) => stated?.find((own) => own.lineId === lineId)?.share;
  const state = (lineId: string, percent: number) =>
    apply(
      [
        {
          kind: 'state-sharing',
          sharing: {
            statedBy: rig.sharing?.statedBy ?? actor,
            shares: driven.map(({ id }) => ({ lineId: id, share: id === lineId ? percent : (shareOf(id) ?? 100 / driven.length) })),
          },
        },
      ],
      `share-${lineId}`,
    );
  return (
    <>
      {driven.map((line) => (
        <NumberField
          key={line.id}
          label={`Share of ${driveName(rig, driven, line)}`}
          unit="parts"
          value={shareOf(line.id)}
          empty="by rating"
          min={1}
          max={1000}
          step={5}
          decimals={0}
          onChange={(parts) => state(line.id, parts)}
        />
      ))}
      <p className="col-span-2 text-[15px] text-quiet">
        {rig.sharing ? (
          <>
            Stated by {rig.sharing.statedBy}.{' '}
            <button type="button" className="underline" onClick={() => apply([{ kind: 'state-sharing', sharing: undefined }])}>
              Back to their ratings
            </button>
          </>
        ) : (
          'They share the pull by their rated pulls on the working layers, until somebody says otherwise.'
        )}
      </p>
    </>
  );
}
