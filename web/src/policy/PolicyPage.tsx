import type { PolicyHistory } from '@wainrope/contract';
import { type Policy, policyDifferences, policyPresets, teamStandard } from '@wainrope/core';
import { type ReactNode, useEffect, useMemo, useState } from 'react';
import { useMay } from '../access/use-session.ts';
import { useGetPolicyQuery } from '../api/wainrope-api.ts';
import { policyOf } from '../register/use-register.ts';
import { ConflictNote } from '../shell/ConflictNote.tsx';
import { moment } from '../shell/days.ts';
import { Loading } from '../shell/Loading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { TeamTabs } from '../team/TeamTabs.tsx';
import { FigureRows } from './FigureRows.tsx';
import { PolicyRow } from './PolicyRow.tsx';
import { type PolicyLeaf, policyLeaves, typedLeaf, withLeaf } from './policy-leaves.ts';
import { changeWords, groupWords, leafWords } from './policy-words.ts';
import { SaveBar } from './SaveBar.tsx';
import { SeverityRows } from './SeverityRows.tsx';
import { SCHOOL_WHY } from './school-words.ts';
import { usualRange } from './usual-ranges.ts';

/** What is said beside a figure: why its school is chosen, or its source where that is not the one said above the table. */
function saidBeside({ path, source }: PolicyLeaf, above: string | undefined): string | undefined {
  if (source === undefined) return SCHOOL_WHY[path] ?? (above && 'no source stated');
  return source === above ? undefined : source;
}

/** The team's tables and schools: what is in force, how it differs from the careful reading, and what a change would do. */
export function PolicyPage() {
  const { data: history, error, refetch } = useGetPolicyQuery();
  return (
    <div className="page pb-28 pt-4">
      <TeamTabs title="Settings" />
      <ProblemNote error={error} retry={refetch} />
      {!history && !error && <Loading what="the settings" />}
      {history && <Editor history={history} />}
    </div>
  );
}

/** Settings as they are being changed: what they stand on, and what others have put in force since. */
function usePolicyDraft(history: PolicyHistory) {
  const [base, setBase] = useState(history);
  const inForce = useMemo(() => policyOf(base.content), [base]);
  const [draft, setDraft] = useState(inForce);
  const [unread, setUnread] = useState<ReadonlySet<string>>(new Set());
  /** Fields are filled anew whenever the whole draft is put in place of another. */
  const [filling, setFilling] = useState(0);
  const begin = (policy: Policy) => {
    setDraft(policy);
    setUnread(new Set());
    setFilling((count) => count + 1);
  };
  // Versions are only ever added: more of them than at the beginning means that somebody saved.
  const moved = history.versions.length > base.versions.length;
  const taken = (newest: PolicyHistory) => {
    setBase(newest);
    begin(policyOf(newest.content));
  };
  const takeTheirs = () => taken(history);
  const changes = policyDifferences(inForce, draft);
  useEffect(() => {
    // What is not being changed here follows what others put in force.
    if (moved && changes.length === 0 && unread.size === 0) takeTheirs();
  });
  const keepMine = () => setBase(history);
  return { base, inForce, draft, setDraft, unread, setUnread, filling, begin, moved, changes, taken, takeTheirs, keepMine };
}

function Editor({ history }: { readonly history: PolicyHistory }) {
  const { base, inForce, draft, setDraft, unread, setUnread, filling, begin, moved, changes, taken, takeTheirs, keepMine } =
    usePolicyDraft(history);
  const [search, setSearch] = useState('');
  const may = useMay();
  const editable = may('policy.write');
  return (
    <>
      <p className="pt-3">
        In force: <strong>{inForce.name}</strong>. {differsFrom(inForce)}
      </p>
      {moved && (changes.length > 0 || unread.size > 0) && (
        <ConflictNote what="the settings" takeTheirs={takeTheirs} keepMine={keepMine}>
          <p>
            “{history.versions[0]?.reason}”, {history.versions[0]?.by}. Theirs differs from where you began in:
          </p>
          <ul className="list-disc pl-5">
            {policyDifferences(inForce, policyOf(history.content)).map(({ path, from, to }) => (
              <li key={path}>
                {changeWords(path)}: <span className="line-through">{String(from ?? 'none')}</span> → {String(to ?? 'none')}
              </li>
            ))}
          </ul>
        </ConflictNote>
      )}
      <div className="no-print flex flex-wrap items-end gap-3 py-3">
        <label className="w-64">
          <span className="sr-only">Search the settings</span>
          <input type="search" placeholder="Search the settings…" value={search} onChange={(event) => setSearch(event.target.value)} />
        </label>
        {editable &&
          policyPresets.map((preset) => (
            <button key={preset.id} type="button" className="action" onClick={() => begin({ ...preset, ownFigures: inForce.ownFigures })}>
              Begin from: {preset.name}
            </button>
          ))}
      </div>
      <Groups
        draft={draft}
        search={search}
        filling={filling}
        editable={editable}
        unread={(path, is) => setUnread((before) => withOrWithout(before, path, is))}
        changed={(path, value) => setDraft((now) => withLeaf(now, path, value, 'the team’s own'))}
      >
        <FigureRows policy={draft} editable={editable} changed={setDraft} />
        <SeverityRows policy={draft} editable={editable} changed={setDraft} rules={history.rules} />
      </Groups>
      <Versions history={history} />
      {editable && (changes.length > 0 || unread.size > 0) && (
        <SaveBar
          draft={draft}
          changes={changes.length}
          unread={unread.size}
          baseHash={base.contentHash}
          discard={() => begin(inForce)}
          saved={taken}
        />
      )}
    </>
  );
}

