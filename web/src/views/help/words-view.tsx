import glossary from "../../words/glossary.json";
import { texts } from "../../words/texts";

const t = texts("help");
const word = texts("glossary");

/** All words of our own, each beside the field's. */
export function WordsView() {
  return (
    <section className="max-w-4xl">
      <h1>{t("words.title")}</h1>
      <p className="mt-1 text-soft">{t("words.what")}</p>
      <div className="relative mt-4 overflow-x-auto">
        <table className="w-full border-collapse">
          <thead>
            <tr className="border-b-[3px] border-ink text-left text-sm">
              {(["ours", "field", "means"] as const).map((h) => (
                <th key={h} scope="col" className="py-1 pr-4">
                  {t(`words.${h}`)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {(Object.keys(glossary) as (keyof typeof glossary)[]).map((key) => (
              <tr key={key} className="border-b border-rule align-top">
                <th scope="row" className="py-1.5 pr-4 text-left whitespace-nowrap">
                  {word(`${key}.word`)}
                </th>
                <td className="py-1.5 pr-4 text-soft">{word(`${key}.field`)}</td>
                <td className="py-1.5">{word(`${key}.line`)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
