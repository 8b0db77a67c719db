import { type ReactNode, useState } from "react";
import { renderSVG } from "uqr";
import { api, Problem } from "../../api/client";
import { Sheet } from "../../ui/sheet";

/** The wall face of this run: a link and a code for whoever stands at the projector; no sign-in, and only while the run goes on. */
export function WallLink({ runId, children }: { runId: string; children: ReactNode }) {
  const [code, setCode] = useState<string>();
  const [problem, setProblem] = useState<Problem>();
  const [open, setOpen] = useState(false);
  const show = async () => {
    setOpen(true);
    try {
      setCode((await api<{ code: string }>("POST", `/runs/${runId}/wall`)).code);
      setProblem(undefined);
    } catch (e) {
      setProblem(e instanceof Problem ? e : new Problem(0, "No code", String(e)));
    }
  };
  const address = `${location.origin}/wall/${code}`;
  return (
    <>
      <button type="button" className="btn" onClick={show}>
        Wall, sound
      </button>
      <Sheet title="Wall face and sound" open={open} onOpenChange={setOpen} night>
        <div className="mb-5 flex flex-wrap items-center gap-3">{children}</div>
        {problem && (
          <p role="alert">
            <strong>{problem.title}.</strong> {problem.detail}
          </p>
        )}
        {code && (
          <div className="flex flex-wrap items-start gap-6">
            <div
              className="w-44 bg-white p-2"
              role="img"
              aria-label={`QR code of ${address}`}
              // biome-ignore lint/security/noDangerouslySetInnerHtml: the drawing is made here, from our own address
              dangerouslySetInnerHTML={{ __html: renderSVG(address) }}
            />
            <div className="min-w-56 flex-1 space-y-3">
              <p>
                Open{" "}
                <a href={`/wall/${code}`} target="_blank" rel="noreferrer" data-testid="wall-link">
                  {address}
                </a>{" "}
                on the projector, or open <strong>{location.origin}/wall</strong> and type
              </p>
              <p className="digits text-6xl tracking-widest" data-testid="wall-code">
                {code}
              </p>
              {["localhost", "127.0.0.1"].includes(location.hostname) && (
                <p>
                  Only this machine knows the name <strong>{location.hostname}</strong>. For another device open the
                  application by this machine’s own address in the school’s network, and come here again.
                </p>
              )}
              <p className="text-mist">
                It shows clock, cue and first names, no score unless you switch it on, and works only while this run
                goes on.
              </p>
            </div>
          </div>
        )}
      </Sheet>
    </>
  );
}
