import type { ChartLook } from '../charts/chart-look.ts';

/** Colours of a chart, each to be told from the others. */
export const sampleLook: ChartLook = {
  paper: '#111',
  ink: '#222',
  quiet: '#333',
  rule: '#444',
  rope: '#555',
  slate: '#666',
  rust: '#777',
  moss: '#888',
  amber: '#999',
};
