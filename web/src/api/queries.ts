import { infiniteQueryOptions, queryOptions, skipToken } from "@tanstack/react-query";
import { type Answer, api, type Path } from "./client";
import type { paths } from "./schema";
import type { Tried } from "./types";

export const session = queryOptions({ queryKey: ["session"], queryFn: () => api("get", "/api/session") });

export const classes = queryOptions({ queryKey: ["classes"], queryFn: () => api("get", "/api/classes") });

export const spaces = queryOptions({ queryKey: ["spaces"], queryFn: () => api("get", "/api/spaces") });

export const kit = queryOptions({ queryKey: ["kit"], queryFn: () => api("get", "/api/kit") });

export const beginFrom = queryOptions({
  queryKey: ["beginning"],
  queryFn: () => api("get", "/api/beginning"),
  staleTime: Number.POSITIVE_INFINITY,
});

export const people = queryOptions({ queryKey: ["people"], queryFn: () => api("get", "/api/people") });

export const helpers = queryOptions({
  queryKey: ["people", "helpers"],
  queryFn: () => api("get", "/api/people/helpers"),
});

export const trust = queryOptions({ queryKey: ["trust"], queryFn: () => api("get", "/api/trust") });

export const backups = queryOptions({
  queryKey: ["backups"],
  queryFn: () => api("get", "/api/backups"),
});

const DISK_EVERY_MS = 60_000;

export const diskRoom = queryOptions({
  queryKey: ["disk"],
  queryFn: () => api("get", "/api/disk"),
  refetchInterval: DISK_EVERY_MS,
});

const AUDIT_PAGE = 100;

export const auditEntries = infiniteQueryOptions({
  queryKey: ["audit"],
  initialPageParam: undefined as number | undefined,
  queryFn: ({ pageParam }) => api("get", "/api/audit", { params: { query: { most: AUDIT_PAGE, before: pageParam } } }),
  getNextPageParam: (last) => (last.length < AUDIT_PAGE ? undefined : last.at(-1)?.number),
});

export const ladders = queryOptions({
  queryKey: ["ladders"],
  queryFn: () => api("get", "/api/ladders"),
  staleTime: Number.POSITIVE_INFINITY,
});

export const footprints = queryOptions({
  queryKey: ["footprints"],
  queryFn: () => api("get", "/api/ladders/footprints"),
  staleTime: Number.POSITIVE_INFINITY,
});

export const ownLadders = queryOptions({
  queryKey: ["ladders", "own"],
  queryFn: () => api("get", "/api/ladders/own"),
});

type Asked<P extends keyof paths> = paths[P] extends { get: { parameters: { query?: infer Q } } }
  ? NonNullable<Q>
  : never;

export type LaddersAsked = Asked<"/api/ladders/search">;

/** Where, for whom and when it is asked what fits. */
export type FitsAsked = Asked<"/api/fits">;

/** Ids of what is on offer and wanted, best first. */
export const foundLadders = (query: LaddersAsked) =>
  queryOptions({
    queryKey: ["ladders", "search", query],
    queryFn: ({ signal }) => api("get", "/api/ladders/search", { params: { query }, signal }),
  });

/** Nowhere: nothing is asked yet. */
export const fits = (query: FitsAsked | undefined) =>
  queryOptions({
    queryKey: ["fits", query],
    queryFn: query ? () => api("get", "/api/fits", { params: { query } }) : skipToken,
  });

export const ladderHere = (ladderId: string, query: FitsAsked | undefined) =>
  queryOptions({
    queryKey: ["fits", query, ladderId],
    queryFn: query ? () => api("get", "/api/fits/{ladderId}", { params: { path: { ladderId }, query } }) : skipToken,
  });

/** Lessons that others handed over for today. */
export const handedToday = queryOptions({
  queryKey: ["lessons", "handed"],
  queryFn: () => api("get", "/api/lessons/handed"),
});

export const handOvers = (lessonId: string) =>
  queryOptions({
    queryKey: ["hand-overs", lessonId],
    queryFn: () => api("get", "/api/lessons/{id}/hand-overs", { params: { path: { id: lessonId } } }),
  });

