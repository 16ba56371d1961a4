import { drumOf } from '../../moment/drives.ts';
import { rich } from '../../quantity/format.ts';
import type { EventRow } from './event.ts';

/** The line goes on to another layer of a drum; the greatest pull there is that of both. */
export const layerChange: EventRow = {
  kind: 'layer-change',
  watch: ({ winches }) => ({
    count: winches.length,
    state: (moment, index) => layerOf(moment, winches[index]),
    tell: (_, to, index) => {
      const drive = winches[index];
      const layer = layerOf(to, drive);
      if (drive === undefined || layer === 0) return undefined;
      const { use } = drive;
      return { kind: 'layer-change', atM: to.travelM, about: use.use.id, data: { name: use.piece?.tag, layer } };
    },
  }),
  words: ({ layer = 0, name }) => rich`${name ?? 'The winch'} works on layer ${String(layer)}`,
};

function layerOf(moment: Parameters<typeof drumOf>[0], drive: Parameters<typeof drumOf>[1] | undefined): number {
  const drum = drive && drumOf(moment, drive);
  return drum?.kind === 'known' ? drum.layer : 0;
}
