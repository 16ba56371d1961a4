/** What the rest of a rig carries once one of its lines has parted and the load hangs on it at rest. */
export interface LeftLoaded {
  readonly lineId: string;
  /** Where on the way this was looked at, metres. */
  readonly atM: number;
  /** By how much the load would run by itself there, newtons. */
  readonly runsByN: number;
  /** Whether what is left holds it. */
  readonly held: boolean;
  /** Places that would carry more than half of what they break at; the first moment may be twice this. Newtons. */
  readonly strained: readonly { readonly placeId: string; readonly name: string; readonly loadN: number; readonly mbsN: number }[];
}
