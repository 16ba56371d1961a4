import { applied, type Case, formatFigure, layOnSite, layouts, type Rig, readRigFile, sketchOf, teamStandard } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import tiedBack from '../../../../demo/plans/beck-crossing.json' with { type: 'json' };
import { cardOf } from '../../testing/card-of.ts';
import { judge } from '../../testing/judged.ts';
import { overlaps } from '../sheet/layout/place-labels.ts';
import { fitView } from '../sheet/layout/plan-sheet-layout.ts';
import { sheetLabels } from '../sheet/layout/sheet-labels.ts';
import { drawingSvg } from './drawing-svg.ts';
import { type CardSetting, cardSettings, fieldCard, zoneRadius } from './field-card.ts';
import { fromEarth, readSite, siteGeoJson, toEarth } from './site-geojson.ts';

const file = readRigFile(tiedBack);
if (!file.ok) throw new Error(JSON.stringify(file.faults));
const subject: Case = file.value.case;
const report = judge(subject);
const figure = (value: Parameters<typeof formatFigure>[0]) => formatFigure(value, 'kN');
const judged = (rig: Rig) => judge({ kind: 'rig', name: 'x', asOf: '2026-06-01', rig, gear: [], policy: teamStandard });

const roomy: CardSetting = { textPt: 12, apart: true, drawingPt: 280 };

describe('the field card', () => {
  const input = cardOf(subject, report);
  const card = fieldCard(input, roomy);
  const words = JSON.stringify(card);

  it('has nothing smaller than eleven points, the drawing’s words among it, in any setting', () => {
    for (const setting of cardSettings) {
      const set = JSON.stringify(fieldCard(input, setting));
      const sizes = [...set.matchAll(/"fontSize":([\d.]+)/g)].map(([, size]) => Number(size));
      expect(Math.min(...sizes)).toBeGreaterThanOrEqual(11);
      const pixels = Number(/viewBox=.{0,2}0 0 (\d+)/.exec(set)?.[1]);
      for (const [, size] of set.matchAll(/font-size=.{0,2}([\d.]+)/g)) expect((Number(size) * 549) / pixels).toBeGreaterThanOrEqual(11);
    }
  });
  it('says the line-pull limit, how far to keep out, every piece by tag, who stands where and the cautions', () => {
    expect(words).toContain(figure({ si: report.linePullLimit?.pullN ?? 0, as: 'force' }));
    expect(words).toContain(figure({ si: zoneRadius(report), as: 'length' }));
    for (const { tag } of subject.gear) if (tag) expect(words).toContain(tag);
    for (const body of subject.rig.bodies) if (body.kind === 'person') expect(words).toContain(body.label);
    expect(words).toContain('it does not make a recovery safe');
    expect(words).toContain('paces');
    expect(words).toContain('Tie the winching vehicle back first');
  });
  it('says how many paces of whoever prints it, and which way who stands', () => {
    const cardBy = (paceM: number, imperial = false) => JSON.stringify(fieldCard({ ...input, paceM, imperial }, roomy));
    expect(words).toContain('To pace out, 0.75 m a pace');
    expect(words).toContain('"9.1 m","12 paces"');
    expect(cardBy(0.6)).toContain('To pace out, 0.60 m a pace');
    expect(cardBy(0.6)).toContain('"9.1 m","15 paces"');
    expect(cardBy(0.75, true)).toContain('To pace out, 2.5 ft a pace');
    // 8 m west and 29.6 m south of Otter's middle, 30.66 m at 195°; 60° to the left of its front at 255° half its width of 1.78 m reaches 1.03 m.
    expect(words).toContain('"signaller","29.6 m (40 paces) from Otter, ahead to the left"');
  });
  it('says that what is printed is not what is saved, and never a zone of nothing', () => {
    const footer = (card: object) => (card as { footer: (page: number, pages: number) => { text: string } }).footer(1, 2).text;
    expect(footer(fieldCard({ ...input, changed: true, report }, roomy))).toContain('changes that are not saved');
    expect(footer(fieldCard({ ...input, changed: false, report }, roomy))).not.toContain('not saved');
    const unsolved = JSON.stringify(
      fieldCard({ ...input, changed: false, report: { ...report, zones: [], linePullLimit: undefined } }, roomy),
    );
    expect(unsolved).toContain('not known');
    expect(unsolved).not.toContain('"0.0 m"');
  });
});

