import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { v4 } from "uuid";
import { api, type Problem } from "../../api/client";
import { ladders } from "../../api/queries";
import type { GameInRecord, KeptGame, Rung } from "../../api/types";
import { localDay } from "../../local-day";
import { Choice } from "../../ui/choice";
import { Failed } from "../../ui/states";
import { day } from "../../words";
import saidMarks from "../../words/marks.json";
import { textsOf } from "../../words/texts";
import type { Given } from "./given";

const t = textsOf("marks", saidMarks);

type Kept = { id: string; on: string; ladderId: string; rungId: string };

/** What a sheet remembers of being kept. @param at how much of it, as the sheet counts */
export type KeptAs = { gameId: string; keptFor: number | null; keptAt: number | null };

export const notKept: KeptAs = { gameId: "", keptFor: 0, keptAt: 0 };

/** A game of this sheet on the pages of those who played, for the class in hand; played on and kept again, it takes its own place. */
export function KeepGame({
  given,
  measure,
  prefer,
  players,
  left,
  ready,
  kept,
  far,
  game,
  onKept,
}: {
  given: Given;
  /** what the rung must be scored by */
  measure: Rung["measure"]["type"];
  /** which of them is meant where nothing else is said */
  prefer?: (measure: Rung["measure"]) => boolean;
  /** how many of the class would have it on their pages */
  players: number;
  /** who played and is not of the class */
  left: string[];
  ready: boolean;
  kept: KeptAs;
  /** how far it is played now */
  far: number;
  game: (kept: Kept) => KeptGame;
  onKept: (kept: KeptAs) => void;
}) {
  const catalogue = useQuery(ladders);
  const client = useQueryClient();
  const rungs = (catalogue.data ?? []).flatMap((l) =>
    l.rungs.filter((r) => r.measure.type === measure).map((r) => ({ ladder: l, rung: r })),
  );
  const [chosen, choose] = useState<string>();
  // The same game sent again after a lost answer is the same game.
  const [fresh] = useState(() => v4());
  const id = kept.gameId || fresh;
  const at = rungs.find((r) => key(r) === chosen) ?? rungs.find((r) => prefer?.(r.rung.measure)) ?? rungs[0];
  const keep = useMutation<GameInRecord, Problem, void>({
    mutationFn: () => {
      if (!at) throw new Error("no rung is scored so");
      const as = { id, on: localDay(), ladderId: at.ladder.id, rungId: at.rung.id };
      return api("post", "/api/classes/{id}/games", {
        params: { path: { id: given.chosen?.id ?? "" } },
        body: game(as),
      });
    },
    onSuccess: ({ kept: n }) => {
      onKept({ gameId: id, keptFor: n, keptAt: far });
      client.invalidateQueries({ queryKey: ["record"] });
    },
  });
  if (!given.chosen?.mayChange) return null;
  return (
    <section className="mt-5 border-t-2 border-rule pt-3 print:hidden" aria-labelledby="keep-game">
      <h2 id="keep-game" className="text-base">
        {t("keep.title")}
      </h2>
      {!!kept.keptFor && (
        <p role="status" className="mt-1">
          <strong>{t("keep.kept", { n: kept.keptFor, day: day(localDay()) })}</strong>{" "}
          <Link to="/pupils">{t("keep.toPupils")}</Link>
        </p>
      )}
      {(!kept.keptFor || kept.keptAt !== far) && (
        <div className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-2">
          {rungs.length > 1 && at && (
            <Choice
              label={t("keep.as")}
              value={key(at)}
              options={rungs.map((r) => ({ value: key(r), text: `${r.ladder.name}: ${r.rung.name.toLowerCase()}` }))}
              onChange={choose}
            />
          )}
          <button
            type="button"
            className="btn"
            disabled={!ready || players === 0 || !at || keep.isPending}
            onClick={() => keep.mutate()}
          >
            {t(kept.keptFor ? "keep.again" : "keep.do", { n: players })}
          </button>
          <span className="text-[0.95rem] text-soft">
            {!ready ? t("keep.notYet") : players === 0 ? t("keep.nobody", { name: given.chosen.name }) : ""}
            {ready && players > 0 && left.length > 0 && t("keep.left", { names: left.join(", ") })}
          </span>
          {keep.isError && <Failed error={keep.error} />}
        </div>
      )}
    </section>
  );
}

const key = (r: { ladder: { id: string }; rung: { id: string } }) => `${r.ladder.id}/${r.rung.id}`;
