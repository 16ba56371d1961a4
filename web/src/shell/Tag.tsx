/** The plate with a hole that every piece with a code wears, everywhere the same. */
export function Tag({ code, large = false }: { readonly code: string; readonly large?: boolean }) {
  return (
    <span
      className={`inline-flex items-center gap-1.5 whitespace-nowrap border-[1.5px] border-ink bg-sheet font-mono font-semibold text-ink ${large ? 'px-2.5 py-1 text-lg' : 'px-1.5 py-px text-[13px]'}`}
    >
      <span aria-hidden="true" className={`inline-block rounded-full border-[1.5px] border-ink ${large ? 'size-2.5' : 'size-2'}`} />
      {code}
    </span>
  );
}
