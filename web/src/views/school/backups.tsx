import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, Problem } from "../../api/client";
import { backups } from "../../api/queries";
import type { BackupMade } from "../../api/types";
import { PartHead } from "../../ui/part-head";
import { Empty, Failed, Loading } from "../../ui/states";
import { moment } from "../../words";
import saidSchool from "../../words/school.json";
import { textsOf } from "../../words/texts";

const t = textsOf("school", saidSchool);

/** The backups: made by themselves every night, or now. */
export function Backups() {
  const client = useQueryClient();
  const all = useQuery(backups);
  const [made, setMade] = useState<BackupMade>();
  const [problem, setProblem] = useState<Problem>();
  const [busy, setBusy] = useState(false);
  const make = async () => {
    setBusy(true);
    setProblem(undefined);
    try {
      setMade(await api("post", "/api/backups"));
    } catch (e) {
      setMade(undefined);
      setProblem(e instanceof Problem ? e : new Problem(0, t("backups.notMade"), String(e)));
    } finally {
      setBusy(false);
      await client.invalidateQueries({ queryKey: backups.queryKey });
    }
  };
  if (all.isPending) return <Loading what={t("backups.theBackups")} />;
  if (all.isLoadingError) return <Failed error={all.error} again={() => all.refetch()} />;
  return (
    <section>
      <PartHead title={t("backups.backups")}>
        <button type="button" className="btn btn-main" disabled={busy} onClick={make}>
          {busy ? t("backups.beingMadeAndReadBack") : t("backups.makeOneNow")}
        </button>
      </PartHead>
      {all.data.damaged && (
        <p role="alert" className="mt-3 border-l-4 border-alert bg-tint p-3">
          <strong className="text-alert">{t("backups.theDataFileIs")}</strong>{" "}
          {t("backups.stopTheServerAnd", { damaged: all.data.damaged })}
        </p>
      )}
      {problem && (
        <p role="alert" className="mt-3 border-l-4 border-alert bg-tint p-3">
          <strong className="text-alert">{t("backups.noBackupWasMade")}</strong>{" "}
          {problem.errors[0]?.must ?? problem.detail}
        </p>
      )}
      {made && (
        <p role="status" className="mt-3 border-l-4 border-catch bg-tint p-3">
          <strong>{t("backups.madeAndReadBack")}</strong> {t("backups.text", { count: made.pupils })},{" "}
          {t("backups.text2", { count: made.results })}, {t("backups.text3", { count: made.lessons })},{" "}
          {t("backups.text4", { count: made.accounts })}.
        </p>
      )}
      <p className="mt-3 max-w-prose">
        {t("backups.oneIsMadeEvery")} <code className="text-sm break-all">{all.data.folder}</code>{" "}
        {t("backups.onTheServersMachine")}
      </p>
      <p className="mt-2 max-w-prose text-soft">
        {t("backups.toRestoreOneStop")} <code className="text-sm">{t("backups.marbleRestoreFile")}</code>
        {t("backups.itShowsWhatWould")}
      </p>
      {all.data.backups.length === 0 ? (
        <Empty title={t("backups.noBackupYet")}>
          <p>{t("backups.makeOneNowOr")}</p>
        </Empty>
      ) : (
        <div className="mt-4 overflow-x-auto">
          <table className="w-full max-w-4xl border-collapse text-left">
            <thead>
              <tr className="border-b border-ink text-sm">
                <th scope="col">{t("backups.made")}</th>
                <th scope="col">{t("backups.file")}</th>
                <th scope="col" className="text-right">
                  {t("backups.size")}
                </th>
                <th scope="col" className="pl-6">
                  {t("backups.keptAtMostUntil")}
                </th>
              </tr>
            </thead>
            <tbody>
              {all.data.backups.map((b) => (
                <tr key={b.name} className="border-b border-rule">
                  <td className="clock py-1.5 pr-4 whitespace-nowrap">{moment(b.madeMs)}</td>
                  <td className="py-1.5 pr-4">{b.name}</td>
                  <td className="clock py-1.5 text-right whitespace-nowrap">
                    {t("backups.kb", { ceil: Math.ceil(b.bytes / 1000) })}
                  </td>
                  <td className="clock py-1.5 pl-6 whitespace-nowrap">{moment(b.untilMs).split(",")[0]}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}