interface GroupsProps {
  readonly draft: Policy;
  readonly search: string;
  readonly filling: number;
  readonly editable: boolean;
  readonly unread: (path: string, is: boolean) => void;
  readonly changed: (path: string, value: Parameters<typeof withLeaf>[2]) => void;
  /** What stands below the tables while nothing is searched for. */
  readonly children: ReactNode;
}

/** What stands below the tables, for their contents. */
const BELOW = [
  { id: 'own-figures', title: 'Figures of the team’s own' },
  { id: 'severities', title: 'How serious each rule is' },
];

/** The figures of every table that fit what is searched for. */
function Groups({ draft, search, filling, editable, unread, changed, children }: GroupsProps) {
  const leaves = policyLeaves(draft);
  const standard = new Map(policyLeaves(teamStandard).map((leaf) => [leaf.path, typedLeaf(leaf.value)]));
  const groups = Object.keys(groupWords).map((group) => {
    const table = leaves.filter(({ path }) => path.split('.')[0] === group);
    return { group, leaves: table.filter(({ path }) => fits(path, search)), source: commonSource(table) };
  });
  const found = groups.filter((entry) => entry.leaves.length > 0);
  return (
    <div className="grid gap-x-8 lg:grid-cols-[13rem_1fr]">
      <Contents
        tables={[
          ...found.map(({ group, leaves: { length } }) => ({ id: group, title: groupWords[group]?.title ?? group, count: length })),
          ...(search === '' ? BELOW : []),
        ]}
      />
      <div>
        {found.map(({ group, leaves: shown, source }) => (
          <section key={group} id={group} aria-label={groupWords[group]?.title} className="scroll-mt-4 pt-4">
            <h2 className="stitched pb-1.5 text-xl">{groupWords[group]?.title}</h2>
            <p className="pt-1.5 text-quiet">
              {groupWords[group]?.why}
              {source && ` Where a figure says nothing else: ${source}.`}
            </p>
            {shown.map((leaf) => (
              <PolicyRow
                key={`${leaf.path}${filling}`}
                leaf={leaf}
                source={saidBeside(leaf, source)}
                standard={standard.get(leaf.path) ?? ''}
                range={usualRange(leaf.path)}
                editable={editable}
                unread={(is) => unread(leaf.path, is)}
                changed={(value) => changed(leaf.path, value)}
              />
            ))}
          </section>
        ))}
        {search === '' && children}
      </div>
    </div>
  );
}

interface Table {
  readonly id: string;
  readonly title: string;
  /** How many figures it has. */
  readonly count?: number;
}

/** Every table by its name, to go to at once; beside the tables where there is room. */
function Contents({ tables }: { readonly tables: readonly Table[] }) {
  return (
    <nav
      aria-label="Tables of settings"
      className="no-print pt-4 lg:sticky lg:top-0 lg:max-h-[calc(100dvh-8rem)] lg:self-start lg:overflow-y-auto"
    >
      <ul className="flex flex-wrap gap-x-4 lg:block">
        {tables.map(({ id, title, count }) => (
          <li key={id}>
            <a className="flex min-h-8 items-center gap-2 hover:underline pointer-coarse:min-h-11" href={`#${id}`}>
              {title} <span className="text-[14px] text-quiet">{count}</span>
            </a>
          </li>
        ))}
      </ul>
    </nav>
  );
}

/** Where most figures of a table come from: said once above them, and beside a figure only where it is another. */
function commonSource(leaves: readonly PolicyLeaf[]): string | undefined {
  const count = (source: string) => leaves.filter((leaf) => leaf.source === source).length;
  const sources = [...new Set(leaves.flatMap(({ source }) => source ?? []))].filter((source) => count(source) > 1);
  return sources.sort((a, b) => count(b) - count(a))[0];
}

function withOrWithout(set: ReadonlySet<string>, entry: string, is: boolean): ReadonlySet<string> {
  if (set.has(entry) === is) return set;
  return is ? new Set([...set, entry]) : new Set([...set].filter((other) => other !== entry));
}

function fits(path: string, search: string): boolean {
  const { label } = leafWords(path);
  return `${groupWords[path.split('.')[0] ?? '']?.title} ${label}`.toLowerCase().includes(search.toLowerCase());
}

function differsFrom(policy: Policy): string {
  const count = policyDifferences(teamStandard, policy).length;
  return count === 0
    ? 'It is the careful reading of every question.'
    : `It differs from the careful reading in ${count} ${count === 1 ? 'point' : 'points'}, marked below.`;
}

function Versions({ history }: { readonly history: PolicyHistory }) {
  return (
    <section className="pt-6">
      <h2 className="stitched pb-1.5 text-xl">Versions</h2>
      <ul>
        {history.versions.map(({ policyVersionId, name, reason, by, at, inForce }) => (
          <li key={policyVersionId} className="flex flex-wrap gap-x-3 border-b border-rule py-1.5">
            <strong>{name}</strong> “{reason}”{inForce && <span className="text-moss">in force</span>}
            <span className="ml-auto text-quiet">
              {by}, {moment(at)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
