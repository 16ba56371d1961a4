import { type Edit, type Feature, featureKinds, type Rig } from '@wainrope/core';
import { ActMenu } from '../../fields/ActMenu.tsx';
import { NumberField } from '../../fields/NumberField.tsx';
import { featureEdits, featureWords, freePlace } from './body-edits.ts';

interface FeatureFieldsProps {
  readonly rig: Rig;
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
}

/** A new line on the ground runs so far to either side of where it is put, metres. */
const HALF_M = 5;
/** Corners that a line on the ground may have. */
const CORNERS = { least: 2, most: 60 };

/** Obstacles, lips, water and tracks as a list: added, named and moved by numbers. */
export function FeatureFields({ rig, apply }: FeatureFieldsProps) {
  const add = (kind: Feature['kind']) => {
    const { xM, yM } = freePlace(rig);
    apply(
      featureEdits(rig, kind, [
        { xM: xM - HALF_M, yM },
        { xM: xM + HALF_M, yM },
      ]),
    );
  };
  return (
    <section aria-label="Drawn on the ground">
      <div className="flex items-end gap-2">
        <h2 className="font-head text-lg font-semibold">Drawn on the ground</h2>
        <ActMenu
          className="ml-auto border border-quiet bg-sheet"
          label="Draw on the ground, beside the rest"
          shown="Draw…"
          acts={featureKinds}
          words={(kind) => featureWords[kind]}
          choose={add}
        />
      </div>
      {(rig.features ?? []).map((feature) => (
        <FeatureRow key={feature.id} feature={feature} apply={apply} />
      ))}
    </section>
  );
}

function FeatureRow({ feature, apply }: Pick<FeatureFieldsProps, 'apply'> & { readonly feature: Feature }) {
  const { id, kind, label, points } = feature;
  const put = (part: Partial<Feature>, merge?: string) =>
    apply([{ kind: 'put', list: 'features', entry: { ...feature, ...part } }], merge && `${merge}-${id}`);
  const corner = (index: number, part: Partial<Feature['points'][number]>, merge: string) =>
    put({ points: points.map((point, at) => (at === index ? { ...point, ...part } : point)) }, `${merge}-${index}`);
  const last = points.at(-1) ?? { xM: 0, yM: 0 };
  return (
    <details className="border-b border-rule" data-feature={id}>
      <summary className="min-h-11 cursor-pointer py-2">
        {label}{' '}
        <span className="text-quiet">
          {featureWords[kind].split(' ')[0]}, {points.length} corners
        </span>
      </summary>
      <div className="space-y-2 pb-2 pl-3">
        <label className="block text-[15px]">
          Name
          <input value={label} maxLength={80} onChange={({ target: { value } }) => value.trim() !== '' && put({ label: value }, 'name')} />
        </label>
        <ol className="space-y-1">
          {points.map(({ xM, yM }, index) => (
            <li key={`${id}-${index}`} className="grid grid-cols-[1fr_1fr_auto] items-end gap-x-3">
              <NumberField
                label={`Corner ${index + 1}, east`}
                unit="m"
                value={xM}
                min={-1000}
                max={1000}
                step={0.5}
                onChange={(value) => corner(index, { xM: value }, 'east')}
              />
              <NumberField
                label="north"
                unit="m"
                value={yM}
                min={-1000}
                max={1000}
                step={0.5}
                onChange={(value) => corner(index, { yM: value }, 'north')}
              />
              <button
                type="button"
                className="action"
                aria-label={`Take corner ${index + 1} out`}
                disabled={points.length <= CORNERS.least}
                onClick={() => put({ points: points.filter((_, at) => at !== index) })}
              >
                Out
              </button>
            </li>
          ))}
        </ol>
        <div className="flex gap-2">
          <button
            type="button"
            className="action"
            disabled={points.length >= CORNERS.most}
            onClick={() => put({ points: [...points, { xM: last.xM + HALF_M, yM: last.yM }] })}
          >
            One more corner
          </button>
          <button type="button" className="action" onClick={() => apply([{ kind: 'remove', list: 'features', id }])}>
            Take off
          </button>
        </div>
      </div>
    </details>
  );
}
