import { ActMenu } from '../fields/ActMenu.tsx';
import { useAppDispatch, useAppSelector } from '../store.ts';
import { unitsChosen } from './settings-slice.ts';

const WORDS = { kN: 'kN', t: 'tf', lbf: 'lbf' } as const;
const UNITS = ['kN', 't', 'lbf'] as const;

/** In what unit forces are shown. */
export function UnitMenu({ className }: { readonly className: string }) {
  const units = useAppSelector((state) => state.settings.units);
  const dispatch = useAppDispatch();
  return (
    <ActMenu
      label={`Unit of forces: ${WORDS[units]}`}
      shown={WORDS[units]}
      acts={UNITS}
      words={(unit) => WORDS[unit]}
      choose={(unit) => dispatch(unitsChosen(unit))}
      className={className}
    />
  );
}
