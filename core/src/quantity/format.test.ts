import { describe, expect, it } from 'vitest';
import { angle, drivingSpeed, force, formatFigure, length, mass, percent, rich, smallLength, speed, withoutUnit, write } from './format.ts';

describe('figures in the reader’s unit', () => {
  it('writes one force in three units', () => {
    expect(formatFigure(force(25_497), 'kN')).toBe('25.5 kN');
    expect(formatFigure(force(25_497), 't')).toBe('2.60 tf');
    expect(formatFigure(force(25_497), 'lbf')).toBe('5\u202f730 lbf');
  });
  it('writes the others with their units', () => {
    const line = rich`${mass(2600)}, ${length(14.25)}, ${smallLength(0.0105)}, ${percent(0.553)}, ${angle(Math.PI / 6)}`;
    expect(write(line)).toBe('2\u202f600 kg, 14.3 m, 10.5 mm, 55 %, 30°');
    expect(write(line, 'lbf')).toBe('5\u202f732 lb, 46.8 ft, 0.41 in, 55 %, 30°');
  });
  it('writes what a driver drives at as the dial shows it, and what flies per second', () => {
    expect(write(rich`${drivingSpeed(2.5)}, ${speed(30.48)}`)).toBe('9.0 km/h, 30 m/s');
    expect(write(rich`${drivingSpeed(4.4704)}, ${speed(30.48)}`, 'lbf')).toBe('10.0 mph, 100 ft/s');
  });
  it('writes a figure without its unit and with all its thousands', () => {
    for (const units of ['kN', 't', 'lbf'] as const) {
      const [written, bare] = [formatFigure(force(27_187), units), withoutUnit(formatFigure(force(27_187), units))];
      expect(written.startsWith(`${bare} `)).toBe(true);
      expect(written.slice(bare.length)).toMatch(/^ (kN|tf|lbf)$/);
    }
    expect(withoutUnit(formatFigure(force(27_187), 'lbf'))).toBe('6\u202f110');
    expect(withoutUnit(formatFigure(force(27_187_000), 'kN'))).toBe('27\u202f187.0');
  });
  it('marks negatives, but never a negative zero', () => {
    expect(formatFigure(force(-1500))).toBe('−1.5 kN');
    expect(formatFigure(force(-0.001))).toBe('0.0 kN');
  });
});
