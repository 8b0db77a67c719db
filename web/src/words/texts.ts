import i18next from "i18next";
import ICU from "i18next-icu";
import begin from "./begin.json";
import glossary from "./glossary.json";
import help from "./help.json";
import home from "./home.json";
import plan from "./plan.json";
import pupils from "./pupils.json";
import run from "./run.json";
import school from "./school.json";
import session from "./session.json";
import store from "./store.json";
import today from "./today.json";

/** Texts of the screens, a file a view, in ICU's syntax as the core's (docs/formats.md). They ship with the pages; nothing is fetched. */
const resources = { begin, glossary, help, home, plan, pupils, run, school, session, store, today } as const;

declare module "i18next" {
  interface CustomTypeOptions {
    resources: typeof resources;
  }
}

i18next.use(ICU).init({ lng: "en", resources: { en: resources }, ns: Object.keys(resources), initAsync: false });

/** The texts of one view. */
export function texts<View extends keyof typeof resources>(view: View) {
  return i18next.getFixedT("en", view);
}
