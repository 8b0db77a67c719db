import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { renderSVG } from "uqr";
import { trust } from "../../api/queries";
import { Failed, Loading } from "../../ui/states";
import { textsOf } from "../../words/texts";
import saidTrust from "../../words/trust.json";

const t = textsOf("trust", saidTrust);

/** What a device sees that comes by a plain connection: how it comes to trust this machine, once, and where to go on. */
export function TrustView() {
  const asked = useQuery(trust);
  if (asked.isPending) return <Loading what={t("trustView.thePage")} />;
  if (asked.isLoadingError) return <Failed error={asked.error} again={() => asked.refetch()} />;
  const { addresses, fingerprint } = asked.data;
  const first = addresses[0];
  if (!first)
    return (
      <Page>
        <p>{t("trustView.thisConnectionNeedsNothing")}</p>
        <a className="btn btn-main" href="/">
          {t("trustView.openUnrulyMarble")}
        </a>
      </Page>
    );
  return (
    <Page>
      <p className="max-w-prose">
        {t("trustView.whatYouDoHere")} {fingerprint === null ? "" : t("trustView.itTakesTwoMinutesAsk")}
      </p>
      <ol className="grid gap-6 md:grid-cols-3">
        {fingerprint !== null && (
          <>
            <Step number={1} title={t("trustView.takeTheFile")} picture={<FilePicture />}>
              <a className="btn btn-main" href="/api/trust/unruly-marble.crt" download="unruly-marble.crt">
                {t("trustView.unrulymarblecrt")}
              </a>
              <p className="mt-2">{t("trustView.sayYesWhenThe")}</p>
            </Step>
            <Step number={2} title={t("trustView.letTheDeviceTrust")} picture={<SwitchPicture />}>
              <ul className="list-disc space-y-1 pl-5">
                <li>
                  {t("trustView.whereSettingsHave")} <strong>{t("trustView.profiles")}</strong>
                  {t("trustView.settingsProfileDownloadedInstall")}
                </li>
                <li>
                  {t("trustView.whereSettingsHave")} <strong>{t("trustView.security")}</strong>
                  {t("trustView.searchForCertificateInstall")}
                </li>
                <li>{t("trustView.onAComputerThe")}</li>
              </ul>
            </Step>
          </>
        )}
        <Step number={fingerprint === null ? 1 : 3} title={t("trustView.openThisAddress")} picture={<LockPicture />}>
          <p>
            <a href={first} className="text-lg font-bold break-all">
              {first}
            </a>
          </p>
          <div
            className="mt-2 w-40 bg-white p-2"
            role="img"
            aria-label={t("trustView.qrCodeOf", { first })}
            // biome-ignore lint/security/noDangerouslySetInnerHtml: the drawing is made here, from the server's own address
            dangerouslySetInnerHTML={{ __html: renderSVG(first) }}
          />
          {addresses.length > 1 && (
            <p className="mt-2 text-sm">{t("trustView.or", { join: addresses.slice(1).join(" or ") })}</p>
          )}
        </Step>
      </ol>
      {fingerprint !== null && (
        <p className="max-w-prose text-sm text-soft">
          {t("trustView.theFileIsGood")} <span className="clock break-all">{fingerprint}</span>
        </p>
      )}
    </Page>
  );
}

function Page({ children }: { children: ReactNode }) {
  return (
    <main className="mx-auto min-h-dvh max-w-6xl space-y-6 bg-sheet px-4 py-8 sm:px-7">
      <h1 className="flex items-center gap-3">
        <img src="/marble.svg" alt="" width="38" height="38" /> {t("trustView.beforeYouBeginOn")}
      </h1>
      {children}
    </main>
  );
}

function Step({
  number,
  title,
  picture,
  children,
}: {
  number: number;
  title: string;
  picture: ReactNode;
  children: ReactNode;
}) {
  return (
    <li className="border-t-8 border-throw bg-tint p-4">
      {picture}
      <h2 className="mt-3 mb-2">
        {number} · {title}
      </h2>
      {children}
    </li>
  );
}

/** A tablet with something on it. */
function Tablet({ label, children }: { label: string; children: ReactNode }) {
  return (
    <svg viewBox="0 0 160 100" className="h-28 w-full" role="img" aria-label={label}>
      <rect x="12" y="6" width="136" height="88" rx="9" className="fill-sheet stroke-ink" strokeWidth="3" />
      {children}
    </svg>
  );
}

function FilePicture() {
  return (
    <Tablet label={t("trustView.aFileComesDown")}>
      <path d="M62 20h24l12 12v48H62z" className="fill-none stroke-ink" strokeWidth="3" strokeLinejoin="round" />
      <path d="M80 40v26m-9-9 9 10 9-10" className="fill-none stroke-throw" strokeWidth="4" strokeLinecap="round" />
    </Tablet>
  );
}

function SwitchPicture() {
  return (
    <Tablet label={t("trustView.inTheSettingsA")}>
      {[26, 46, 66].map((y, i) => (
        <g key={y}>
          <rect x="30" y={y} width="54" height="7" rx="3" className="fill-rule" />
          <rect x="102" y={y - 3} width="28" height="14" rx="7" className={i === 2 ? "fill-throw" : "fill-rule"} />
          <circle cx={i === 2 ? 123 : 109} cy={y + 4} r="5" className="fill-sheet" />
        </g>
      ))}
    </Tablet>
  );
}

function LockPicture() {
  return (
    <Tablet label={t("trustView.theAddressWithA")}>
      <rect x="26" y="22" width="108" height="18" rx="9" className="fill-none stroke-ink" strokeWidth="3" />
      <rect x="34" y="29" width="9" height="7" className="fill-ink" />
      <path d="M36 29v-2a2.5 2.5 0 0 1 5 0v2" className="fill-none stroke-ink" strokeWidth="2" />
      <rect x="50" y="28" width="62" height="6" rx="3" className="fill-rule" />
      <circle cx="80" cy="66" r="14" className="fill-throw" />
    </Tablet>
  );
}
