import { Camera, ScanLine } from 'lucide-react';
import { type FormEvent, useState } from 'react';
import { CameraScan, cameraScans } from './CameraScan.tsx';

interface TagEntryProps {
  readonly label: string;
  /** Takes a code; answers with a message where it leads nowhere. */
  readonly entered: (code: string) => string | undefined;
  /** The code that the simulated scanner reads next; only in the demo. */
  readonly simulated?: string | undefined;
}

/** A tag's code typed, pasted, read by a hand scanner that types, or by the camera where the browser can. */
export function TagEntry({ label, entered, simulated }: TagEntryProps) {
  const [code, setCode] = useState('');
  const [message, setMessage] = useState<string>();
  const [camera, setCamera] = useState(false);
  const take = (text: string) => {
    const wrong = entered(text.trim());
    setMessage(wrong);
    if (wrong === undefined) setCode('');
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (code.trim() !== '') take(code);
  };
  return (
    <div className="no-print">
      <form className="flex flex-wrap items-end gap-2" onSubmit={submit}>
        <label className="min-w-40 flex-1 text-[15px]">
          {label}
          <input
            className="font-mono"
            data-tag-entry
            autoComplete="off"
            autoCapitalize="characters"
            spellCheck={false}
            value={code}
            onChange={(event) => setCode(event.target.value)}
          />
        </label>
        <button type="submit" className="action">
          Enter
        </button>
        {cameraScans() && (
          <button type="button" className="action" onClick={() => setCamera(!camera)}>
            <Camera size={17} aria-hidden="true" /> Camera
          </button>
        )}
        {simulated !== undefined && (
          <button type="button" className="action" onClick={() => take(simulated)} title="A stand-in for a scanner, in the demo only">
            <ScanLine size={17} aria-hidden="true" /> Simulated scan
          </button>
        )}
      </form>
      {message && (
        <p role="alert" className="text-rust">
          {message}
        </p>
      )}
      {camera && <CameraScan read={take} close={() => setCamera(false)} />}
    </div>
  );
}
