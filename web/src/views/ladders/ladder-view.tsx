import { useQuery } from "@tanstack/react-query";
import { ArrowLeft, Copy, Download, Pencil } from "lucide-react";
import { useState } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { api, Problem } from "../../api/client";
import { ladderHere, ladders, ownLadders, session } from "../../api/queries";
import type { Ladder, LadderHere, OwnLadder } from "../../api/types";
import { Room } from "../../room/room";
import { Spot } from "../../room/spot";
import { Choice } from "../../ui/choice";
import { FamilyGlyph } from "../../ui/marble";
import { Sheet } from "../../ui/sheet";
import { Empty, Failed, Loading } from "../../ui/states";
import { family as familyWord } from "../../words";
import saidLadders from "../../words/ladders.json";
import { textsOf } from "../../words/texts";
import { finding } from "../../words-findings";
import { hereIs, noise, part, people, sports } from "../../words-ladders";
import { copyOf } from "./blank";
import { DownloadLinks } from "./export";
import { useHere } from "./here";
import { KitAndCare, Teaching } from "./of-every-rung";
import { OfOneRung } from "./of-one-rung";
import { Retire } from "./retire";
import { Steps } from "./steps";
import { ToPlan } from "./to-plan";
import { useLaddersChanged } from "./use-ladders-changed";
import { Verdict } from "./verdict";

const t = textsOf("ladders", saidLadders);

/** One ladder: its rungs as steps, and all that a teacher needs to start it. */
export function LadderView() {
  const { id = "" } = useParams();
  const known = useQuery(ladders);
  const own = useQuery(ownLadders);
  const failed = [known, own].find((q) => q.isLoadingError);
  if (failed) return <Failed error={failed.error} again={() => failed.refetch()} />;
  if (!known.data || !own.data) return <Loading what={t("ladderView.theLadder")} />;
  const ladder = known.data.find((l) => l.id === id);
  if (!ladder)
    return (
      <Empty title={t("ladderView.thereIsNoSuch")}>
        <p>
          {t("ladderView.itMayHaveBeen")} <Link to="/ladders">{t("ladderView.lookThroughAllLadders")}</Link>.
        </p>
      </Empty>
    );
  return <Page key={id} ladder={ladder} own={own.data.find((o) => o.id === id)} />;
}

function Page({ ladder, own }: { ladder: Ladder; own: OwnLadder | undefined }) {
  const [params, setParams] = useSearchParams();
  const who = useQuery(session);
  const here = useHere();
  const asked = useQuery({ ...ladderHere(ladder.id, here.query) });
  const fit = here.query ? asked.data : undefined;
  const [exporting, setExporting] = useState(false);
  const at = Math.max(
    0,
    ladder.rungs.findIndex((r) => r.id === params.get("rung")),
  );
  const rung = ladder.rungs[at] as Ladder["rungs"][number];
  const choose = (rungId: string) =>
    setParams(
      (p) => {
        p.set("rung", rungId);
        return p;
      },
      { replace: true },
    );
  const teaches = !!who.data?.who?.teaches;
  const back = new URLSearchParams(params);
  back.delete("rung");

  return (
    <>
      <p>
        <Link to={`/ladders?${back}`} className="inline-flex items-center gap-1.5">
          <ArrowLeft size={18} aria-hidden /> {t("ladderView.allLadders")}
        </Link>
      </p>
      <div className="mt-1 flex flex-wrap items-center gap-3 border-b-[3px] border-ink pb-2">
        <FamilyGlyph family={ladder.family} size={30} />
        <h1>{ladder.name}</h1>
        {own && (
          <span className="bg-ink px-2 text-sheet">
            {own.retired ? t("ladderView.oursRetired") : t("ladderView.ours")}
          </span>
        )}
        <span className="ml-auto flex flex-wrap gap-2">
          {teaches && own && (
            <Link className="btn no-underline" to={`/ladders/${ladder.id}/edit`}>
              <Pencil size={18} aria-hidden /> {t("ladderView.change")}
            </Link>
          )}
          {teaches && <CopyButton ladder={ladder} />}
          {teaches && own && <Retire own={own} />}
          <button type="button" className="btn" onClick={() => setExporting(true)}>
            <Download size={18} aria-hidden /> {t("ladderView.export")}
          </button>
        </span>
      </div>
      <p className="mt-2 text-soft">
        {t("ladderView.effortOf5", {
          value: familyWord[ladder.family],
          sports: sports(ladder),
          value2: part[ladder.part],
          people: people(ladder),
          value3: noise[ladder.noise],
          effort: ladder.effort,
        })}
        {ladder.ages && ` · ${t("ladderView.ages", { from: ladder.ages.from, to: ladder.ages.to ?? "none" })}`}
      </p>

      <Steps ladder={ladder} fits={fit?.rungs} chosen={rung.id} onChoose={choose} />

      <div className="mt-6 grid grid-cols-[minmax(0,1fr)] gap-8 lg:grid-cols-[minmax(0,1.5fr)_minmax(18rem,1fr)]">
        <div className="space-y-5">
          <OfOneRung ladder={ladder} rung={rung} number={at + 1}>
            {teaches && !own?.retired && <ToPlan ladder={ladder} rung={rung} />}
          </OfOneRung>
          <Teaching ladder={ladder} />
        </div>
        <aside aria-label={t("ladderView.layoutAndKit")} className="space-y-5">
          <Where ladder={ladder} at={at} here={here} fit={fit} waiting={here.query !== undefined && asked.isPending} />
          <KitAndCare ladder={ladder} />
        </aside>
      </div>
      <Sheet title={t("ladderView.export2", { name: ladder.name })} open={exporting} onOpenChange={setExporting}>
        <p>{t("ladderView.oneFileThatImport")}</p>
        <DownloadLinks ids={[ladder.id]} />
      </Sheet>
    </>
  );
}

