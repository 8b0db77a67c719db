import { type ReactNode, useState } from "react";
import { renderSVG } from "uqr";
import { api, Problem } from "../../api/client";
import type { WallCode } from "../../api/types";
import { Sheet } from "../../ui/sheet";
import { timeOfDay } from "../../words";
import saidRun from "../../words/run.json";
import { textsOf } from "../../words/texts";
import { Devices } from "./devices";

const t = textsOf("run", saidRun);

/** The wall face of this run: a link and a code for whoever stands at the projector; no sign-in, and only for so long. */
export function WallLink({ runId, children }: { runId: string; children: ReactNode }) {
  const [wall, setWall] = useState<WallCode>();
  const [problem, setProblem] = useState<Problem>();
  const [open, setOpen] = useState(false);
  const path = { id: runId };
  /** The code as it is, or another one. */
  const ask = async (another: boolean) => {
    try {
      setWall(
        await (another
          ? api("put", "/api/runs/{id}/wall", { params: { path } })
          : api("post", "/api/runs/{id}/wall", { params: { path } })),
      );
      setProblem(undefined);
    } catch (e) {
      setProblem(e instanceof Problem ? e : new Problem(0, t("wallLink.noCode"), String(e)));
    }
  };
  const close = async () => {
    try {
      await api("delete", "/api/runs/{id}/wall", { params: { path: { id: runId } } });
      setWall(undefined);
      setProblem(undefined);
    } catch (e) {
      setProblem(e instanceof Problem ? e : new Problem(0, t("wallLink.stillOpen"), String(e)));
    }
  };
  const code = wall?.code;
  const address = `${location.origin}/wall/${code}`;
  return (
    <>
      <button
        type="button"
        className="btn"
        onClick={() => {
          setOpen(true);
          ask(false);
        }}
      >
        {t("wallLink.wallSound")}
      </button>
      <Sheet title={t("wallLink.wallFaceAndSound")} open={open} onOpenChange={setOpen} night wide>
        <div className="mb-5 flex flex-wrap items-center gap-3">{children}</div>
        {problem && (
          <p role="alert">
            <strong>{problem.title}.</strong> {problem.detail}
          </p>
        )}
        {!wall && !problem && (
          <p className="flex flex-wrap items-center gap-3">
            {t("wallLink.theWallFaceIs")}
            <button type="button" className="btn" onClick={() => ask(false)}>
              {t("wallLink.openItAgain")}
            </button>
          </p>
        )}
        {wall && (
          <div className="flex flex-wrap items-start gap-6">
            <div
              className="w-44 bg-white p-2"
              role="img"
              aria-label={t("wallLink.qrCodeOf", { address })}
              // biome-ignore lint/security/noDangerouslySetInnerHtml: the drawing is made here, from our own address
              dangerouslySetInnerHTML={{ __html: renderSVG(address) }}
            />
            <div className="min-w-56 flex-1 space-y-3">
              <p>
                {t("wallLink.open")}{" "}
                <a href={`/wall/${code}`} target="_blank" rel="noreferrer" data-testid="wall-link">
                  {address}
                </a>{" "}
                {t("wallLink.onTheProjectorOr")} <strong>{t("wallLink.wall", { origin: location.origin })}</strong>{" "}
                {t("wallLink.andType")}
              </p>
              <p className="digits text-6xl tracking-widest" data-testid="wall-code">
                {code}
              </p>
              {["localhost", "127.0.0.1"].includes(location.hostname) && (
                <p>
                  {t("wallLink.onlyThisMachineKnows")} <strong>{location.hostname}</strong>
                  {t("wallLink.forAnotherDeviceOpen")}
                </p>
              )}
              <p className="text-mist">{t("wallLink.itShowsClockCue", { timeOfDay: timeOfDay(wall.untilMs) })}</p>
              <p className="flex flex-wrap gap-3">
                <button type="button" className="btn btn-small" onClick={() => ask(true)}>
                  {t("wallLink.anotherCode")}
                </button>
                <button type="button" className="btn btn-small" onClick={close}>
                  {t("wallLink.closeTheWallFace")}
                </button>
              </p>
            </div>
          </div>
        )}
        <Devices runId={runId} />
      </Sheet>
    </>
  );
}
