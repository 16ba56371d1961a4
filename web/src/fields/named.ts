interface Named {
  readonly options: readonly string[];
  readonly words: (id: string) => string;
}

/** Things to choose by their names; `none`, where given, is what the empty choice is called. */
export function named(names: Iterable<readonly [id: string, name: string]>, none?: string): Named {
  const byId = new Map(none === undefined ? names : [['', none], ...names]);
  return { options: [...byId.keys()], words: (id) => byId.get(id) ?? id };
}
