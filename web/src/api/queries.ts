import { infiniteQueryOptions, queryOptions } from "@tanstack/react-query";
import { api } from "./client";
import type {
  AuditEntry,
  BackupList,
  BeginFrom,
  Challenge,
  ClassRecord,
  Colleague,
  DayTaught,
  DiskRoom,
  FitLine,
  HandOver,
  HelperName,
  HomeByLink,
  HomeView,
  HomeWaiting,
  KeptOf,
  KeptRoutine,
  KitStore,
  Ladder,
  LadderFootprint,
  LadderHere,
  LessonLine,
  LessonView,
  OwnLadder,
  Person,
  Planning,
  PupilOnLadder,
  PupilRecord,
  Ranked,
  ReadinessView,
  RoundAgainst,
  Run,
  RunDevices,
  RunLine,
  SchoolClass,
  Session,
  SkillView,
  Space,
  Tried,
  TriedShare,
  Trust,
  Watch,
} from "./types";

export const session = queryOptions({ queryKey: ["session"], queryFn: () => api<Session>("GET", "/session") });

export const classes = queryOptions({ queryKey: ["classes"], queryFn: () => api<SchoolClass[]>("GET", "/classes") });

export const spaces = queryOptions({ queryKey: ["spaces"], queryFn: () => api<Space[]>("GET", "/spaces") });

export const kit = queryOptions({ queryKey: ["kit"], queryFn: () => api<KitStore>("GET", "/kit") });

export const beginFrom = queryOptions({
  queryKey: ["beginning"],
  queryFn: () => api<BeginFrom>("GET", "/beginning"),
  staleTime: Number.POSITIVE_INFINITY,
});

export const people = queryOptions({ queryKey: ["people"], queryFn: () => api<Person[]>("GET", "/people") });

export const helpers = queryOptions({
  queryKey: ["people", "helpers"],
  queryFn: () => api<HelperName[]>("GET", "/people/helpers"),
});

export const trust = queryOptions({ queryKey: ["trust"], queryFn: () => api<Trust>("GET", "/trust") });

export const backups = queryOptions({
  queryKey: ["backups"],
  queryFn: () => api<BackupList>("GET", "/backups"),
});

const DISK_EVERY_MS = 60_000;

export const diskRoom = queryOptions({
  queryKey: ["disk"],
  queryFn: () => api<DiskRoom>("GET", "/disk"),
  refetchInterval: DISK_EVERY_MS,
});

const AUDIT_PAGE = 100;

export const auditEntries = infiniteQueryOptions({
  queryKey: ["audit"],
  initialPageParam: undefined as number | undefined,
  queryFn: ({ pageParam }) =>
    api<AuditEntry[]>("GET", `/audit?most=${AUDIT_PAGE}${pageParam === undefined ? "" : `&before=${pageParam}`}`),
  getNextPageParam: (last) => (last.length < AUDIT_PAGE ? undefined : last.at(-1)?.number),
});

export const ladders = queryOptions({
  queryKey: ["ladders"],
  queryFn: () => api<Ladder[]>("GET", "/ladders"),
  staleTime: Number.POSITIVE_INFINITY,
});

export const footprints = queryOptions({
  queryKey: ["footprints"],
  queryFn: () => api<LadderFootprint[]>("GET", "/ladders/footprints"),
  staleTime: Number.POSITIVE_INFINITY,
});

export const ownLadders = queryOptions({
  queryKey: ["ladders", "own"],
  queryFn: () => api<OwnLadder[]>("GET", "/ladders/own"),
});

/** Ids of what is on offer and wanted, best first. */
export const foundLadders = (query: string) =>
  queryOptions({
    queryKey: ["ladders", "search", query],
    queryFn: ({ signal }) => api<string[]>("GET", `/ladders/search?${query}`, undefined, signal),
  });

export const fits = (query: string) =>
  queryOptions({ queryKey: ["fits", query], queryFn: () => api<FitLine[]>("GET", `/fits?${query}`) });

export const ladderHere = (ladderId: string, query: string) =>
  queryOptions({
    queryKey: ["fits", query, ladderId],
    queryFn: () => api<LadderHere>("GET", `/fits/${ladderId}?${query}`),
  });

/** Lessons that others handed over for today. */
export const handedToday = queryOptions({
  queryKey: ["lessons", "handed"],
  queryFn: () => api<LessonLine[]>("GET", "/lessons/handed"),
});

export const handOvers = (lessonId: string) =>
  queryOptions({
    queryKey: ["hand-overs", lessonId],
    queryFn: () => api<HandOver[]>("GET", `/lessons/${lessonId}/hand-overs`),
  });

export const colleagues = queryOptions({
  queryKey: ["people", "colleagues"],
  queryFn: () => api<Colleague[]>("GET", "/people/colleagues"),
});

export const lessons = (classId: string) =>
  queryOptions({
    queryKey: ["lessons", classId],
    queryFn: () => api<LessonLine[]>("GET", `/lessons?classId=${classId}`),
  });

export const lesson = (id: string) =>
  queryOptions({ queryKey: ["lesson", id], queryFn: () => api<LessonView>("GET", `/lessons/${id}`) });

/** Routines that the school keeps under their names. */
export const keptRoutines = queryOptions({
  queryKey: ["routines"],
  queryFn: () => api<KeptRoutine[]>("GET", "/routines"),
});

export const openRuns = queryOptions({ queryKey: ["runs"], queryFn: () => api<RunLine[]>("GET", "/runs/open") });

export const run = (id: string) =>
  queryOptions({ queryKey: ["run", id], queryFn: () => api<Run>("GET", `/runs/${id}`) });

