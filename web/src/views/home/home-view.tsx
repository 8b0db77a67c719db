import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { home } from "../../api/queries";
import type { SchoolClass } from "../../api/types";
import { useChosenClass } from "../../chosen-class";
import { Empty, Failed, Loading } from "../../ui/states";
import saidHome from "../../words/home.json";
import { textsOf } from "../../words/texts";
import { CameBackBox } from "./came-back";
import { MakeWeek } from "./make-week";
import { Practised } from "./practised";
import { Slips } from "./slips";
import { WeekOfCards } from "./week";

const t = textsOf("home", saidHome);

/** What goes home with a class, and what comes back. */
export function HomeView() {
  const { chosen } = useChosenClass();
  if (!chosen)
    return (
      <Empty title={t("noClass")}>
        <p>{t("noClassHow")}</p>
        <Link className="btn btn-main" to="/begin">
          {t("makeClass")}
        </Link>
      </Empty>
    );
  if (!chosen.mayChange)
    return (
      <Empty title={t("helpers")}>
        <p>{t("helpersHow")}</p>
      </Empty>
    );
  return <OfClass key={chosen.id} chosen={chosen} />;
}

function OfClass({ chosen }: { chosen: SchoolClass }) {
  const all = useQuery(home(chosen.id));
  if (all.isPending) return <Loading what={t("loading")} />;
  if (all.isLoadingError) return <Failed error={all.error} again={() => all.refetch()} />;
  const { weeks, came, unread, practised, asked } = all.data;
  return (
    <div className="space-y-9">
      <header>
        <h1>
          {t("title")}: {chosen.name}
        </h1>
        <p className="mt-1 max-w-3xl text-soft">{t("lead")}</p>
      </header>
      <div className="grid gap-8 lg:grid-cols-2">
        <CameBackBox classId={chosen.id} came={came} unread={unread} />
        <MakeWeek chosen={chosen} begun={weeks.some((w) => w.making)} />
      </div>
      {weeks.length === 0 ? (
        <Empty title={t("week.none")}>
          <p>{t("week.noneHow")}</p>
        </Empty>
      ) : (
        weeks.map((week, i) => <WeekOfCards key={week.id} classId={chosen.id} week={week} open={i === 0} />)
      )}
      {weeks.some((w) => w.cards.length > 0) && <Slips classId={chosen.id} weeks={weeks} asked={asked} />}
      {weeks.length > 0 && <Practised practised={practised} />}
    </div>
  );
}
