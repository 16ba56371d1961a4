import type { SeriesFound } from '@wainrope/contract';

/** How much was read, in a few words. */
export function seriesWords({ rows, durationS }: Pick<SeriesFound, 'rows' | 'durationS'>): string {
  const readings = `${rows.toLocaleString('en-GB')} readings`;
  const minutes = Math.floor(durationS / 60);
  const seconds = Math.round(durationS - 60 * minutes);
  return minutes > 0 ? `${readings} over ${minutes} min ${seconds} s` : `${readings} over ${Math.round(durationS * 10) / 10} s`;
}

/** Below so many readings a second a snatch may fall between two of them. */
const SLOW_HZ = 10;

/** What is to be known of how a file was read: what was refused, repeated, missing, alone, below nothing, too slow. */
export function seriesNotes({ found, leftOutSpikes }: { readonly found: SeriesFound; readonly leftOutSpikes: boolean }): readonly string[] {
  const { rows, durationS, refusedCount, repeated, gaps, longestGapS, spikes, spikeLines, lowestN, peakN } = found;
  const hz = durationS > 0 ? rows / durationS : 0;
  const times = (count: number, one: string, many: string) => (count === 1 ? `One ${one}` : `${count.toLocaleString('en-GB')} ${many}`);
  const lines = `line${spikeLines.length === 1 ? '' : 's'} ${spikeLines.slice(0, 5).join(', ')}${spikeLines.length > 5 ? ' …' : ''}`;
  return [
    ...(refusedCount > 0 ? [`${times(refusedCount, 'row was', 'rows were')} no reading and left out.`] : []),
    ...(spikes > 0
      ? [
          `${times(spikes, 'lone reading stands', 'lone readings stand')} far from both neighbours (${lines}); ${leftOutSpikes ? 'left out, as was said' : 'counted as it stands'}.`,
        ]
      : []),
    ...(gaps > 0
      ? [
          `${times(gaps, 'gap', 'gaps')} without a reading, ${gaps === 1 ? '' : 'the longest '}of ${Math.round(longestGapS * 10) / 10} s: what happened then is not known.`,
        ]
      : []),
    ...(repeated > 0 ? [`${times(repeated, 'row repeats', 'rows repeat')} the time before; counted in order.`] : []),
    ...(lowestN < -0.02 * peakN ? ['The gauge read well below zero: its zero may be off, and every load with it.'] : []),
    ...(hz > 0 && hz < SLOW_HZ
      ? [`At ${Math.round(hz * 10) / 10} readings a second a snatch may fall between two of them: the true peak may be higher.`]
      : []),
  ];
}
