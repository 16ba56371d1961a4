import { type RichText, rich, time } from '../../quantity/format.ts';
import type { EventKind, EventRow, PullEvent } from './event.ts';
import { layerChange } from './layer-change.ts';
import { sharpPulley } from './sharp-pulley.ts';

/** The load turns to the next leg of its path. */
const corner: EventRow = { kind: 'corner', words: () => rich`The load turns to the next part of its path` };

/** The blocks are as near as they may come: the grip is moved along its rope and the haul goes on. */
const gripMoved: EventRow = {
  kind: 'grip-moved',
  words: ({ count = 1 }) => rich`Hold the load, move the grip along its rope and haul again: reset ${String(count)}`,
};

/** A burst of a motor ends and it rests. */
const rest: EventRow = {
  kind: 'rest',
  words: ({ name, seconds = 0, count = 1, hot }) =>
    rich`${name ?? 'The winch'} rests for ${time(seconds)} after burst ${String(count)}${hot ? ', which heat ended' : ''}`,
};

const upright: EventRow = { kind: 'upright', words: () => rich`It comes over its edge: ease the line, hold it back from the other side` };

/** Every kind of event with its words. */
export const eventRows: readonly EventRow[] = [layerChange, sharpPulley, corner, gripMoved, rest, upright];

const byKind = new Map<EventKind, EventRow>(eventRows.map((row) => [row.kind, row]));

/** An event as a person reads it. */
export const eventWords = ({ kind, data }: PullEvent): RichText => byKind.get(kind)?.words(data) ?? rich``;