/** The middle of the first trunk of a drawing. */
const trunk = (svg: string) => {
  const [, x, y] = /<circle cx="([-\d.]+)" cy="([-\d.]+)" r="[\d.]+" fill="#8d8577"/.exec(svg) ?? [];
  return { x: Number(x), y: Number(y) };
};

describe('the drawing', () => {
  it('is one SVG that stands alone: every strand, the scale bar in metres or feet, no colours from elsewhere', () => {
    const draw = (imperial: boolean) => drawingSvg({ rig: subject.rig, report, size: { width: 900, height: 600 }, imperial, figure });
    const svg = draw(false);
    expect(svg.startsWith('<svg xmlns=')).toBe(true);
    expect(svg).not.toContain('var(--');
    expect(svg.match(/stroke-width="4"/g)?.length).toBeGreaterThanOrEqual(report.strands.length);
    expect(svg).toMatch(/>\d+ m</);
    expect(draw(true)).toMatch(/>\d+ ft</);
  });
  const onCard = drawingSvg({ rig: subject.rig, report, size: { width: 699, height: 382 }, imperial: false, figure });
  it('has a stroke from a label that stands far off to what it names', () => {
    const alder = subject.rig.bodies.find(({ label }) => label === 'Alder');
    const [, end] = new RegExp(`data-leader="${alder?.id}" d="M[-\\d. ]+L([-\\d. ]+)"`).exec(onCard) ?? [];
    expect(end?.split(' ').map(Number)).toEqual([expect.closeTo(trunk(onCard).x, 1), expect.closeTo(trunk(onCard).y, 1)]);
  });
  it('shows by an arrow who stands beyond its edge, and which way', () => {
    const [, id, x0, y0, tipX, tipY] = /data-beyond="([^"]*)" d="M([-\d.]+) ([-\d.]+)L([-\d.]+) ([-\d.]+)L/.exec(onCard) ?? [];
    const away = subject.rig.bodies.find((body) => body.id === id);
    expect([away?.label, onCard.match(/data-beyond/g)?.length]).toEqual(['Tomas Aldbrook', 1]);
    // He stands south of all that is drawn, a little to its east or west: the arrow points down the sheet.
    expect(Number(tipY)).toBeGreaterThan(Number(y0));
    expect(Math.abs(Number(tipX) - Number(x0))).toBeLessThan(12);
    expect(
      drawingSvg({
        rig: { ...subject.rig, bodies: subject.rig.bodies.filter((body) => body.id !== id) },
        report,
        size: { width: 699, height: 382 },
        imperial: false,
        figure,
      }),
    ).not.toContain('data-beyond');
  });
  it('escapes what people write', () => {
    const bodies = subject.rig.bodies.map((body) => ({ ...body, label: '<b>&"' }));
    const svg = drawingSvg({ rig: { ...subject.rig, bodies }, report, size: { width: 900, height: 600 }, imperial: false, figure });
    expect(svg).not.toContain('<b>');
    expect(svg).toContain('&lt;b&gt;&amp;&quot;');
  });
});

