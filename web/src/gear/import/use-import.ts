import type { CellMend, ColumnChoice, FileEncoding, ImportPreview, ImportQuestion, WordMeaning } from '@wainrope/contract';
import { useRef, useState } from 'react';
import { useImportGearMutation, usePreviewImportMutation } from '../../api/wainrope-api.ts';

/** Largest file, bytes; the server takes as much. */
const MOST_BYTES = 6_000_000;

/** What a person has said of a file beyond what it says itself. */
export interface Reading {
  readonly columns?: readonly ColumnChoice[];
  readonly encoding?: FileEncoding;
  readonly dayOrder?: 'day-first' | 'month-first';
  readonly meanings: readonly WordMeaning[];
  readonly mends: readonly CellMend[];
}

const AS_IT_IS: Reading = { meanings: [], mends: [] };

interface Chosen {
  readonly name: string;
  readonly contentBase64: string;
}

async function base64Of(file: Blob): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  let binary = '';
  for (let start = 0; start < bytes.length; start += 32_768) binary += String.fromCharCode(...bytes.subarray(start, start + 32_768));
  return btoa(binary);
}

const requestOf = ({ name, contentBase64 }: Chosen, { columns, encoding, dayOrder, meanings, mends }: Reading) => ({
  fileName: name,
  contentBase64,
  ...(columns && { columns: [...columns] }),
  ...(encoding && { encoding }),
  ...(dayOrder && { dayOrder }),
  ...(meanings.length > 0 && { meanings: [...meanings] }),
  ...(mends.length > 0 && { mends: [...mends] }),
});

/** A file on its way into the register: what it says, what a person said of it, and the rows as they are understood by both. */
export function useImport() {
  const [file, setFile] = useState<Chosen>();
  const [tooLarge, setTooLarge] = useState<string>();
  const [said, setSaid] = useState<readonly Reading[]>([AS_IT_IS]);
  const [preview, setPreview] = useState<ImportPreview>();
  const [ask, asking] = usePreviewImportMutation();
  const [commit, committing] = useImportGearMutation();
  const reading = said.at(-1) ?? AS_IT_IS;

  /** Only what was asked last is shown: answers may overtake each other. */
  const asked = useRef(0);
  const look = async (chosen: Chosen, by: Reading) => {
    asked.current += 1;
    const mine = asked.current;
    const answer = await ask({ task: crypto.randomUUID(), importRequest: requestOf(chosen, by) });
    if (answer.data && mine === asked.current) setPreview(answer.data as ImportPreview);
    return answer.data !== undefined;
  };
  /** What was said is taken back where the server cannot read the file by it. */
  const say = async (change: Partial<Reading>) => {
    if (!file) return;
    const next = { ...reading, ...change };
    setSaid((before) => [...before, next]);
    if (!(await look(file, next))) setSaid((before) => before.filter((entry) => entry !== next));
  };
  const forget = () => {
    committing.reset();
    asking.reset();
    setPreview(undefined);
    setSaid([AS_IT_IS]);
    setTooLarge(undefined);
  };
  return {
    file,
    tooLarge,
    preview,
    reading,
    asking,
    committing,
    take: async (picked: File | undefined) => {
      if (!picked) return;
      forget();
      if (picked.size > MOST_BYTES)
        return setTooLarge(`${picked.name} has ${(picked.size / 1e6).toFixed(1)} MB; at most 6 MB can be read at once. Split it.`);
      const chosen = { name: picked.name, contentBase64: await base64Of(picked) };
      setFile(chosen);
      await look(chosen, AS_IT_IS);
    },
    say,
    canUndo: said.length > 1,
    undo: async () => {
      const before = said.slice(0, -1);
      setSaid(before);
      if (file) await look(file, before.at(-1) ?? AS_IT_IS);
    },
    bringIn: (rows: number[]) => {
      if (file && preview)
        commit({ task: crypto.randomUUID(), importCommit: { ...requestOf(file, { ...reading, columns: preview.columns }), rows } });
    },
    again: () => {
      forget();
      setFile(undefined);
    },
  };
}

export type Import = ReturnType<typeof useImport>;

/** What is said once a question is answered. */
export function answered(reading: Reading, preview: ImportPreview, question: ImportQuestion, answer: string): Partial<Reading> {
  const { about, word } = question;
  if (about === 'day-order') return { dayOrder: answer === 'month-first' ? 'month-first' : 'day-first' };
  if (about === 'unit')
    return { columns: preview.columns.map((column) => (column.column === word ? { ...column, unit: answer } : column)) };
  return {
    meanings: [...reading.meanings.filter((entry) => entry.about !== about || entry.word !== word), { about, word, meaning: answer }],
  };
}

/** One cell more mended; what was mended of it before gives way. */
export const mendedBy = ({ mends }: Reading, mend: CellMend): Partial<Reading> => ({
  mends: [...mends.filter(({ row, column }) => row !== mend.row || column !== mend.column), mend],
});
