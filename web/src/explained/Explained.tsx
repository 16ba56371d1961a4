import type { Term } from '@wainrope/core';
import { withDays } from '../shell/days.ts';
import { useFigures } from '../shell/use-figures.ts';
import { WithWords } from './WithWords.tsx';

const INDENT = ['', 'pl-4', 'pl-8', 'pl-12'];

interface Row {
  readonly term: Term;
  readonly depth: number;
}

/** Causes before results, so that the column reads like a sum on paper. */
function rowsOf(term: Term, depth: number): readonly Row[] {
  const before = (term.how?.of ?? []).flatMap((part) => rowsOf(part, part.how ? depth + 1 : depth));
  return [...before, { term, depth }];
}

const OPERATION: { readonly [operation: string]: string } = {
  least: 'the lowest of these',
  greatest: 'the larger of these',
  'vector-sum': 'added along their directions',
};

/** How a figure was worked out: words left, figure right, source in quiet ink. */
export function Explained({ term }: { readonly term: Term }) {
  const { figure } = useFigures();
  return (
    <table className="w-full border-collapse text-[15px]">
      <tbody>
        {rowsOf(term, 0).map(({ term: row, depth }, index) => {
          const total = row.how !== undefined;
          const note = [row.reason, row.how && OPERATION[row.how.operation], row.source].filter(Boolean).join(' · ');
          return (
            <tr key={`${row.label}-${index}`} className={total ? 'border-t border-rule font-semibold' : ''}>
              <td className={`py-0.5 pr-3 align-top ${INDENT[Math.min(depth, 3)]}`}>
                <WithWords text={withDays(row.label)} />
                {note && <span className="font-normal text-quiet"> {withDays(note)}</span>}
              </td>
              <td className="py-0.5 text-right align-top font-mono whitespace-nowrap">{figure(row.figure)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
