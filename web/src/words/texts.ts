import i18next, { type PostProcessorModule } from "i18next";
import ICU from "i18next-icu";
import begin from "./begin.json";
import type catalogue from "./catalogue.json";
import type findings from "./findings.json";
import glossary from "./glossary.json";
import help from "./help.json";
import type home from "./home.json";
import type ladders from "./ladders.json";
import type marks from "./marks.json";
import plan from "./plan.json";
import type pupils from "./pupils.json";
import type record from "./record.json";
import type run from "./run.json";
import said from "./said.json";
import type school from "./school.json";
import session from "./session.json";
import type store from "./store.json";
import today from "./today.json";
import type trust from "./trust.json";
import ui from "./ui.json";
import type wall from "./wall.json";
import type workings from "./workings.json";

/** Texts of the screens, a file a view, in ICU's syntax as the core's (docs/formats.md). They ship with the pages; nothing is fetched. */
const resources = { begin, glossary, help, plan, said, session, today, ui } as const;

/** Those that come with their own views, since the first view does not need them. */
type Later = {
  pupils: typeof pupils;
  store: typeof store;
  school: typeof school;
  home: typeof home;
  run: typeof run;
  catalogue: typeof catalogue;
  record: typeof record;
  workings: typeof workings;
  findings: typeof findings;
  ladders: typeof ladders;
  marks: typeof marks;
  trust: typeof trust;
  wall: typeof wall;
};

declare module "i18next" {
  interface CustomTypeOptions {
    resources: typeof resources & Later;
  }
}

/** A text that is known as one and a third longer: what is not in a file, or has no room, is seen (CONTRIBUTING.md). */
const pseudo: PostProcessorModule = {
  type: "postProcessor",
  name: "pseudo",
  process: (text) => `⟦${text}${"~".repeat(Math.ceil(text.length * 0.3))}⟧`,
};

const inPseudo = globalThis.localStorage?.getItem("marble-pseudo") === "on";

i18next
  .use(ICU)
  .use(pseudo)
  .init({
    lng: "en",
    resources: { en: resources },
    ns: Object.keys(resources),
    initAsync: false,
    postProcess: inPseudo && ["pseudo"],
  });

/** The texts of one view. */
export function texts<View extends keyof typeof resources>(view: View) {
  return i18next.getFixedT("en", view);
}

/** A text for each key of a group. */
export const each = <K extends string>(group: Record<K, unknown>, say: (key: K) => string) =>
  Object.fromEntries((Object.keys(group) as K[]).map((key) => [key, say(key)])) as Record<K, string>;

/** The texts of a view that brings its own file. */
export function textsOf<View extends keyof Later>(view: View, said: Later[View]) {
  i18next.addResourceBundle("en", view, said);
  return i18next.getFixedT("en", view);
}
