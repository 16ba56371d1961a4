import { describe, expect, it } from 'vitest';
import { evaluate } from '../../explanation/term.ts';
import { exampleCase } from '../../testing/example-case.ts';
import { judgedCase } from '../judge.ts';
import { reportOf } from '../report/write-report.ts';
import { explainPlace } from './explain-place.ts';

describe('how it was worked out', () => {
  it.each([{}, { strap: 'TS-light' }, { layout: 'straight' as const }])(
    'recomputes every figure of every place from its explanation alone: %o',
    (options) => {
      const subject = exampleCase(options);
      const judged = judgedCase(subject);
      for (const place of reportOf(judged).places) {
        const explained = explainPlace(judged, place.id);
        for (const [key, expected] of [
          ['limit', place.wllN],
          ['planned', place.plannedN],
          ['greatest', place.greatestN],
          ['breaking', place.mbsN],
        ] as const) {
          const term = explained?.[key];
          if (expected === undefined) expect(term).toBeUndefined();
          else {
            if (!term) throw new Error(`${place.id} has no explanation of ${key}`);
            expect(evaluate(term) / expected).toBeCloseTo(1, 9);
            expect(term.figure.si / expected).toBeCloseTo(1, 9);
          }
        }
      }
    },
  );
  it('answers nothing for a place that is not there', () => {
    expect(explainPlace(judgedCase(exampleCase()), 'nowhere')).toBeUndefined();
  });
});
