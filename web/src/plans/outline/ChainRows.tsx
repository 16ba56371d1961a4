import {
  addBridle,
  addLanyard,
  type Chain,
  type Edit,
  extendChain,
  insertPiece,
  jointWords,
  pointOfChain,
  type Rig,
  removeUse,
  roleWords,
} from '@wainrope/core';
import type { RegisterPiece } from '../../register/use-register.ts';
import { Tag } from '../../shell/Tag.tsx';
import { PointFields } from '../site/PointFields.tsx';
import { UseFields } from './UseFields.tsx';

interface ChainRowsProps {
  readonly rig: Rig;
  readonly pieces: readonly RegisterPiece[];
  /** Who states what is stated here, and on which day. */
  readonly said: { readonly person: string; readonly on: string };
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
  readonly lay: (edits: readonly Edit[]) => void;
  readonly choosePiece: (useId: string) => void;
}

/** Each chain of gear from its body outward, piece by piece, and what ties vehicles back. */
export function ChainRows({ rig, pieces, said, apply, lay, choosePiece }: ChainRowsProps) {
  const parts = [
    ...rig.chains.map((chain) => ({ id: chain.id, title: chainWords(rig, chain), uses: chain.pieces, chain })),
    ...(rig.backAnchors ?? []).map((back) => ({ id: back.id, title: 'Tied back', uses: back.pieces, chain: undefined })),
  ];
  return parts.map(({ id, title, uses, chain }) => (
    <details key={id} className="border-b border-rule" data-chain={id}>
      <summary className="min-h-11 cursor-pointer py-2">
        {title} <span className="text-quiet">{uses.map(({ role }) => roleWords[role]).join(', ')}</span>
      </summary>
      <ul className="pb-2 pl-3">
        {uses.map((use, index) => (
          <li key={use.id} className="flex min-h-11 flex-wrap items-center gap-2">
            <span className="w-28 text-quiet">{roleWords[use.role]}</span>
            <TagOf pieces={pieces} gearId={use.gearId} judged={use.judged !== undefined} />
            <button type="button" className="action ml-auto" onClick={() => choosePiece(use.id)}>
              {use.gearId ? 'Swap' : 'Choose'}
            </button>
            {index > 0 && index < uses.length - 1 && (
              <button type="button" className="action" onClick={() => apply(removeUse(rig, use.id))}>
                Take off
              </button>
            )}
            <div className="grid w-full grid-cols-2 items-end gap-x-3">
              <UseFields use={use} facts={pieces.find(({ gear }) => gear.gearId === use.gearId)?.facts} said={said} apply={apply} />
            </div>
          </li>
        ))}
        {chain && <ChainKeys rig={rig} chain={chain} apply={apply} lay={lay} />}
        {!chain && (
          <li>
            <button type="button" className="action" onClick={() => apply([{ kind: 'remove', list: 'backAnchors', id }])}>
              Untie
            </button>
          </li>
        )}
      </ul>
    </details>
  ));
}

interface TagOfProps {
  readonly pieces: readonly RegisterPiece[];
  readonly gearId: string | undefined;
  readonly judged: boolean;
}

function TagOf({ pieces, gearId, judged }: TagOfProps) {
  const piece = pieces.find(({ gear }) => gear.gearId === gearId);
  if (piece) return <Tag code={piece.gear.tag} />;
  if (judged && gearId === undefined) return <span className="text-quiet">judged</span>;
  return <span className="text-rust">{gearId === undefined ? 'none yet' : 'not in this register'}</span>;
}

function ChainKeys({ rig, chain, apply, lay }: Pick<ChainRowsProps, 'rig' | 'apply' | 'lay'> & { readonly chain: Chain }) {
  const point = pointOfChain(rig, chain);
  const body = rig.bodies.find(({ id }) => id === point?.bodyId);
  const still = rig.bodies.find(({ kind, id }) => kind === 'tree' && id !== body?.id) ?? body;
  const last = chain.pieces.at(-1);
  const isEnd = rig.lines.some(({ to }) => to.kind === 'chain' && to.chainId === chain.id);
  return (
    <li className="flex flex-wrap items-center gap-2 pt-1">
      {point && <PointFields point={point} apply={apply} />}
      <button type="button" className="action" onClick={() => lay(insertPiece(rig, chain.id, 'connector'))}>
        + connector
      </button>
      <button type="button" className="action" onClick={() => lay(extendChain(rig, chain.id))}>
        + extension
      </button>
      {isEnd && body?.kind === 'vehicle' && (
        <button type="button" className="action" onClick={() => lay(addBridle(rig, chain.id))}>
          + bridle
        </button>
      )}
      {last && still && (
        <button type="button" className="action" onClick={() => apply(addLanyard(rig, last.id, still))}>
          + lanyard
        </button>
      )}
    </li>
  );
}

function chainWords(rig: Rig, chain: Chain): string {
  const point = pointOfChain(rig, chain);
  const body = rig.bodies.find(({ id }) => id === point?.bodyId);
  return body ? `On ${body.label}:` : `From the ${jointWords(rig, chain)}:`;
}
