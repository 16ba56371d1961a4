import { describe, expect, it } from 'vitest';
import { compareAnchors } from '../advice/compare-anchors.ts';
import { sparedRigs } from '../advice/spared-rigs.ts';
import { tryPieces } from '../advice/try-pieces.ts';
import { write } from '../quantity/format.ts';
import type { Case } from '../rig/case.ts';
import { kitGear } from '../testing/kit-gear.ts';
import { layouts } from '../testing/layouts.ts';
import { wordsOf } from './finding-words.ts';
import { judge } from './judge.ts';
import { crosses } from './rules/route/strands-over-features.ts';

const caseOf = (file: string): Case => layouts.find((entry) => entry.file === file)?.build() as Case;

describe('pieces tried in a place', () => {
  const subject = caseOf('double-line-self-recovery');
  const pulleys = kitGear.filter(({ kind }) => kind === 'recovery-ring' || kind === 'snatch-block');
  const trials = tryPieces(subject, 'at-larch.2', pulleys);

  it('come back every one, best first, each with what the whole rig’s judgement says', () => {
    expect(trials.map(({ gearId }) => gearId).sort()).toEqual(pulleys.map(({ id }) => id).sort());
    const now = trials.find(({ gearId }) => gearId === 'RR-A');
    expect(now?.verdict).toBe(judge(subject).verdict);
    expect(now?.utilisation).toBeGreaterThan(0);
  });
  it('say what does not fit its neighbour', () => {
    const ring = kitGear.find(({ id }) => id === 'RR-A');
    if (ring?.kind !== 'recovery-ring') throw new Error('no ring');
    const narrow = { ...ring, id: 'RR-narrow', attributes: { ...ring.attributes, boreDiameterM: 0.01 } };
    const [first, last] = tryPieces(subject, 'at-larch.2', [narrow, ring]);
    expect([first?.gearId, last?.gearId]).toEqual(['RR-A', 'RR-narrow']);
    expect(last?.fits).toBe(false);
    expect(last?.findings.length).toBeGreaterThan(0);
  });
});

describe('anchors compared', () => {
  it('tries each anchor single and double for the vehicle’s own recovery, and knows the one in use', () => {
    const subject = caseOf('triple-line');
    const own = caseOf('double-line-self-recovery');
    const beech = subject.rig.bodies.filter(({ id }) => id === 'beech');
    const options = compareAnchors({ ...own, rig: { ...own.rig, bodies: [...own.rig.bodies, ...beech] } }, 'line');
    expect(options.map(({ bodyId, way }) => `${bodyId} ${way}`).sort()).toEqual([
      'beech double',
      'beech single',
      'larch double',
      'larch single',
    ]);
    expect(options.filter(({ isNow }) => isNow).map(({ bodyId, way }) => [bodyId, way])).toEqual([['larch', 'double']]);
    const now = options.find(({ isNow }) => isNow);
    expect(now?.lineOutM).toBeCloseTo(judge(own).drum.lineOutM ?? 0, 9);
    const [single, double] = ['single', 'double'].map((way) => options.find((option) => option.bodyId === 'larch' && option.way === way));
    expect((double?.lineOutM ?? 0) / (single?.lineOutM ?? 1)).toBeGreaterThan(1.6);
    expect(double?.pullAtLoadN).toBeGreaterThan(1.5 * (single?.pullAtLoadN ?? 0));
  });
  it('offers another’s recovery a doubled line or a redirect', () => {
    const options = compareAnchors(caseOf('redirect-round-a-corner'), 'line');
    expect(options.map(({ way }) => way).sort()).toEqual(['double', 'redirect']);
    expect(options.find(({ isNow }) => isNow)?.way).toBe('redirect');
  });
  it('has nothing to compare where the line hangs on joints', () => {
    expect(compareAnchors(caseOf('fixed-bridle'), 'line')).toEqual([]);
  });
});