export const classCompany = (classId: string) =>
  queryOptions({
    queryKey: ["classes", classId, "company"],
    queryFn: () => api("get", "/api/classes/{id}/company", { params: { path: { id: classId } } }),
  });
export const classesElsewhere = queryOptions({
  queryKey: ["classes", "elsewhere"],
  queryFn: () => api("get", "/api/classes/elsewhere"),
});
export const colleagues = queryOptions({
  queryKey: ["people", "colleagues"],
  queryFn: () => api("get", "/api/people/colleagues"),
});

export const lessons = (classId: string) =>
  queryOptions({
    queryKey: ["lessons", classId],
    queryFn: () => api("get", "/api/lessons", { params: { query: { classId } } }),
  });

export const lesson = (id: string) =>
  queryOptions({
    queryKey: ["lesson", id],
    queryFn: () => api("get", "/api/lessons/{id}", { params: { path: { id } } }),
  });

/** Routines that the school keeps under their names. */
export const keptRoutines = queryOptions({
  queryKey: ["routines"],
  queryFn: () => api("get", "/api/routines"),
});

export const openRuns = queryOptions({ queryKey: ["runs"], queryFn: () => api("get", "/api/runs/open") });

export const run = (id: string) =>
  queryOptions({ queryKey: ["run", id], queryFn: () => api("get", "/api/runs/{id}", { params: { path: { id } } }) });

/** The devices of a run: asked again and again while somebody looks, since they come and fall silent by themselves. */
export const runDevices = (runId: string) =>
  queryOptions({
    queryKey: ["run", runId, "devices"],
    queryFn: () => api("get", "/api/runs/{id}/devices", { params: { path: { id: runId } } }),
    refetchInterval: 2000,
    retry: false,
  });

/** Whom to watch in a block; told once, since it changes only with what is recorded. */
export const whomToWatch = (runId: string, block: number) =>
  queryOptions({
    queryKey: ["run", runId, "watch", block],
    queryFn: () => api("get", "/api/runs/{id}/watch/{block}", { params: { path: { id: runId, block } } }),
    staleTime: Number.POSITIVE_INFINITY,
    retry: false,
  });

/** How a round came out, asked anew whenever more is counted. */
export const against = (runId: string, round: number, counted: number) =>
  queryOptions({
    queryKey: ["run", runId, "against", round, counted],
    queryFn: () => api("get", "/api/runs/{id}/against/{round}", { params: { path: { id: runId, round } } }),
    retry: false,
  });

export const classRecord = (classId: string) =>
  queryOptions({
    queryKey: ["record", "class", classId],
    queryFn: () => api("get", "/api/classes/{id}/record", { params: { path: { id: classId } } }),
  });

export const pupilRecord = (pupilId: string) =>
  queryOptions({
    queryKey: ["record", "pupil", pupilId],
    queryFn: () => api("get", "/api/pupils/{id}/record", { params: { path: { id: pupilId } } }),
  });

export const classOnLadder = (classId: string, ladderId: string) =>
  queryOptions({
    queryKey: ["record", "class", classId, ladderId],
    queryFn: () =>
      api("get", "/api/classes/{id}/ladders/{ladderId}/record", { params: { path: { id: classId, ladderId } } }),
  });

export const standardsOnLadder = (classId: string, ladderId: string) =>
  queryOptions({
    queryKey: ["record", "class", classId, ladderId, "standards"],
    queryFn: () =>
      api("get", "/api/classes/{id}/ladders/{ladderId}/standards", { params: { path: { id: classId, ladderId } } }),
  });

export const cuesOnLadder = (classId: string, ladderId: string) =>
  queryOptions({
    queryKey: ["record", "class", classId, ladderId, "cues"],
    queryFn: () =>
      api("get", "/api/classes/{id}/ladders/{ladderId}/cues", { params: { path: { id: classId, ladderId } } }),
  });

export const taught = (classId: string, from: string, to: string) =>
  queryOptions({
    queryKey: ["record", "class", classId, "taught", from, to],
    queryFn: () => api("get", "/api/classes/{id}/taught", { params: { path: { id: classId }, query: { from, to } } }),
  });

