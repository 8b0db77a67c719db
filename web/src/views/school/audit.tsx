import { useInfiniteQuery, useQuery } from "@tanstack/react-query";
import { auditEntries, people } from "../../api/queries";
import type { AuditEntry, Person } from "../../api/types";
import { PartHead } from "../../ui/part-head";
import { Empty, Failed, Loading } from "../../ui/states";
import { moment } from "../../words";
import saidSchool from "../../words/school.json";
import { textsOf } from "../../words/texts";

const t = textsOf("school", saidSchool);

const told: Record<AuditEntry["kind"], string> = {
  SET_UP: t("audit.madeTheFirstAccount"),
  SIGNED_IN: t("audit.signedIn"),
  SIGN_IN_REFUSED: t("audit.signInRefused"),
  SIGNED_OUT: t("audit.signedOut"),
  INVITED: "invited",
  JOINED: t("audit.cameInWithAOne"),
  PASSWORD_CHANGED: t("audit.setAnotherPassword"),
  PASSWORD_RESET: t("audit.gaveANewCodeTo"),
  NAME_CHANGED: t("audit.changedTheNameOf"),
  ROLE_CHANGED: t("audit.changedTheRoleOf"),
  ACCOUNT_CLOSED: t("audit.closedTheAccountOf"),
  ACCOUNT_OPENED: t("audit.openedAgainTheAccountOf"),
  HELPERS_CHANGED: t("audit.changedWhoHelpsInA"),
  LESSON_HANDED_OVER: t("audit.handedALessonOverFor"),
  LESSON_TAKEN_BACK: t("audit.tookALessonBackFrom"),
  PUPIL_LOOKED_AT: t("audit.lookedAtAPupilS"),
  PUPIL_EXPORTED: t("audit.exportedAPupilSData"),
  CLASS_EXPORTED: t("audit.exportedAClass"),
  ALL_EXPORTED: t("audit.exportedEverythingOfTheirOwn"),
  PUPIL_ERASED: t("audit.erasedAPupil"),
  PUPIL_MOVED: t("audit.movedAPupilToAnother"),
  PUPIL_LEFT: t("audit.putAPupilOutOf"),
  PUPIL_BACK: t("audit.tookAPupilBackInto"),
  CLASS_GIVEN: t("audit.gaveAClassForGood"),
  WALL_OPENED: t("audit.openedAWallFace"),
  WALL_CLOSED: t("audit.closedAWallFace"),
  DEVICES_OPENED: t("audit.openedARunToDevices"),
  DEVICES_CLOSED: t("audit.closedARunToDevices"),
  BACKUP_MADE: t("audit.madeABackup"),
  RESTORED: t("audit.restoredABackup"),
};

/** Who did what, when and from where. Contents are nowhere in it: of a child only the id. */
export function Audit() {
  const names = useQuery(people);
  const all = useInfiniteQuery(auditEntries);
  if (all.isPending || names.isPending) return <Loading what={t("audit.theAudit")} />;
  if (all.isLoadingError) return <Failed error={all.error} again={() => all.refetch()} />;
  if (names.isLoadingError) return <Failed error={names.error} again={() => names.refetch()} />;
  const entries = all.data.pages.flat();
  return (
    <section>
      <PartHead title={t("audit.audit")}>
        <a className="btn no-underline" href="/api/audit/audit.csv" download>
          {t("audit.allOfItAs")}
        </a>
      </PartHead>
      <p className="mt-2 text-soft">{t("audit.signinsAccountsLooksAt")}</p>
      {entries.length === 0 && <Empty title={t("audit.nothingYet")}>{t("audit.fromNowOnIt")}</Empty>}
      <div className="mt-3 overflow-x-auto">
        <table className="w-full border-collapse text-left">
          <thead>
            <tr className="border-b border-ink text-sm">
              <th scope="col">{t("audit.when")}</th>
              <th scope="col">{t("audit.who")}</th>
              <th scope="col">{t("audit.what")}</th>
              <th scope="col">{t("audit.fromWhere")}</th>
            </tr>
          </thead>
          <tbody>
            {entries.map((e) => (
              <tr key={e.number} className="border-b border-rule align-top">
                <td className="clock py-1.5 pr-4 whitespace-nowrap">{moment(e.atMs)}</td>
                <td className="py-1.5 pr-4">{who(e, names.data)}</td>
                <td className="py-1.5 pr-4">
                  {told[e.kind]} <About entry={e} people={names.data} />
                </td>
                <td className="clock py-1.5 text-soft">{from(e.address)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {all.hasNextPage && (
        <button
          type="button"
          className="btn mt-4"
          disabled={all.isFetchingNextPage}
          onClick={() => all.fetchNextPage()}
        >
          {t("audit.olderOnes")}
        </button>
      )}
    </section>
  );
}

function from(address: string | null): string {
  if (address === null) return t("audit.theServerItself");
  return address === "127.0.0.1" || address === "0:0:0:0:0:0:0:1" ? t("audit.thisMachine") : address;
}

function who(e: AuditEntry, people: Person[]): string {
  if (e.accountId === null) return t("audit.somebody");
  return people.find((p) => p.id === e.accountId)?.displayName ?? e.accountId;
}

/** An account by its name; of a pupil, a class or a run the id. */
function About({ entry, people }: { entry: AuditEntry; people: Person[] }) {
  const [id, word] = (entry.about ?? "").split(" ");
  if (!id || id === entry.accountId) return word ? t("audit.ownTo", { toLowerCase: word.toLowerCase() }) : null;
  const person = people.find((p) => p.id === id);
  return (
    <>
      {person ? person.displayName : <span className="text-sm text-soft">{id}</span>}
      {word &&
        (entry.kind === "ROLE_CHANGED" ? (
          t("audit.to", { word: word.toLowerCase() })
        ) : (
          <span className="ml-1 text-sm text-soft">{word}</span>
        ))}
    </>
  );
}
