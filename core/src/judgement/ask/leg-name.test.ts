import { describe, expect, it } from 'vitest';
import { resolveRig } from '../../resolved/resolve-rig.ts';
import { layouts } from '../../testing/layouts.ts';
import { legName, legNamed } from './leg-name.ts';

/** Every leg of a layout's rig, line by line, as people say it. */
function legsOf(file: string): readonly string[] {
  const layout = layouts.find((entry) => entry.file === file);
  if (!layout) throw new Error(`no layout ${file}`);
  const rig = resolveRig(layout.build());
  return rig.lines.flatMap((line) => line.spans.map((_, span) => legName(legNamed(rig, { line, span }))));
}

describe('the name of a leg', () => {
  it('is the line’s own where it has one leg, whatever draws it', () => {
    expect(legsOf('single-line-to-an-anchor')).toEqual(['the line']);
    expect(legsOf('stretch-pull')).toEqual(['the line']);
  });
  it('is the winch leg and the return leg of a double line, a number from there on', () => {
    expect(legsOf('double-line-self-recovery')).toEqual(['the winch leg', 'the return leg']);
    expect(legsOf('triple-line')).toEqual(['the winch leg', 'leg 2 of the line', 'leg 3 of the line']);
  });
  it('says of which line where there are several', () => {
    const legs = legsOf('two-winches');
    expect(new Set(legs).size).toBe(legs.length);
  });
});
