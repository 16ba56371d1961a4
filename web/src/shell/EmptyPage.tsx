import type { ReactNode } from 'react';

const ROW = 34;
const rows = (count: number, row: (y: number) => ReactNode) =>
  Array.from({ length: count }, (_, index) => <g key={`row ${index + 1}`}>{row(index * ROW)}</g>);
const bar = (x: number, y: number, width: number) => <rect className="fill-rule" x={x} y={y} width={width} height={8} />;
const rule = (y: number) => <path className="stroke-rule" d={`M0 ${y}H420`} />;

/** A piece: its shape, its tag on a label with an eyelet, its name, its limit. */
const pieceRow = (y: number) => (
  <>
    <path d={`M10 ${y + 24}v-7a6 6 0 0 1 12 0v7M7 ${y + 24}h18`} />
    <path d={`M48 ${y + 11}h36v13h-36l-6-6.5z`} />
    {bar(104, y + 13, 120)}
    {bar(330, y + 13, 54)}
    {rule(y + 33)}
  </>
);

/** A day, what it is about, whose it is. */
const datedRow = (y: number) => (
  <>
    <path d={`M6 ${y + 11}h18v15H6zM6 ${y + 16}h18`} />
    {bar(44, y + 15, 60)}
    {bar(124, y + 15, 170)}
    {bar(336, y + 15, 48)}
    {rule(y + 33)}
  </>
);

const SKETCHES = {
  pieces: rows(3, pieceRow),
  days: rows(3, datedRow),
  kits: rows(3, (y) => (
    <>
      <path d={`M5 ${y + 13}h24v14H5zM12 ${y + 13}v-4h10v4`} />
      {bar(52, y + 15, 40)}
      {bar(112, y + 15, 140)}
      {bar(330, y + 15, 54)}
      {rule(y + 33)}
    </>
  )),
  'out and back': rows(2, (y) => (
    <>
      <path d={`M6 ${y + 14}h20m-5-4 5 4-5 4M26 ${y + 25}H6m5-4-5 4 5 4`} />
      {bar(48, y + 16, 130)}
      {bar(210, y + 16, 60)}
      {bar(330, y + 16, 54)}
      {rule(y + 33)}
    </>
  )),
  vehicles: (
    <>
      <path d="M24 60V38h46l16-20h66l18 20h24v22zM70 38h100M112 18v20" />
      <circle cx={62} cy={62} r={12} />
      <circle cx={156} cy={62} r={12} />
      <path d="M194 54h22m0-4v8" />
      {bar(250, 22, 120)}
      {bar(250, 40, 80)}
      {bar(250, 58, 96)}
    </>
  ),
  plans: (
    <>
      <path d="M14 66h44V46H14zM360 22v46m-12-34 12-14 12 14M350 68h20" />
      <path strokeDasharray="7 4" d="M58 54 356 36M58 60 356 44" />
      <circle cx={356} cy={40} r={5} />
      <path d="M58 57h8" />
      {bar(150, 68, 110)}
    </>
  ),
} as const;

interface EmptyPageProps {
  /** What will stand here. */
  readonly of: keyof typeof SKETCHES;
  /** What is so, in one sentence. */
  readonly words: string;
  /** What to do about it. */
  readonly children?: ReactNode;
}

/** A page on which nothing stands yet: a faint drawing of what will, and the way to it. */
export const EmptyPage = ({ of, words, children }: EmptyPageProps) => (
  <div className="mt-6 max-w-2xl border-2 border-dashed border-rule bg-sheet px-5 py-5">
    <svg
      viewBox={`0 0 420 ${of === 'out and back' ? 72 : of === 'vehicles' || of === 'plans' ? 84 : 104}`}
      className="w-full max-w-[420px] fill-none stroke-quiet opacity-70 [stroke-width:1.6]"
      aria-hidden="true"
    >
      {SKETCHES[of]}
    </svg>
    <p className="pt-4 font-head text-xl font-semibold">{words}</p>
    {children && <div className="pt-1.5">{children}</div>}
  </div>
);
