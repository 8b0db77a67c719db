import { useQuery, useQueryClient } from "@tanstack/react-query";
import { CircleUser } from "lucide-react";
import { lazy, Suspense, useEffect, useMemo } from "react";
import { Link, NavLink, Outlet, Route, Routes, useLocation, useNavigate } from "react-router";
import { api, Problem } from "./api/client";
import { classes, diskRoom, session } from "./api/queries";
import type { Who } from "./api/types";
import { ChosenClass, useClassChoice } from "./chosen-class";
import { Empty, Failed, Loading, Soon } from "./ui/states";
import { useTopOfPage } from "./ui/use-top-of-page";
import { Help } from "./views/help/help";
import { SignIn } from "./views/session/sign-in";
import { texts } from "./words/texts";

const t = texts("ui");

const PlanList = lazy(() => import("./views/plan/plan-list").then((m) => ({ default: m.PlanList })));
const PlanView = lazy(() => import("./views/plan/plan-view").then((m) => ({ default: m.PlanView })));
const RunStart = lazy(() => import("./views/run/run-start").then((m) => ({ default: m.RunStart })));
const RunView = lazy(() => import("./views/run/run-view").then((m) => ({ default: m.RunView })));
const ClassView = lazy(() => import("./views/pupils/class-view").then((m) => ({ default: m.ClassView })));
const Letter = lazy(() => import("./views/pupils/letter").then((m) => ({ default: m.Letter })));
const PupilView = lazy(() => import("./views/pupils/pupil-view").then((m) => ({ default: m.PupilView })));
const HomeView = lazy(() => import("./views/home/home-view").then((m) => ({ default: m.HomeView })));
const MarksView = lazy(() => import("./views/marks/marks-view").then((m) => ({ default: m.MarksView })));
const StoreView = lazy(() => import("./views/store/store-view").then((m) => ({ default: m.StoreView })));

const LaddersView = lazy(() => import("./views/ladders/ladders-view").then((m) => ({ default: m.LaddersView })));
const LadderView = lazy(() => import("./views/ladders/ladder-view").then((m) => ({ default: m.LadderView })));
const NewLadder = lazy(() => import("./views/ladders/new-ladder").then((m) => ({ default: m.NewLadder })));
const EditLadder = lazy(() => import("./views/ladders/edit-ladder").then((m) => ({ default: m.EditLadder })));

const SchoolView = lazy(() => import("./views/school/school-view").then((m) => ({ default: m.SchoolView })));
const OwnAccount = lazy(() => import("./views/session/own-account").then((m) => ({ default: m.OwnAccount })));

const Today = lazy(() => import("./views/today/today").then((m) => ({ default: m.Today })));

const ClassPicker = lazy(() => import("./class-picker").then((m) => ({ default: m.ClassPicker })));

const PlanPage = lazy(() => import("./views/plan/plan-page").then((m) => ({ default: m.PlanPage })));

const WordsView = lazy(() => import("./views/help/words-view").then((m) => ({ default: m.WordsView })));

const BeginView = lazy(() => import("./views/begin/begin-view").then((m) => ({ default: m.BeginView })));

const TrustView = lazy(() => import("./views/trust/trust-view").then((m) => ({ default: m.TrustView })));

const WallView = lazy(() => import("./views/wall/wall-view").then((m) => ({ default: m.WallView })));

const views = [
  ["/", t("app.view.today")],
  ["/plan", t("app.view.plan")],
  ["/run", t("app.view.run")],
  ["/pupils", t("app.view.pupils")],
  ["/home", t("app.view.home")],
  ["/ladders", t("app.view.ladders")],
  ["/marks", t("app.view.marks")],
  ["/store", t("app.view.store")],
] as const;

/** A helper runs and tallies; an administrator also says who may come in. */
function viewsFor(who: Who): readonly (readonly [string, string])[] {
  if (!who.teaches) return views.filter(([to]) => ["/", "/run", "/ladders", "/marks"].includes(to));
  return who.administrates ? [...views, ["/school", t("app.view.school")]] : views;
}

export function App() {
  return (
    <Suspense fallback={<Loading what={t("app.thePage")} />}>
      <Routes>
        <Route path="/wall/:code?" element={<WallView />} />
        <Route path="/trust" element={<TrustView />} />
        <Route path="*" element={<SignedIn />} />
      </Routes>
    </Suspense>
  );
}

