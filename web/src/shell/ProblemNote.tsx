import { problemOf } from '../api/wainrope-api.ts';
import { withDays } from './days.ts';

/** Where in what was sent a fault lies, in words: `marks[0].asWritten` is “marks 1, as written”. */
export const placeWords = (path: string): string =>
  path
    .replace(/\[(\d+)\]|\.(\d+)(?=\.|$)/g, (_, index = '', bare = '') => ` ${Number(index || bare) + 1}`)
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .replaceAll(/\s*\.\s*/g, ', ')
    .replaceAll('-', ' ')
    .toLowerCase();

/** A failed request in plain words, with every fault it names. */
export function ProblemNote({ error, retry }: { readonly error: unknown; readonly retry?: () => void }) {
  if (!error) return null;
  const { title, detail, faults = [], requestId } = problemOf(error);
  return (
    <div role="alert" className="border-l-4 border-rust bg-rust-wash px-4 py-2">
      <p className="font-semibold">{title}</p>
      {detail && detail !== title && <p>{withDays(detail)}</p>}
      {faults.length > 0 && (
        <ul className="list-disc pl-5">
          {faults.slice(0, 12).map(({ path, message }) => (
            <li key={`${path}${message}`}>
              {withDays(message)} {path && <span className="text-[13px] text-quiet">({placeWords(path)})</span>}
            </li>
          ))}
        </ul>
      )}
      {requestId && <p className="text-[13px] text-quiet">Request {requestId}</p>}
      {retry && (
        <button type="button" className="action mt-2" onClick={retry}>
          Try again
        </button>
      )}
    </div>
  );
}
