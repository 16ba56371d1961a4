/** An error answer, `application/problem+json`, with a field path for each fault. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly faults?: readonly { readonly path: string; readonly message: string }[];
  /** In a conflict: what stands now. */
  readonly current?: unknown;
  readonly requestId?: string;
}
