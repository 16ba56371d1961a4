import { type InspectionSheet, inspectionSheetCodec, read, type SheetMeasure, sheetFaults } from '@wainrope/core';

/** A sheet as it stands in its form. */
export interface TypedSheet {
  readonly everyMonths: string;
  readonly points: { readonly id: string; readonly look: string; readonly immediate: boolean }[];
  readonly measures: {
    readonly id: string;
    readonly label: string;
    readonly quantity: SheetMeasure['quantity'];
    readonly limitKind: SheetMeasure['limit']['kind'];
    readonly limit: string;
  }[];
  readonly reason: string;
}

/** Shares are typed in per cent, small lengths in millimetres. */
function factorOf(quantity: SheetMeasure['quantity'], limitKind: SheetMeasure['limit']['kind']): number {
  if (limitKind !== 'at-most' || quantity === 'share') return 100;
  return quantity === 'small-length' ? 1000 : 1;
}

const rounded = (value: number): number => Number(value.toPrecision(6));

export function typedSheet({ everyMonths, points, measures }: InspectionSheet): TypedSheet {
  return {
    everyMonths: String(everyMonths),
    points: points.map((point) => ({ ...point })),
    measures: measures.map(({ id, label, quantity, limit }) => ({
      id,
      label,
      quantity,
      limitKind: limit.kind,
      limit: String(rounded(limit.value * factorOf(quantity, limit.kind))),
    })),
    reason: '',
  };
}

export type ReadSheet = { readonly ok: true; readonly sheet: InspectionSheet } | { readonly ok: false; readonly message: string };

const slug = (words: string): string =>
  words
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60);

const isNumber = (text: string) => text.trim() !== '' && Number.isFinite(Number(text.replace(',', '.')));

/** What should be a number and is none, a sentence each. */
function noNumbers({ everyMonths, measures }: TypedSheet): readonly string[] {
  const limits = measures.flatMap(({ label, limit }, index) =>
    isNumber(limit) ? [] : [`${label.trim() || `Measure ${index + 1}`}: the limit “${limit}” is not a number.`],
  );
  return isNumber(everyMonths) ? limits : [`Months from one inspection to the next: “${everyMonths}” is not a number.`, ...limits];
}

/** Where in the form a fault lies. */
function placeWords(path: string): string {
  const [, list, index] = /^(points|measures)\[(\d+)\]/.exec(path) ?? [];
  if (list === undefined) return path === 'everyMonths' ? 'Months from one inspection to the next' : 'The sheet';
  return `${list === 'points' ? 'Point' : 'Measure'} ${Number(index) + 1}`;
}

/** The sheet that was typed. What stood before keeps its id, its source and the attribute it is measured against. */
export function sheetOf(typed: TypedSheet, before: InspectionSheet): ReadSheet {
  const unread = noNumbers(typed);
  if (unread.length > 0) return { ok: false, message: unread.join(' ') };
  const known = new Map(before.measures.map((measure) => [measure.id, measure]));
  const sheet = {
    everyMonths: Number(typed.everyMonths),
    points: typed.points.map(({ id, look, immediate }) => ({ id: id || slug(look), look: look.trim(), immediate })),
    measures: typed.measures.map(({ id, label, quantity, limitKind, limit }) => {
      const old = known.get(id);
      return {
        id: id || slug(label),
        label: label.trim(),
        quantity,
        limit: { kind: limitKind, value: rounded(Number(limit.replace(',', '.')) / factorOf(quantity, limitKind)) },
        ...(old?.newFrom !== undefined && { newFrom: old.newFrom }),
        source:
          old && rounded(old.limit.value) === rounded(Number(limit.replace(',', '.')) / factorOf(quantity, limitKind))
            ? old.source
            : 'the team’s own',
      };
    }),
  };
  const result = read(inspectionSheetCodec, sheet);
  if (!result.ok) return { ok: false, message: result.faults.map(({ path, message }) => `${placeWords(path)}: ${message}.`).join(' ') };
  const [twice] = sheetFaults(result.value);
  return twice ? { ok: false, message: twice.message } : { ok: true, sheet: result.value };
}
