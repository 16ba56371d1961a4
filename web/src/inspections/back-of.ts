/** The plan to which one goes back after a round; nothing else is taken from an address. */
export function backOf(params: URLSearchParams): string | undefined {
  const back = params.get('back') ?? '';
  return /^\/plans\/[0-9a-f-]{36}$/.test(back) ? back : undefined;
}
