import { useState } from 'react';
import { Link } from 'react-router';
import { allDrafts, dropDraft } from '../plans/draft/drafts.ts';

/** Plans with changes that were never saved: they are on this device alone. */
export function KeptPlans() {
  const [drafts, setDrafts] = useState(allDrafts);
  const [asked, setAsked] = useState<string>();
  if (drafts.length === 0) return null;
  return (
    <>
      <h2 className="stitched mt-6 pb-1.5 text-xl">Plans not saved</h2>
      <ul className="pt-2">
        {drafts.map(({ planId, version, name }) => {
          const id = `${planId}.${version}`;
          const drop = () => {
            dropDraft(planId, version);
            setDrafts(allDrafts());
          };
          return (
            <li key={id} className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-rule py-2.5">
              <div className="min-w-60 flex-1">
                <strong>{name}</strong>
                <p className="text-[15px] text-quiet">Changes to version {version}. Open it and save it when there is a signal.</p>
                {asked === id && <p className="text-rust">These changes are gone for good: nobody else has them.</p>}
              </div>
              <div className="flex flex-wrap gap-2">
                <button type="button" className="action" onClick={() => (asked === id ? drop() : setAsked(id))}>
                  {asked === id ? 'Let go all the same' : 'Let go'}
                </button>
                <Link className="action-main" to={`/plans/${planId}`}>
                  Open
                </Link>
              </div>
            </li>
          );
        })}
      </ul>
    </>
  );
}
