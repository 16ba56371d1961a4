interface FormButtonsProps {
  readonly words: string;
  readonly busy: boolean;
  readonly cancel: () => void;
}

/** The end of a form that was opened for one act. */
export function FormButtons({ words, busy, cancel }: FormButtonsProps) {
  return (
    <div className="flex gap-2">
      <button type="submit" className="action-main" disabled={busy}>
        {words}
      </button>
      <button type="button" className="action" onClick={cancel}>
        Cancel
      </button>
    </div>
  );
}