describe('rigs that a cheaper action spares', () => {
  const own = caseOf('double-line-self-recovery');
  const stuck = (depth: 'none' | 'hubs' | 'sills', massKg: number): Case => ({
    ...own,
    rig: {
      ...own.rig,
      situation: { ...own.rig.situation, depth, surface: 'bog' },
      bodies: own.rig.bodies.map((body) => (body.id === own.rig.load.bodyId && body.kind === 'vehicle' ? { ...body, massKg } : body)),
    },
  });

  it('names the rig that is enough once it is done, and what is needed without it', () => {
    const spared = sparedRigs(stuck('hubs', 3200), 'line');
    const dug = spared.find(({ actionId }) => actionId === 'dig');
    expect(dug).toMatchObject({ way: 'single', instead: 'double' });
    // Held against the judgement itself: single holds when dug out and does not before.
    const single = (subject: Case) => compareAnchors(subject, 'line').find(({ way, bodyId }) => way === 'single' && bodyId === 'larch');
    expect(single(stuck('hubs', 3200))?.pullAtLoadN).toBeLessThan(single(stuck('hubs', 3200))?.neededN ?? 0);
    expect(single(stuck('none', 3200))?.pullAtLoadN).toBeGreaterThan(single(stuck('none', 3200))?.neededN ?? Number.POSITIVE_INFINITY);
  });
  it('says nothing where a single line holds already, and nothing where digging is not enough', () => {
    expect(sparedRigs(stuck('hubs', 900), 'line')).toEqual([]);
    expect(sparedRigs(stuck('sills', 9000), 'line')).toEqual([]);
  });
  it('tries the line straight to another vehicle too', () => {
    const other = caseOf('double-line-to-a-vehicle');
    const bodies = other.rig.bodies.map((body) => (body.id === 'otter' && body.kind === 'vehicle' ? { ...body, massKg: 2400 } : body));
    const sunk: Case = { ...other, rig: { ...other.rig, bodies, situation: { ...other.rig.situation, depth: 'hubs', surface: 'bog' } } };
    const enough = ['dig', 'boards'].map((actionId) => ({ actionId, way: 'single', label: 'Heron', instead: 'double' }));
    expect(sparedRigs(sunk, 'line')).toEqual(enough);
    // Somebody who stands in the zone is sent away; the rig stays what it is.
    const inTheWay = { id: 'mirren', kind: 'person', label: 'Mirren', xM: 0, yM: 0, duty: 'operator' } as const;
    expect(sparedRigs({ ...sunk, rig: { ...sunk.rig, bodies: [...bodies, inTheWay] } }, 'line')).toEqual(enough);
  });
});

describe('what the line crosses', () => {
  const subject = caseOf('single-line-to-a-vehicle');
  const across = (kind: 'obstacle' | 'edge' | 'water'): Case => ({
    ...subject,
    rig: {
      ...subject.rig,
      features: [
        {
          id: 'wall',
          kind,
          label: 'the wall',
          points: [
            { xM: 8, yM: -5 },
            { xM: 8, yM: 9 },
          ],
        },
      ],
    },
  });
  const found = (rigged: Case) => judge(rigged).findings.filter(({ code }) => code === 'line-crosses-obstacle' || code === 'line-over-lip');

  it('an obstacle is to be led round, a lip is asked about, water is only drawn', () => {
    expect(found(across('obstacle')).map((finding) => [finding.code, write(wordsOf(finding).title)])).toEqual([
      ['line-crosses-obstacle', 'The line crosses the wall'],
    ]);
    expect(found(across('edge')).map(({ code, undecided }) => [code, undecided])).toEqual([['line-over-lip', true]]);
    expect(found(across('water'))).toEqual([]);
  });
  it('an answer settles the lip', () => {
    const asked = found(across('edge'))[0];
    const answered = (answer: 'yes' | 'no') =>
      found({ ...across('edge'), rig: { ...across('edge').rig, answers: { [asked?.questionId ?? '']: answer } } });
    expect(answered('yes')).toEqual([]);
    expect(answered('no')[0]).toMatchObject({ undecided: false });
  });
  it.each([
    ['cross', [0, 0, 2, 2, 0, 2, 2, 0], true],
    ['pass by', [0, 0, 1, 1, 2, 0, 3, 1], false],
    ['touch at an end', [0, 0, 1, 0, 1, 0, 1, 5], true],
    ['lie along each other', [0, 0, 2, 0, 1, 0, 3, 0], true],
    ['lie in line apart', [0, 0, 1, 0, 2, 0, 3, 0], false],
  ] as const)('two straight pieces %s', (_words, [ax, ay, bx, by, cx, cy, dx, dy], expected) => {
    expect(crosses({ x: ax, y: ay }, { x: bx, y: by }, { x: cx, y: cy }, { x: dx, y: dy })).toBe(expected);
  });
});