export const ranking = (classId: string, by: "GAIN" | "COMPLETED" | "ROUNDS") =>
  queryOptions({
    queryKey: ["record", "class", classId, "ranking", by],
    queryFn: () => api("get", "/api/classes/{id}/ranking", { params: { path: { id: classId }, query: { by } } }),
  });

export const pupilOnLadder = (pupilId: string, ladderId: string) =>
  queryOptions({
    queryKey: ["record", "pupil", pupilId, ladderId],
    queryFn: () =>
      api("get", "/api/pupils/{id}/ladders/{ladderId}/record", { params: { path: { id: pupilId, ladderId } } }),
  });

const OLDER_AT_ONCE = 100;

/** Older attempts than those that a pupil's page brings. */
export const attemptsOfPupil = (pupilId: string, from: number) =>
  infiniteQueryOptions({
    queryKey: ["record", "pupil", pupilId, "attempts", from],
    queryFn: ({ pageParam }) =>
      api("get", "/api/pupils/{id}/attempts", {
        params: { path: { id: pupilId }, query: { from: pageParam, most: OLDER_AT_ONCE } },
      }),
    initialPageParam: from,
    getNextPageParam: (last: Tried[], all: Tried[][]) =>
      last.length < OLDER_AT_ONCE ? undefined : from + all.length * OLDER_AT_ONCE,
  });

export const keptOf = (pupilId: string) =>
  queryOptions({
    queryKey: ["record", "pupil", pupilId, "kept"],
    queryFn: () => api("get", "/api/pupils/{id}/kept", { params: { path: { id: pupilId } } }),
  });

export const planning = queryOptions({
  queryKey: ["planning"],
  queryFn: () => api("get", "/api/planning"),
  staleTime: Number.POSITIVE_INFINITY,
});

export const shares = (classId: string) =>
  queryOptions({
    queryKey: ["shares", classId],
    queryFn: () => api("get", "/api/classes/{id}/shares", { params: { path: { id: classId } } }),
  });

type Named<P> = P extends `/api/reckon/${infer N}` ? N : never;

export type Reckoning = Named<Path<"post">>;

/** One question, one answer; a question that was overtaken by the next one is dropped. Fields that are empty yet are refused by name. */
export const reckoning = <N extends Reckoning>(name: N, ask: unknown) =>
  queryOptions({
    queryKey: ["reckon", name, ask],
    queryFn: ({ signal }): Promise<Answer<"post", `/api/reckon/${N}`>> =>
      api("post", `/api/reckon/${name}`, { body: ask, signal } as never),
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 30_000,
    retry: false,
  });

/** By which figures abilities are read. */
export const skillFigures = queryOptions({
  queryKey: ["skill"],
  queryFn: () => api("get", "/api/skill"),
});

export const readiness = (classId: string) =>
  queryOptions({
    queryKey: ["readiness", classId],
    queryFn: () => api("get", "/api/classes/{id}/readiness", { params: { path: { id: classId } } }),
  });

const MAKING_EVERY_MS = 1_000;

/** How many results from home wait for the teacher's word. */
export const homeWaiting = (classId: string) =>
  queryOptions({
    queryKey: ["home", classId, "waiting"],
    queryFn: () => api("get", "/api/classes/{id}/home/waiting", { params: { path: { id: classId } } }),
  });

/** Whether cards can be behind addresses here. */
export const homeByLink = (classId: string) =>
  queryOptions({
    queryKey: ["home", classId, "by-link"],
    queryFn: () => api("get", "/api/classes/{id}/home/by-link", { params: { path: { id: classId } } }),
    staleTime: Number.POSITIVE_INFINITY,
  });

/** A class's practice at home; asked again and again while cards are being made. */
export const home = (classId: string) =>
  queryOptions({
    queryKey: ["home", classId],
    queryFn: () => api("get", "/api/classes/{id}/home", { params: { path: { id: classId } } }),
    refetchInterval: ({ state }) => (state.data?.weeks.some((w) => w.making) ? MAKING_EVERY_MS : false),
  });
