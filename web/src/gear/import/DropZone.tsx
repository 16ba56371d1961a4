import { FileUp } from 'lucide-react';
import { type ClipboardEvent, type DragEvent, useState } from 'react';

interface DropZoneProps {
  readonly take: (file: File | undefined) => void;
  readonly name: string | undefined;
}

/** Where a file is dropped or chosen, or rows of a spreadsheet are pasted. */
export function DropZone({ take, name }: DropZoneProps) {
  const [over, setOver] = useState(false);
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    take(event.dataTransfer.files[0]);
  };
  const paste = (event: ClipboardEvent) => {
    const text = event.clipboardData.getData('text/plain');
    if (text.trim() === '') return;
    event.preventDefault();
    take(new File([text], 'Pasted rows', { type: 'text/plain' }));
  };
  return (
    <div className={`mt-4 border-2 border-dashed ${over ? 'border-moss bg-sheet' : 'border-quiet'}`}>
      <label
        className="flex min-h-16 cursor-pointer flex-wrap items-center gap-4 px-5 py-3"
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={drop}
      >
        <FileUp size={28} aria-hidden="true" />
        <span className="min-w-60 flex-1">
          <strong>{name ?? 'Drop your gear list here, or choose it'}</strong>
          {name === undefined && (
            <span className="block text-quiet">
              Save your spreadsheet as CSV. It can have your own headings and words. You see every row before anything is saved.
            </span>
          )}
        </span>
        <input
          type="file"
          accept=".csv,.txt,.tsv,text/csv"
          className="w-auto! border-0! bg-transparent!"
          onChange={(event) => take(event.target.files?.[0])}
          aria-label="Choose a CSV file"
        />
      </label>
      {name === undefined && (
        <textarea
          rows={1}
          className="mx-5 mb-4 w-[calc(100%-2.5rem)]!"
          aria-label="Or paste rows from a spreadsheet"
          placeholder="Or copy the rows in your spreadsheet, headings included, and paste them here"
          onPaste={paste}
          value=""
          onChange={() => undefined}
        />
      )}
    </div>
  );
}
