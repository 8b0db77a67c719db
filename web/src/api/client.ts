/** What went wrong with a request, in words that can be shown; `errors` names bad fields. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail: string,
    readonly errors: FieldError[] = [],
    readonly currentVersion?: number,
    readonly troubles: FileTrouble[] = [],
  ) {
    super(`${title}: ${detail}`);
  }

  /** What the field must be, or undefined if nothing is wrong with it. */
  must(path: string): string | undefined {
    return this.errors.find((e) => e.field === path)?.must;
  }
}

export type FieldError = { field: string; rule: string; must: string };

/** Something wrong with a file that was sent. */
export type FileTrouble = { line: number; ladder: string; field: string; rule: string; must: string };

const offline = "The server does not answer. What you did is still on this screen.";

export async function api<T>(
  method: "GET" | "POST" | "PUT" | "DELETE",
  path: string,
  body?: unknown,
  signal?: AbortSignal,
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers: { "Content-Type": "application/json", "X-XSRF-TOKEN": token() },
      body: body === undefined ? undefined : JSON.stringify(body),
      signal,
    });
  } catch (e) {
    if (signal?.aborted) throw e;
    throw new Problem(0, "No connection", offline);
  }
  if (response.ok) return (response.status === 204 ? undefined : await response.json()) as T;
  const doc = await response.json().catch(() => ({}));
  throw new Problem(
    response.status,
    doc.title ?? "Something went wrong",
    doc.detail ?? offline,
    doc.errors ?? [],
    doc.currentVersion,
    doc.troubles ?? [],
  );
}

function token(): string {
  return decodeURIComponent(/(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? "");
}
