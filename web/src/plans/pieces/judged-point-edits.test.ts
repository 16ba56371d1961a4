import { applied, type Case, choosePieceEdits, readRigFile, teamStandard } from '@wainrope/core';
import { judge } from '@wainrope/core/judging';
import { describe, expect, it } from 'vitest';
import tiedBack from '../../../../demo/plans/beck-crossing.json' with { type: 'json' };
import { judgedPointEdits, markedOn, markedPoint } from './judged-point-edits.ts';

const file = readRigFile(tiedBack);
if (!file.ok) throw new Error(JSON.stringify(file.faults));
const subject: Case = file.value.case;
const chain = subject.rig.chains.find(({ pieces }) => pieces.some(({ role }) => role === 'pulley'));
const use = chain?.pieces.find(({ role }) => role === 'point');
if (!use) throw new Error('no point');
const judged = { workingN: 30_000, failingN: 90_000, person: 'Mirren Quaile', on: '2026-01-15', reason: 'marked WLL 3 t' };

const rig = applied(subject.rig, judgedPointEdits(subject.rig, use, 'front, by the lamp', judged));

describe('a point that is in no register', () => {
  it('is judged by its own numbers under the name that it was given, and nothing is missing', () => {
    const report = judge({ ...subject, rig });
    expect(report.findings.map(({ code }) => code)).not.toContain('piece-missing');
    expect(report.places.find(({ subject: { id } }) => id === use.id)).toMatchObject({
      name: 'front, by the lamp',
      wllN: 30_000,
      mbsN: 90_000,
      judged: true,
    });
  });
  it('gives way, judgement and all, to a piece of the register', () => {
    const standing = rig.chains.flatMap(({ pieces }) => pieces).find(({ id }) => id === use.id);
    const facts = subject.gear.find(({ id }) => id === use.gearId);
    if (!standing || !facts) throw new Error('no piece');
    const back = applied(rig, choosePieceEdits(rig, standing, facts));
    const again = back.chains.flatMap(({ pieces }) => pieces).find(({ id }) => id === use.id);
    expect(again).toEqual({ id: use.id, role: 'point', gearId: facts.id });
  });
});

describe('marked points of the same vehicle', () => {
  it('are those of the register and those that were read on the spot, but never the one in question', () => {
    const body = rig.bodies.find(({ label }) => label === 'Otter');
    const vehicleId = body?.kind === 'vehicle' ? body.vehicleId : undefined;
    const limit = { kind: 'rated', wllN: 39_000, mbsN: 150_000 };
    const piece = { gear: { vehicleId }, facts: { kind: 'recovery-point' }, limit } as unknown as Parameters<typeof markedOn>[3][number];
    const other = { gear: { vehicleId: 'another' }, facts: { kind: 'recovery-point' }, limit } as unknown as typeof piece;
    expect(markedOn(rig, body?.id ?? '', use.id, [piece, other])).toEqual([limit]);
    expect(markedOn(rig, body?.id ?? '', 'another-use', [])).toEqual([{ wllN: 30_000, mbsN: 90_000 }]);
  });
});

describe('a mark read off a vehicle', () => {
  it.each([
    ['WLL 4 t', 4 * 9806.65],
    ['MBS 16 t', 4 * 9806.65],
    // Unstated is read as breaking strength, the unfavourable way.
    ['16 t', 4 * 9806.65],
  ])('%s is trusted with a quarter of its breaking strength', (asWritten, workingN) => {
    expect(markedPoint(asWritten, teamStandard, '.')).toMatchObject({ kind: 'limit', workingN: expect.closeTo(workingN, 6) });
  });
  it.each(['', 'strong', '-3 t'])('“%s” is refused in words', (asWritten) => {
    expect(markedPoint(asWritten, teamStandard, '.')).toMatchObject({ kind: 'fault', message: expect.stringMatching(/./) });
  });
});