describe('every layout', () => {
  it.each(layouts.map((layout) => [layout.id, layout] as const))('%s has a small drawing with a rope in it', (_id, layout) => {
    const { bodies, ropes } = sketchOf(layout.build().rig);
    expect(ropes.every((rope) => rope.length >= 2)).toBe(true);
    for (const { at } of bodies) expect([at.x >= 0 && at.x <= 168, at.y >= 0 && at.y <= 92]).toEqual([true, true]);
  });
  it.each(layouts.map((layout) => [layout.id, layout] as const))('%s sets its labels clear of each other', (_id, layout) => {
    const rig = layOnSite(layout, undefined, {});
    const size = { width: 855, height: 376 };
    const result = judged(rig);
    const labels = sheetLabels({ rig, report: result, view: fitView(rig, result, size), size, figure });
    const covering = labels.flatMap((label, index) =>
      labels
        .slice(index + 1)
        .filter((other) => overlaps(label, other))
        .map((other) => `${label.id} × ${other.id}`),
    );
    expect(covering).toEqual([]);
  });
});

describe('positions as GeoJSON', () => {
  const origin = { latitudeDeg: 54.5, longitudeDeg: -3.2, bearingRad: 0.4 };

  it('go to the earth and back to the centimetre', () => {
    for (const at of [
      { xM: 12.34, yM: -56.78 },
      { xM: -400, yM: 731.2 },
    ])
      expect(fromEarth(origin, toEarth(origin, at))).toEqual(at);
  });
  it('lie a metre apart where they are a metre apart', () => {
    const [a, b] = [toEarth({ ...origin, bearingRad: 0 }, { xM: 0, yM: 0 }), toEarth({ ...origin, bearingRad: 0 }, { xM: 0, yM: 111.195 })];
    expect(b[1] - a[1]).toBeCloseTo(0.001, 6);
  });
  it('come back to the same site: known bodies move, nothing else changes', () => {
    const rig: Rig = { ...subject.rig, origin };
    const text = JSON.stringify(siteGeoJson(rig, origin));
    const read = readSite({ ...rig, bodies: rig.bodies.map((body) => ({ ...body, xM: 0, yM: 0 })) }, text);
    if (!read.ok) throw new Error(read.message);
    const back = applied({ ...rig, bodies: rig.bodies.map((body) => ({ ...body, xM: 0, yM: 0 })) }, read.edits);
    for (const [index, body] of back.bodies.entries()) {
      expect(body.xM).toBeCloseTo(rig.bodies[index]?.xM ?? 0, 2);
      expect(body.yM).toBeCloseTo(rig.bodies[index]?.yM ?? 0, 2);
    }
  });
  it('make bodies and features of what is new, with the first point as origin', () => {
    const feature = (type: string, coordinates: unknown, properties: object) => ({
      type: 'Feature',
      properties,
      geometry: { type, coordinates },
    });
    const text = JSON.stringify({
      type: 'FeatureCollection',
      features: [
        feature('Point', [-3.1, 54.6], { name: 'Big larch' }),
        feature(
          'LineString',
          [
            [-3.1, 54.6],
            [-3.0999, 54.6001],
          ],
          { kind: 'edge', label: 'quarry lip' },
        ),
      ],
    });
    const read = readSite(subject.rig, text);
    if (!read.ok) throw new Error(read.message);
    const rig = applied(subject.rig, read.edits);
    expect(rig.origin).toMatchObject({ latitudeDeg: 54.6, longitudeDeg: -3.1 });
    expect(rig.bodies.at(-1)).toMatchObject({ kind: 'tree', label: 'Big larch', xM: 0, yM: 0 });
    expect(rig.features).toMatchObject([{ kind: 'edge', label: 'quarry lip' }]);
  });
  it.each([
    ['no GeoJSON', '{"type":"Feature"}', 'This is not GeoJSON'],
    ['no places', '{"type":"FeatureCollection","features":[]}', 'no points and no lines'],
    [
      'another place',
      JSON.stringify({
        type: 'FeatureCollection',
        features: [
          [0, 0],
          [1, 1],
        ].map((coordinates) => ({ type: 'Feature', geometry: { type: 'Point', coordinates } })),
      }),
      'from the origin',
    ],
  ])('refuse %s', (_what, text, message) => {
    expect(readSite(subject.rig, text)).toMatchObject({ ok: false, message: expect.stringContaining(message) });
  });
});
