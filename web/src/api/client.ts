import createClient, { type MaybeOptionalInit } from "openapi-fetch";
import type { PathsWithMethod, RequiredKeysOf } from "openapi-typescript-helpers";
import { texts } from "../words/texts";
import type { paths } from "./schema";

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

const t = texts("ui");

const offline = t("client.offline");

type Method = "get" | "post" | "put" | "delete";

/** What is asked with: may be left out where nothing is needed. */
type With<Init> = RequiredKeysOf<Init> extends never ? [Init?] : [Init];

/** The paths that are asked in that way. */
export type Path<M extends Method> = PathsWithMethod<paths, M>;

type Answers<Operation> = Operation extends { responses: infer R }
  ? { [S in keyof R & (200 | 201 | 204)]: R[S] extends { content: infer C } ? C[keyof C] : undefined }[keyof R &
      (200 | 201 | 204)]
  : never;

/** What an operation answers, as the server's own contract has it. */
export type Answer<M extends Method, P extends Path<M>> = Answers<paths[P][M]>;

/** A request as the browser's fetch takes it, with an address that need not be whole. */
class Asked {
  constructor(
    readonly url: string,
    readonly init: RequestInit,
  ) {}
}

const client = createClient<paths>({
  Request: Asked as unknown as typeof Request,
  fetch: (request) => {
    const { url, init } = request as unknown as Asked;
    return fetch(url, init);
  },
});

/**
 * Asks the server; the contract knows path, question and answer.
 *
 * @throws Problem where it refuses or does not answer
 */
export async function api<M extends Method, P extends Path<M>>(
  method: M,
  path: P,
  ...[init]: With<MaybeOptionalInit<paths[P], M>>
): Promise<Answer<M, P>> {
  const signal = (init as { signal?: AbortSignal } | undefined)?.signal;
  let told: { data?: unknown; error?: unknown; response: Response };
  try {
    told = await client.request(method, path as never, { ...init, headers: { "X-XSRF-TOKEN": token() } } as never);
  } catch (e) {
    if (signal?.aborted) throw e;
    throw new Problem(0, t("client.noConnection"), offline);
  }
  if (told.response.ok) return told.data as Answer<M, P>;
  const doc = (told.error && typeof told.error === "object" ? told.error : {}) as Partial<Problem>;
  throw new Problem(
    told.response.status,
    doc.title ?? t("client.wentWrong"),
    doc.detail ?? offline,
    doc.errors ?? [],
    doc.currentVersion,
    doc.troubles ?? [],
  );
}

/** A form as it stands: what is empty yet the server refuses at its field. */
export const perhapsEmpty = <T extends object>(form: { [K in keyof T]: T[K] | null | undefined }): T => form as T;

function token(): string {
  return decodeURIComponent(/(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? "");
}
