import { type Case, formatFigure, layOnSite, layouts, readRigFile, teamStandard } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import compoundFile from '../../../../demo/cases/compound-with-one-rope.json' with { type: 'json' };
import tiedBack from '../../../../demo/plans/beck-crossing.json' with { type: 'json' };
import { cardOf as cardWith } from '../../testing/card-of.ts';
import { caseOfFile } from '../../testing/case-of-file.ts';
import { judge } from '../../testing/judged.ts';
import { cardPieces } from './card-pieces.ts';
import { fieldCard } from './field-card.ts';
import { printCard } from './print-card.ts';

const figure = (value: Parameters<typeof formatFigure>[0]) => formatFigure(value, 'kN');
const cardOf = (subject: Case) => cardWith(subject, judge(subject));
const file = readRigFile(tiedBack);
if (!file.ok) throw new Error(JSON.stringify(file.faults));
const demo = file.value.case;

describe('a printed card', () => {
  it.each(layouts.map((layout) => [layout.id, layout] as const))('of %s takes no more than two pages', async (_id, layout) => {
    const rig = layOnSite(layout, undefined, {});
    const { pages, pdf } = await printCard(
      cardOf({ kind: 'rig', name: layout.label, asOf: '2026-06-01', rig, gear: [], policy: teamStandard }),
    );
    expect(pages).toBeLessThanOrEqual(2);
    expect(new TextDecoder().decode(pdf.slice(0, 5))).toBe('%PDF-');
  });
  it('of the busiest demo rig takes two', async () => {
    expect((await printCard(cardOf(demo))).pages).toBe(2);
  });
  it('of far more pieces than two pages hold takes more', async () => {
    const [chain] = demo.rig.chains;
    if (!chain) throw new Error('no chain');
    const many = Array.from({ length: 50 }, (_, index) => ({ ...chain, id: `chain-${index}` }));
    const card = cardOf(demo);
    const { pages } = await printCard({ ...card, subject: { ...demo, rig: { ...demo.rig, chains: many } } });
    expect(pages).toBeGreaterThan(2);
  });
});

describe('what the card says', () => {
  const said = (subject: Case) => JSON.stringify(fieldCard(cardOf(subject), { textPt: 12, apart: false, drawingPt: 240 }));
  const hand = caseOfFile(compoundFile);
  const far = { ...hand, rig: { ...hand.rig, load: { ...hand.rig.load, travelM: 6 } } };
  it('of a haul by hand: who, how many throws and to where, and that nothing holds it', () => {
    const throws = judge(far).pull.hands[0]?.throws ?? [];
    expect(said(far)).toContain(`By hand: 6 at the rope, 2 needed. ${throws.length} throws, to ${throws[0]?.toM.toFixed(1)} m`);
    expect(said(far)).toContain('Nothing holds it when hands let go.');
    expect(said(demo)).not.toContain('By hand');
  });
  it('of somebody hurt: the position of the plan, else a line to write it on', () => {
    const { origin: _, ...rig } = demo.rig;
    expect(said({ ...demo, rig })).toContain('write it in before you begin');
    const placed = { ...demo, rig: { ...rig, origin: { latitudeDeg: 12.5, longitudeDeg: -3.25, bearingRad: 0 } } };
    expect(said(placed)).toContain('Position: 12.50000, -3.25000 (latitude, longitude).');
  });
  it('of somebody hurt: whom the team calls and the trained who stand on the plan, else lines to write on', () => {
    const saidBy = (change: object) =>
      JSON.stringify(fieldCard({ ...cardOf(demo), ...change }, { textPt: 12, apart: false, drawingPt: 240 }));
    const both = saidBy({});
    expect(both).toContain('"text":"Harrow valley rescue desk, radio channel 4","bold":true');
    // Osric is trained too, but nobody knows whether he is there.
    expect(both).toContain('"text":"Tomas Aldbrook","bold":true');
    expect(both).not.toContain('Osric');
    expect(saidBy({ callIfHurt: '' })).toContain('______ (write it in before you begin)","bold":false');
    expect(saidBy({ firstAiders: ['Osric Fenn-Tarrow'] })).toContain('______ (nobody on the plan is known to be trained)","bold":false');
  });
  it('draws the line that nobody crosses', () => {
    expect(said(demo)).toContain('stroke-dasharray=\\"14 8\\"');
  });
});

describe('the pieces on the card', () => {
  const groups = cardPieces({ rig: demo.rig, gear: new Map(demo.gear.map((piece) => [piece.id, piece])), figure });
  const all = groups.flatMap(({ pieces }) => pieces);

  it('stand in the order of rigging: tied back, then from each body outward, then the line', () => {
    expect(groups.map(({ title }) => title)).toEqual([
      'Tied back: Alder to Heron',
      'On Otter, from there outward',
      'On Heron, from there outward',
      'Line',
    ]);
  });
  it('say which end goes where and which way round', () => {
    const way = (tag: string) => all.find((piece) => piece.tag === tag)?.way ?? '';
    expect(way('TS-04')).toContain('both eyes outward');
    expect(way('SH-01')).toContain('pin to the pulley or hook');
    expect(way('SS-01')).toContain('knot off the running line');
    expect(way('WL-01')).toBe('over RR-01, end to CL-01');
    expect(way('D-02')).toContain('return leg');
  });
  it('are all there, each once', () => {
    const tags = all.map(({ tag }) => tag).sort();
    expect(tags).toEqual(demo.gear.map(({ tag }) => tag ?? '').sort());
    expect(new Set(tags).size).toBe(tags.length);
  });
});
