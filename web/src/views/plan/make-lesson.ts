import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { api, type Problem } from "../../api/client";
import { lesson } from "../../api/queries";
import type { Lesson, LessonDoc, LessonView } from "../../api/types";

export const USUAL_MINUTES = 40;

/** A lesson for a class with nothing in it yet. */
export function emptyLesson(minutes: number): Lesson {
  return {
    minutes,
    startMin: null,
    audience: "CLASS",
    shape: "MOBILITY_FIRST",
    heat: false,
    restRule: "BETWEEN_SETS",
    transitionSec: 30,
    silenced: [],
    blocks: [],
    circuits: [],
    afterNote: null,
  };
}

/** Makes a lesson and opens its plan. @param at what is open there, such as "#propose" */
export function useMakeLesson(at = "") {
  const navigate = useNavigate();
  const client = useQueryClient();
  return useMutation<LessonView, Problem, LessonDoc>({
    mutationFn: (doc) => api("post", "/api/lessons", { body: doc }),
    onSuccess: (made) => {
      client.setQueryData(lesson(made.id).queryKey, made);
      client.invalidateQueries({ queryKey: ["lessons"] });
      navigate(`/plan/${made.id}${at}`);
    },
  });
}