/** The devices of a run: asked again and again while somebody looks, since they come and fall silent by themselves. */
export const runDevices = (runId: string) =>
  queryOptions({
    queryKey: ["run", runId, "devices"],
    queryFn: () => api<RunDevices>("GET", `/runs/${runId}/devices`),
    refetchInterval: 2000,
    retry: false,
  });

/** Whom to watch in a block; told once, since it changes only with what is recorded. */
export const whomToWatch = (runId: string, block: number) =>
  queryOptions({
    queryKey: ["run", runId, "watch", block],
    queryFn: () => api<Watch[]>("GET", `/runs/${runId}/watch/${block}`),
    staleTime: Number.POSITIVE_INFINITY,
    retry: false,
  });

/** How a round came out, asked anew whenever more is counted. */
export const against = (runId: string, round: number, counted: number) =>
  queryOptions({
    queryKey: ["run", runId, "against", round, counted],
    queryFn: () => api<RoundAgainst[]>("GET", `/runs/${runId}/against/${round}`),
    retry: false,
  });

export const classRecord = (classId: string) =>
  queryOptions({
    queryKey: ["record", "class", classId],
    queryFn: () => api<ClassRecord>("GET", `/classes/${classId}/record`),
  });

export const pupilRecord = (pupilId: string) =>
  queryOptions({
    queryKey: ["record", "pupil", pupilId],
    queryFn: () => api<PupilRecord>("GET", `/pupils/${pupilId}/record`),
  });

export const classOnLadder = (classId: string, ladderId: string) =>
  queryOptions({
    queryKey: ["record", "class", classId, ladderId],
    queryFn: () => api<Challenge[]>("GET", `/classes/${classId}/ladders/${ladderId}/record`),
  });

export const taught = (classId: string, from: string, to: string) =>
  queryOptions({
    queryKey: ["record", "class", classId, "taught", from, to],
    queryFn: () => api<DayTaught[]>("GET", `/classes/${classId}/taught?from=${from}&to=${to}`),
  });

export const ranking = (classId: string, by: "GAIN" | "COMPLETED" | "ROUNDS") =>
  queryOptions({
    queryKey: ["record", "class", classId, "ranking", by],
    queryFn: () => api<Ranked[]>("GET", `/classes/${classId}/ranking?by=${by}`),
  });

export const pupilOnLadder = (pupilId: string, ladderId: string) =>
  queryOptions({
    queryKey: ["record", "pupil", pupilId, ladderId],
    queryFn: () => api<PupilOnLadder>("GET", `/pupils/${pupilId}/ladders/${ladderId}/record`),
  });

const OLDER_AT_ONCE = 100;

/** Older attempts than those that a pupil's page brings. */
export const attemptsOfPupil = (pupilId: string, from: number) =>
  infiniteQueryOptions({
    queryKey: ["record", "pupil", pupilId, "attempts", from],
    queryFn: ({ pageParam }) =>
      api<Tried[]>("GET", `/pupils/${pupilId}/attempts?from=${pageParam}&most=${OLDER_AT_ONCE}`),
    initialPageParam: from,
    getNextPageParam: (last: Tried[], all: Tried[][]) =>
      last.length < OLDER_AT_ONCE ? undefined : from + all.length * OLDER_AT_ONCE,
  });

export const keptOf = (pupilId: string) =>
  queryOptions({
    queryKey: ["record", "pupil", pupilId, "kept"],
    queryFn: () => api<KeptOf>("GET", `/pupils/${pupilId}/kept`),
  });

export const planning = queryOptions({
  queryKey: ["planning"],
  queryFn: () => api<Planning>("GET", "/planning"),
  staleTime: Number.POSITIVE_INFINITY,
});

export const shares = (classId: string) =>
  queryOptions({
    queryKey: ["shares", classId],
    queryFn: () => api<TriedShare[]>("GET", `/classes/${classId}/shares`),
  });

/** One question, one answer; a question that was overtaken by the next one is dropped. */
export const reckoning = <A>(name: string, ask: unknown) =>
  queryOptions({
    queryKey: ["reckon", name, ask],
    queryFn: ({ signal }) => api<A>("POST", `/reckon/${name}`, ask, signal),
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 30_000,
    retry: false,
  });

/** By which figures abilities are read. */
export const skillFigures = queryOptions({
  queryKey: ["skill"],
  queryFn: () => api<SkillView>("GET", "/skill"),
});

export const readiness = (classId: string) =>
  queryOptions({
    queryKey: ["readiness", classId],
    queryFn: () => api<ReadinessView>("GET", `/classes/${classId}/readiness`),
  });

const MAKING_EVERY_MS = 1_000;

/** How many results from home wait for the teacher's word. */
export const homeWaiting = (classId: string) =>
  queryOptions({
    queryKey: ["home", classId, "waiting"],
    queryFn: () => api<HomeWaiting>("GET", `/classes/${classId}/home/waiting`),
  });

/** Whether cards can be behind addresses here. */
export const homeByLink = (classId: string) =>
  queryOptions({
    queryKey: ["home", classId, "by-link"],
    queryFn: () => api<HomeByLink>("GET", `/classes/${classId}/home/by-link`),
    staleTime: Number.POSITIVE_INFINITY,
  });

/** A class's practice at home; asked again and again while cards are being made. */
export const home = (classId: string) =>
  queryOptions({
    queryKey: ["home", classId],
    queryFn: () => api<HomeView>("GET", `/classes/${classId}/home`),
    refetchInterval: ({ state }) => (state.data?.weeks.some((w) => w.making) ? MAKING_EVERY_MS : false),
  });
