import type { Body } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import { shownAt, toScreen, type View, vehicleCorners } from './layout/plan-sheet-layout.ts';
import { panned, toMap, zoomed } from './use-sheet-view.ts';

/** 20 px a metre, the map's origin at 400, 300. */
const view: View = { scale: 20, originX: 400, originY: 300 };

describe('the axes of the sheet', () => {
  it('lead east to the right and north to the top, to scale', () => {
    expect(toScreen(view, { x: 3, y: 4 })).toEqual({ x: 460, y: 220 });
    expect(toScreen(view, { x: -3, y: -4 })).toEqual({ x: 340, y: 380 });
  });
  it('lead back to where they came from, to the centimetre', () => {
    expect(toMap(view, toScreen(view, { x: 3.21, y: -4.56 }))).toEqual({ xM: 3.21, yM: -4.56 });
    expect(toMap(view, { x: 400.1, y: 300 })).toEqual({ xM: 0.01, yM: 0 });
    expect(toMap(view, { x: 400.09, y: 300 })).toEqual({ xM: 0, yM: 0 });
  });
  it('keep the point under the pointer still while it is zoomed', () => {
    const about = { x: 460, y: 220 };
    const near = zoomed(view, 2, about);
    expect(near.scale).toBe(40);
    expect(toMap(near, about)).toEqual(toMap(view, about));
    expect(toScreen(near, { x: 4, y: 4 }).x - about.x).toBeCloseTo(40, 9);
  });
  it('go no nearer than 160 px a metre and no further than 1.5', () => {
    const about = { x: 460, y: 220 };
    for (const [factor, scale] of [
      [8, 160],
      [9, 160],
      [0.075, 1.5],
      [0.05, 1.5],
    ] as const) {
      const seen = zoomed(view, factor, about);
      expect(seen.scale).toBeCloseTo(scale, 9);
      expect(toScreen(seen, { x: 3, y: 4 }).x).toBeCloseTo(about.x, 9);
    }
  });
  it('move with the hand', () => {
    expect(toScreen(panned(view, 15, -7), { x: 3, y: 4 })).toEqual({ x: 475, y: 213 });
  });
});

describe('what stands on the sheet', () => {
  it('has its nose where its heading leads: clockwise from north', () => {
    const corners = (headingRad: number) =>
      vehicleCorners({ id: 'v', kind: 'vehicle', label: 'V', xM: 10, yM: 5, headingRad, massKg: 2000, lengthM: 4, widthM: 2 });
    const nose = (headingRad: number) => {
      const [left, right] = corners(headingRad);
      return { x: ((left?.x ?? 0) + (right?.x ?? 0)) / 2, y: ((left?.y ?? 0) + (right?.y ?? 0)) / 2 };
    };
    expect(nose(0).x).toBeCloseTo(10, 9);
    expect(nose(0).y).toBeCloseTo(7, 9);
    expect(nose(Math.PI / 2).x).toBeCloseTo(12, 9);
    expect(nose(Math.PI / 2).y).toBeCloseTo(5, 9);
    const [frontLeft] = corners(0);
    expect(frontLeft?.x).toBeCloseTo(9, 9);
  });
  it('and only stands about is shown at the edge with how far off it is', () => {
    const pim = (xM: number, yM: number): Body => ({ id: 'pim', kind: 'person', label: 'Pim', xM, yM, duty: 'helper' });
    const size = { width: 800, height: 600 };
    expect(shownAt(pim(3, 4), view, size)).toEqual({ x: 460, y: 220 });
    // 30 m east is 1 000 px; the edge keeps 70 px of 800, so that it is 270 px, 13.5 m, beyond it, to the right.
    expect(shownAt(pim(30, 0), view, size)).toEqual({ x: 730, y: 300, offM: 13.5, awayRad: 0 });
  });
  it('and is shown at the edge stands clear of what covers the corner', () => {
    const pim = (xM: number, yM: number): Body => ({ id: 'pim', kind: 'person', label: 'Pim', xM, yM, duty: 'helper' });
    const sheet = { width: 800, height: 600, covered: { width: 300, height: 150 } };
    // 30 m west and 12 m north is at -200, 60; held within the edge at 70, 96, which lies under 300 by 150 px: 38 px below that.
    const west = shownAt(pim(-30, 12), view, sheet);
    expect([west.x, west.y]).toEqual([70, 188]);
    expect(west.offM).toBeCloseTo(Math.hypot(270, 36) / 20, 9);
    expect(west.awayRad).toBeCloseTo(Math.atan2(-128, -270), 9);
    // Beside it, below it, and where it covers the whole height, it stays at its edge.
    expect(shownAt(pim(30, 12), view, sheet)).toMatchObject({ x: 730, y: 96 });
    expect(shownAt(pim(-30, 5.7), view, sheet)).toMatchObject({ x: 70, y: 188 });
    expect(shownAt(pim(-30, 5.5), view, sheet)).toMatchObject({ x: 70, y: 190 });
    expect(shownAt(pim(-30, 12), view, { ...sheet, covered: { width: 300, height: 510 } })).toMatchObject({ x: 70, y: 96 });
  });
});