/** The rung's layout to scale: in the chosen space, or one spot and its neighbour anywhere. */
function Where({
  ladder,
  at,
  here,
  fit,
  waiting,
}: {
  ladder: Ladder;
  at: number;
  here: ReturnType<typeof useHere>;
  fit: LadderHere | undefined;
  waiting: boolean;
}) {
  const one = fit?.rungs[at];
  return (
    <section>
      <div className="flex flex-wrap items-center gap-3">
        <h2>{t("ladderView.layout")}</h2>
        <Choice
          label={t("ladderView.whereItShouldFit")}
          value={here.value}
          onChange={here.choose}
          options={here.options}
        />
      </div>
      <div className="mt-2 min-h-40">
        {here.space && waiting ? (
          <Loading what={t("ladderView.theLayout")} />
        ) : fit && one && here.space ? (
          <>
            <p className="mb-2">
              <Verdict verdict={one.verdict} /> {hereIs(one)}
            </p>
            {one.findings.length > 0 && (
              <ul className="mb-2 list-disc pl-5 text-[0.95rem]">
                {one.findings.map((f) => (
                  <li key={f.id} className={f.level === "STOP" ? "font-semibold" : "text-soft"}>
                    {finding(f)}
                  </li>
                ))}
              </ul>
            )}
            <Room
              place={fit.place}
              plan={fit.plans[at]}
              needsWall={ladder.footprint.needsWall}
              name={here.space.name}
              atHome={here.atHome}
            />
          </>
        ) : (
          <Spot ladder={ladder} rung={ladder.rungs[at] as Ladder["rungs"][number]} />
        )}
      </div>
    </section>
  );
}

function CopyButton({ ladder }: { ladder: Ladder }) {
  const navigate = useNavigate();
  const changed = useLaddersChanged();
  const [problem, setProblem] = useState<Problem>();
  const copy = async () => {
    try {
      const made = await api("post", "/api/ladders/own", {
        body: {
          version: null,
          ladder: copyOf(await api("get", "/api/ladders/{id}/written", { params: { path: { id: ladder.id } } })),
        },
      });
      await changed();
      navigate(`/ladders/${made.id}/edit`);
    } catch (e) {
      setProblem(e instanceof Problem ? e : new Problem(0, t("ladderView.notCopied"), String(e)));
    }
  };
  return (
    <>
      <button type="button" className="btn" onClick={copy}>
        <Copy size={18} aria-hidden /> {t("ladderView.copyAndChange")}
      </button>
      {problem && (
        <span role="alert" className="font-semibold text-alert">
          {problem.detail} {problem.errors[0] && `${problem.errors[0].field} ${problem.errors[0].must}.`}
        </span>
      )}
    </>
  );
}