function SignedIn() {
  const { pathname } = useLocation();
  const who = useQuery({
    ...session,
    // While the demo is being filled the server says so, and is asked again.
    refetchInterval: ({ state }) => (state.error instanceof Problem && state.error.status === 503 ? 2_000 : false),
  });
  if (who.isPending) return <Loading what={t("app.yourPage")} />;
  // A run goes on without the server: its sheet and its taps are on this device, and only sending asks who it is.
  if (who.isLoadingError && who.error instanceof Problem && who.error.status === 0 && /^\/run\/[^/]+$/.test(pathname))
    return (
      <Routes>
        <Route path="/run/:id" element={<RunView />} />
      </Routes>
    );
  if (who.isLoadingError && who.error instanceof Problem && who.error.status === 503)
    return <Soon problem={who.error} />;
  if (who.isLoadingError) return <Failed error={who.error} again={() => who.refetch()} />;
  if (!who.data.who) return <SignIn setupNeeded={who.data.setupNeeded} />;
  return (
    <Suspense fallback={<Loading what={t("app.theView")} />}>
      <Routes>
        <Route path="/run/:id" element={<RunView />} />
        <Route element={<Frame who={who.data.who} />}>
          <Route path="/" element={<Today who={who.data.who} />} />
          {who.data.who.teaches && <Route path="/begin" element={<BeginView />} />}
          <Route path="/plan" element={<PlanList />} />
          <Route path="/plan/:id" element={<PlanView />} />
          <Route path="/plan/:id/page" element={<PlanPage />} />
          <Route path="/run" element={<RunStart />} />
          <Route path="/pupils" element={<ClassView />} />
          <Route path="/pupils/:id" element={<PupilView />} />
          <Route path="/pupils/:id/family" element={<Letter />} />
          <Route path="/home" element={<HomeView />} />
          <Route path="/ladders" element={<LaddersView />} />
          <Route path="/ladders/new" element={<NewLadder />} />
          <Route path="/ladders/:id" element={<LadderView />} />
          <Route path="/ladders/:id/edit" element={<EditLadder />} />
          <Route path="/marks" element={<MarksView />} />
          <Route path="/marks/:id" element={<MarksView />} />
          <Route path="/store/:part?" element={<StoreView />} />
          <Route path="/words" element={<WordsView />} />
          <Route path="/me" element={<OwnAccount who={who.data.who} />} />
          {who.data.who.administrates && <Route path="/school/:part?" element={<SchoolView />} />}
          <Route path="*" element={<NoPage />} />
        </Route>
      </Routes>
    </Suspense>
  );
}

function NoPage() {
  return (
    <Empty title={t("app.thereIsNoSuch")}>
      <p>{t("app.chooseOneFromThe")}</p>
    </Empty>
  );
}

/** The bar across the top, and the class in hand. */
function Frame({ who }: { who: Who }) {
  const known = useQuery(classes);
  const choice = useClassChoice(known.data ?? []);
  const navigate = useNavigate();
  const mine = useMemo(() => viewsFor(who), [who]);
  useTopOfPage();
  useEffect(() => {
    const byNumber = (e: KeyboardEvent) => {
      const typing = e.target instanceof HTMLElement && e.target.closest("input, textarea, select, [role=dialog]");
      const view = mine[Number(e.key) - 1];
      if (view && !typing && !e.ctrlKey && !e.metaKey && !e.altKey) navigate(view[0]);
    };
    window.addEventListener("keydown", byNumber);
    return () => window.removeEventListener("keydown", byNumber);
  }, [navigate, mine]);
  if (known.isPending) return <Loading what={t("app.yourClasses")} />;
  if (known.isLoadingError) return <Failed error={known.error} again={() => known.refetch()} />;
  return (
    <ChosenClass value={choice}>
      <a href="#view" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-3">
        {t("app.skipToTheView")}
      </a>
      <header className="flex flex-wrap items-end gap-x-4 bg-floor px-4 pt-2 sm:px-7 print:hidden">
        <span className="flex items-center gap-2.5 pb-2.5 font-head text-xl font-bold">
          <img src="/marble.svg" alt="" width="30" height="30" /> {t("app.unrulyMarble")}
        </span>
        <nav
          aria-label={t("app.views")}
          className="order-last -mb-px flex w-full overflow-x-auto pr-8 [mask-image:linear-gradient(to_right,black_88%,transparent)] sm:order-none sm:w-auto sm:pr-0 sm:[mask-image:none]"
        >
          {mine.map(([to, text]) => (
            <NavLink
              key={to}
              to={to}
              end={to === "/"}
              className={({ isActive }) =>
                `px-3 py-2.5 font-semibold no-underline ${isActive ? "rounded-t-xl bg-sheet text-ink" : "text-soft hover:text-ink"}`
              }
            >
              {text}
            </NavLink>
          ))}
        </nav>
        <span className="ml-auto flex flex-wrap items-center justify-end gap-3 pb-2">
          <Help views={mine} teaches={who.teaches} />
          <Suspense fallback={null}>
            <ClassPicker />
          </Suspense>
          <SignOut who={who} />
        </span>
      </header>
      {who.teaches && <DiskWarning />}
      <main id="view" className="mx-auto max-w-[84rem] px-4 py-5 sm:px-7 print:max-w-none print:p-0">
        <Suspense fallback={<Loading what={t("app.theView")} />}>
          <Outlet />
        </Suspense>
      </main>
    </ChosenClass>
  );
}

/** Said before the disk is full, and while it is. */
function DiskWarning() {
  const { data: room } = useQuery(diskRoom);
  if (!room?.low) return null;
  return (
    <p role="status" className="border-l-8 border-alert bg-tint px-4 py-2 sm:px-7 print:hidden">
      <strong className="text-alert">{room.full ? t("app.noRoomLeftOnThe") : t("app.theServerSDiskIs")}</strong>{" "}
      {t("app.mbAreFree", { freeMb: room.freeMb })}{" "}
      {room.full ? t("app.nothingCanBeSavedUntil") : t("app.somebodyShouldRemoveSomethingFrom")}
    </p>
  );
}

function SignOut({ who }: { who: Who }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const leave = async () => {
    await api("delete", "/api/session");
    sessionStorage.clear();
    client.clear();
    navigate("/");
  };
  return (
    <span className="flex items-center gap-2 text-soft">
      <Link to="/me" className="flex items-center gap-1.5 font-semibold" title={who.displayName}>
        <CircleUser size={20} aria-hidden />
        <span className="sr-only 2xl:not-sr-only">
          <span className="2xl:hidden">{t("app.yourAccount")} </span>
          {who.displayName}
        </span>
      </Link>
      <button type="button" className="font-semibold whitespace-nowrap underline" onClick={leave}>
        {t("app.signOut")}
      </button>
    </span>
  );
}
