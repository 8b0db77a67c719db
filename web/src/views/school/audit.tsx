import { useInfiniteQuery, useQuery } from "@tanstack/react-query";
import { auditEntries, people } from "../../api/queries";
import type { AuditEntry, Person } from "../../api/types";
import { PartHead } from "../../ui/part-head";
import { Empty, Failed, Loading } from "../../ui/states";
import { moment } from "../../words";
import { texts } from "../../words/texts";

const t = texts("school");

const told: Record<AuditEntry["kind"], string> = {
  SET_UP: "made the first account",
  SIGNED_IN: "signed in",
  SIGN_IN_REFUSED: "sign-in refused",
  SIGNED_OUT: "signed out",
  INVITED: "invited",
  JOINED: "came in with a one-time code",
  PASSWORD_CHANGED: "set another password",
  PASSWORD_RESET: "gave a new code to",
  NAME_CHANGED: "changed the name of",
  ROLE_CHANGED: "changed the role of",
  ACCOUNT_CLOSED: "closed the account of",
  ACCOUNT_OPENED: "opened again the account of",
  HELPERS_CHANGED: "changed who helps in a class",
  LESSON_HANDED_OVER: "handed a lesson over for a day to",
  LESSON_TAKEN_BACK: "took a lesson back from",
  PUPIL_LOOKED_AT: "looked at a pupil’s record",
  PUPIL_EXPORTED: "exported a pupil’s data",
  CLASS_EXPORTED: "exported a class",
  ALL_EXPORTED: "exported everything of their own",
  PUPIL_ERASED: "erased a pupil",
  PUPIL_MOVED: "moved a pupil to another class",
  PUPIL_LEFT: "put a pupil out of a class, record kept",
  PUPIL_BACK: "took a pupil back into a class",
  CLASS_GIVEN: "gave a class for good to",
  WALL_OPENED: "opened a wall face",
  WALL_CLOSED: "closed a wall face",
  DEVICES_OPENED: "opened a run to devices",
  DEVICES_CLOSED: "closed a run to devices",
  BACKUP_MADE: "made a backup",
  RESTORED: "restored a backup",
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
  if (address === null) return "the server itself";
  return address === "127.0.0.1" || address === "0:0:0:0:0:0:0:1" ? "this machine" : address;
}

function who(e: AuditEntry, people: Person[]): string {
  if (e.accountId === null) return "somebody";
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
          ` to ${word.toLowerCase()}`
        ) : (
          <span className="ml-1 text-sm text-soft">{word}</span>
        ))}
    </>
  );
}
