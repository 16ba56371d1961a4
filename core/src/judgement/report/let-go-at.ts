import { momentOn } from '../../pull/moment-on.ts';
import type { LetGo, LetGoAsked } from '../../release/let-go.ts';
import { letGo } from '../../release/lets-go.ts';
import type { Judged } from '../ask/judged.ts';

/** What happens if one thing of a judged act lets go at a metre of its travel; undefined where that is not known. */
export const letGoAt = (judged: Judged, asked: LetGoAsked): LetGo | undefined => letGo(momentOn(judged, asked.travelM), asked);
