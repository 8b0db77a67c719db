import { useMutation } from "@tanstack/react-query";
import { useContext } from "react";
import { api, type Problem } from "../../api/client";
import type { Circuit, Lesson, StationLayout } from "../../api/types";
import { percent } from "../../words";
import { texts } from "../../words/texts";
import { LessonOnPage } from "./on-page";

const t = texts("plan");

/** Looks for a better layout of a circuit's stations, or proves that there is none. What is told holds until the lesson changes. */
export function useLayBetter(circuit: Circuit, quietApart: boolean, onLaid: (circuit: Circuit) => void) {
  const page = useContext(LessonOnPage);
  const asked = useMutation<{ of: Lesson; laid: StationLayout }, Problem, { id: string; lesson: Lesson }>({
    mutationFn: async ({ id, lesson }) => ({
      of: lesson,
      laid: await api("post", "/api/lessons/{id}/laid", {
        params: { path: { id } },
        body: { lesson, circuitId: circuit.id },
      }),
    }),
    onSuccess: ({ laid }) => {
      const better = laid.lesson.circuits.find((c) => c.id === circuit.id);
      if (laid.better && better) onLaid(better);
    },
  });
  const told = asked.data && page && asked.data.of === page.lesson ? asked.data.laid : undefined;
  return {
    /** Absent where no lesson is on the page. */
    press: page ? () => asked.mutate(page) : undefined,
    looking: asked.isPending,
    proven: told !== undefined && told.share >= told.most - 1e-9,
    said: asked.isPending
      ? t("circuit.looking")
      : asked.error
        ? asked.error.detail
        : told && !told.better
          ? !quietApart
            ? t("circuit.stillNear")
            : told.share >= told.most - 1e-9
              ? t("circuit.proven")
              : t("circuit.noneFound", { share: percent(told.most) })
          : asked.data?.laid.better
            ? t("circuit.laidBetter", { share: percent(asked.data.laid.share) })
            : "",
  };
}
