import { problemOf } from '../api/wainrope-api.ts';

/** A failed request in plain words, with every fault it names. */
export function ProblemNote({ error, retry }: { readonly error: unknown; readonly retry?: () => void }) {
  if (!error) return null;
  const { title, detail, faults = [], requestId } = problemOf(error);
  return (
    <div role="alert" className="border-l-4 border-rust bg-rust-wash px-4 py-2">
      <p className="font-semibold">{title}</p>
      {detail !== title && <p>{detail}</p>}
      {faults.length > 0 && (
        <ul className="list-disc pl-5">
          {faults.slice(0, 12).map(({ path, message }) => (
            <li key={`${path}${message}`}>
              {message} <span className="font-mono text-[13px] text-quiet">{path}</span>
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
